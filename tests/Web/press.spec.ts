import { expect, test } from '@playwright/test'
import { benchWith, clock, demo, ownHouse } from './support'

test('strained on the scale, poured off, bottled around a wish, put away, given, and found when it turns', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await benchWith(page, house, { herbs: [{ id: 'marshmallow-root' }], oils: [{ id: 'olive' }] })
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('cold, day 0 of 28')).toBeVisible()

  // Not yet four weeks: said, and not hindered.
  await page.getByRole('link', { name: 'To the press', exact: true }).click()
  await expect(page.getByText('not yet: day 0 of 28')).toBeVisible()
  await clock(page, '2026-12-22T10:30:00Z')
  await page.reload()
  await expect(page.getByRole('checkbox', { name: /the planned weeks are gone/ })).toBeChecked()
  await page.getByRole('checkbox', { name: /Tip it into cloth/ }).check()

  // The scale: unsteady, then what it shows goes where it belongs.
  await page.getByText('Weigh on the simulated scale').click()
  await expect(page.getByRole('button', { name: 'It is the empty jug' })).toBeDisabled()
  await page.getByRole('button', { name: 'Empty jug on' }).click()
  await expect(page.getByText('not steady yet')).toBeVisible()
  await clock(page, '2026-12-22T10:30:10Z')
  await page.getByRole('button', { name: 'It is the empty jug' }).click()
  await expect(page.getByRole('textbox', { name: 'The empty jug' })).toHaveValue('413 g')
  await page.getByRole('button', { name: 'Oil into the jug' }).click()
  await expect(page.getByText('not steady yet')).toBeVisible()
  await clock(page, '2026-12-22T10:30:20Z')
  await page.getByRole('button', { name: 'It is jug and oil' }).click()
  await expect(page.getByRole('textbox', { name: 'Jug and oil together' })).toHaveValue(/^\d+ g$/)
  await page.getByLabel('It goes').selectOption('compost')

  // The jug alone cannot be: answered at its field, and kept.
  const together = await page.getByRole('textbox', { name: 'Jug and oil together' }).inputValue()
  await page.getByRole('textbox', { name: 'Jug and oil together' }).fill('300 g')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText(/there would be nothing in it/)).toBeVisible()
  await page.getByRole('textbox', { name: 'Jug and oil together' }).fill(together)
  // The page left with a jug in the hand: what was weighed, and that it was weighed, is there when one is back.
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Jug and oil together' })).toHaveValue(together)
  await expect(page.getByRole('textbox', { name: 'The empty jug' })).toHaveValue('413 g')
  await expect(page.getByLabel('It goes')).toHaveValue('compost')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('It went to the compost.')).toBeVisible()

  // A day later: less than was strained.
  await clock(page, '2026-12-23T11:00:00Z')
  await page.reload()
  await page.getByLabel('What is left, poured off').fill('2 L')
  await page.getByRole('button', { name: 'It is poured off' }).click()
  await expect(page.getByText(/what is poured off is less than that/)).toBeVisible()
  await page.getByLabel('What is left, poured off').fill('250 mL')
  await page.getByLabel('Filtered once more, through paper').check()
  await page.getByRole('button', { name: 'It is poured off' }).click()
  await expect(page.getByText('250 mL', { exact: true })).toBeVisible()

  // Bottles: the least left over; two small ones wished for, and the best around them.
  await expect(page.getByText('the least there is')).toBeVisible()
  await page.getByLabel('30 mL bottle', { exact: true }).fill('2')
  await page.getByRole('button', { name: /^Keep so many 30 mL bottle/ }).click()
  await expect(page.getByRole('button', { name: /^Let 30 mL bottle go free/ })).toBeVisible()
  await page
    .getByRole('button', { name: /^Take .*× 30 mL bottle/ })
    .first()
    .click()
  await expect(page.getByLabel('30 mL bottle', { exact: true })).not.toHaveValue('0')
  await expect(page.getByRole('button', { name: /^Vitamin E: \d+ IU/ })).toBeVisible()
  await page.getByLabel('With', { exact: true }).selectOption('vitamin-e')
  await page.getByLabel('Where they stand').fill('larder')
  // The bottles take longer to fill than a telephone keeps the page.
  const counted = await page.getByLabel('30 mL bottle', { exact: true }).inputValue()
  await page.reload()
  await expect(page.getByLabel('30 mL bottle', { exact: true })).toHaveValue(counted)
  await expect(page.getByRole('button', { name: /^Let 30 mL bottle go free/ })).toHaveText('kept at 2')
  await expect(page.getByLabel('With', { exact: true })).toHaveValue('vitamin-e')
  await expect(page.getByLabel('Where they stand')).toHaveValue('larder')
  await page.getByRole('button', { name: 'Bottles are filled' }).click()
  await expect(page.getByRole('heading', { name: 'Bottled', exact: true })).toBeVisible()

  // Its page: kept, and what follows when that changes.
  await page.getByRole('link', { name: 'its page and logbook' }).click()
  await expect(page.getByText(/Kept in a cool, dark cupboard \(larder\), in dark glass, with vitamin E/)).toBeVisible()
  const before = await page.getByRole('button', { name: /^Best before: / }).innerText()
  await page.getByRole('button', { name: 'Kept otherwise' }).click()
  await page.getByLabel('Kept in', { exact: true }).selectOption('warm')
  await page.getByRole('button', { name: 'Reckon it anew' }).click()
  await expect(page.getByRole('button', { name: /^Best before: / })).not.toHaveText(before)

  // To eat it is another matter.
  await page.getByRole('button', { name: 'For something else' }).click()
  await page.getByLabel('For', { exact: true }).selectOption('kitchen')
  await page.getByRole('button', { name: 'It is for that' }).click()
  await expect(page.getByText(/It stays for the skin/)).toBeVisible()
  await page.keyboard.press('Escape')

  // One given away, one begun; undone and done again.
  await page.getByRole('button', { name: 'Use or give bottle 1' }).click()
  await page.getByLabel('It is').selectOption('given')
  await page.getByLabel('To whom').fill('Torin')
  await page.getByRole('button', { name: 'Write it down' }).last().click()
  await expect(page.getByText(/given, Torin/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Use or give bottle 1' })).toBeVisible()
  await page.getByRole('button', { name: 'Use or give bottle 1' }).click()
  await page.getByLabel('It is').selectOption('given')
  await page.getByLabel('To whom').fill('Torin')
  await page.getByRole('button', { name: 'Write it down' }).last().click()
  await expect(page.getByText(/given, Torin/)).toBeVisible()

  // A week on it smells of paint: closed, and every bottle is found.
  await clock(page, '2026-12-31T11:00:00Z')
  await page.goto(`${house}/today`)
  await page.getByRole('link', { name: 'Smell it' }).click()
  await page.getByRole('button', { name: 'Smell it now' }).click()
  await page.getByLabel('of paint, crayon or old nuts').check()
  await page.getByRole('button', { name: 'What does that mean?' }).click()
  await expect(page.getByRole('alert').first()).toBeVisible()
  await page.getByLabel('clear', { exact: true }).check()
  await page.getByLabel('quietly').check()
  await page.getByRole('button', { name: 'What does that mean?' }).click()
  await expect(page.getByText('It did not pass. The batch is closed.')).toBeVisible()
  await page.getByRole('link', { name: 'its page and logbook' }).click()
  await expect(page.getByText(/no. 1: .*given to Torin. Tell them./)).toBeVisible()
  await expect(page.getByText(/no. 2: .*larder.*Throw it away/)).toBeVisible()
})

