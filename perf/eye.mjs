// From a keystroke on the Bench and on the Melt to the sentence that answers it, in a real browser: printed as JSON, milliseconds.
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

/** Types so many times into a field, each time until the sentence has what was typed. */
async function typed(place, draft, open, field, text, shown) {
  await page.evaluate(([key, wish]) => localStorage.setItem(key, wish), [`kettle.${place}.${house}`, JSON.stringify(draft)])
  await page.goto(`${base}/h/${house}/${place}`)
  await page.getByRole('button', { name: open }).click()
  const input = page.getByLabel(field, { exact: true })
  await input.waitFor()
  const wanted = Array.from({ length: 60 }, (_, i) => [text(i), shown(i)])
  const times = await input.evaluate(async (box, all) => {
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
    const heading = document.querySelector('h1')
    const took = []
    for (const [i, [value, sentence]] of all.entries()) {
      const from = performance.now()
      set.call(box, value)
      box.dispatchEvent(new Event('input', { bubbles: true }))
      await new Promise((seen) => {
        const look = () => (heading.textContent.includes(sentence) ? requestAnimationFrame(() => seen()) : requestAnimationFrame(look))
        look()
      })
      if (i >= 5) took.push(performance.now() - from)
      await new Promise((rest) => setTimeout(rest, 120))
    }
    return took.sort((a, b) => a - b)
  }, wanted)
  const at = (share) => Math.round(times[Math.min(times.length - 1, Math.floor(times.length * share))] * 10) / 10
  return { median_ms: at(0.5), p95_ms: at(0.95), rounds: times.length }
}

const bench = await typed(
  'bench',
  {
    herbs: [{ id: 'marshmallow-root', parts: '2' }, { id: 'calendula' }, { id: 'sage' }],
    oils: ['sunflower', 'olive', 'jojoba'],
    oil_amount: '300 mL',
  },
  /^how much:/,
  'Oil there is, or wanted',
  (i) => `${301 + i} mL`,
  (i) => `${301 + i} mL of oil`,
)
const melt = await typed(
  'melt',
  {
    product: 'salve',
    oils: ['sunflower', 'olive', 'jojoba'],
    butters: [{ id: 'shea', share: 0.05 }],
    essential_oils: [{ id: 'lavender', percent: 1 }],
    total: '300 g',
  },
  /^how much:/,
  'In all',
  (i) => `${301 + i} g`,
  (i) => `${301 + i} g`,
)
await browser.close()
console.log(JSON.stringify({ bench, melt }))
