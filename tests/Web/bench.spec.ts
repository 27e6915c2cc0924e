import { expect, type Page, test } from '@playwright/test'
import { ownHouse, thatIsIt, token, word } from './support'

const heading = (page: Page) => page.getByRole('heading', { level: 1 })
const figure = (page: Page, name: RegExp) => page.getByRole('button', { name })

async function bench(page: Page): Promise<string> {
  const house = await ownHouse(page)
  await page.goto(house + '/bench')
  await expect(page.getByText('Weigh and pour')).toBeVisible()
  return house
}

test('a plan is given its size from any side', async ({ page }) => {
  await bench(page)
  await word(page, /^how much:/)
  const side = page.getByLabel('How much', { exact: true })

  await side.selectOption('herb')
  await page.getByLabel('Herb there is, or wanted').fill('2 oz')
  await expect(heading(page)).toContainText('2 oz of herb in a')
  await expect(figure(page, /^Calendula: 57 g/)).toBeAttached()

  await side.selectOption('oil')
  await expect(page.getByLabel('Herb there is, or wanted')).toHaveCount(0)
  await page.getByLabel('Oil there is, or wanted').fill('1 1/2 cups')
  await expect(heading(page)).toContainText('1 1/2 cups of oil')
  await expect(figure(page, /^High-oleic sunflower oil: 375 mL/)).toBeAttached()

  await side.selectOption('bottles')
  await page.getByLabel('How many', { exact: true }).fill('6')
  await page.getByLabel('Each holds').fill('50 mL')
  await expect(heading(page)).toContainText('Enough for six bottles of 50 mL')
  const sure = await figure(page, /^High-oleic sunflower oil:/).getAttribute('aria-label')
  await page.getByRole('radio', { name: /As often as not/ }).check()
  await expect.poll(() => figure(page, /^High-oleic sunflower oil:/).getAttribute('aria-label')).not.toBe(sure)

  await side.selectOption('by-jar')
  await page.getByRole('radio', { name: 'half', exact: true }).check()
  await page.getByLabel('Oil stands over it by').fill('1 in')
  await expect(heading(page)).toContainText('half full and covered by 25 mm')

  // A wrong word is answered beside its field, and what was typed stays.
  await page.getByLabel('Oil stands over it by').fill('a lot')
  await expect(
    page
      .getByRole('alert')
      .getByText(/cannot be read as a length/)
      .first(),
  ).toBeVisible()
  await expect(page.getByLabel('Oil stands over it by')).toHaveValue('a lot')
})

test('the jar says no, and each way out does', async ({ page }) => {
  await bench(page)
  await word(page, /^how much:/)
  await page.getByLabel('How much', { exact: true }).selectOption('herb')
  await page.getByLabel('Herb there is, or wanted').fill('120 g')
  await page.getByRole('radio', { name: /^pint jar/ }).check()
  await thatIsIt(page)
  await expect(page.getByText(/the pint jar holds 505 mL to the brim/)).toBeVisible()
  await page.getByRole('button', { name: /^Use three of this jar, each with 40 g/ }).click()
  await expect(heading(page)).toContainText('in three pint jars')
  await expect(page.getByText('40 g of herb and 280 mL of oil in each.')).toBeVisible()
  await expect(page.getByText('Stop.')).toHaveCount(0)

  // Too thick: the leaner ratio that covers.
  await word(page, /^herb to oil:/)
  await page.getByLabel('Or your own').fill('1:3')
  await thatIsIt(page)
  await page.getByRole('button', { name: /^Take 1:\d+(\.5)?, which covers it/ }).click()
  await expect(page.getByText('Stop.')).toHaveCount(0)
})

