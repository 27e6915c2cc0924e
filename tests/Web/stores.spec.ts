import { expect, type Page, test } from '@playwright/test'
import { demo, ownHouse, thatIsIt, word } from './support'

async function enter(
  page: Page,
  house: string,
  fields: { kind: string; material: string; amount: string; more?: Record<string, string> },
): Promise<void> {
  await page.goto(`${house}/stores/new`)
  await page.getByLabel('What it is').selectOption(fields.kind)
  await page.getByLabel('Of what').selectOption(fields.material)
  await page.getByLabel('How much was got').fill(fields.amount)
  for (const [label, value] of Object.entries(fields.more ?? {}))
    await page.getByLabel(label, { exact: true }).fill(value)
  await page.getByRole('button', { name: 'Put it in Stores' }).click()
  await expect(page.getByRole('heading', { name: 'What came and went' })).toBeVisible()
}

test('a lot is entered, checked, counted, changed and taken out', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/stores')
  await expect(page.getByRole('heading', { name: 'The cupboard is bare.' })).toBeVisible()
  await page.getByRole('link', { name: 'Enter a lot' }).click()

  // Wrong input: beside its field, and nothing is lost, not by a reload either.
  await page.getByLabel('Of what').selectOption('calendula')
  await page.getByLabel('How much was got').fill('a basket')
  await page.getByLabel('Where', { exact: true }).fill('the walled garden')
  await page.getByRole('button', { name: 'Put it in Stores' }).click()
  await expect(page.getByText(/“a basket” cannot be read as a weight/)).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('How much was got')).toHaveValue('a basket')
  await expect(page.getByLabel('Where', { exact: true })).toHaveValue('the walled garden')
  await page.getByLabel('How much was got').fill('8 oz')
  await page.getByRole('button', { name: 'Put it in Stores' }).click()
  await expect(page.getByRole('heading', { name: 'Calendula' })).toBeVisible()
  await expect(page.getByText('227 g came in')).toBeVisible()

  // The guided check.
  await page.getByRole('button', { name: 'Look at it now' }).click()
  await page.getByRole('radio', { name: 'only when bruised' }).check()
  await page.getByRole('button', { name: 'What does that mean?' }).click()
  await expect(page.getByText(/Answer this too/).first()).toBeVisible()
  await expect(page.getByRole('radio', { name: 'only when bruised' })).toBeChecked()
  await page.getByRole('radio', { name: 'paler than it was' }).check()
  await page.getByRole('radio', { name: 'snaps or crumbles' }).check()
  await page.getByRole('radio', { name: 'whole pieces' }).check()
  await page.getByRole('button', { name: 'What does that mean?' }).click()
  await expect(page.getByText('Use it soon: only when bruised; paler than it was.')).toBeVisible()

  // Taking stock.
  await page.getByLabel('What is left').fill('200 g')
  await page.getByRole('button', { name: 'Counted' }).click()
  await expect(page.getByText('Counted: 27 g less than thought')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Counted: 27 g more than thought')).toBeVisible()
  await expect(page.getByText('Counted: 27 g less than thought')).toBeVisible()

  // Changing it, and out.
  await page.getByRole('button', { name: 'Change it' }).click()
  await page.getByLabel('Note').fill('The top rack.')
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByText('The top rack.')).toBeVisible()
  await page.getByRole('button', { name: 'Take it out' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Take it out' }).click()
  await expect(page.getByRole('heading', { name: 'The cupboard is bare.' })).toBeVisible()
})

test('a batch takes from the oldest sound lot, or from the one that is named', async ({ page }) => {
  const house = await ownHouse(page)
  await enter(page, house, {
    kind: 'carrier',
    material: 'olive',
    amount: '1 L',
    more: { 'What you call it': 'old olive', 'Best before': '2027-02-01', 'Price in all': '9' },
  })
  await enter(page, house, {
    kind: 'carrier',
    material: 'olive',
    amount: '1 L',
    more: { 'What you call it': 'new olive', 'Best before': '2028-02-01' },
  })
  await page.goto(house + '/bench')
  await word(page, /^the oil:/)
  await page.getByLabel('Oil', { exact: true }).selectOption('olive')
  await thatIsIt(page)
  await page.getByRole('tab', { name: 'From Stores' }).click()
  await expect(page.getByRole('radio', { name: /^old olive/ })).toBeChecked()
  await page.getByRole('radio', { name: /^new olive/ }).check()
  await expect(page.getByRole('radio', { name: /^new olive/ })).toBeChecked()
  await expect(page.getByText(/mL taken/)).toBeVisible()
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  await page.getByRole('link', { name: 'new olive' }).click()
  await expect(page.getByText(/mL taken/)).toBeVisible()
  await page.getByRole('link', { name: /^26-001/ }).click()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
})

