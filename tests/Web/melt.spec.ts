import { expect, test } from '@playwright/test'
import { demo, ownHouse, tabTo, thatIsIt, word } from './support'

/** Opens the Melt with a wish as somebody left it there. */
async function meltWith(page: import('@playwright/test').Page, house: string, wish: object): Promise<void> {
  await page.evaluate(
    ([store, text]) => localStorage.setItem(store ?? '', text ?? ''),
    [`kettle.melt.${house.split('/h/')[1] ?? ''}`, JSON.stringify(wish)],
  )
  await page.goto(`${house}/melt`)
  await expect(page.getByRole('heading', { level: 1 })).toBeAttached()
}

test('a salve from the oil bottled here, changed word by word', async ({ page }) => {
  const house = await demo(page)
  await page.goto(`${house}/melt`)
  const sentence = page.getByRole('heading', { level: 1 })
  await expect(sentence).toHaveText(
    'Four 60 mL tins of salve, as firm as a salve in a cool room, from olive oil, with beeswax.',
  )

  // The oil of the house.
  await word(page, /^the oil: /)
  const bottled = await page
    .locator('option', { hasText: /^calendula oil of/ })
    .first()
    .getAttribute('value')
  await page.getByLabel('Oil', { exact: true }).selectOption(bottled)
  await thatIsIt(page)
  await expect(sentence).toContainText(/from calendula oil of \d+ November/)
  await expect(page.getByText('Calendula: of the daisy family', { exact: false })).toBeVisible()

  // Smaller tins.
  await word(page, /^how much: /)
  await page.getByLabel('Holds, mL').fill('15')
  await page.getByLabel('How many').fill('6')
  await thatIsIt(page)
  await expect(sentence).toContainText('Six 15 mL tins')

  // For a pocket: firmer, by the house's own rule.
  const stands = page.getByRole('button', { name: /^How firm: / })
  const firm = async () =>
    Number(/0\.\d+/.exec((await stands.getAttribute('aria-label')) ?? (await stands.innerText()))?.[0])
  const before = await firm()
  expect(before).toBeGreaterThan(0.12)
  await word(page, /^how firm: /)
  // Two presses for a word: it shuts by itself.
  await page.getByRole('radio', { name: 'like a salve' }).click()
  await word(page, /^how warm it must bear: /)
  await page.getByRole('radio', { name: /a pocket in summer/ }).click()
  await expect.poll(firm).toBeGreaterThan(before + 0.015)

  // A butter and a scent, that it had not.
  await word(page, /^the butter: /)
  await page.getByLabel('Butter', { exact: true }).selectOption('shea')
  await thatIsIt(page)
  await expect(sentence).toContainText('a tenth shea butter')
  await word(page, /^the scent: /)
  await page.getByLabel('Essential oil', { exact: true }).selectOption('lavender')
  await page.getByLabel('How much', { exact: true }).fill('2 %')
  await thatIsIt(page)
  await expect(sentence).toContainText('two in a hundred of lavender')
  await expect(page.getByRole('button', { name: /^Lavender: \d+ drops/ })).toBeVisible()

  // Every figure says why.
  await page.getByRole('button', { name: /^Beeswax: / }).click()
  await expect(page.getByRole('dialog')).toContainText('a part of beeswax stands for 1 of beeswax')
  await page.keyboard.press('Escape')

  // It is as it was when one comes back.
  await page.reload()
  await expect(sentence).toContainText('Six 15 mL tins of salve')
  await page.getByRole('tab', { name: 'What is in it' }).click()
  await expect(page.getByText('Linalool', { exact: false }).first()).toBeVisible()
})

