import { expect, test } from '@playwright/test'
import { clock, ownHouse, tabTo } from './support'

test('the whole journey by keyboard alone', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByLabel('Your name')).toBeVisible()
  await tabTo(page, /^Your name/)
  await page.keyboard.type('Kit')
  await tabTo(page, /^Your e-mail/)
  await page.keyboard.type(`kit${Date.now()}@example.org`)
  await tabTo(page, /^A new password/)
  await page.keyboard.type('ten letters long')
  await tabTo(page, /^The house’s name/)
  await page.keyboard.type('South End')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Nothing is steeping here yet.' })).toBeVisible()

  // A key goes to the Bench; another opens the sentence.
  await page.keyboard.press('b')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('calendula')
  await page.keyboard.press('e')
  await expect(page.getByLabel('Find a herb, or write your own')).toBeVisible()
  await tabTo(page, /^Find a herb/, 5)
  await page.keyboard.type('self')
  await tabTo(page, /^self-heal/)
  await page.keyboard.press('Space')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('self-heal')
  // Escape leaves the word as it was; Enter is "That is it".
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('calendula')
  await page.keyboard.press('e')
  await tabTo(page, /^Find a herb/, 5)
  await page.keyboard.type('self')
  await tabTo(page, /^self-heal/)
  await page.keyboard.press('Space')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('self-heal')

  // Oil by the keyboard: a weight, taken through its density.
  await tabTo(page, /^how much:/)
  await page.keyboard.press('Enter')
  await page.keyboard.type('From the oil there')
  await tabTo(page, /^Oil there is/)
  await page.keyboard.type('200 g')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('200 g of oil')
  await expect(page.getByRole('button', { name: /^High-oleic sunflower oil: 219 mL/ })).toBeVisible()
  await page.keyboard.press('Shift+S')
  await expect(page.getByRole('heading', { name: /^Self-heal in/ })).toBeVisible()

  await tabTo(page, /^Done$/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('cold, day 0 of 28')).toBeVisible()
  await page.keyboard.press('Shift+N')
  await page.keyboard.type('Smells green.')
  await tabTo(page, /^Write it down/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('Note: Smells green.')).toBeVisible()

  await clock(page, '2026-12-23T10:00:00Z')
  await page.keyboard.press('t')
  await expect(page.getByRole('link', { name: 'Take it to the press' })).toBeVisible()
  await tabTo(page, /^Take it to the press/)
  await page.keyboard.press('Enter')
  await tabTo(page, /^What came out/)
  await page.keyboard.type('150 mL')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/^Came out \d/)).toBeVisible()

  await clock(page, '2026-12-24T11:00:00Z')
  await page.keyboard.press('p')
  await tabTo(page, /^Self-heal/)
  await page.keyboard.press('Enter')
  await tabTo(page, /^It is poured off/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Let it settle' })).toHaveCount(0)
  await tabTo(page, /^Bottles are filled/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Bottled', exact: true })).toBeVisible()

  // Find, and the keys themselves; Escape gives the focus back.
  await page.keyboard.press('/')
  await page.keyboard.type('26-001')
  await expect(page.getByRole('button', { name: /26-001/ })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Repeat this batch')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  // A letter wrong, and every place by what it is called.
  await page.keyboard.press('/')
  await page.keyboard.type('calandula')
  await expect(page.getByText('Nothing goes by “calandula”. This does by “calendula”:')).toBeVisible()
  await page.getByRole('dialog').getByRole('textbox').fill('melt')
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Melt go there' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('Shift+R')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('200 g of oil')
})

test('Enter before the answer is there goes to it when it is, and nowhere once it is closed', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/today`)
  await expect(page.getByRole('heading', { name: 'Nothing is steeping here yet.' })).toBeVisible()
  let holding = true
  const held: (() => void)[] = []
  await page.route(/\/find\?q=/, async (route) => {
    if (holding) await new Promise<void>((resolve) => held.push(resolve))
    await route.continue().catch(() => {})
  })
  const answer = async () => {
    await expect.poll(() => held.length).toBeGreaterThan(0)
    held.splice(0).forEach((go) => go())
  }
  const find = async (words: string) => {
    await page.keyboard.press('/')
    await expect(page.getByRole('dialog', { name: 'Find' })).toBeVisible()
    await page.keyboard.insertText(words)
    await page.keyboard.press('Enter')
  }
  await find('prunella')
  await answer()
  await expect(page).toHaveURL(/\/almanac\//)
  await expect(page.getByRole('dialog')).toHaveCount(0)
  const there = page.url()

  await find('comfrey')
  await page.keyboard.press('Escape')
  await answer()
  await find('yarrow')
  await page.keyboard.type('qqqqqq')
  holding = false
  await answer()
  await expect(page.getByText('Nothing by that name.')).toBeVisible()
  expect(page.url()).toBe(there)

  // What the house cannot answer is told, and nothing is gone.
  await page.unroute(/\/find\?q=/)
  await page.route(/\/find\?q=/, (route) => route.fulfill({ status: 503, body: '' }))
  await page.getByRole('textbox').fill('nettle')
  await expect(page.getByRole('alert')).toBeVisible({ timeout: 20_000 })
  await expect(page.getByRole('textbox')).toHaveValue('nettle')
})

test('who works by keyboard is nowhere thrown back to the top of the page', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/bench`)
  await page.getByRole('button', { name: 'Start this batch' }).click()
  const at = () =>
    page.evaluate(() => {
      const on = document.activeElement
      return on === null || on === document.body ? 'nowhere' : `${on.tagName} ${on.textContent ?? ''}`
    })
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  const write = page.getByRole('button', { name: 'Write it down', exact: true })
  // While the answer is waited for it cannot be pressed, and keeps the focus; an empty note is not sent either.
  let sent = 0
  await page.route('**/notes', async (route) => {
    sent += 1
    await new Promise((after) => setTimeout(after, 600))
    return route.continue()
  })
  await page.getByLabel('A note').fill('By the keyboard')
  await write.focus()
  await page.keyboard.press('Enter')
  await expect(write).toBeDisabled()
  await expect(write).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('A note')).toHaveValue('')
  await expect(write).toBeFocused()
  await page.keyboard.press('Space')
  await page.getByLabel('A note').focus()
  await page.keyboard.press('Control+Enter')
  await expect(page.getByText('By the keyboard')).toHaveCount(1)
  expect(sent).toBe(1)
  // A button that goes with its row leaves the focus at what stands there now, from where Tab goes on.
  await page.goto(`${house}/today`)
  const first = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: 'Done', exact: true }) })
    .first()
  const task = await first.getByRole('link').innerText()
  await first.getByRole('button', { name: 'Done', exact: true }).focus()
  await page.keyboard.press('Enter')
  const undo = page.getByRole('status').getByRole('button', { name: 'Undo' })
  await expect(undo).toBeVisible()
  await expect(page.getByRole('link', { name: task, exact: true })).toHaveCount(0)
  await expect.poll(at).not.toBe('nowhere')
  // What was said stays while somebody is at it; a key undoes it from anywhere.
  await page.keyboard.press('z')
  await expect(page.getByText('Undone.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Done', exact: true }).first()).toBeVisible()
  // The one at the foot goes with what it said: then the page itself has the focus.
  await page.getByRole('button', { name: 'Done', exact: true }).first().focus()
  await page.keyboard.press('Enter')
  await undo.focus()
  await page.keyboard.press('Enter')
  await expect.poll(at).toMatch(/^MAIN /)
})
