import { expect, type Page, test } from '@playwright/test'
import { benchWith, clock, ownHouse, thatIsIt, word } from './support'

/** At the press: what came out, poured off, and in one bottle of 250 mL; the bottles' labels are opened. */
async function strainedAndLabelled(page: Page, out: string, settledAt: string): Promise<void> {
  await page.getByLabel('What came out', { exact: true }).fill(out)
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByRole('heading', { name: 'What came out' })).toBeVisible()
  await clock(page, settledAt)
  await page.reload()
  await page.getByRole('button', { name: 'It is poured off' }).click()
  await expect(page.getByRole('button', { name: 'It is poured off' })).toHaveCount(0)
}

test('a second charge: the oil goes from the cloth on fresh herb, and its label names both', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, { herbs: [{ id: 'calendula' }], oils: [{ id: 'olive' }] })
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('cold, day 0 of 28')).toBeVisible()
  const first = page.url()
  await clock(page, '2026-12-22T10:30:00Z')
  await page.getByRole('link', { name: 'To the press', exact: true }).click()
  await strainedAndLabelled(page, '300 mL', '2026-12-23T11:00:00Z')
  // Not bottled: it goes on herb once more, another herb than before.
  await page.getByRole('button', { name: 'Fresh herb in this oil' }).click()
  const sentence = page.getByRole('heading', { level: 1 })
  await expect(sentence).toContainText('300 mL of oil')
  await expect(sentence).toContainText('in the calendula oil of 22 December')
  await word(page, /^the herb: calendula/)
  await page.getByLabel('Find a herb, or write your own').fill('plantain')
  await page.getByRole('radio', { name: /^plantain leaf/ }).click()
  await expect(sentence).toContainText('plantain leaf oil')
  await expect(page.getByText(/A second charge, in the calendula oil/)).toBeVisible()
  await expect(page.getByText(/Calendula: of the daisy family/)).toBeVisible()
  await page.reload()
  await expect(sentence).toContainText('in the calendula oil of 22 December')
  await page.getByRole('button', { name: 'Start this batch' }).dblclick()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Plantain leaf in olive oil')
  const second = page.url()
  await expect(page.getByText(/Made in the oil of/)).toBeVisible()
  await page.goto(first)
  await expect(page.getByText(/used/).first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Fresh herb in this oil' })).toHaveCount(0)
  await page.goto(second)
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('cold, day 0 of 28')).toBeVisible()
  await clock(page, '2027-01-22T10:30:00Z')
  await page.getByRole('link', { name: 'To the press', exact: true }).click()
  await strainedAndLabelled(page, '220 mL', '2027-01-23T11:00:00Z')
  await page.getByRole('button', { name: 'Take 2 × 100 mL bottle' }).click()
  await page.getByRole('button', { name: 'Bottles are filled' }).click()
  await expect(page.getByRole('heading', { name: 'Bottled', exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Labels', exact: true }).click()
  await expect(page.getByText(/Plantain leaf, .*; Calendula/).first()).toBeVisible()
  await page.goto(second)
  await page.getByRole('link', { name: 'Follow it' }).click()
  await expect(page.getByText(/Calendula in olive oil/).first()).toBeVisible()
})

test('an oil by itself again: what was to go on herb once more is let be', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, { herbs: [{ id: 'calendula' }], oils: [{ id: 'olive' }], in_oil: { batch: 'nobody' } })
  await expect(page.getByText('There is no such infused oil here.').first()).toBeVisible()
  await word(page, /^the oil:/)
  await page.getByRole('button', { name: 'Take oil by itself instead' }).click()
  await thatIsIt(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('in olive oil')
})

