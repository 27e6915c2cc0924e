import { writeFileSync } from 'node:fs'
import { type APIResponse, expect, type Page, type Request } from '@playwright/test'

/** Stands the clock of all that a page asks for, and of what is left to be done by it later. */
export async function clock(page: Page, moment: string): Promise<void> {
  await page.context().setExtraHTTPHeaders({ 'X-Standing-Clock': moment })
}

export const MORNING = '2026-11-24T10:10:00Z'

/** Stands also the clock of what runs by itself, such as the simulated thermometers: for a test that is alone. */
export async function clockOfAll(page: Page, moment: string): Promise<void> {
  writeFileSync(process.env.KETTLE_CLOCK_FILE ?? '', moment)
  await clock(page, moment)
}

/** A test that no other may run beside, for it kills what serves them all, or turns the clock of the devices. */
export const ALONE = { tag: '@alone' }

let made = 0

const PASSWORD = 'ten letters long'

function newEmail(): string {
  made += 1
  return `una${process.pid}-${Date.now()}-${made}@example.org`
}

/** The token that goes with every write of whoever is signed in here. */
export async function token(page: Page): Promise<string> {
  const cookies = await page.context().cookies()
  return decodeURIComponent(cookies.find((each) => each.name === 'XSRF-TOKEN')?.value ?? '')
}

/** As from another device, or by another's hand: what is written there is written whatever the page here does. */
export async function written(page: Page, method: 'POST' | 'PUT', path: string, body: object): Promise<APIResponse> {
  return page.context().request.fetch(path, {
    method,
    headers: {
      Accept: 'application/json',
      'X-XSRF-TOKEN': await token(page),
      'Idempotency-Key': `another-${Math.random().toString(36).slice(2)}`,
    },
    data: body,
  })
}

/** A new account with a house of its own, made at the door; answers with the address of the house. */
export async function houseAtTheDoor(page: Page): Promise<string> {
  await page.goto('/')
  await page.getByLabel('Your name').fill('Una')
  await page.getByLabel('Your e-mail').fill(newEmail())
  await page.getByLabel('A new password').fill(PASSWORD)
  await page.getByLabel('The house’s name').fill('North End')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Nothing is steeping here yet.' })).toBeVisible()
  return page.url().replace(/\/today.*/, '')
}

/** The same without the door: an account and its house by the API, and the page at its Today. */
export async function ownHouse(page: Page, name = 'Una'): Promise<string> {
  const api = page.context().request
  await api.get('/api/me')
  const answer = await api.post('/api/accounts', {
    headers: { Accept: 'application/json', 'X-XSRF-TOKEN': await token(page) },
    data: {
      name,
      email: newEmail(),
      password: PASSWORD,
      house: 'North End',
      measures: 'metric',
      time_zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    },
  })
  expect(answer.status(), await answer.text()).toBe(200)
  const { houses } = await answer.json()
  await page.goto(`/h/${houses[0].id}/today`)
  await expect(page.getByRole('heading', { name: 'Nothing is steeping here yet.' })).toBeVisible()
  return page.url().replace(/\/today.*/, '')
}

export async function demo(page: Page): Promise<string> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Enter Skerry House' }).click()
  await page.waitForURL(/\/today$/)
  return page.url().replace(/\/today.*/, '')
}

/** Opens the Bench with a wish as somebody left it there. */
export async function benchWith(page: Page, house: string, wish: object): Promise<void> {
  await page.evaluate(
    ([store, text]) => localStorage.setItem(store ?? '', text ?? ''),
    [`kettle.bench.${house.split('/h/')[1] ?? ''}`, JSON.stringify(wish)],
  )
  await page.goto(`${house}/bench`)
}

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

/** Follows what a page asks for, and waits until nothing is owed for a tenth of a second and all of it is drawn. */
export function settling(page: Page): () => Promise<void> {
  const open = new Set<Request>()
  let last = Date.now()
  const ended = (request: Request) => {
    if (open.delete(request)) last = Date.now()
  }
  page.on('request', (request) => {
    last = Date.now()
    // What is live has no end.
    if (request.resourceType() !== 'eventsource') open.add(request)
  })
  page.on('requestfinished', ended)
  page.on('requestfailed', ended)
  return async () => {
    await expect.poll(() => open.size === 0 && Date.now() - last > 100, { intervals: [50] }).toBe(true)
    // A page of which no frame is wanted may never be told that it is idle.
    await page.evaluate(() => new Promise((drawn) => requestIdleCallback(drawn, { timeout: 1000 })))
  }
}

/** A salve of plain olive oil with a little lavender, begun. */
export async function begun(
  page: Page,
  house: string,
  { read, name, ...more }: { read?: boolean; name?: string; [more: string]: unknown } = {},
): Promise<void> {
  await page.evaluate(
    ([store, text]) => localStorage.setItem(store ?? '', text ?? ''),
    [
      `kettle.melt.${house.split('/h/')[1] ?? ''}`,
      JSON.stringify({
        product: 'salve',
        oils: ['olive'],
        tins: [{ ml: 30, count: 3 }],
        essential_oils: [{ id: 'lavender', percent: 1 }],
        ...more,
      }),
    ],
  )
  await page.goto(`${house}/melt`)
  if (read) await page.getByLabel('I have read this').check()
  await page.getByRole('button', { name: 'Begin this salve' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(name ?? 'Salve')
}

/** Words in drawings that are drawn smaller than 11 pixels (common practice, no source). */
export function tooSmall(): string[] {
  return [...document.querySelectorAll<SVGTextElement>('svg text')]
    .filter((each) => each.getBoundingClientRect().height > 0)
    .filter((each) => parseFloat(getComputedStyle(each).fontSize) * (each.getScreenCTM()?.a ?? 1) < 11)
    .map((each) => each.textContent ?? '')
}