test('fresh herb for the kitchen: stopped, offered ways, read, begun, and held to its four hours', async ({ page }) => {
  const house = await ownHouse(page)
  const wish = {
    herbs: [{ id: 'basil', state: 'fresh', amount: '60 g' }],
    oils: [{ id: 'olive' }],
    purpose: 'kitchen',
  }
  await benchWith(page, house, wish)
  await expect(page.getByText(/not kept for the kitchen on a shelf/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Start this batch' })).toHaveCount(0)
  await page
    .getByRole('button', { name: 'Keep it cold, warmed on the lowest flame, and use it within four days.' })
    .click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('to keep cold for four days')

  // Why, and from where.
  await page.getByRole('button', { name: /^Why: Wet herb in oil for the kitchen/ }).click()
  await expect(page.getByRole('dialog', { name: 'Why' })).toContainText('National Center for Home Food Preservation')
  await page.keyboard.press('Escape')

  // Not begun until it is read; nothing is lost by trying.
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByText(/Say that you have read this first/)).toBeVisible()
  await page.getByLabel('I have read this').check()
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { name: 'Basil in olive oil' })).toBeVisible()
  await expect(page.getByText(/^Read by Una/)).toBeVisible()
  await page.getByRole('button', { name: 'Done' }).click()
  // Filled at ten past ten: four hours later it is in the refrigerator, or thrown away.
  await expect(page.getByText(/strained, and at 4 °C or colder, by Tue 24 Nov, 14:10/)).toBeVisible()
})

test('a plant of concern is read for what it says, and again when the plan changes', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, { herbs: [{ id: 'comfrey-leaf' }], oils: [{ id: 'olive' }] })
  await page.getByLabel('I have read this').check()
  await benchWith(page, house, { herbs: [{ id: 'st-johns-wort' }], oils: [{ id: 'olive' }] })
  await expect(page.getByLabel('I have read this')).not.toBeChecked()
})

