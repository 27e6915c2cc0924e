import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Page, test } from '@playwright/test'
import { demo, ownHouse } from './support'

/** What the machine was asked for: a lit screen, notes, words; none of which a machine without eyes and ears has. */
async function listening(page: Page) {
  await page.addInitScript(() => {
    const heard = { lit: 0, let: 0, notes: 0, said: [] as string[] }
    Object.assign(window, { heard })
    Object.defineProperty(navigator, 'wakeLock', {
      value: { request: async () => ({ release: async () => void (heard.let += 1), n: (heard.lit += 1) }) },
    })
    const start = OscillatorNode.prototype.start
    OscillatorNode.prototype.start = function (...when) {
      heard.notes += 1
      return start.apply(this, when)
    }
    SpeechSynthesis.prototype.speak = (words) => void heard.said.push(words.text)
  })
  return <K extends 'lit' | 'let' | 'notes' | 'said'>(what: K) =>
    page.evaluate((name) => (window as unknown as { heard: Record<string, unknown> }).heard[name], what)
}

test('a card is followed with hands full: by a tap, a key, a pedal, aloud, and by its timer', async ({ page }) => {
  const heard = await listening(page)
  await page.clock.install()
  const house = await ownHouse(page)
  await page.goto(house + '/bench/card')
  await expect(page.locator('article ol li').first()).toBeVisible()
  const amounts = await page.locator('article dl dt').allInnerTexts()
  const steps = await page.locator('article ol li').allInnerTexts()
  // What may hurt is said first.
  const care = await page.locator('article ul li', { hasText: 'Care. ' }).allInnerTexts()
  const first = care.length + 1
  const all = care.length + amounts.length + steps.length
  await page.getByRole('button', { name: 'With hands full' }).click()
  const hands = page.getByRole('dialog')
  const step = (number: number) => expect(hands.getByText(`step ${number} of ${all}`)).toBeVisible()
  await step(1)
  const faults = await new AxeBuilder({ page }).include('[role=dialog]').analyze()
  expect(faults.violations).toEqual([])
  for (const each of care) {
    await expect(hands.getByText(each, { exact: true })).toBeVisible()
    await page.keyboard.press('Enter')
  }
  await expect(hands.getByText(amounts[0] ?? '', { exact: true })).toBeVisible()
  expect(await heard('lit')).toBe(1)
  // The large words are read at two metres: letters of 40 px and more.
  const size = await hands
    .locator('p')
    .first()
    .evaluate((each) => Number.parseFloat(getComputedStyle(each).fontSize))
  expect(size).toBeGreaterThanOrEqual(40)
  await page.keyboard.press('Space')
  await step(first + 1)
  await page.keyboard.press('PageDown')
  await step(first + 2)
  await page.keyboard.press('PageUp')
  await step(first + 1)
  await hands.locator('p').first().click()
  await step(first + 2)
  await hands.getByRole('button', { name: 'Back' }).click()
  await step(first + 1)
  await hands.getByRole('button', { name: 'Read it out' }).click()
  await expect.poll(() => heard('said')).toHaveLength(1)
  await hands.getByRole('button', { name: /^Done, next/ }).click()
  await expect.poll(() => heard('said')).toHaveLength(2)
  expect(((await heard('said')) as string[])[0]).toContain(amounts[1] ?? '-')

  await hands.getByRole('button', { name: '1 min', exact: true }).click()
  await expect(hands.getByRole('timer')).toContainText('1:00')
  await page.clock.runFor(20_000)
  await expect(hands.getByRole('timer')).toContainText('0:40')
  expect(await heard('notes')).toBe(0)
  await page.clock.runFor(41_000)
  await expect(hands.getByRole('alert')).toContainText('The time is up')
  expect(await heard('notes')).toBeGreaterThan(2)
  await hands.getByRole('button', { name: 'Stop the timer' }).click()
  await expect(hands.getByRole('alert')).toHaveCount(0)

  // Left and opened again it goes on where it was; after the last it closes, and begins anew.
  await page.keyboard.press('Escape')
  await expect(hands).toHaveCount(0)
  await expect.poll(() => heard('let')).toBe(1)
  await page.getByRole('button', { name: 'With hands full' }).click()
  await step(first + 2)
  for (let i = first + 1; i < all; i++) await page.keyboard.press('ArrowRight')
  await expect(hands).toHaveCount(0)
  await page.getByRole('button', { name: 'With hands full' }).click()
  await step(1)
})

test('alarms sound where they are asked to, and can be heard beforehand', async ({ page }) => {
  const heard = await listening(page)
  const house = await demo(page)
  await page.goto(house + '/stove')
  await page
    .getByRole('link', { name: /marshmallow root/i })
    .first()
    .click()
  await expect.poll(() => heard('lit')).toBeGreaterThan(0)
  await expect(page.getByText('Alarms are shown here, without a sound.')).toBeVisible()
  await page.getByRole('button', { name: 'Let alarms sound' }).click()
  await expect.poll(() => heard('notes')).toBe(3)
  await page.getByRole('button', { name: 'Sound it now' }).click()
  await expect.poll(() => heard('notes')).toBe(6)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Turn the sound off' })).toBeVisible()
  // What stood there already makes no sound again.
  expect(await heard('notes')).toBe(0)
})
