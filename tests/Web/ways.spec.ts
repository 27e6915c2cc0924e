import { expect, test } from '@playwright/test'
import { ownHouse, thatIsIt } from './support'

test('a slow cooker at 38 °C for six to eight hours, cooled uncovered, stood and strained twice', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/bench')
  await page.getByRole('button', { name: /^the way:/ }).click()
  await page.getByRole('radio', { name: /slow cooker/ }).click()
  await page.getByRole('button', { name: /^how long:/ }).click()
  await page.getByLabel('Or hours of your own').fill('6 to 8 h')
  await page.getByLabel('at a warmth of').fill('90')
  await expect(page.getByText('hold it at 69 °C at the most').first()).toBeVisible()
  await page.getByLabel('at a warmth of').fill('38')
  await page.getByLabel('Then left to stand off the heat').fill('3 h')
  await page.getByLabel(/Cooled uncovered/).check()
  await thatIsIt(page)
  await page.getByRole('button', { name: /^how it is got out:/ }).click()
  await page.getByLabel(/Strained twice/).check()
  await thatIsIt(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'for 7 h at 38 °C, standing 3 h off the heat, then squeezed and strained twice',
  )
  await expect(page.getByText('expect a weaker oil')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('7 h at 38 °C')
  // What was set for one way is not carried into another.
  await page.getByRole('button', { name: /^the way:/ }).click()
  await page.getByRole('radio', { name: /^cold/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('standing')
  await page.getByRole('button', { name: /^the way:/ }).click()
  await page.getByRole('radio', { name: /slow cooker/ }).click()
  await page.getByRole('button', { name: /^how long:/ }).click()
  await page.getByLabel('Or hours of your own').fill('7')
  await thatIsIt(page)
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByText('for 7 h at 49 °C').first()).toBeVisible()
})
