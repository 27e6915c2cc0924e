import { expect, type Page, test } from '@playwright/test'
import { clock, MORNING } from './support'

/** Tabs until what has the focus is named so. */
async function tabTo(page: Page, name: RegExp, most = 90): Promise<void> {
  for (let i = 0; i < most; i++) {
    await page.keyboard.press('Tab')
    const focused = await page.evaluate(() => {
      const at = document.activeElement as (HTMLElement & { labels?: NodeListOf<HTMLElement> }) | null
      return at?.getAttribute('aria-label') ?? at?.labels?.[0]?.innerText ?? at?.innerText ?? ''
    })
    if (name.test(focused.trim())) return
  }
  throw new Error(`Nothing named ${name} was reached by Tab.`)
}

test('the whole journey by keyboard alone', async ({ page }) => {
  clock(MORNING)
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
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('self-heal')

  // Oil by the keyboard: a weight, taken through its density.
  await tabTo(page, /^how much:/)
  await page.keyboard.press('Enter')
  await page.keyboard.type('From the oil there')
  await tabTo(page, /^Oil there is/)
  await page.keyboard.type('200 g')
  await page.keyboard.press('Escape')
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

  clock('2026-12-23T10:00:00Z')
  await page.keyboard.press('t')
  await expect(page.getByRole('link', { name: 'Take it to the press' })).toBeVisible()
  await tabTo(page, /^Take it to the press/)
  await page.keyboard.press('Enter')
  await tabTo(page, /^What came out/)
  await page.keyboard.type('150 mL')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Came out')).toBeVisible()

  clock('2026-12-24T11:00:00Z')
  await page.keyboard.press('p')
  await tabTo(page, /^Self-heal/)
  await page.keyboard.press('Enter')
  await tabTo(page, /^Done$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('listitem').filter({ hasText: 'Pour off' })).toHaveCount(0)
  await tabTo(page, /^Bottles are filled/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Bottled and labelled' })).toBeVisible()

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
  await page.keyboard.press('Shift+R')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('200 g of oil')
})
