import { expect, type Page, test } from '@playwright/test'
import { begun, demo, ownHouse, tabTo } from './support'

const next = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).first().click()

test('a salve from the first weighing to the tin that is given away', async ({ page }) => {
  const house = await ownHouse(page)
  await begun(page, house)
  await expect(page.getByText('begun, nothing weighed yet')).toBeVisible()
  await next(page, 'Done')
  await expect(page.getByText(/^All wiped dry\./)).toBeVisible()

  // Weighed otherwise than planned, and once wrongly: what was typed stays, and says what is wrong.
  await next(page, 'It is in')
  await expect(page.getByText(/^Olive oil: \d+ g in$/)).toBeVisible()
  await page.getByLabel('What went in').fill('a bit')
  await next(page, 'It is in')
  await expect(page.getByRole('alert')).toContainText('a bit')
  await page.getByLabel('What went in').fill('17 g')
  await next(page, 'It is in')
  await expect(page.getByText('Beeswax: 17 g in', { exact: true })).toBeVisible()
  await page.getByLabel('How warm it was').fill('68')
  await next(page, 'Done')
  await expect(page.getByText('Melted, at 68 °C', { exact: true })).toBeVisible()

  // Too soft; mended by what it says; tried again, and right.
  await page.getByRole('radio', { name: /^Too soft/ }).check()
  await page.getByLabel('Went with the spoon').fill('2 g')
  await next(page, 'Write it down')
  await expect(page.getByText('Too soft: put in', { exact: false })).toBeVisible()
  await next(page, 'That is in')
  await expect(page.getByText(/^Mended: .* beeswax put in$/)).toBeVisible()
  await expect(page.getByText('Mended once.', { exact: false })).toBeVisible()
  await page.getByRole('radio', { name: /^Right/ }).check()
  await next(page, 'Write it down')
  await expect(page.getByText('The cold spoon: right', { exact: true })).toBeVisible()

  // More drops than the skin should bear are refused by number.
  await page.getByLabel('Of lavender').fill('200')
  await next(page, 'It is in')
  await expect(page.getByRole('alert')).toContainText(/At most \d+ drops go in/)
  await next(page, 'Done')

  // More tins than there is in the pot, then as many as there are.
  await page.getByLabel('Tins of 30 mL').fill('40')
  await next(page, 'Poured')
  await expect(page.getByRole('alert')).toContainText('in the pot')
  await page.getByLabel('Tins of 30 mL').fill('3')
  await page.getByLabel('Where they stand').fill('the sill')
  await page.reload()
  await expect(page.getByLabel('Tins of 30 mL')).toHaveValue('3')
  await expect(page.getByLabel('Where they stand')).toHaveValue('the sill')
  await next(page, 'Poured')
  await expect(page.getByText('Tins, 3 of 3 here')).toBeVisible()

  await page.getByRole('button', { name: 'Use, give or sell number 2' }).click()
  await page.getByLabel('It is', { exact: true }).selectOption('given')
  await page.getByLabel('To whom').fill('the neighbour')
  await page.getByRole('dialog').getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('Tins, 2 of 3 here')).toBeVisible()
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Tins, 3 of 3 here')).toBeVisible()

  // It is on the Shelf, and found by its code.
  await page.goto(`${house}/shelf`)
  await expect(page.getByRole('link', { name: /^Salve/ })).toContainText('3 of 3, the sill')
})

test('what is done twice is done once, and what is undone comes back to its bottle', async ({ page }) => {
  const house = await demo(page)
  const id = house.split('/h/')[1] ?? ''
  const bottled = async () =>
    (await (await page.request.get(`/api/houses/${id}/melt`)).json()).bottled.find((each: { name: string }) =>
      each.name.startsWith('lemon thyme'),
    )
  const before = await bottled()
  await page.evaluate(
    ([store, text]) => localStorage.setItem(store ?? '', text ?? ''),
    [`kettle.melt.${id}`, JSON.stringify({ product: 'salve', oils: [{ batch: before.id, amount: '30 mL' }] })],
  )
  await page.goto(`${house}/melt`)
  const begin = page.getByRole('button', { name: 'Begin this salve' })
  await expect(begin).toBeEnabled()
  await begin.dblclick()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Lemon thyme salve')
  expect((await bottled()).left_text).not.toBe(before.left_text)
  await page.getByRole('button', { name: 'Throw it away' }).click()
  await page.getByLabel('Why').fill('no time today')
  await page.getByRole('dialog').getByRole('button', { name: 'Throw it away' }).click()
  await expect(page.getByText('thrown away', { exact: true })).toBeVisible()
  expect((await bottled()).left_text).toBe(before.left_text)
})