test('what is wrong with it, by what is seen and by its own log', async ({ page }) => {
  await demo(page)
  await page.goto(page.url().replace('/today', '/press'))
  await page.getByRole('link', { name: /^Mullein flower/ }).click()
  await page.getByRole('link', { name: 'its page and logbook' }).click()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  await page.keyboard.press('f')
  await expect(page.getByRole('button', { name: 'What is it?' })).toBeDisabled()
  await page.getByLabel('cloudy all through').check()
  await page.getByRole('button', { name: 'What is it?' }).click()
  await expect(page.getByText('A hard fat or wax setting in the cold')).toBeVisible()
  await expect(page.getByText('For it: Olive oil clouds in the cold.')).toBeVisible()
  await page.getByLabel('fur, or spots on the surface').check()
  await page.getByRole('button', { name: 'What is it?' }).click()
  await expect(page.getByText('Discard it. Do not taste it, and do not try to save it.')).toBeVisible()
  await page.getByLabel('fur, or spots on the surface').uncheck()
  await page.getByRole('button', { name: 'What is it?' }).click()
  await page.getByRole('button', { name: 'Enter it in the logbook' }).click()
  await expect(page.getByText('Seen: cloudy all through. Most likely a hard fat', { exact: false })).toBeVisible()
})

test('labels: another sheet, a used one, INCI names, an own line, a roll and what comes out of it', async ({
  page,
}) => {
  const house = await demo(page)
  await page.goto(`${house}/press`)
  await page.getByRole('link', { name: /^Calendula/ }).click()
  await page.getByRole('link', { name: 'Labels', exact: true }).click()
  const label = page.getByRole('article', { name: 'The label' })
  await expect(label).toContainText('Calendula oil')
  await page.getByRole('button', { name: 'Begin at label 5', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Begin at label 5', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await page.getByLabel('by their INCI names').check()
  await expect(label).toContainText('Calendula Officinalis Flower Extract')
  await page.getByLabel('First free label').fill('40')
  await page.getByRole('textbox', { name: 'Your own line' }).focus()
  await expect(page.getByText(/has 21 labels/)).toBeVisible()
  await page.getByRole('textbox', { name: 'Your own line' }).fill('Made at Skerry House')
  await page.getByLabel('First free label').fill('2')
  await page.getByRole('textbox', { name: 'Your own line' }).focus()
  await page.getByLabel('Sheet or roll').selectOption('roll-60x40')
  const strip = page.getByAltText('The strip of labels the simulated printer gives')
  await expect(strip).toBeVisible()
  await expect.poll(() => strip.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(528)
  await expect(page.getByText('the ingredients, cosmetics by their INCI names, the most first')).toBeVisible()
  const pdf = await page.request.get(
    (await page.getByRole('link', { name: 'Bottle labels, PDF' }).getAttribute('href')) ?? '',
  )
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')

  // A line is written, and the sheet printed in the same breath: it stands on it.
  const order: string[] = []
  let answer = () => {}
  const late = new Promise<void>((resolve) => (answer = resolve))
  await page.route(/\/label$/, async (route) => {
    if (route.request().method() !== 'PUT') return route.continue()
    await late
    await route.continue()
  })
  page.context().on('requestfinished', (request) => {
    if (request.method() === 'PUT') order.push('set')
  })
  page.context().on('request', (request) => {
    if (request.url().endsWith('/labels.pdf')) order.push('printed')
  })
  await page.getByRole('textbox', { name: 'Your own line' }).fill('Made by the sea')
  await page.getByRole('link', { name: 'Bottle labels, PDF' }).click()
  answer()
  await expect.poll(() => order).toEqual(['set', 'printed'])

  // Enter in a field sets it, too.
  await page.unroute(/\/label$/)
  await page.getByLabel('Sheet or roll').selectOption({ index: 0 })
  await page.getByLabel('First free label').fill('99')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/has \d+ labels/)).toBeVisible()
})

test('the Almanac: found from everywhere, with sources, cautions and an own note', async ({ page }) => {
  const house = await demo(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('hands')
  await page.keyboard.press('/')
  await page.getByLabel(/^A jar, its code/).fill('comfrey leaf')
  await page.getByRole('button', { name: /^Comfrey leaf/ }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Comfrey leaf' })).toBeVisible()
  await expect(page.getByText(/for unbroken skin only, a small place/)).toBeVisible()
  await page.getByLabel('Our own note').fill('Not at Skerry: use plantain.')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('last by Isa')).toBeVisible()
  await page.keyboard.press('Tab')
  await page.goto(`${house}/almanac`)
  await page.getByLabel('Look for').fill('daisy')
  await expect(page.getByRole('link', { name: /^Daisy/ })).toBeVisible()
  await page.getByRole('button', { name: 'Cautions' }).click()
  await page.getByLabel('Look for').fill('spores')
  await page.getByRole('link', { name: /^Botulism/ }).click()
  await expect(page.getByText(/botulinum toxin/)).toBeVisible()
  await page.goto(`${house}/almanac/yields`)
  await expect(page.getByRole('img', { name: /^From the usual/ })).toBeVisible()
})
