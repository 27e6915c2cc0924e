import { expect, type Page, test } from '@playwright/test'
import { benchWith, ownHouse, word } from './support'

/** No telephone is here to go "back" on: what the page has asked the browser to be told of is asked as it would be. */
const back = (page: Page) =>
  page.evaluate(() =>
    (window as unknown as { watching: { requestClose: () => void }[] }).watching.at(-1)?.requestClose(),
  )

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => {
    const on = window as unknown as { CloseWatcher: new () => object; watching: object[] }
    on.watching = []
    on.CloseWatcher = class extends on.CloseWatcher {
      constructor() {
        super()
        on.watching.push(this)
      }
    }
  })
  const house = await ownHouse(page)
  await benchWith(page, house, { herbs: [{ id: 'calendula' }] })
})

test('"back" shuts a sheet, and asks first where something is typed in it', async ({ page }) => {
  const sheet = page.getByRole('dialog', { name: 'Keep as a recipe' })
  const open = () => page.getByRole('button', { name: 'Keep as a recipe' }).click()
  await open()
  await expect(sheet).toBeVisible()
  await back(page)
  await expect(sheet).toHaveCount(0)
  await expect(page).toHaveURL(/\/bench$/)

  await open()
  await sheet.getByRole('textbox').first().fill('For the winter')
  await back(page)
  await expect(sheet.getByText('What is typed here is not written down yet.')).toBeVisible()
  await expect(sheet.getByRole('textbox').first()).toHaveValue('For the winter')
  await back(page)
  await expect(sheet).toHaveCount(0)
  // Shut by its own button or by Escape, it is not asked for again.
  await open()
  await page.keyboard.press('Escape')
  await expect(sheet).toHaveCount(0)
  await back(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('calendula')
})

test('"back" shuts the panel of a word, with the herb typed in it taken', async ({ page }) => {
  await word(page, /^the herb:/)
  await page.getByLabel('Find a herb, or write your own').fill('self')
  await expect(page.getByText(/^self-heal/)).toBeVisible()
  await back(page)
  await expect(page.getByLabel('Find a herb, or write your own')).toHaveCount(0)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('self-heal')
})