test('oil that is short has three ways out', async ({ page }) => {
  const house = await ownHouse(page)
  await enter(page, house, { kind: 'carrier', material: 'jojoba', amount: '180 mL' })
  await enter(page, house, { kind: 'carrier', material: 'camellia', amount: '2 L' })
  await page.goto(house + '/bench')
  await word(page, /^the oil:/)
  await page.getByLabel('Oil', { exact: true }).selectOption('jojoba')
  await thatIsIt(page)
  await word(page, /^how much:/)
  await page.getByRole('radio', { name: /^pint jar/ }).check()
  await thatIsIt(page)
  await expect(page.getByText(/Jojoba is \d+ mL short: Stores has 180 mL/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Make less/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Fill a /i })).toBeVisible()
  await page.getByRole('button', { name: /^Make up the \d+ mL with camellia seed oil: density/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/camellia seed oil with .* jojoba/)
  await expect(page.getByText(/short: Stores has/)).toHaveCount(0)

  // Or the whole of the lot.
  await page.getByRole('tab', { name: 'Which oil' }).click()
  await page.getByRole('button', { name: 'Use jojoba instead' }).or(page.getByText('in it').first()).first().click()
  await page.getByRole('tab', { name: 'From Stores' }).click()
  await expect(page.getByText('Stores keeps none.')).toBeVisible()
})

test('stores go out as CSV and come in with a preview of each refused row', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/stores/file')
  const take = (name: string, text: string) =>
    page.getByLabel('A CSV file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await take('letter.csv', 'Dear all,\nthe fair is on the twelfth.\n')
  await expect(page.getByRole('alert')).toContainText('The first line must name the columns')
  await take('stores.csv', 'kind;material;amount\nherb;calendula;250 g\nherb;yarrow;lots\noil;olive;1 L\n')
  await expect(page.getByText('stores.csv: Would be: 2 added, 1 refused.')).toBeVisible()
  await expect(page.getByText('Read with semicolons between the columns.')).toBeVisible()
  await expect(page.getByText(/“lots” cannot be read as a weight/)).toBeVisible()
  await page.getByRole('button', { name: 'Take in what is not refused' }).click()
  await expect(page.getByText('stores.csv: Done: 2 added, 1 refused.')).toBeVisible()
  await page.getByRole('link', { name: 'To Stores' }).click()
  await expect(page.getByRole('link', { name: /^Calendula/ })).toBeVisible()
  await page.goto(house + '/stores/file')
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Stores as CSV' }).click()
  expect((await download).suggestedFilename()).toBe('stores.csv')
})

test('Skerry House tells what is going off, and finds it', async ({ page }) => {
  const house = await demo(page)
  const stores = page.getByRole('region', { name: 'At the stores' })
  await expect(stores.getByRole('link', { name: /^Sesame oil Past\./ })).toBeVisible()
  await expect(stores.getByRole('link', { name: /^Mugwort Ageing\./ })).toBeVisible()
  await page.keyboard.press('/')
  await page.getByLabel(/^A jar, its code/).fill('mugw')
  await page.getByRole('button', { name: /^mugwort in Stores/ }).click()
  await expect(page.getByText(/dried so, it is worth using/)).toBeVisible()
  await page.goto(house + '/stores?kind=carrier')
  await expect(page.getByRole('button', { name: /^Oils/ })).toHaveAttribute('aria-pressed', 'true')
  await page.getByLabel('Find in Stores').fill('camel')
  await expect(page.getByRole('link', { name: /^Camellia/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /^Olive/ })).toHaveCount(0)
})