test('kitchen powder is left on its sediment: ready without a cloth, used from the top, topped up, to the last', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await benchWith(page, house, {
    herbs: [{ id: 'turmeric', form: 'powder', amount: '40 g' }],
    oils: [{ id: 'olive' }],
    purpose: 'kitchen',
  })
  await word(page, /^how it is got out:/)
  await page.getByLabel(/Never strained/).check()
  await thatIsIt(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('then left on its sediment')
  await expect(page.getByText('Clear, above its sediment')).toBeVisible()
  // Leaf would stand out of the oil: it is said where it is chosen, and the powder stays.
  await word(page, /^how it is cut:/)
  await expect(page.getByRole('button', { name: 'That is it' })).toBeVisible()
  await thatIsIt(page)
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await page.getByRole('button', { name: 'Done' }).first().click()
  await expect(page.getByText('cold, day 0 of 14')).toBeVisible()
  await clock(page, '2026-12-09T10:30:00Z')
  await page.reload()
  await page.getByRole('link', { name: 'See that it is ready' }).click()
  await expect(page.getByLabel('What came out', { exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: 'It is ready' }).dblclick()
  await expect(page.getByText(/It is used from the top, and up by/)).toBeVisible()
  await page.getByRole('link', { name: 'its page and logbook' }).click()
  await page.getByRole('button', { name: 'Use or give bottle 1' }).click()
  await page.getByLabel('For what').fill('fish')
  await page.getByLabel('How much', { exact: true }).fill('60 mL')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText(/140 mL left/)).toBeVisible()
  await page.getByRole('button', { name: 'Top up number 1' }).click()
  await page.getByLabel('How much oil was added').fill('a splash')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByRole('dialog').getByText(/cannot be read/)).toBeVisible()
  await page.getByLabel('How much oil was added').fill('50 mL')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText(/190 mL left/)).toBeVisible()
  await page.getByRole('link', { name: 'Labels' }).click()
  await expect(page.getByText(/Not strained: pour from the top/).first()).toBeVisible()
  await page.goBack()
  await page.getByRole('button', { name: 'Use or give bottle 1' }).click()
  await page.getByLabel('For what').fill('the last of it, with the powder, to a marinade')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText(/used, the last of it/).first()).toBeVisible()
})

test('an infusion begun again after a pause of nine days has the hours of both', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, {
    herbs: [{ id: 'self-heal' }],
    oils: [{ id: 'olive' }],
    method: 'slow-cooker',
    hours: '6 h',
  })
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  const batch = page.url()
  await page.getByRole('link', { name: 'To the Stove' }).click()
  await page.getByRole('button', { name: 'Jars in, switch it on' }).click()
  const warmUntil = async (moments: string[], end: string) => {
    for (const moment of moments) {
      await clock(page, moment)
      await page.getByLabel('It reads, °C').fill('49')
      await page.getByRole('button', { name: 'Write it down' }).click()
      await expect(page.getByLabel('It reads, °C')).toHaveValue('')
    }
    await clock(page, end)
  }
  await warmUntil(['2026-11-24T11:10:00Z', '2026-11-24T12:00:00Z', '2026-11-24T13:00:00Z'], '2026-11-24T13:10:00Z')
  await page.getByRole('button', { name: 'All out, end' }).click()
  await page.getByRole('button', { name: 'All out, end it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('ended')
  await page.goto(batch)
  await page.getByRole('button', { name: /^Not now: Put the self-heal to warm/ }).click()
  await page.getByLabel('Put it off to').fill('2026-12-03')
  await page.getByRole('button', { name: 'Put it off' }).click()
  await expect(page.getByText(/Put off to .*: switch on/).first()).toBeVisible()
  await expect(page.getByText(/Thu 3 Dec|3 Dec/).first()).toBeVisible()
  await clock(page, '2026-12-03T10:10:00Z')
  await page.goto(batch)
  await page.getByRole('link', { name: 'To the Stove' }).click()
  await page.getByRole('button', { name: 'Jars in, switch it on' }).click()
  await warmUntil(
    ['2026-12-03T11:10:00Z', '2026-12-03T12:30:00Z', '2026-12-03T14:00:00Z', '2026-12-03T15:30:00Z'],
    '2026-12-03T15:40:00Z',
  )
  await page.getByRole('button', { name: 'All out, end' }).click()
  await page.getByRole('button', { name: 'All out, end it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('ended')
  await page.goto(batch)
  await expect(page.getByText(/Taken off the warmth/)).toHaveCount(2)
  await expect(page.getByRole('link', { name: 'Take it to the press' })).toBeVisible()
})
