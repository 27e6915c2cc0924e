import { expect, test } from '@playwright/test'
import { benchWith, ownHouse, thatIsIt, word } from './support'

/** What people bring: the jars that stand already, a jar filled as they fill it, their own spoons and their own hours. */

test('the first day: what steeps is on the Shelf, the cupboard is in Stores, and what is wanted is at the bench', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/today`)
  await page.getByRole('link', { name: 'Say what is here already' }).click()
  const jars = page.getByRole('list', { name: 'The jars' })
  await page
    .getByLabel('A line for each jar')
    .fill(
      [
        'a pint of calendula in olive, begun 3 November',
        'a quarter jar of comfrey root and a cup of sunflower oil, since last Sunday',
        'a jar of lavender in jojoba',
      ].join('\n'),
    )
  await expect(jars.locator('> li')).toHaveCount(3)
  // Without its day it is asked, and taken for none begun today.
  await expect(jars).toContainText('“a jar of lavender in jojoba”: since when?')
  await expect(jars).toContainText('begun Tuesday 3 November.')
  await expect(jars).toContainText('a quarter full with 1 cup of oil: comfrey root oil')
  // What has to be read is read first.
  const comfrey = jars.getByRole('listitem', { name: /comfrey/ }).first()
  await comfrey.getByRole('button', { name: 'Put it on the Shelf' }).click()
  await expect(comfrey).toContainText(/read/i)
  await expect(jars.locator('> li')).toHaveCount(3)
  await comfrey.getByRole('checkbox').check()
  await comfrey.getByRole('button', { name: 'Put it on the Shelf' }).click()
  await expect(page.getByText('On the Shelf:')).toContainText('Comfrey root')
  await page.reload()
  await expect(page.getByLabel('A line for each jar')).toHaveValue(/^a pint of calendula/)
  await expect(page.getByLabel('A line for each jar')).not.toHaveValue(/comfrey/)
  await jars.getByRole('button', { name: 'Put it on the Shelf' }).dblclick()
  await expect(page.getByText('On the Shelf:')).toContainText('Calendula in olive oil')

  await page
    .getByLabel('A line for each, as on a lid')
    .fill('260 g calendula, dried, walled garden, 27 July\n1 L olive oil')
  await page.getByRole('button', { name: 'Put all 2 in Stores' }).click()
  await expect(page.getByText('2 lots are in Stores.')).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('What is here already')

  await page.getByLabel('As you would say it').fill('a pint of yarrow in olive by moonlight, by 12 December')
  await page.getByRole('button', { name: 'Plan it at the bench' }).click()
  await expect(page.getByText('Not understood: moonlight')).toBeVisible()
  // What was taken for something is told before it is planned.
  await page.getByLabel('As you would say it').fill('yarrow in olive for 3 hours')
  await page.getByRole('button', { name: 'Plan it at the bench' }).click()
  await expect(page.getByText('By which way is not said: double boiler is a guess.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Plan it so' })).toBeVisible()
  await page.getByLabel('As you would say it').fill('a pint of yarrow in olive by moonlight, by Saturday 12 December')
  await page.getByRole('button', { name: 'Plan it at the bench' }).click()
  await page.getByRole('button', { name: 'Plan it without that' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('yarrow')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Saturday 12 December')

  await page.goto(`${house}/shelf`)
  await expect(page.getByRole('link', { name: /calendula/i })).toHaveCount(1)
  await expect(page.getByRole('link', { name: /comfrey/i })).toHaveCount(1)
})

test('a line that is stopped is gone on with at the bench', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/first`)
  await page.getByLabel('A line for each jar').fill('plantain leaf, wilted overnight, since last Tuesday')
  const line = page.getByRole('listitem').filter({ hasText: 'Which oil is not said' })
  await line.getByRole('button', { name: 'Go on with it at the bench' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('plantain leaf oil for the skin, wilted, in oil')
  await expect(page.getByText('Which oil is not said').first()).toBeVisible()
  // What was typed is there still.
  await page.goto(`${house}/first`)
  await expect(page.getByLabel('A line for each jar')).toHaveValue(/^plantain leaf/)
})

test('a jar filled a quarter and a cup of oil; packed; and to the brim, with what it spills', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, { herbs: [{ id: 'self-heal', state: 'fresh' }], oils: ['olive'] })
  await word(page, /^how much:/)
  await page.getByLabel('How much', { exact: true }).selectOption('by-jar')
  await page.getByRole('radio', { name: 'a quarter' }).check()
  await page.getByRole('radio', { name: 'as much as there is' }).check()
  await page.getByLabel('Oil there is').fill('1 cup')
  const sentence = page.getByRole('heading', { level: 1 })
  await expect(sentence).toContainText('a quarter full with 1 cup of oil')
  await page.getByRole('radio', { name: /^packed/ }).check()
  await expect(sentence).toContainText('packed a quarter full with 1 cup of oil')
  await page.getByRole('radio', { name: /^to the brim/ }).check()
  await expect(sentence).toContainText('packed a quarter full, with oil to the brim')
  await thatIsIt(page)
  await expect(page.getByText(/As it warms about \d+ mL runs over/)).toBeVisible()
  await expect(page.getByText(/cover the jar with a cloth/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(sentence).toContainText('Self-heal')
})

