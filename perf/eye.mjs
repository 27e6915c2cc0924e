// From a keystroke on the Bench to the sentence that answers it, in a real browser: printed as JSON, milliseconds.
import { chromium } from '@playwright/test'
import { launchOptions } from '../bin/browser.mjs'

const [base, house, email, password] = process.argv.slice(2)
const browser = await chromium.launch(launchOptions)
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(base)
await page.getByLabel('E-mail', { exact: true }).fill(email)
await page.getByLabel('Password', { exact: true }).fill(password)
await page.getByRole('button', { name: 'Sign in' }).click()
await page.getByRole('navigation', { name: 'Places' }).waitFor()
await page.evaluate((key) => localStorage.setItem(key, JSON.stringify({
  herbs: [{ id: 'marshmallow-root', parts: '2' }, { id: 'calendula' }, { id: 'sage' }], oils: ['sunflower', 'olive', 'jojoba'], oil_amount: '300 mL',
})), `kettle.bench.${house}`)
await page.goto(`${base}/h/${house}/bench`)
await page.getByText('Weigh and pour').waitFor()
await page.getByRole('button', { name: /^how much:/ }).click()
const field = page.getByLabel('Oil there is, or wanted')
await field.waitFor()

const times = await field.evaluate(async (input) => {
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
  const heading = document.querySelector('h1')
  const times = []
  for (let i = 0; i < 60; i++) {
    const wanted = `${301 + i} mL`
    const from = performance.now()
    set.call(input, wanted)
    input.dispatchEvent(new Event('input', { bubbles: true }))
    await new Promise((seen) => {
      const look = () => (heading.textContent.includes(`${wanted} of oil`) ? requestAnimationFrame(() => seen()) : requestAnimationFrame(look))
      look()
    })
    if (i >= 5) times.push(performance.now() - from)
    await new Promise((rest) => setTimeout(rest, 120))
  }
  return times.sort((a, b) => a - b)
})
await browser.close()
const at = (share) => Math.round(times[Math.min(times.length - 1, Math.floor(times.length * share))] * 10) / 10
console.log(JSON.stringify({ median_ms: at(0.5), p95_ms: at(0.95), rounds: times.length }))
