// Every view by the browser's own yardstick, on its phone and its desktop setting, with nothing in the cache and with
// everything: written to docs/bench.json under `lighthouse`.
//
//   APP_URL=… CHROMIUM=… node perf/lighthouse/run.mjs
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import lighthouse, { desktopConfig } from 'lighthouse'
import { launchOptions } from '../../bin/browser.mjs'

const base = process.env.APP_URL
const file = new URL('../../docs/bench.json', import.meta.url)
const only = process.env.LIGHTHOUSE_ONLY?.split(',')

const port = await new Promise((found) => {
  const server = createServer().listen(0, '127.0.0.1', () => {
    const { port: free } = server.address()
    server.close(() => found(free))
  })
})
const profile = mkdtempSync(join(tmpdir(), 'kettle-lighthouse-'))
// One profile, so that the yardstick is signed in as the page before it was.
const context = await chromium.launchPersistentContext(profile, {
  ...launchOptions,
  args: [...launchOptions.args, `--remote-debugging-port=${port}`],
})
const page = await context.newPage()
await page.goto(base)

async function measure(url, setting, warm) {
  const config = setting === 'desktop' ? desktopConfig : undefined
  const { lhr } = await lighthouse(url, {
    port,
    logLevel: 'error',
    onlyCategories: ['performance', 'accessibility', 'best-practices', 'seo'],
    // What is kept of the place stays; of the cache, only where it is warm.
    disableStorageReset: true,
    clearStorageTypes: [],
    ...(warm ? {} : { disableStorageReset: false, clearStorageTypes: ['cache_storage', 'shader_cache'] }),
  }, config)
  const score = (of) => Math.round((lhr.categories[of]?.score ?? 0) * 100)
  const figure = (of) => Math.round(lhr.audits[of]?.numericValue ?? 0)
  const failed = Object.values(lhr.categories)
    .filter((of) => of.id !== 'performance')
    .flatMap((of) => of.auditRefs.map((ref) => lhr.audits[ref.id]))
    .filter((audit) => audit.score !== null && audit.score < 1 && !['notApplicable', 'manual', 'informative'].includes(audit.scoreDisplayMode))
  return {
    performance: score('performance'),
    accessibility: score('accessibility'),
    best_practices: score('best-practices'),
    first_paint_ms: figure('first-contentful-paint'),
    largest_paint_ms: figure('largest-contentful-paint'),
    blocked_ms: figure('total-blocking-time'),
    layout_shift: Math.round((lhr.audits['cumulative-layout-shift']?.numericValue ?? 0) * 1000) / 1000,
    ...(failed.length > 0 ? { says: [...new Set(failed.map((audit) => audit.id))] } : {}),
  }
}

const results = {}
async function view(name, url) {
  if (only && !only.includes(name)) return
  results[name] = {}
  for (const setting of ['phone', 'desktop']) {
    for (const warm of [false, true]) {
      const said = await measure(url, setting, warm)
      results[name][`${setting}, ${warm ? 'warm' : 'cold'}`] = said
      console.log(name, setting, warm ? 'warm' : 'cold', JSON.stringify(said))
    }
  }
}

await view('door', base)
await page.getByRole('button', { name: 'Enter Skerry House' }).click()
await page.waitForURL(/today/)
const house = page.url().replace(/\/today.*/, '')
await page.goto(`${house}/shelf`)
const jar = await page.locator('a[href*="/batch/"]').first().getAttribute('href')
for (const place of ['today', 'bench', 'shelf', 'stove', 'press', 'stores', 'almanac', 'practice', 'house', 'diary', 'recipes']) {
  await view(place, `${house}/${place}`)
}
await view('batch', new URL(jar, base).href)
await context.close()
rmSync(profile, { recursive: true, force: true })

const report = JSON.parse(readFileSync(file, 'utf8'))
report.lighthouse = { ...(only ? report.lighthouse : {}), ...results }
writeFileSync(file, `${JSON.stringify(report, null, 4)}\n`)
