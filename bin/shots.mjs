// Retakes docs/screenshots from the demo, which is laid for a fixed day so that the pictures stay comparable.
import { mkdirSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { launchOptions } from './browser.mjs'

const base = process.env.APP_URL
const out = process.env.SHOTS_DIR ?? 'docs/screenshots'
const only = process.env.SHOTS_ONLY?.split(',')
mkdirSync(out, { recursive: true })

const browser = await chromium.launch(launchOptions)

async function open(options) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce', ...options })
  const page = await context.newPage()
  page.on('console', (message) => message.type() === 'error' && console.error('page:', message.text()))
  await page.goto(base)
  return page
}

async function enter(page) {
  await page.getByRole('button', { name: 'Enter Skerry House' }).click()
  await page.waitForURL(/today/)
  await page.getByRole('heading', { level: 1 }).waitFor()
  return page.url().replace(/\/today.*/, '')
}

const steps = {
  async today(page, house) {
    await page.goto(house + '/today')
    await page.getByText('Strain the helichrysum').waitFor()
  },
  async bench(page, house) {
    await page.evaluate((key) => localStorage.setItem(key, JSON.stringify({
      herbs: [{ id: 'marshmallow-root' }], oils: [{ id: 'sunflower', parts: '2' }, { id: 'jojoba', parts: '1' }],
      method: 'slow-cooker', purpose: 'salve', ready_by: '2026-12-12',
    })), 'kettle.bench.' + house.split('/').pop())
    await page.goto(house + '/bench')
    await page.getByText('Weigh and pour').waitFor()
  },
  async shelf(page, house) {
    await page.goto(house + '/shelf')
    await page.getByText('Steeping').first().waitFor()
  },
  async bottled(page, house) {
    await page.goto(house + '/press')
    await page.getByRole('link', { name: /Calendula/ }).click()
    await page.getByRole('link', { name: 'its page and logbook' }).click()
    await page.getByText('Logbook').waitFor()
  },
  async batch(page, house) {
    await page.goto(house + '/shelf')
    await page.getByRole('link', { name: /^Self-heal/ }).click()
    await page.getByText('Logbook').waitFor()
  },
  async press(page, house) {
    await page.goto(house + '/press')
    await page.getByRole('link', { name: /Mullein/ }).click()
    await page.getByRole('heading', { name: 'Bottle', exact: true }).waitFor()
  },
  async labels(page, house) {
    await page.goto(house + '/press')
    await page.getByRole('link', { name: /Calendula/ }).click()
    await page.getByRole('link', { name: 'Labels', exact: true }).click()
    await page.getByRole('article', { name: 'The label' }).waitFor()
    await page.getByAltText(/^Code that opens/).waitFor()
  },
  async boil(page, house) {
    await page.goto(house + '/stove')
    await page.getByRole('link', { name: /Cleansing sesame oil/ }).click()
    await page.getByText('still to go off').waitFor()
  },
  async almanac(page, house) {
    await page.goto(house + '/almanac/plant/calendula')
    await page.getByText('In this house').waitFor()
  },
  async stores(page, house) {
    await page.goto(house + '/stores')
    await page.getByText('Also what is used up').waitFor()
  },
  async stove(page, house) {
    await page.goto(house + '/stove')
    await page.getByText('Settles at').waitFor()
    await page.getByRole('heading', { name: 'Put to warm' }).evaluate((head) => head.scrollIntoView())
  },
  async pot(page, house) {
    await page.goto(house + '/stove')
    await page.getByRole('link', { name: /marshmallow root/ }).click()
    await page.getByText('Since it was begun').waitFor()
  },
  async diary(page, house) {
    await page.goto(house + '/diary')
    await page.getByText('Away', { exact: true }).waitFor()
  },
  async melt(page, house) {
    const { bottled } = await page.evaluate(async (id) => (await fetch(`/api/houses/${id}/melt`)).json(), house.split('/').pop())
    await page.evaluate(([key, wish]) => localStorage.setItem(key, wish), ['kettle.melt.' + house.split('/').pop(), JSON.stringify({
      product: 'salve', oils: [{ batch: bottled.find((each) => each.name.startsWith('calendula')).id }], firmness: 'salve', bears_c: 30,
      butters: [{ id: 'shea', percent: 10 }], essential_oils: [{ id: 'lavender', percent: 2 }], tins: [{ ml: 30, count: 6 }],
    })])
    await page.goto(house + '/melt')
    await page.getByText('Weigh, onto one scale').waitFor()
  },
  async making(page, house) {
    await page.goto(house + '/melt')
    await page.getByRole('link', { name: /^Calendula salve/ }).click()
    // The Melt, where it is pressed, has a tab of that name.
    await page.getByRole('heading', { name: 'Step by step' }).waitFor()
  },
  async trace(page, house) {
    await page.goto(house + '/melt')
    await page.getByRole('link', { name: /^Heather salve/ }).click()
    await page.getByRole('link', { name: /^26-001/ }).click()
    await page.getByRole('link', { name: 'Follow it' }).click()
    await page.getByText('Should it have turned').waitFor()
  },
  async practice(page, house) {
    await page.goto(house + '/practice/7')
    await page.getByRole('button', { name: 'Something is wrong' }).click()
    await page.getByRole('radio').nth(2).check()
    await page.getByRole('button', { name: 'Say so' }).click()
    await page.getByText('Not so.').waitFor()
  },
}

async function take(name, step, options, file = name) {
  if (only && !only.includes(file)) return
  const page = await open(options)
  const house = await enter(page)
  await steps[step](page, house)
  // A page that listens is never idle.
  step === 'pot' ? await page.waitForTimeout(800) : await page.waitForLoadState('networkidle')
  await page.screenshot({ path: `${out}/${file}.png` })
  await page.context().close()
}

for (const name of Object.keys(steps)) await take(name, name, {})
const phone = { viewport: { width: 390, height: 844 }, isMobile: true }
for (const name of ['today', 'pot']) await take(name, name, phone, `${name}-phone`)
await browser.close()
