import { expect, test } from '@playwright/test'
import { clock, demo, houseAtTheDoor, ownHouse, thatIsIt, tooSmall, word } from './support'

test('one jar, from wish to label', async ({ page }) => {
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error.message))
  page.on('console', (message) => {
    // A refused plan or amount is answered 422, which the browser reports by itself.
    if (message.type() === 'error' && !message.text().includes('422')) errors.push(message.text())
  })
  const house = await houseAtTheDoor(page)
  await page.getByRole('link', { name: 'Plan at the bench' }).click()

  // Plan: marshmallow root in sunflower with a third jojoba, in the pint, cold.
  await word(page, /^the herb:/)
  await page.getByLabel('Find a herb, or write your own').fill('marsh')
  await page.getByRole('radio', { name: /marshmallow root/ }).click()
  await word(page, /^the oil:/)
  await page.getByLabel('Oil', { exact: true }).selectOption('sunflower')
  await page.getByLabel('With a second oil').selectOption('jojoba')
  await page.getByLabel('Parts or amount of the first oil').fill('2')
  await thatIsIt(page)
  await word(page, /^how much:/)
  await page.getByRole('radio', { name: /^pint jar/ }).check()
  await thatIsIt(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('sunflower oil with a third jojoba')
  await expect(page.getByRole('button', { name: /^Marshmallow root: 81 g/ })).toBeVisible()

  // A figure says why.
  await page.getByRole('button', { name: /^Marshmallow root: / }).click()
  await expect(page.getByText(/below 10 mm of headspace/)).toBeVisible()
  await page.keyboard.press('Escape')

  // A wrong word is answered, and what was entered stays.
  await word(page, /^herb to oil:/)
  await page.getByLabel('Or your own').fill('1:1')
  await expect(
    page
      .getByRole('alert')
      .getByText(/would stick out and mould/)
      .first(),
  ).toBeVisible()
  await expect(page.getByLabel('Or your own')).toHaveValue('1:1')
  await page.getByLabel('Or your own').fill('1:6')
  await thatIsIt(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('one to six')
  await page.getByLabel('Where the plant came from').fill('the walled garden')
  await page.getByRole('button', { name: 'Start this batch' }).click()

  // The batch: fill it, and find it on the Shelf and on Today.
  await expect(page.getByRole('heading', { name: 'Marshmallow root in sunflower oil and jojoba' })).toBeVisible()
  const batch = page.url()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('cold, day 0 of 28')).toBeVisible()
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(
    page.getByRole('link', { name: /^Marshmallow root in sunflower oil and jojoba, pint jar, cold, day 0 of 28/ }),
  ).toBeVisible()

  // Next day: shaken, and that undone.
  await clock(page, '2026-11-25T10:00:00Z')
  await page.getByRole('link', { name: 'Today' }).click()
  const shake = page.getByRole('listitem').filter({ hasText: 'Shake the marshmallow root' })
  await shake.getByRole('button', { name: 'Done' }).click()
  await expect(shake).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(shake).toHaveCount(1)

  // Skipped with a reason.
  await shake.getByRole('button', { name: /Not now/ }).click()
  await page.getByLabel('Or skip it, because').fill('away till evening')
  await page.getByRole('button', { name: 'Skip it' }).click()
  await expect(shake).toHaveCount(0)

  // Four weeks on: overdue, to the press.
  await clock(page, '2026-12-24T10:00:00Z')
  await page.goto(house + '/today')
  await expect(page.getByText('2 days ago.')).toBeVisible()
  await page.getByRole('link', { name: 'Take it to the press' }).click()
  await page.getByLabel('What came out').fill('900 mL')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText(/900 mL cannot come out when 4\d\d mL went in/)).toBeVisible()
  await expect(page.getByLabel('What came out')).toHaveValue('900 mL')
  await page.getByLabel('What came out').fill('1 1/4 cups')
  await page.getByRole('button', { name: 'Write it down' }).click()
  // Exactly: what is asked for says “What came out”, and is there before as well.
  await expect(page.getByText(/^Came out \d/)).toBeVisible()

  // Settled a day, poured off, bottled.
  await clock(page, '2026-12-25T11:00:00Z')
  await page.reload()
  await page.getByRole('button', { name: 'It is poured off' }).click()
  // Bottles could be filled before as well: what stood above them goes first, and they move up.
  await expect(page.getByRole('button', { name: 'It is poured off' })).toHaveCount(0)
  await expect(page.getByRole('heading', { name: 'Bottle', exact: true })).toBeVisible()
  await expect(page.getByText('the least there is')).toBeVisible()
  await page.getByRole('button', { name: 'Bottles are filled' }).click()
  await expect(page.getByRole('heading', { name: 'Bottled', exact: true })).toBeVisible()

  // Labels: PDF and print view; the code's picture comes.
  const href = await page.getByRole('link', { name: 'Bottle labels, PDF' }).getAttribute('href')
  const pdf = await page.request.get(href ?? '')
  expect(pdf.headers()['content-type']).toBe('application/pdf')
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
  await page.getByRole('link', { name: 'Labels', exact: true }).click()
  const label = page.getByRole('article', { name: 'The label' })
  await expect(label).toContainText('From the walled garden')
  await expect(page.getByAltText(/^Code that opens batch 26-001/).first()).toHaveJSProperty('complete', true)

  // Repeat it.
  await page.goto(batch)
  await page.getByRole('button', { name: 'Repeat it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('one to six')
  expect(errors).toEqual([])
})

