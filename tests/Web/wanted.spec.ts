import { expect, test } from '@playwright/test'
import { ownHouse } from './support'

test('a salve wanted by a day: from the oil that is not begun to what is to be done when', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/melt`)
  await page.getByRole('button', { name: 'a day it is wanted by' }).click()
  // A day that has gone is refused where it is typed, and what was typed stays.
  await page.getByLabel('Ready by').fill('2026-11-20')
  await expect(page.getByRole('alert').first()).toContainText('has gone by')
  await page.getByLabel('Ready by').fill('2026-12-20')
  await page.getByRole('button', { name: 'That is it' }).click()
  await expect(page.getByRole('region', { name: 'Its days' })).toContainText('make it, from then on at the latest')

  await page.getByRole('button', { name: /olive oil/ }).click()
  await page.getByLabel('Oil', { exact: true }).selectOption('An oil still to be infused')
  await page.getByLabel('By', { exact: true }).selectOption({ label: 'double boiler' })
  await page.getByRole('button', { name: 'That is it' }).click()
  await expect(page.getByRole('region', { name: 'Its days' })).toContainText('begin the new calendula oil')
  // What has no oil yet is not begun, and says what to do instead.
  await expect(page.getByRole('button', { name: 'Begin this salve' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Keep it for its day' }).dblclick()
  await expect(
    page.getByRole('region', { name: 'Wanted by a day' }).getByText('Calendula salve', { exact: true }),
  ).toHaveCount(1)

  // Its oil is put on the Bench, with how much and by when, and begun for it.
  await page.getByRole('button', { name: /^Put it on the Bench/ }).click()
  await expect(page.getByText('An oil for the calendula salve that is wanted by a day.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'ready by Friday 18 December' })).toBeVisible()
  const read = page.getByLabel('I have read this')
  if ((await read.count()) > 0) await read.first().check()
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Calendula')
  await page.goto(`${house}/melt`)
  const card = page.getByRole('region', { name: 'Wanted by a day' })
  await expect(card.getByText(/in its bottles on/)).toBeVisible()
  await expect(card.getByRole('button', { name: /^Put it on the Bench/ })).toHaveCount(0)

  // Looked at again it is the same one, and can be wanted otherwise.
  await card.getByRole('button', { name: /^Look at it/ }).click()
  await expect(page.getByText('This is the calendula salve that is wanted by a day.')).toBeVisible()
  await page.getByRole('button', { name: 'Keep it for its day' }).click()
  await expect(card.getByText('Calendula salve', { exact: true })).toHaveCount(1)
  await card.getByRole('button', { name: /^Not wanted/ }).click()
  await expect(card).toHaveCount(0)
})

const STALE = JSON.stringify({ id: '01kz0000000000000000000009', name: 'Salve', oil: 0 })

test('begun on the Bench for something else, an oil is no oil of it', async ({ page }) => {
  const house = await ownHouse(page)
  await page.evaluate((it) => sessionStorage.setItem('kettle.wanted.bench', it), STALE)
  await page.goto(`${house}/bench`)
  await page.getByRole('button', { name: 'Not for that' }).click()
  await expect(page.getByText('that is wanted by a day')).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Start this batch' })).toBeVisible()
  await expect(page.getByText('that is wanted by a day')).toHaveCount(0)
  // Nor is a batch that is put there to be made again.
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Calendula')
  await page.evaluate((it) => sessionStorage.setItem('kettle.wanted.bench', it), STALE)
  await page.getByRole('button', { name: 'Repeat' }).click()
  await expect(page.getByRole('button', { name: 'Start this batch' })).toBeVisible()
  await expect(page.getByText('that is wanted by a day')).toHaveCount(0)
})
