// Retakes docs/screenshots from the demo, which is laid for a fixed day so that the pictures stay comparable.
import { mkdirSync } from 'node:fs'
import { chromium } from '@playwright/test'

const base = process.env.APP_URL
const out = process.env.SHOTS_DIR ?? 'docs/screenshots'
const only = process.env.SHOTS_ONLY?.split(',')
mkdirSync(out, { recursive: true })

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})

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
  async door(page) {
    await page.getByRole('heading', { level: 1 }).waitFor()
  },
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
  async print(page, house) {
    await page.goto(house + '/press')
    await page.getByRole('link', { name: /Calendula/ }).click()
    await page.getByRole('link', { name: 'Print view' }).click()
    await page.getByRole('img').first().waitFor()
  },
  async stores(page, house) {
    await page.goto(house + '/stores')
    await page.getByText('Also what is used up').waitFor()
  },
  async lot(page, house) {
    await page.goto(house + '/stores')
    await page.getByRole('link', { name: /^Calendula/ }).first().click()
    await page.getByText('What came and went').waitFor()
    await page.getByRole('button', { name: 'Look at it now' }).click()
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
  async ways(page, house) {
    await steps.bench(page, house)
    await page.getByRole('tab', { name: 'Ways side by side' }).evaluate((tab) => tab.scrollIntoView())
  },
  async recipe(page, house) {
    await page.goto(house + '/recipes/read')
    await page.getByLabel('The recipe').fill('Winter salve oil\n1 cup oil, 6 tbsp dried flowers\n1 oz dried calendula petals\n20 g beeswax\nSteep in a dark cupboard for 6 weeks, shaking daily.')
    await page.getByRole('button', { name: 'Read it' }).click()
    await page.getByText('Put it on the bench').waitFor()
  },
  async card(page, house) {
    await steps.bench(page, house)
    await page.goto(house + '/bench/card')
    await page.getByText('bone-dry').first().waitFor()
  },
  async house(page, house) {
    await page.goto(house + '/house')
    await page.getByText('Jars and bottles').waitFor()
  },
}

async function take(name, step, options, file = name) {
  if (only && !only.includes(file)) return
  const page = await open(options)
  const house = name === 'door' ? '' : await enter(page)
  await steps[step](page, house)
  // A page that listens is never idle.
  step === 'pot' ? await page.waitForTimeout(800) : await page.waitForLoadState('networkidle')
  await page.screenshot({ path: `${out}/${file}.png` })
  await page.context().close()
}

for (const name of Object.keys(steps)) await take(name, name, {})
const phone = { viewport: { width: 390, height: 844 }, isMobile: true }
for (const name of ['today', 'pot']) await take(name, name, phone, `${name}-phone`)
await take('bench', 'bench', { colorScheme: 'dark' }, 'bench-night')
await browser.close()
