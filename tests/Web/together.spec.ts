import { expect, type Page, test } from '@playwright/test'
import { begun, ownHouse, written } from './support'

/** What another of the house writes, and the page as it asks again when one comes back to it. */
async function another(page: Page, method: 'POST' | 'PUT', path: string, body: object, asks: RegExp) {
  expect((await written(page, method, path, body)).status()).toBeLessThan(300)
  const asked = page.waitForResponse(asks)
  await page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')))
  await asked
}

const apiOf = (page: Page) => new URL(page.url()).pathname.replace('/h/', '/api/houses/')

test('a note of the Almanac that two write at once is told of, and neither is lost', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/almanac/plant/calendula`)
  const note = page.getByLabel('Our own note')
  await note.fill('Mine: pick it young.')
  const path = apiOf(page)
  await another(page, 'PUT', `${path}/note`, { version: 0, note: 'Theirs.' }, /almanac\/plant\/calendula$/)
  await expect(page.getByText(/last by/)).toBeVisible()
  await expect(note).toHaveValue('Mine: pick it young.')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('alert').first()).toBeVisible()
  await expect(note).toHaveValue('Mine: pick it young.')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('button', { name: 'Keep it' })).toHaveCount(0)
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.reload()
  await expect(note).toHaveValue('Mine: pick it young.')
})

test('what is typed of a jar stays when somebody writes in its logbook', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/bench`)
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  const path = apiOf(page).replace('/batch/', '/batches/')
  expect((await written(page, 'POST', `${path}/tasks`, { task: 'fill', outcome: 'done' })).status()).toBeLessThan(300)
  await page.reload()
  await page.getByRole('button', { name: 'Kept otherwise', exact: true }).click()
  const where = page.getByLabel('Where it stands')
  await where.fill('the top shelf')
  await another(page, 'POST', `${path}/notes`, { note: 'It smells of hay.' }, /batches\/[^/]+$/)
  await expect(page.getByText('It smells of hay.')).toHaveCount(1)
  await expect(where).toHaveValue('the top shelf')
  await page.getByRole('button', { name: 'Reckon it anew' }).click()
  await expect(page.getByText(/the top shelf/).first()).toBeVisible()

  // Left without being sent, it is not there as though it were so.
  await page.getByRole('button', { name: 'Kept otherwise', exact: true }).click()
  await where.fill('the cellar')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Kept otherwise', exact: true }).click()
  await expect(where).toHaveValue('the top shelf')
})

test('a weight being typed stays when somebody else does another step', async ({ page }) => {
  const house = await ownHouse(page)
  await begun(page, house)
  const path = apiOf(page).replace('/making/', '/makings/')
  await page.getByRole('button', { name: /^Set the empty jug on the scale/ }).click()
  const weight = page.getByRole('listitem').filter({ hasText: 'Set the empty jug' }).getByRole('textbox')
  await weight.first().fill('71.5 g')
  await another(page, 'POST', `${path}/notes`, { note: 'The wax is the darker one.' }, /makings\/[^/]+$/)
  await expect(page.getByText('The wax is the darker one.').first()).toBeVisible()
  await expect(weight.first()).toHaveValue('71.5 g')
})

test('a token that has grown old loses nothing: it is given anew, and the same is sent once more', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/almanac/plant/calendula`)
  const old = async () => {
    const cookies = await page.context().cookies()
    await page
      .context()
      .addCookies(
        cookies.filter((each) => each.name === 'XSRF-TOKEN').map((each) => ({ ...each, value: 'of-long-ago' })),
      )
  }
  const note = page.getByLabel('Our own note')
  await note.fill('Mine: pick it young.')
  await old()
  const keys: (string | undefined)[] = []
  page.on('request', (request) => {
    if (request.method() === 'PUT') keys.push(request.headers()['idempotency-key'])
  })
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('button', { name: 'Keep it' })).toHaveCount(0)
  await expect(page.getByRole('alert')).toHaveCount(0)
  expect(keys).toHaveLength(2)
  expect(keys[0]).toBe(keys[1])
  await page.reload()
  await expect(note).toHaveValue('Mine: pick it young.')
})
