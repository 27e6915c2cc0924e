import { expect, type Page, test } from '@playwright/test'
import { demo, ownHouse, settling, token, tooSmall } from './support'

/** From a small phone to a desk, with a tablet upright and lying: common practice, no source. */
const WIDTHS = [360, 390, 640, 768, 900, 1024, 1120, 1280]

/** An address as it is pasted: it has no place to break at. */
const ADDRESS = `https://example.org/${'a-herb-and-its-grower_'.repeat(4).replaceAll('-', '')}`

/** What is wider than its window or too small in it, at each width; empty where all fits and the places are in reach in one line. */
async function misfits(page: Page, where: string): Promise<string[]> {
  const found: string[] = []
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 800 })
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    if (wide > 0) found.push(`${where} at ${width}: ${wide} px too wide`)
    found.push(...(await page.evaluate(tooSmall)).map((word) => `${where} at ${width}: “${word}” is too small`))
    const bar = await page.getByRole('navigation', { name: 'Places' }).boundingBox()
    if (!bar || bar.height > 56 || bar.y < 0 || bar.y + bar.height > 801) found.push(`${where} at ${width}: the places`)
  }
  return found
}

async function seen(page: Page, views: [string, string | RegExp][], house: string): Promise<string[]> {
  const settled = settling(page)
  const found: string[] = []
  for (const [where, way] of views) {
    if (typeof way === 'string') await page.goto(house + way)
    else await page.getByRole('link', { name: way }).first().click()
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
    await settled()
    found.push(...(await misfits(page, where)))
  }
  return found
}

test('no view is wider than its window, from a phone over a tablet to a desk', async ({ page }) => {
  test.setTimeout(120_000)
  await page.goto('/')
  const house = await demo(page)
  const views: [string, string | RegExp][] = [
    ...[
      'today',
      'bench',
      'boil',
      'recipes',
      'press',
      'melt',
      'stove',
      'diary',
      'stores',
      'almanac',
      'practice',
      'house',
    ].map((place): [string, string] => [place, `/${place}`]),
    ['shelf', '/shelf'],
    ['a batch', /^Calendula/],
    ['its labels', /^Labels/],
  ]
  expect(await seen(page, views, house)).toEqual([])
})

test('what has no place to break at is broken, and pushes nothing aside', async ({ page }) => {
  test.setTimeout(90_000)
  const house = await ownHouse(page)
  const id = house.split('/h/')[1] ?? ''
  const post = async (path: string, data: object): Promise<{ id?: string; lot?: { id: string } }> => {
    const answer = await page.context().request.post(`/api/houses/${id}/${path}`, {
      headers: {
        Accept: 'application/json',
        'X-XSRF-TOKEN': await token(page),
        'Idempotency-Key': crypto.randomUUID(),
      },
      data,
    })
    expect(answer.ok(), await answer.text()).toBe(true)
    return (await answer.json()) as { id?: string; lot?: { id: string } }
  }
  const { lot } = await post('lots', {
    lot: { kind: 'herb', material: 'calendula', amount: '100 g', got_where: ADDRESS, note: ADDRESS },
  })
  const batch = await post('batches', { wish: { herb: { id: 'calendula' }, oils: ['olive'] } })
  await post(`batches/${batch.id}/notes`, { note: ADDRESS })
  const recipe = await post('recipes', {
    name: ADDRESS,
    note: ADDRESS,
    wish: { herb: { id: 'calendula' }, oils: ['olive'] },
  })
  await post('absences', { from: '2026-12-03', to: '2026-12-05', called: ADDRESS.slice(0, 80) })
  await post('jars', { called: ADDRESS.slice(0, 60), brim: '500 mL', height: '12 cm' })
  const views: [string, string][] = [
    ['stores', '/stores'],
    ['the lot', `/stores/${lot?.id}`],
    ['the batch', `/batch/${batch.id}`],
    ['recipes', '/recipes'],
    ['the recipe', `/recipes/${recipe.id}`],
    ['days to come', '/diary'],
    ['the house', '/house'],
  ]
  expect(await seen(page, views, house)).toEqual([])
})
