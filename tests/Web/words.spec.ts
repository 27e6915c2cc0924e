import { expect, type Page, test } from '@playwright/test'
import { demo, settling } from './support'

// Another language is longer than this one, and some are read from the right. Every text of a page is made two fifths
// longer and the page is turned, and nothing may be cut off, pushed out of sight or laid over something else.

/** Lengthens every text of the page as it stands, also what fields hold as an example. */
function lengthen() {
  const longer = (text: string) =>
    text.replace(/\p{L}{2,}/gu, (word) => word + word.slice(0, Math.ceil(word.length * 0.4)).toLowerCase())
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  const texts: Text[] = []
  while (walk.nextNode()) texts.push(walk.currentNode as Text)
  for (const text of texts) {
    // A picture is drawn to its own measures, and what is kept as it was written is not translated.
    if (!text.parentElement?.closest('svg, script, style, code')) text.data = longer(text.data)
  }
}

/** What is wrong with how the page is laid out now. */
function faults(): string[] {
  const found: string[] = []
  const page = document.documentElement
  if (page.scrollWidth > page.clientWidth + 1)
    found.push(`the page is ${page.scrollWidth - page.clientWidth} px too wide`)
  const called = (element: Element) =>
    `${element.tagName.toLowerCase()} “${(element.textContent ?? '').trim().slice(0, 40)}”`
  const seen = (element: Element) =>
    element.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && !element.closest('.sr-only, svg')
  // What scrolls sideways by itself may be wider than what is in sight.
  const scrolls = (element: Element): boolean =>
    element !== page &&
    (['auto', 'scroll'].includes(getComputedStyle(element).overflowX) ||
      (element.parentElement !== null && scrolls(element.parentElement)))
  for (const element of document.body.querySelectorAll('*')) {
    const box = element.getBoundingClientRect()
    if (box.width === 0 || box.height === 0 || !seen(element)) continue
    const own = [...element.childNodes].some((node) => node.nodeType === 3 && (node.textContent ?? '').trim() !== '')
    if (!own) continue
    if ((box.left < -1 || box.right > page.clientWidth + 1) && !scrolls(element))
      found.push(`${called(element)} stands out of the page, from ${Math.round(box.left)} to ${Math.round(box.right)}`)
    const style = getComputedStyle(element)
    if (
      style.overflowX === 'hidden' &&
      style.textOverflow !== 'ellipsis' &&
      element.scrollWidth > element.clientWidth + 1
    )
      found.push(`${called(element)} is cut off`)
  }
  // In a drawing a text stays where it stood: one whose anchor turned with the page lies over what it tells of.
  for (const text of document.body.querySelectorAll('svg text'))
    if (getComputedStyle(text).direction !== 'ltr') found.push(`${called(text)} turned within its drawing`)
  // Two things to press lie beside one another, unless one is within the other.
  const press = [...document.body.querySelectorAll('button, a[href], input, select, textarea')].filter(
    (each) => seen(each) && !each.closest('label:has(input[type=radio], input[type=checkbox], input[type=file])'),
  )
  for (const [at, one] of press.entries()) {
    for (const other of press.slice(at + 1)) {
      if (one.contains(other) || other.contains(one)) continue
      for (const a of one.getClientRects())
        for (const b of other.getClientRects()) {
          const across = Math.min(a.right, b.right) - Math.max(a.left, b.left)
          const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
          if (
            across > 3 &&
            down > 3 &&
            getComputedStyle(one).position !== 'fixed' &&
            !one.closest('header, nav, [data-bar]')
          )
            found.push(`${called(one)} lies over ${called(other)}`)
        }
    }
  }
  return [...new Set(found)]
}

async function looked(page: Page, where: string): Promise<string[]> {
  const all: string[] = []
  for (const dir of ['ltr', 'rtl'] as const) {
    await page.evaluate((way) => document.documentElement.setAttribute('dir', way), dir)
    if (dir === 'ltr') await page.evaluate(lengthen)
    all.push(...(await page.evaluate(faults)).map((fault) => `${where}, ${dir}: ${fault}`))
    if (process.env.WORDS_SHOTS)
      await page.screenshot({ path: `${process.env.WORDS_SHOTS}/${where.replaceAll(' ', '-')}-${dir}.png` })
  }
  return all
}

/** Every view, by where it is found: a path, or a link on the page before. */
const VIEWS: [string, string | RegExp][] = [
  ['today', '/today'],
  ['bench', '/bench'],
  ['boiled down', '/boil'],
  ['kitchen card', '/bench/card'],
  ['recipes', '/recipes'],
  ['a recipe', /^Harbour hands/],
  ['a recipe read', '/recipes/read'],
  ['shelf', '/shelf'],
  ['a batch', /^Self-heal/],
  ['press', '/press'],
  ['at the press', /^Mullein/],
  ['melt', '/melt'],
  ['a product', /^Heather salve/],
  ['what touches it', /^Follow it/],
  ['stove', '/stove'],
  ['a pot', /marshmallow root/],
  ['diary', '/diary'],
  ['stores', '/stores'],
  ['a lot', /^Mugwort/],
  ['a new lot', '/stores/new'],
  ['stores by file', '/stores/file'],
  ['almanac', '/almanac'],
  ['a plant of our own', '/almanac/own/plant'],
  ['yields', '/almanac/yields'],
  ['what is wrong', '/almanac/what-is-wrong'],
  ['which solvent', '/almanac/which-solvent'],
  ['a plant', '/almanac/plant/calendula'],
  ['practice', '/practice'],
  ['house', '/house'],
]

test('words two fifths longer, and read from the right, are laid out whole in every view', async ({ page }) => {
  test.setTimeout(180_000)
  const settled = settling(page)
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await settled()
  const found = await looked(page, 'door')
  await page.goto('/')
  const house = await demo(page)
  for (const [where, way] of VIEWS) {
    if (typeof way === 'string') {
      await page.goto(house + way)
    } else {
      // The page before was lengthened, so it is asked for anew.
      await page.reload()
      await page.getByRole('link', { name: way }).first().click()
    }
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await settled()
    found.push(...(await looked(page, where)))
  }
  expect(found).toEqual([])
})
