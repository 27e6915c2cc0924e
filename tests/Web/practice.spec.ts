import { expect, test } from '@playwright/test'
import { ownHouse } from './support'

test('a made-up jar is worked through, told of at each step, and is as it was left', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/today`)
  await page.getByRole('link', { name: 'Practise on a made-up jar first' }).click()
  await expect(page.getByText('marshmallow root in sunflower oil')).toBeVisible()
  const work = page.getByRole('navigation', { name: 'The work on this jar' })
  const say = page.getByRole('button', { name: 'Say so' })

  // Nothing said is nothing judged; what cannot be read stays as it was typed, and is told beside it.
  const herb = page.getByLabel('How much herb do you weigh?')
  await expect(say).toBeDisabled()
  await herb.fill('a handful')
  await herb.press('Enter')
  await expect(page.getByRole('alert')).toContainText('a handful')
  await expect(herb).toHaveValue('a handful')

  // By the other school it is near, and said why.
  await herb.fill('55 g')
  await say.dblclick()
  const verdict = page.getByRole('status').filter({ hasText: 'of herb' })
  await expect(verdict).toContainText('Near.')
  await expect(verdict).toContainText('Both are in use')
  await expect(work.getByRole('button', { name: /^Weigh the herb/ })).toContainText('Near')
  // Another answer is not judged yet.
  await herb.fill('60')
  await expect(verdict).toHaveCount(0)
  await say.click()
  await expect(verdict).toContainText('Right.')
  await expect(verdict).toContainText('60 g of herb.')

  await page.getByRole('button', { name: 'Next: weigh the oil' }).click()
  await expect(page.getByRole('heading', { name: 'Weigh the oil' })).toBeFocused()
  await page.getByLabel('How much oil do you weigh?').fill('300 g')
  await say.click()
  await expect(page.getByText('oil is lighter than water').first()).toBeVisible()
  await page.getByRole('button', { name: 'Try it again' }).click()
  await expect(say).toBeEnabled()

  // By the keyboard alone: the smallest jar, and the one after it.
  await page.getByRole('button', { name: 'Choose the jar' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Choose the jar' })).toBeFocused()
  await page.keyboard.press('Tab')
  await page.keyboard.press('Space')
  await page.keyboard.press('ArrowDown')
  await expect(page.getByLabel('pint jar')).toBeChecked()
  await page.keyboard.press('Enter')
  await expect(page.getByText('The pint jar.')).toBeVisible()

  // Left and come back to, it is as it was, and the next jar is another.
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Choose the jar' })).toBeVisible()
  await expect(page.getByText('The pint jar.')).toBeVisible()
  await work.getByRole('button', { name: 'Begin in time' }).click()
  await page.getByRole('radio').nth(1).check()
  await say.click()
  await page.getByRole('link', { name: 'Another jar' }).last().click()
  await expect(page).toHaveURL(/\/practice\/2$/)
  await expect(page.getByText('self-heal in olive oil')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Weigh the herb' })).toBeVisible()
  await expect(work.getByText('Right')).toHaveCount(0)

  // Nothing of it is in the house.
  await page.goto(`${house}/today`)
  await expect(page.getByText('Nothing is steeping here yet.')).toBeVisible()
})

test('a jar that there is not is said so', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/practice/61`)
  await expect(page.getByText('There is no such thing here')).toBeVisible()
})