test('a bad lot is followed to whoever has some of it', async ({ page }) => {
  const house = await demo(page)
  await page.goto(`${house}/stores`)
  await page.getByRole('link', { name: /^Sesame oil/ }).click()
  await page.getByRole('link', { name: 'Follow it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sesame oil')
  await expect(page.getByText('Tell the lighthouse')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Whom to tell' })).toBeVisible()
  await page.getByRole('link', { name: /^P26-\d+, Juniper berry massage oil/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Juniper berry massage oil')
  await expect(page.getByText('past its day', { exact: false }).first()).toBeVisible()
  // From whoever has a tin, back to the plant; and the same pot twice as large.
  await page.getByRole('link', { name: 'the lighthouse', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The lighthouse')
  const theirs = page.getByRole('region', { name: 'What was given or sold to them' })
  await expect(theirs.getByRole('link')).toHaveText([/^no\. 1 of P26-\d+$/])
  await expect(page.getByRole('region', { name: 'What it came from' })).toContainText('sesame oil')
  await theirs.getByRole('link').click()
  await page.getByRole('button', { name: 'Twice as much' }).click()
  await expect(page).toHaveURL(/\/melt$/)
  // Of an oil that has turned nothing is made again.
  await expect(page.getByRole('alert').first()).toContainText(/juniper/i)
})

test('two products stand side by side, what differed most first', async ({ page }) => {
  const house = await demo(page)
  await page.goto(`${house}/melt`)
  await page.getByRole('link', { name: /^Heather salve/ }).click()
  await page.getByRole('link', { name: 'Follow it' }).click()
  await page
    .getByLabel('Beside')
    .selectOption({ label: await page.locator('option', { hasText: 'Calendula salve' }).innerText() })
  await expect(page.getByRole('rowheader', { name: 'Poured from' })).toBeVisible()
  await expect(page.getByText('more things were the same', { exact: false })).toBeVisible()
})

test('a tin has its label, and a lid a round one', async ({ page }) => {
  const house = await demo(page)
  await page.goto(`${house}/melt`)
  await page.getByRole('link', { name: /^Heather salve/ }).click()
  await page.getByRole('link', { name: 'Labels' }).click()
  const label = page.getByRole('article', { name: 'The label' })
  await expect(label).toContainText('Contains bee products')
  await expect(label).toContainText(/2\d g \((0\.9|1) oz\)\s+no\. 2/)
  await page.getByLabel('Sheet or roll').selectOption('a4-round-60')
  await expect(page.getByRole('button', { name: 'Begin at label 12' })).toBeVisible()
  await page.getByRole('radio', { name: 'by their INCI names' }).check()
  await expect(label).toContainText('Cera Alba')
  const [file] = await Promise.all([
    page.request.get((await page.getByRole('link', { name: 'Tin labels, PDF' }).getAttribute('href')) ?? ''),
  ])
  expect(file.headers()['content-type']).toBe('application/pdf')
})

test('a salve is kept as a recipe, and planned from it again', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/melt`)
  await expect(page.getByRole('button', { name: 'Begin this salve' })).toBeEnabled()
  await page.getByRole('button', { name: 'Keep as a recipe' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Harbour balm')
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harbour balm')
  await page.getByRole('button', { name: 'Put it at the melt' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('tins of salve')
})

test('by keyboard alone', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/melt`)
  await expect(page.getByRole('button', { name: 'Begin this salve' })).toBeEnabled()
  await page.keyboard.press('Shift+S')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Salve')
  for (const done of ['All wiped dry', 'Olive oil:', 'Beeswax:', 'Melted']) {
    await page.keyboard.press('Shift+D')
    await expect(page.getByRole('listitem').filter({ hasText: new RegExp(`^${done}`) })).toBeVisible()
  }
  await tabTo(page, /^Too soft/)
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('radio', { name: /^Right/ })).toBeChecked()
  await tabTo(page, /^Write it down/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('The cold spoon: right', { exact: true })).toBeVisible()
})

test('fresh leaf in the ointment is watched at the Stove and sieved', async ({ page }) => {
  const house = await ownHouse(page)
  await begun(page, house, {
    essential_oils: undefined,
    leaf: { id: 'plantain-leaf', amount: '30 g' },
    read: true,
    name: 'Plantain leaf salve',
  })
  await next(page, 'Done')
  await next(page, 'It is in')
  await expect(page.getByText(/^Olive oil: \d+ g in$/)).toBeVisible()
  await next(page, 'It is in')
  await expect(page.getByText(/^Beeswax: [\d.]+ g in$/)).toBeVisible()
  await next(page, 'Done')
  await expect(page.getByText('Melted', { exact: true })).toBeVisible()
  await page.getByLabel('How warm it was').fill('55')
  await next(page, 'Done')
  await expect(page.getByText('The leaf stirred in, at 55 °C', { exact: true })).toBeVisible()
  // At the Stove, by the clock; a warmth that is none is refused, and stays.
  await page.goto(`${house}/stove`)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('An ointment has leaf in it.')
  await page.getByLabel('How warm it is').fill('lukewarm')
  await page.getByRole('button', { name: 'Stirred' }).click()
  await expect(page.getByText(/lukewarm/)).toBeVisible()
  await expect(page.getByLabel('How warm it is')).toHaveValue('lukewarm')
  await page.getByLabel('How warm it is').fill('95')
  await page.getByRole('button', { name: 'Stirred' }).click()
  await expect(page.getByText('Too warm: take it off the heat and stir it.')).toBeVisible()
  // Sieved: what came through is weighed, and the leaf is gone from the Stove.
  await page.getByRole('link', { name: /^Plantain leaf salve/ }).click()
  await page.getByLabel('What came through weighs').fill('80 g')
  await next(page, 'Sieved')
  await expect(page.getByText('Sieved; 80 g in the pot', { exact: true })).toBeVisible()
  await page.goto(`${house}/stove`)
  await expect(page.getByText('Fresh leaf in the ointment')).toHaveCount(0)
})

test('all that is left of a product is thrown away with one press', async ({ page }) => {
  const house = await ownHouse(page)
  await begun(page, house, { essential_oils: undefined })
  await page.getByRole('link', { name: 'Follow it' }).click()
  await page.getByRole('button', { name: 'All of it is thrown away' }).click()
  // Why is asked for: without it nothing is thrown away, by the keyboard too.
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.getByLabel('Why').fill('smells of paint')
  await page.getByRole('button', { name: 'It is thrown away' }).click()
  await expect(page.getByRole('button', { name: 'All of it is thrown away' })).toHaveCount(0)
  await expect(page.getByRole('status').first()).toContainText('All of it is thrown away')
})