test('an oil is sent to the Melt from its own page', async ({ page }) => {
  const house = await demo(page)
  await page.goto(`${house}/press`)
  await page
    .getByRole('link', { name: /^Calendula/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'its page and logbook' }).click()
  await page.getByRole('link', { name: 'Melt it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/from calendula oil of \d+ November/)
  await expect(page).toHaveURL(/\/melt$/)
})

test('the cold spoon mends, and goes on from what was mended', async ({ page }) => {
  const house = await ownHouse(page)
  await meltWith(page, house, { product: 'salve', total: '322 g', firmness: 0.17 })
  await page.getByRole('tab', { name: 'The cold spoon' }).click()
  await page.getByRole('radio', { name: /^Too soft/ }).check()
  // 322 (0.21 - 0.17) / (1 - 0.21)
  await expect(page.getByRole('button', { name: /^More wax: 16 g/ })).toBeVisible()
  await page.getByRole('button', { name: 'That is in' }).click()
  await expect(page.getByText('Mended once: 338 g in the pot.', { exact: false })).toBeVisible()
  await page.getByRole('radio', { name: /^Too hard/ }).check()
  await page.getByRole('radio', { name: 'a little', exact: true }).check()
  // 338 (0.21 / 0.19 - 1)
  await expect(page.getByRole('button', { name: /^More oil: 36 g/ })).toBeVisible()
  await page.getByLabel('Room left in the pot').fill('10 mL')
  await expect(page.getByRole('button', { name: /^Take out: / })).toBeVisible()
  await page.getByLabel('In the pot now').fill('a bit')
  await expect(page.getByRole('alert').first()).toContainText('a bit')
})

test('a refusal keeps the sentence, marks the word, and offers ways that lead out', async ({ page }) => {
  const house = await ownHouse(page)
  await meltWith(page, house, { product: 'salve', firmness: 'soft', butters: [{ id: 'cocoa-butter', percent: 40 }] })
  await expect(page.getByRole('heading', { level: 1 })).toContainText('40 % cocoa butter')
  await expect(page.getByRole('button', { name: /^how firm: soft, in the way/ })).toBeVisible()
  await page.getByRole('button', { name: 'Make it like a salve' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('as firm as a salve')
  await expect(page.getByRole('button', { name: /^Beeswax: / })).toBeVisible()

  // Too much scent, and what may be instead.
  await meltWith(page, house, { product: 'salve', essential_oils: [{ id: 'clove-bud', percent: 3 }] })
  await expect(page.getByText('over the 0.5 % that may stay on the skin', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Take clove bud at 0.5 %' }).click()
  await expect(page.getByText('over the 0.5 %', { exact: false })).toHaveCount(0)

  // What is no wish at all any more is begun again.
  await meltWith(page, house, { product: 'soap' })
  await expect(page.getByText('is none of', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Begin again' }).first().click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Four 60 mL tins of salve')
})

test('a recipe as it is written becomes the sentence', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/melt`)
  await page.getByRole('tab', { name: 'From a recipe' }).click()
  await page.getByLabel('The recipe').fill('1 cup oil\n1/4 cup beeswax pellets\n20 drops lavender\n3 drops moonflower')
  await page.getByRole('button', { name: 'Read it in' }).click()
  // What is not known is asked for: the sentence is kept, and the word in the way marked.
  await expect(page.getByText('Which oil is not said', { exact: false }).first()).toBeVisible()
  await expect(page.getByText('No essential oil of that name', { exact: false })).toBeVisible()
  await word(page, /^the oil: /)
  await page.getByLabel('Oil', { exact: true }).selectOption('olive')
  await thatIsIt(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('1 cup olive oil')
  await expect(page.getByText('as it lies loose', { exact: false })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Lavender: 20 drops/ })).toBeVisible()
})

test('by keyboard alone', async ({ page }) => {
  await ownHouse(page)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('m')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Four 60 mL tins')
  await page.keyboard.press('f')
  await expect(page.getByRole('dialog', { name: 'how firm' })).toBeVisible()
  await tabTo(page, /^0\.18|^Or your own/)
  await page.keyboard.type('0.3')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('firm as a stick')
  await page.keyboard.press('o')
  await expect(page.getByRole('radio', { name: /^Too soft/ })).toBeVisible()
})