test('the page never scrolls sideways, and the bar is in reach', async ({ page }) => {
  const house = await ownHouse(page)
  for (const place of [
    'today',
    'bench',
    'shelf',
    'press',
    'melt',
    'stores',
    'stores/new',
    'stores/file',
    'boil',
    'recipes',
    'recipes/read',
    'almanac',
    'almanac/plant/calendula',
    'almanac/own/plant',
    'almanac/own/wax',
    'almanac/yields',
    'almanac/what-is-wrong',
    'house',
  ]) {
    await page.goto(`${house}/${place}`)
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached()
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect(wide, place).toBeLessThanOrEqual(0)
    const bar = page.getByRole('navigation', { name: 'Places' })
    await expect(bar).toBeInViewport()
    // One line, whatever the place is called that stands for those behind the button.
    expect((await bar.boundingBox())?.height, place).toBeLessThan(56)
  }
})

/** What cannot be read at the end of a page for what stays on it; empty where all can. */
function hiddenAtTheEnd(): string {
  window.scrollTo(0, document.documentElement.scrollHeight)
  const main = document.querySelector('main') ?? document.body
  const staying = [...main.querySelectorAll('*')].filter((each) => getComputedStyle(each).position === 'fixed')
  const words = document.createTreeWalker(main, NodeFilter.SHOW_TEXT)
  let [last, bottom, left] = [null as Element | null, 0, 0]
  while (words.nextNode()) {
    const range = document.createRange()
    range.selectNodeContents(words.currentNode)
    const box = range.getBoundingClientRect()
    const of = words.currentNode.parentElement
    if (of?.checkVisibility() && box.bottom > bottom && !staying.some((each) => each.contains(of)))
      [last, bottom, left] = [of, box.bottom, box.left]
  }
  const seen = document.elementFromPoint(left + 2, bottom - 2)
  return last !== null && seen !== null && last.contains(seen) ? '' : (last?.textContent ?? 'nothing')
}

test('what a page ends with, and the words in its drawings, can be read', async ({ page }) => {
  const house = await demo(page)
  await page.goto(`${house}/stove`)
  const pots = page.locator('main a[href*="/stove/"]')
  await expect(pots.first()).toBeVisible()
  const links = await pots.evaluateAll((all) => all.map((each) => each.getAttribute('href') ?? ''))
  const warm = links.find((each) => !each.includes('/boil/')) ?? 'no warm pot'
  const boiled = links.find((each) => each.includes('/boil/')) ?? 'no pot'
  for (const place of ['bench', 'melt', 'almanac/yields'].map((each) => `${house}/${each}`).concat(warm, boiled)) {
    await page.goto(place)
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
    await expect(page.locator('main svg:visible').first()).toBeVisible()
    await expect.poll(() => page.evaluate(tooSmall), place).toEqual([])
    await expect.poll(() => page.evaluate(hiddenAtTheEnd), place).toBe('')
  }
})
