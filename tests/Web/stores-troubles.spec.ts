import { expect, type Page, test } from '@playwright/test'
import { ownHouse, tabTo, thatIsIt, word } from './support'

/** Lets every write to an address wait, as on a slow line. */
async function slowly(page: Page, address: string): Promise<void> {
  await page.route(address, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 700))
    await route.continue()
  })
}

async function pressTwice(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name, exact: true }).evaluate((button: HTMLButtonElement) => {
    button.click()
    button.click()
  })
}

async function olive(page: Page, house: string, amount = '1 L'): Promise<void> {
  await page.goto(`${house}/stores/new`)
  await page.getByLabel('What it is').selectOption('carrier')
  await page.getByLabel('Of what').selectOption('olive')
  await page.getByLabel('How much was got').fill(amount)
  await page.getByRole('button', { name: 'Put it in Stores' }).click()
  await expect(page.getByRole('heading', { name: 'What came and went' })).toBeVisible()
}

test('a double press puts one lot in, and counts it once, also when the server is slow', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/stores/new`)
  await page.getByLabel('What it is').selectOption('carrier')
  await page.getByLabel('Of what').selectOption('olive')
  await page.getByLabel('How much was got').fill('1 L')
  await slowly(page, '**/lots')
  await slowly(page, '**/count')
  await pressTwice(page, 'Put it in Stores')
  await expect(page.getByText('1 L came in')).toBeVisible()
  await page.getByLabel('What is left').fill('400 mL')
  await pressTwice(page, 'Counted')
  await expect(page.getByText('Counted: 600 mL less than thought')).toHaveCount(1)
  await page.goto(house + '/stores')
  await expect(page.getByRole('link', { name: /^Olive oil/ })).toHaveCount(1)
})

test('a double press keeps one recipe', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/bench')
  await page.getByRole('button', { name: 'Keep as a recipe' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Kept once')
  await slowly(page, '**/recipes')
  await pressTwice(page, 'Keep it')
  await expect(page.getByRole('heading', { name: 'Kept once' })).toBeVisible()
  await page.goto(house + '/recipes')
  await expect(page.getByRole('link', { name: /Kept once/ })).toHaveCount(1)
})

test('two who change one lot do not overwrite one another, and nothing typed is lost', async ({ page, context }) => {
  const house = await ownHouse(page)
  await olive(page, house)
  const other = await context.newPage()
  await other.goto(page.url())
  for (const [each, note] of [
    [page, 'Mine.'],
    [other, 'Theirs.'],
  ] as const) {
    await each.getByRole('button', { name: 'Change it' }).click()
    await each.getByLabel('Note').fill(note)
  }
  await other.getByRole('button', { name: 'Keep it so' }).click()
  await expect(other.getByText('Theirs.')).toBeVisible()
  await page.bringToFront()
  // The page has asked meanwhile, and knows what the other wrote; what is typed here was begun before that.
  const asked = page.waitForResponse(/\/api\/houses\/[^/]+\/lots\/[^/]+$/)
  await page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')))
  await asked
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(
    page
      .getByRole('alert')
      .or(page.getByText(/meanwhile/))
      .first(),
  ).toBeVisible()
  await expect(page.getByLabel('Note')).toHaveValue('Mine.')
  // Told of it, and shown what stands now, one may keep one's own all the same.
  await expect(page.getByText('Theirs.')).toBeVisible()
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByText('Mine.')).toBeVisible()
  await expect(page.getByRole('dialog')).toHaveCount(0)
})

test('a reader sees what there is and takes nothing', async ({ page, browser }) => {
  const house = await ownHouse(page)
  await olive(page, house)
  const lot = page.url()
  await page.goto(house + '/house')
  await page.getByLabel('Ask somebody in as').selectOption('reader')
  await page.getByRole('button', { name: 'Make an invitation link' }).click()
  const guest = await (await browser.newContext()).newPage()
  await guest.goto(await page.getByText(/\/join\//).innerText())
  await guest.getByLabel('Your name').fill('Guest')
  await guest.getByLabel('Your e-mail').fill(`looker${Date.now()}@example.org`)
  await guest.getByLabel('A new password').fill('ten letters long')
  await guest.getByRole('button', { name: 'Make it and go in' }).click()
  await guest.waitForURL(/today/)
  await guest.goto(lot)
  await expect(guest.getByText('1 L came in')).toBeVisible()
  for (const name of ['Counted', 'Change it', 'Take it out', 'Look at it now'])
    await expect(guest.getByRole('button', { name })).toHaveCount(0)
  await guest.goto(house + '/stores')
  await expect(guest.getByRole('link', { name: /^Olive oil/ })).toBeVisible()
  await expect(guest.getByRole('link', { name: 'Enter a lot' })).toHaveCount(0)
  await guest.context().close()
})

test('a lot is entered, and a written recipe read, by the keyboard alone', async ({ page }) => {
  await ownHouse(page)
  await page.keyboard.press('c')
  await expect(page.getByRole('heading', { name: 'The cupboard is bare.' })).toBeVisible()
  await tabTo(page, /^Enter a lot/)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('How much was got')).toBeVisible()
  await tabTo(page, /^What it is/)
  await page.keyboard.type('an')
  await tabTo(page, /^Of what/)
  await page.keyboard.type('Olive')
  await tabTo(page, /^How much was got/)
  await page.keyboard.type('500 mL')
  await page.keyboard.press('Enter')
  await expect(page.getByText('500 mL came in')).toBeVisible()

  const house = page.url().replace(/\/stores.*/, '')
  await page.goto(house + '/recipes/read')
  await expect(page.getByLabel('The recipe')).toBeVisible()
  await tabTo(page, /^The recipe/)
  await page.keyboard.type('40 g dried calendula')
  await page.keyboard.press('Enter')
  await page.keyboard.type('250 ml olive oil')
  await tabTo(page, /^Read it/)
  await page.keyboard.press('Enter')
  await tabTo(page, /^Put it on the bench/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('40 g of herb and 250 ml of oil')
})

test('a plan that Stores cannot cover is told in the sentence’s own terms, and a count mends it', async ({ page }) => {
  const house = await ownHouse(page)
  await olive(page, house, '300 mL')
  const lot = page.url()
  await page.goto(house + '/bench')
  await word(page, /^the oil:/)
  await page.getByLabel('Oil', { exact: true }).selectOption('olive')
  await thatIsIt(page)
  await expect(page.getByText(/Olive oil is \d+ mL short: Stores has 300 mL/)).toBeVisible()
  await page.goto(lot)
  // A nought too many is asked about.
  await page.getByLabel('What is left').fill('5 L')
  await page.getByRole('button', { name: 'Counted' }).click()
  await expect(page.getByText(/far more than the 300 mL that came in/)).toBeVisible()
  await page.getByLabel('What is left').fill('520 mL')
  await page.getByRole('button', { name: 'Counted' }).click()
  await expect(page.getByText(/more than thought/)).toBeVisible()
  await page.goto(house + '/bench')
  await expect(page.getByText(/short: Stores has/)).toHaveCount(0)
})
