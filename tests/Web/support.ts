import { writeFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'

/** Stands the server's clock, and the browser's days with it. */
export function clock(moment: string): void {
  writeFileSync(process.env.KETTLE_CLOCK_FILE ?? '', moment)
}

export const MORNING = '2026-11-24T10:10:00Z'

let made = 0

/** A new account with a house of its own; answers with the address of the house. */
export async function ownHouse(page: Page, name = 'Una'): Promise<string> {
  made += 1
  await page.goto('/')
  await page.getByLabel('Your name').fill(name)
  await page.getByLabel('Your e-mail').fill(`una${Date.now()}${made}@example.org`)
  await page.getByLabel('A new password').fill('ten letters long')
  await page.getByLabel('The house’s name').fill('North End')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Nothing is steeping here yet.' })).toBeVisible()
  return page.url().replace(/\/today.*/, '')
}

export async function demo(page: Page): Promise<string> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Enter Skerry House' }).click()
  await page.waitForURL(/\/today$/)
  return page.url().replace(/\/today.*/, '')
}

/** Opens a word of the Bench's sentence. */
/** Opens a word of the sentence. It is set anew as an answer comes, and a press may fall beside a word that has just moved. */
export async function word(page: Page, name: RegExp): Promise<void> {
  const said = page.getByRole('button', { name })
  await expect(async () => {
    if ((await said.getAttribute('aria-expanded')) !== 'true') await said.click({ timeout: 3000 })
    await expect(said).toHaveAttribute('aria-expanded', 'true', { timeout: 1000 })
  }).toPass({ timeout: 15_000 })
}

export async function thatIsIt(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'That is it' }).click()
}

/** Tabs until what has the focus is named so. */
export async function tabTo(page: Page, name: RegExp, most = 90): Promise<void> {
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