test('more oil than the jar takes is refused, with a way that leads out', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, {
    herbs: [{ id: 'calendula' }],
    oils: ['olive'],
    by_jar: { fill: 'half' },
    oil_amount: '3 L',
  })
  await expect(page.getByText(/below its headspace, and 3 L is to go in/)).toBeVisible()
  await page.getByRole('button', { name: /Pour until the oil stands an inch over it/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('half full and covered by 25 mm')
})

test('oils are measured out in one grid, and come to the oil there is', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, { herbs: [{ id: 'calendula' }], oils: ['olive', 'jojoba'] })
  await word(page, /^the oils?:/)
  await page.getByLabel('Parts or amount of the first oil').fill('200 mL')
  await page.getByLabel('Parts or amount of the second oil').fill('50 mL')
  await expect(page.getByText('together')).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('250 mL of oil')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('a fifth jojoba')
})

test('a spoon of our own is written in any amount, and hours of our own are a school', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/almanac?kind=measure`)
  await page.getByRole('link', { name: 'Enter a measure of our own' }).click()
  await page.getByLabel('Name', { exact: true }).fill('cup')
  await page.getByLabel('It holds, mL').fill('42')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText(/“cup” is a measure everywhere already/).first()).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('blue scoop')
  await page.getByRole('button', { name: 'Keep it' }).dblclick()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Blue scoop')
  await expect(page.getByText('one is 42 mL')).toBeVisible()

  await benchWith(page, house, {
    herbs: [{ id: 'calendula', amount: '3 blue scoops' }],
    oils: ['olive'],
    method: 'slow-cooker',
    hours: '6 to 8 h',
    warmth: '38',
  })
  await expect(page.getByRole('heading', { level: 1 })).toContainText('3 blue scoops of herb')
  await word(page, /^how long:/)
  await page.getByLabel('Keep as a school called').fill('low and slow')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('7 h at 38 °C, by “low and slow”')
  await thatIsIt(page)
  await page.goto(`${house}/almanac?kind=school`)
  await page.getByRole('link', { name: /Low and slow/ }).click()
  await expect(page.getByText('7 h in the slow cooker, at 38 °C.')).toBeVisible()
})

test('a picture of an old page stands beside its note', async ({ page }) => {
  const house = await ownHouse(page)
  await benchWith(page, house, { herbs: [{ id: 'calendula' }], oils: ['olive'] })
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Calendula')
  await page.getByRole('button', { name: 'With a picture' }).click()
  const field = page.getByLabel('A picture, as of an old page')
  await field.setInputFiles({ name: 'page.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') })
  await expect(page.getByText('That could not be read as a picture.')).toBeVisible()
  await field.setInputFiles('docs/screenshots/bench.png')
  await expect(page.getByAltText('As it will be kept')).toBeVisible()
  await page.getByLabel('A note', { exact: true }).fill('Green book, page 12')
  await page.getByRole('button', { name: 'Write it down' }).click()
  const line = page.getByRole('listitem').filter({ hasText: 'Green book, page 12' })
  await expect(line.getByRole('link', { name: 'its picture' })).toBeVisible()
  const picture = await page.request.get(
    (await line.getByRole('link', { name: 'its picture' }).getAttribute('href')) ?? '',
  )
  expect(picture.headers()['content-type']).toContain('image/jpeg')
})

test('a first batch is begun in eight actions and a minute, and an oil of seven oils in twenty', async ({ page }) => {
  const house = await ownHouse(page)
  let actions = 0
  const act = async (doing: Promise<unknown>) => {
    actions++
    await doing
  }
  await page.goto(`${house}/today`)
  const from = Date.now()
  await act(page.getByRole('link', { name: 'Plan at the bench' }).click())
  await expect(page.getByRole('heading', { level: 1 })).toContainText('oil for')
  await act(page.keyboard.press('t'))
  const said = page.getByLabel('As you would say it')
  await act(said.fill('a pint of calendula in olive'))
  await act(said.press('Enter'))
  await expect(page.getByRole('heading', { level: 1 })).toContainText('olive oil')
  await act(page.getByRole('button', { name: 'Start this batch' }).click())
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Calendula in olive oil')
  expect(actions).toBeLessThanOrEqual(8)
  expect(Date.now() - from).toBeLessThan(60_000)

  actions = 0
  await benchWith(page, house, { herbs: [{ id: 'rosemary' }], oils: ['olive'], purpose: 'hair' })
  await act(word(page, /^the oils?:/))
  await act(page.getByLabel('With a second oil').selectOption('jojoba'))
  await act(page.getByLabel('Parts or amount of the first oil').fill('120 mL'))
  await act(page.getByLabel('Parts or amount of the second oil').fill('60 mL'))
  const rest = ['argan', 'castor', 'sesame', 'coconut-fractionated', 'apricot-kernel']
  for (const [index, oil] of rest.entries()) {
    await act(page.getByLabel('And another').selectOption(oil))
    const which = ['third', 'fourth', 'fifth', 'sixth', 'seventh'][index]
    await act(page.getByLabel(`Parts or amount of the ${which} oil`).fill('20 mL'))
  }
  await expect(page.getByRole('heading', { level: 1 })).toContainText('280 mL of oil')
  await act(thatIsIt(page))
  await act(page.getByRole('button', { name: 'Start this batch' }).click())
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Rosemary in')
  expect(actions).toBeLessThanOrEqual(20)
})
