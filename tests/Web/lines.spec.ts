import { expect, test } from '@playwright/test'
import { ownHouse } from './support'

test('a cupboard is filled in one go, a line for each, and what was guessed is seen before it is kept', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/stores/new`)
  const lines = page.getByLabel('A line for each, as on a lid')
  await lines.fill('260 g calendula, dried, walled garden, 27 July, 8.50\nheather\n1 L olive oil, £9')
  const read = page.getByRole('list', { name: 'What was understood' }).getByRole('listitem')
  await expect(read).toHaveCount(3)
  await expect(read.nth(0)).toContainText('from walled garden')
  await expect(read.nth(0)).toContainText('got 27 July 2026, guessed')
  await expect(read.nth(1)).toContainText('How much it is was not said.')
  // What was typed outlives the page.
  await page.reload()
  await expect(lines).toHaveValue(/heather/)
  // The clear ones go in, once; what is not clear stays where it is typed.
  await page.getByRole('button', { name: 'Put the 2 that are clear in Stores' }).dblclick()
  await expect(lines).toHaveValue('heather')
  await expect(page.getByRole('button', { name: 'Put it in Stores' }).first()).toBeDisabled()
  await lines.fill('80 g heather, 3/4/2026\nyarrow, 40 g')
  await expect(read.nth(0)).toContainText('noted: 3/4/2026')
  await page.getByRole('button', { name: 'Put all 2 in Stores' }).dblclick()
  await expect(page).toHaveURL(/\/stores$/)
  await expect(page.getByRole('link', { name: /^Heather/i })).toHaveCount(1)
  await expect(page.getByRole('link', { name: /^Calendula/i })).toHaveCount(1)
  await expect(page.getByRole('link', { name: /^Olive oil/i })).toHaveCount(1)
})

test('a line goes into the long form for what is missing', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/stores/new`)
  await page.getByLabel('A line for each, as on a lid').fill('yarrow, dried, the moor')
  await page.getByRole('button', { name: /^In the long form: yarrow/ }).click()
  await expect(page.getByLabel('Of what')).toHaveValue('yarrow')
  await expect(page.getByLabel('Where')).toHaveValue('the moor')
  await page.getByLabel('How much was got').fill('90 g')
  await page.getByRole('button', { name: 'Put it in Stores' }).last().click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/yarrow/i)
})

test('a jar that stands already is put on the Shelf, with its days from then', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/bench?herb=calendula`)
  await page.getByRole('button', { name: /^when:/ }).click()
  await page.getByLabel('Or it stands already, since').fill('2026-12-24')
  await expect(page.getByText(/was begun today or before/).first()).toBeVisible()
  await page.getByLabel('Or it stands already, since').fill('2026-11-03')
  await page.getByRole('button', { name: 'That is it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('begun Tuesday 3 November')
  await page.getByRole('button', { name: 'It stands: put it on the Shelf' }).dblclick()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Calendula')
  await page.goto(`${house}/shelf`)
  await expect(page.getByText('Steeping').first()).toBeVisible()
  await expect(page.getByRole('link', { name: /Calendula/ })).toHaveCount(1)
})