test('several herbs in parts, and several oils', async ({ page }) => {
  await bench(page)
  await word(page, /^the herb:/)
  await page.getByRole('button', { name: 'Add another herb' }).click()
  // Another is asked for, and none is put in before it is chosen.
  await expect(heading(page)).toContainText('of calendula oil')
  await page.getByLabel('Which herb as well').fill('prunella')
  await page.getByRole('radio', { name: /^self-heal/ }).click()
  await page.getByLabel('Amount of calendula').fill('2 handfuls')
  await page.getByLabel('Amount of self-heal').fill('10 g')
  await expect(page.getByText('together')).toContainText('together')
  await expect(page.getByText(/“2 handfuls and 10 g” may be anything from 18 g to 40 g/)).toBeVisible()
  await page.getByLabel('Amount of calendula').fill('')
  await page.getByLabel('Amount of self-heal').fill('')
  await page.getByLabel('Parts of calendula').fill('2')
  await thatIsIt(page)
  await expect(heading(page)).toContainText('calendula and self-heal (two to one) oil')
  await word(page, /^the oil:/)
  await page.getByLabel('With a second oil').selectOption('jojoba')
  await page.getByLabel('And another').selectOption('hazelnut')
  await page.getByLabel('Parts or amount of the first oil').fill('2')
  await thatIsIt(page)
  await expect(heading(page)).toContainText(/with a quarter (jojoba|hazelnut oil) and a quarter/)
  await expect(page.getByText(/Contains hazelnut \(tree nuts\)/)).toBeVisible()
  await figure(page, /^iodine value:/).click()
  await expect(page.getByText(/AOCS Cd 1c-85/).first()).toBeVisible()
  await page.keyboard.press('Escape')

  // Taking a herb out again leaves the other.
  await word(page, /^the herb:/)
  await page.getByRole('button', { name: 'Take out calendula' }).click()
  await thatIsIt(page)
  await expect(heading(page)).toContainText('of self-heal oil')
})

test('a list does not move under a finger that is on it', async ({ page }) => {
  await bench(page)
  let answer = () => {}
  const late = new Promise<void>((resolve) => (answer = resolve))
  await page.route(/\/herbs\?q=prunella/, async (route) => {
    await late
    await route.continue()
  })
  await word(page, /^the herb:/)
  await page.getByRole('button', { name: 'Add another herb' }).click()
  await page.getByLabel('Which herb as well').fill('prunella')
  const yarrow = page.getByRole('radio', { name: /^yarrow/ })
  const rows = page.getByRole('group', { name: 'Herbs' }).getByRole('radio')
  await yarrow.hover()
  await page.mouse.down()
  const found = page.waitForResponse(/\/herbs\?q=prunella/)
  answer()
  await found
  // Two redrawings later it would have moved.
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))))
  await page.mouse.up()
  await expect(page.getByLabel('Amount of yarrow')).toBeVisible()
  // Up again, the list is what was found.
  await page.getByLabel('Another in place of yarrow').fill('prunella')
  await expect(rows).toHaveCount(1)
})

