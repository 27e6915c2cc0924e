import { expect, type Locator, type Page, test } from '@playwright/test'
import { demo, ownHouse } from './support'

/** Presses, lets something happen, goes so far with the hand, and lets go. */
async function press(page: Page, what: Locator, meanwhile: () => Promise<unknown>, down = 0) {
  const box = await what.boundingBox()
  if (!box) throw new Error('There is nothing to press.')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await meanwhile()
  await page.mouse.move(x, y + down)
  await page.mouse.up()
}

/** As an answer does that comes above it. */
const pushed = (page: Page, px: number) => () =>
  page.evaluate((by) => {
    const main = document.querySelector('main')
    if (main) main.style.paddingTop = `${by}px`
    // Drawn there, and not only said.
    return new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)))
  }, px)

test('what is pressed is done though it moves meanwhile, and what stands there by then is not', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/boil`)
  const oil = page.getByRole('button', { name: /^the oil: / })
  await oil.waitFor()

  // Away, and nothing is there.
  await press(page, oil, pushed(page, 400))
  await expect(page.getByRole('dialog', { name: 'the oil' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)

  // Another word stands where it was: so far down as the one before it is above.
  await pushed(page, 0)()
  const done = page.getByRole('button', { name: /^what is done: / })
  const from = await done.boundingBox()
  const to = await oil.boundingBox()
  if (!from || !to) throw new Error('There are no words.')
  await page.evaluate(
    ([x, y]) => {
      const first = document.querySelector<HTMLElement>('[aria-label^="what is done: "]')
      first?.addEventListener('click', () => document.body.setAttribute('data-wrong', 'pressed'))
      document.body.setAttribute('data-move', `translate(${x}px, ${y}px)`)
    },
    [to.x + to.width / 2 - from.x - from.width / 2, to.y + to.height / 2 - from.y - from.height / 2],
  )
  await press(page, oil, () =>
    page.evaluate(() => {
      const first = document.querySelector<HTMLElement>('[aria-label^="what is done: "]')
      const other = document.querySelector<HTMLElement>('[aria-label^="the oil: "]')
      if (!first || !other) return
      for (const each of [first, other]) each.style.display = 'inline-block'
      other.style.transform = 'translate(0, 300px)'
      first.style.transform = document.body.getAttribute('data-move') ?? ''
    }),
  )
  await expect(page.getByRole('dialog', { name: 'the oil' })).toBeVisible()
  expect(await page.evaluate(() => document.body.getAttribute('data-wrong'))).toBeNull()
})

test('one of a list is chosen though the list moves meanwhile', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/bench`)
  await page.getByRole('button', { name: /^how it is got out: / }).click()
  const other = page.getByRole('dialog').getByRole('radio', { checked: false }).last()
  const row = other.locator('xpath=ancestor::label')
  const name = await row.innerText()
  await press(page, row, () =>
    page.evaluate((words) => {
      const label = [...document.querySelectorAll('label')].find((each) => each.innerText === words)
      if (label) label.style.transform = 'translate(0, 300px)'
    }, name),
  )
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^how it is got out: / })).toContainText(name.split('\n')[0] ?? name)
})

test('who goes elsewhere before letting go has pressed nothing', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/boil`)
  const oil = page.getByRole('button', { name: /^the oil: / })
  await oil.waitFor()
  for (const [meanwhile, down] of [[() => Promise.resolve(), 250] as const, [pushed(page, 400), 40] as const]) {
    await press(page, oil, meanwhile, down)
    await page.waitForTimeout(300)
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  // And pressed as always, it opens once.
  await oil.click()
  await expect(page.getByRole('dialog', { name: 'the oil' })).toBeVisible()
})

test('a sheet that is asked for before its script has come is there when it comes', async ({ page }) => {
  let bring = () => {}
  const held = new Promise<void>((come) => (bring = come))
  await page.route(/SheetDialog-.*\.js$/, async (route) => {
    await held
    await route.continue()
  })
  await demo(page)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  bring()
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Go to Today')
})
