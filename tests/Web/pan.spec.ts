import { expect, test } from '@playwright/test'
import { benchWith, clock, demo, ownHouse, word } from './support'

const FRESH = { herbs: [{ id: 'self-heal', state: 'fresh' }], oils: ['olive'], method: 'slow-cooker' }

test('a pan: planned in a pan, put on the flame at the Stove, stirred, and off by its signs', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, FRESH)
  await expect(page.getByText('The pint jar, to scale')).toBeVisible()
  await word(page, /^how much:/)
  await page.getByRole('radio', { name: /^pint jar/ }).check()
  await page.getByRole('button', { name: 'That is it' }).click()
  await word(page, /^the way:/)
  await page.getByRole('radio', { name: 'gentle pan' }).click()
  // The jar that was chosen has no place over a flame, and is let go with the way that wanted it.
  await expect(page.getByRole('heading', { level: 1 })).toContainText('24 cm wide pan')
  await expect(page.getByText('The 24 cm wide pan, to scale')).toBeVisible()
  await expect(page.getByText(/25 min\s*getting warm/)).toBeVisible()
  // Each caution stands in the list of what it is about.
  const warmth = page.getByRole('list', { name: /days and its warmth/ })
  await expect(warmth.getByRole('listitem').filter({ hasText: 'Keep the oil under 105 °C' })).toBeVisible()
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()

  await page.goto(house + '/stove')
  const pan = page.getByRole('listitem', { name: 'self-heal, 24 cm wide pan' })
  await expect(pan.getByText('not filled yet')).toBeVisible()
  await pan.getByRole('link', { name: 'Fill it first' }).click()
  await page.getByRole('button', { name: 'Done', exact: true }).first().click()
  await page.getByRole('link', { name: 'To the Stove' }).click()
  await pan.getByRole('button', { name: 'On the flame' }).dblclick()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('A pan is on the flame.')
  await expect(pan.getByText('Stir next at 10:16.')).toBeVisible()
  await clock(page, '2026-11-24T10:17:00Z')
  await page.reload()
  await expect(pan.getByText('Stir it now.')).toBeVisible()
  await pan.getByRole('button', { name: 'Stirred' }).click()
  await expect(pan.getByText('Stir next at 10:23.')).toBeVisible()
  // Off by its signs; without them only all the same.
  await expect(pan.getByRole('button', { name: 'Off the flame all the same' })).toBeVisible()
  await pan.getByLabel(/bubbling has calmed/).check()
  await pan.getByLabel(/colour of herb and oil has turned/).check()
  await pan.getByRole('button', { name: 'Off the flame', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The stove is cold.')
})

test('a way chosen before the last answer came lets the jar go all the same', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, FRESH)
  await expect(page.getByText('The pint jar, to scale')).toBeVisible()
  await word(page, /^how much:/)
  await page.route('**/reckon', async (route) => {
    await new Promise((soon) => setTimeout(soon, 1500))
    await route.continue().catch(() => undefined)
  })
  await page.getByRole('radio', { name: /^pint jar/ }).check()
  await word(page, /^the way:/)
  await page.getByRole('radio', { name: 'gentle pan' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('24 cm wide pan')
})

test('on a phone the ways are read downwards, and the door says what this is', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/')
  await expect(page.getByText('Say what you want to make.')).toBeVisible()
  await page.setViewportSize({ width: 1280, height: 800 })
  await expect(
    page.getByRole('img', { name: /in a pint jar; 4 weeks on the shelf; .* comes out; \d bottles of 50 mL/ }),
  ).toBeVisible()
  await page.setViewportSize({ width: 390, height: 844 })
  const house = await demo(page)
  await page.goto(house + '/bench')
  const ways = page.getByRole('list', { name: 'Ways side by side' })
  await expect(ways.getByRole('listitem')).toHaveCount(8)
  await ways.getByRole('button', { name: 'slow cooker' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('in the slow cooker')
  await expect(page.getByRole('table')).toHaveCount(0)
})

test('a time is typed by 24 hours, and the room in the cook’s own degrees', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/house')
  await page.getByLabel('To bed at').fill('9')
  await page.getByLabel('To bed at').press('Tab')
  await expect(page.getByLabel('To bed at')).toHaveValue('09:00')
  await page.getByLabel('To bed at').fill('2245')
  await page.getByLabel('To bed at').press('Tab')
  await expect(page.getByLabel('To bed at')).toHaveValue('22:45')
  await page.getByLabel('How warm the room is').fill('64 F')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByText('The house’s settings are kept.')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('To bed at')).toHaveValue('22:45')
  await expect(page.getByLabel('How warm the room is')).toHaveValue('18 °C')
  await page.getByLabel('How warm the room is').fill('90 °C')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByLabel('How warm the room is')).toHaveValue('90 °C')
  await expect(page.getByText('A room is between 0 °C and 40 °C.')).toBeVisible()
})