test('a herb that is typed and not pressed is taken, or asked about', async ({ page }) => {
  await bench(page)
  await word(page, /^the herb:/)
  const field = page.getByLabel('Find a herb, or write your own')
  await field.fill('prunel')
  await page.keyboard.press('Enter')
  await expect(heading(page)).toContainText('of self-heal oil')
  await word(page, /^the herb:/)
  await field.fill('mint')
  await page.getByRole('button', { name: 'That is it' }).click()
  await expect(page.getByText('More than one herb goes by “mint”. Choose which.')).toBeVisible()
  await field.fill('sea thing')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/^No herb of the list goes by “sea thing”/)).toBeVisible()
  await page.getByRole('button', { name: 'Use “sea thing”, which is not in the list' }).click()
  await expect(heading(page)).toContainText('of sea thing oil')

  // Left before the answer is there, the word stays as it was.
  let answer = () => {}
  const late = new Promise<void>((resolve) => (answer = resolve))
  await page.route(/\/herbs\?q=yarrow/, async (route) => {
    await late
    await route.continue().catch(() => {})
  })
  await word(page, /^the herb:/)
  const going = page.waitForRequest(/\/herbs\?q=yarrow/)
  await field.fill('yarrow')
  await page.keyboard.press('Enter')
  await going
  await page.keyboard.press('Escape')
  answer()
  await word(page, /^the herb:/)
  await field.fill('yarrow')
  await expect(page.getByRole('radio', { name: /^yarrow/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(heading(page)).toContainText('of sea thing oil')

  // For a child what is barred is said to be so, and not to be in no list.
  await word(page, /^what for:/)
  await page.getByRole('checkbox', { name: /child/ }).check()
  await thatIsIt(page)
  await word(page, /^the herb:/)
  await field.fill('comfrey')
  await expect(page.getByText('Not offered (for a child): comfrey leaf, comfrey root.')).toBeVisible()
  await expect(page.getByRole('button', { name: /which is not in the list/ })).toHaveCount(0)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveText('Not offered (for a child): comfrey leaf, comfrey root.')
})

test('a press beside a sheet does not throw away what is typed in it', async ({ page }) => {
  await bench(page)
  const sheet = page.getByRole('dialog', { name: 'Keep as a recipe' })
  const open = () => page.getByRole('button', { name: 'Keep as a recipe' }).click()
  const beside = () => page.mouse.click(5, 5)
  await open()
  await expect(sheet).toBeVisible()
  await beside()
  await expect(sheet).toHaveCount(0)

  await open()
  await sheet.getByRole('textbox').first().fill('For the winter')
  await beside()
  await expect(sheet.getByText('What is typed here is not written down yet.')).toBeVisible()
  await expect(sheet.getByRole('textbox').first()).toHaveValue('For the winter')
  await sheet.getByRole('button', { name: 'Leave it' }).click()
  await expect(sheet).toHaveCount(0)

  // Pressed twice it is meant, and so is Escape.
  await open()
  await sheet.getByRole('textbox').first().fill('For the summer')
  await beside()
  await expect(sheet.getByRole('button', { name: 'Leave it' })).toBeVisible()
  await beside()
  await expect(sheet).toHaveCount(0)
  await open()
  await sheet.getByRole('textbox').first().fill('For the spring')
  await page.keyboard.press('Escape')
  await expect(sheet).toHaveCount(0)
})

test('a wilted plant is weighed until it is ready', async ({ page }) => {
  await bench(page)
  await word(page, /^how it is cut:/)
  await page.getByRole('radio', { name: /^wilted/ }).check()
  await expect(heading(page)).toContainText('flower heads or petals, wilted')
  await page.getByLabel('Picked').fill('100 g')
  await page.getByLabel('Now').fill('120 g')
  await page.getByRole('button', { name: 'Is it ready?' }).click()
  await expect(page.getByText(/wilting only takes water away/)).toBeVisible()
  await expect(page.getByLabel('Picked')).toHaveValue('100 g')
  await page.getByLabel('Now').fill('80 g')
  await page.getByLabel('Since').fill('8 h')
  await page.getByRole('button', { name: 'Is it ready?' }).click()
  await expect(page.getByText(/not yet\. At this rate/)).toBeVisible()
  await page.getByLabel('Now').fill('60 g')
  await page.getByRole('button', { name: 'Is it ready?' }).click()
  await expect(page.getByText(/it is wilted, and ready/)).toBeVisible()
  await page.getByRole('button', { name: /^Reckon with 75 % water/ }).click()
  await thatIsIt(page)
  await expect(page.getByText('Worth, as dry herb')).toBeVisible()
  await expect(page.getByText(/Wilted herb: cover the jar with a cloth/)).toBeVisible()

  // For the kitchen it is refused, and dried it is not.
  await word(page, /^what for:/)
  await page.getByRole('radio', { name: 'the kitchen' }).click()
  await expect(page.getByText(/botulinum/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Start this batch' })).toBeDisabled()
  await page.getByRole('button', { name: 'Use it dried.' }).click()
  await expect(page.getByText(/botulinum/)).toHaveCount(0)
})

test('ways and oils stand side by side, and are taken by a press', async ({ page }) => {
  await bench(page)
  await word(page, /^when:/)
  await page.getByLabel('Ready by').fill('2026-12-12')
  await thatIsIt(page)
  const ways = page.getByRole('table')
  await expect(ways.getByRole('row', { name: /^cold, on a shelf/ })).toContainText('11 days late')
  await ways.getByRole('button', { name: 'slow cooker' }).click()
  await expect(heading(page)).toContainText('in the slow cooker for 8 h')
  await expect(ways.getByRole('row', { name: /^slow cooker/ })).toContainText('Sat 12 Dec')
  await page.getByRole('button', { name: 'under 71 °C' }).click()
  await expect(heading(page)).toContainText('for 6 h at 60 °C')

  await page.getByRole('tab', { name: 'Which oil' }).click()
  await page.getByRole('button', { name: /^All \d+ oils/ }).click()
  await page.getByRole('button', { name: 'Use camellia seed oil instead' }).click()
  await expect(heading(page)).toContainText('in camellia seed oil')
  await page.getByRole('button', { name: 'Blend in olive oil' }).click()
  await expect(heading(page)).toContainText('with half olive oil')
})

test('the kitchen card is the plan, with boxes to tick', async ({ page }) => {
  const house = await bench(page)
  await page.getByRole('link', { name: 'Kitchen card' }).click()
  await expect(page.getByRole('heading', { name: /^Calendula in/ })).toBeVisible()
  const boxes = page.getByRole('checkbox')
  expect(await boxes.count()).toBeGreaterThan(8)
  await page.getByRole('checkbox', { name: /^Weigh \d+ g/ }).check()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden()
  await page.emulateMedia({ media: null })
  const pdf = await page.request.post(`${house.replace('/h/', '/api/houses/')}/card.pdf`, {
    data: { wish: { herbs: [{ id: 'calendula' }], oils: ['olive'] } },
    headers: {
      'X-XSRF-TOKEN': await token(page),
    },
  })
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
})

test('by the keyboard alone: a way out, a tab, a lot of one’s own', async ({ page }) => {
  const house = await bench(page)
  await page.keyboard.press('o')
  await expect(page.getByRole('tab', { name: 'Which oil' })).toHaveAttribute('data-state', 'active')
  await page.keyboard.press('l')
  await expect(page.getByRole('tab', { name: 'From Stores' })).toHaveAttribute('data-state', 'active')
  await page.keyboard.press('y')
  await expect(page.getByRole('table')).toBeVisible()
  await page.keyboard.press('Shift+K')
  await expect(page.getByRole('dialog', { name: 'Keep as a recipe' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('c')
  await expect(page.getByRole('heading', { name: 'The cupboard is bare.' })).toBeVisible()
  await page.keyboard.press('n')
  await expect(page).toHaveURL(house + '/stores/new')
})

test('a slow server never shows an old answer as the new one', async ({ page }) => {
  await bench(page)
  await word(page, /^how much:/)
  await page.getByLabel('How much', { exact: true }).selectOption('oil')
  await page.getByLabel('Oil there is, or wanted').fill('200 mL')
  await expect(heading(page)).toContainText('200 mL of oil')
  let first = true
  await page.route('**/reckon', async (route) => {
    // The first question is answered last.
    if (first) {
      first = false
      await new Promise((resolve) => setTimeout(resolve, 1500))
    }
    await route.continue().catch(() => undefined)
  })
  await page.getByLabel('Oil there is, or wanted').fill('300 mL')
  await page.waitForTimeout(200)
  await page.getByLabel('Oil there is, or wanted').fill('400 mL')
  await expect(heading(page)).toContainText('400 mL of oil')
  await page.waitForTimeout(1800)
  await expect(heading(page)).toContainText('400 mL of oil')
})
