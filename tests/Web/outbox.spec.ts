import { type BrowserContext, expect, type Page, test } from '@playwright/test'
import { begun, clock, ownHouse, written } from './support'

// Here the pages' worker is let in.
test.use({ serviceWorkers: 'allow' })

/** An hour after what is written first, so that what was done in between lies between. */
const LATER = '2026-11-24T11:10:00Z'

/** A house with one jar that stands filled; answers with the address of its page. */
async function filledJar(page: Page): Promise<string> {
  const house = await ownHouse(page)
  await page.goto(house + '/bench')
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  const batch = page.url()
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await write(page, batch, 'tasks', { task: 'fill', outcome: 'done' })
  await page.reload()
  await expect(page.getByText('Shake the calendula', { exact: true })).toBeVisible()
  return batch
}

/** As from another device: what is written there is written whatever becomes of the network here. */
async function write(page: Page, batch: string, what: string, body: object) {
  const path = new URL(batch).pathname.replace('/h/', '/api/houses/').replace('/batch/', '/batches/')
  const answer = await written(page, 'POST', `${path}/${what}`, body)
  expect(answer.status(), await answer.text()).toBe(200)
}

/** A jar that was shaken without a network, and is not told of yet. */
async function shakenOffline(page: Page, context: BrowserContext): Promise<string> {
  const batch = await filledJar(page)
  await clock(page, LATER)
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(waits(page, 'One thing')).toBeVisible()
  return batch
}

/** A jar at the press whose weeks have gone by, where no network is. */
async function readyJar(page: Page, context: BrowserContext): Promise<string> {
  const batch = await filledJar(page)
  await clock(page, '2026-12-29T12:00:00Z')
  await page.goto(batch.replace('/batch/', '/press/'))
  await expect(page.getByLabel('What came out')).toBeVisible()
  await context.setOffline(true)
  return batch
}

const logbook = (page: Page) => page.locator('#note-box').locator('xpath=..').getByRole('listitem')

const waits = (page: Page, many: string) => page.getByText(`${many} that you wrote down here`)

async function note(page: Page, text: string) {
  await page.getByLabel('A note').fill(text)
  await page.getByRole('button', { name: 'Write it down', exact: true }).click()
}

test('what is done without a network is kept over a closed page, and sent in order, once each, as of then', async ({
  page,
  context,
}) => {
  const batch = await shakenOffline(page, context)
  // Nobody presses it again: it says that it is done.
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toHaveCount(0)
  await note(page, 'Smells of hay')
  await expect(waits(page, '2 things')).toBeVisible()
  await expect(page.getByLabel('A note')).toHaveValue('')
  await expect(logbook(page).nth(0)).toContainText('“Smells of hay”')
  await expect(logbook(page).nth(1)).toContainText('Shake the calendula: done')
  await expect(logbook(page).nth(1)).toContainText('it waits to be sent')

  await page.close()
  const again = await context.newPage()
  await again.goto(batch)
  await expect(waits(again, '2 things')).toBeVisible()
  await again.getByRole('button', { name: 'See them' }).click()
  await expect(again.getByRole('dialog').getByRole('listitem')).toHaveText([
    /^Shake the calendula: doneDone today at \d\d:\d\d; it waits to be sent.$/,
    /^Calendula in .*: “Smells of hay”Done today/,
  ])
  await again.keyboard.press('Escape')

  const posted: string[] = []
  again.on('request', (request) => {
    if (request.method() === 'POST') posted.push(`${request.url().split('/').pop()} ${request.headers()['done-ago']}`)
  })
  await context.setOffline(false)
  await expect(again.getByText(/waits? to be sent/)).toHaveCount(0)
  await expect(logbook(again).nth(0)).toContainText('Note: Smells of hay')
  await expect(logbook(again).nth(1)).toContainText('Shaken')
  expect(posted.map((each) => each.split(' ')[0])).toEqual(['tasks', 'notes'])
  for (const each of posted) expect(Number(each.split(' ')[1])).toBeLessThan(120)
  await again.reload()
  await expect(logbook(again).filter({ hasText: 'Smells of hay' })).toHaveCount(1)
})

test('of what somebody else did meanwhile both sides are shown, and its person decides', async ({ page, context }) => {
  const batch = await shakenOffline(page, context)
  await write(page, batch, 'notes', { note: 'Broken, of all things', corrects: null })
  await write(page, batch, 'discard', { reason: 'It fell' })
  await context.setOffline(false)
  await expect(page.getByText('One thing that you wrote down here was not taken by the house.')).toBeVisible()
  await page.getByRole('button', { name: 'See and decide' }).click()
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByText('shake', { exact: false }).first()).toBeVisible()
  await expect(sheet.getByRole('heading', { name: /^Yours, today at/ })).toBeVisible()
  await expect(sheet.getByRole('heading', { name: 'In the house now' })).toBeVisible()
  await expect(sheet.getByText(/It fell/)).toBeVisible()
  await expect(sheet.getByText(/Broken, of all things/)).toBeVisible()
  // By the keyboard alone.
  await sheet.getByRole('button', { name: 'Keep it as a note' }).focus()
  await page.keyboard.press('Enter')
  await expect(sheet.getByText('All of it is in the house now.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(logbook(page).nth(0)).toContainText('Note: Shake the calendula: done')
  await expect(waits(page, 'One thing')).toHaveCount(0)
})

test('what is refused can be let go, and is asked twice', async ({ page, context }) => {
  const batch = await shakenOffline(page, context)
  await write(page, batch, 'discard', { reason: 'It fell' })
  await context.setOffline(false)
  await page.getByRole('button', { name: 'See and decide' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('button', { name: 'Let it go' }).click()
  await sheet.getByRole('button', { name: 'Yes, let it go' }).click()
  await expect(sheet.getByText('All of it is in the house now.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(waits(page, 'One thing')).toHaveCount(0)
  await expect(logbook(page).filter({ hasText: 'Shake' })).toHaveCount(0)
})

test('where answers are lost on the way it is kept here, and done once', async ({ page }) => {
  await filledJar(page)
  await clock(page, LATER)
  let lost = 5
  await page.route('**/notes', async (route) => {
    if (lost === 0) return route.continue()
    lost -= 1
    // Done, and its answer cut off.
    await route.fetch()
    return route.abort()
  })
  await note(page, 'Only once')
  await expect(waits(page, 'One thing')).toBeVisible()
  await expect(page.getByLabel('A note')).toHaveValue('')
  await expect(waits(page, 'One thing')).toHaveCount(0, { timeout: 20_000 })
  expect(lost).toBe(0)
  await page.reload()
  await expect(logbook(page).filter({ hasText: 'Only once' })).toHaveCount(1)
})

test('a jar strained without a network is strained as of then, and not asked again', async ({ page, context }) => {
  const batch = await readyJar(page, context)
  const press = batch.replace('/batch/', '/press/')
  await page.getByLabel('What came out').fill('300 mL')
  await page.getByRole('button', { name: 'Write it down', exact: true }).click()
  await expect(
    page.getByText(/strained, 300 mL came out; \w+; through .+\. Today at \d\d:\d\d, on this device/),
  ).toBeVisible()
  await expect(page.getByLabel('What came out')).toHaveCount(0)
  await page.goto(press)
  await expect(page.getByText(/strained, 300 mL came out/)).toBeVisible()
  await context.setOffline(false)
  await expect(page.getByText(/strained, 300 mL came out; /)).toHaveCount(0)
  await page.goto(batch)
  await expect(logbook(page).first()).toContainText('Strained: 300 mL')
})

test('what the house does not take stands in the form again, whole, and is put right there', async ({
  page,
  context,
}) => {
  const batch = await readyJar(page, context)
  await page.getByLabel('What came out').fill('a jugful')
  await page.getByLabel('The spent herb weighs').fill('61 g')
  await page.getByLabel('Got out').selectOption('squeezed')
  await page.getByLabel('Anything to remember').fill('It smelled of hay')
  await page.getByRole('button', { name: 'Write it down', exact: true }).click()
  const said = /strained, a jugful came out; squeezed; through .+; the spent herb weighs 61 g; .*It smelled of hay/
  await expect(page.getByText(said)).toBeVisible()
  await context.setOffline(false)
  await expect(page.getByText(/^The house did not take what was written down on this device/)).toBeVisible()
  await expect(page.getByText(said)).toBeVisible()
  // A day went by: it counts as of when it was done.
  await clock(page, '2026-12-30T12:00:00Z')
  await page.getByRole('button', { name: 'Put it right here' }).click()
  await expect(page.getByText(/^It counts as of when it was done, /)).toBeVisible()
  await expect(page.getByLabel('What came out')).toHaveValue('a jugful')
  await expect(page.getByLabel('The spent herb weighs')).toHaveValue('61 g')
  await expect(page.getByLabel('Got out')).toHaveValue('squeezed')
  await expect(page.getByLabel('Anything to remember')).toHaveValue('It smelled of hay')
  await page.getByLabel('What came out').fill('300 mL')
  await page.getByRole('button', { name: 'Write it down', exact: true }).click()
  // In, before the page is left.
  await expect(page.getByRole('heading', { name: 'Let it settle' })).toBeVisible()
  await expect(waits(page, 'One thing')).toHaveCount(0)
  await page.goto(batch)
  await expect(logbook(page).first()).toContainText('Strained: 300 mL')
  await expect(logbook(page).first()).toContainText('It smelled of hay')
})

test('a mark of a pot and a weighing that were not taken are put right where they were written', async ({
  page,
  context,
}) => {
  const house = await ownHouse(page)
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  const sent: string[] = []
  context.on('request', (request) => {
    const { amount, level } = (request.postDataJSON() ?? {}) as { amount?: string; level?: string }
    const ago = Number(request.headers()['done-ago'] ?? -1)
    if (request.method() === 'POST' && (amount ?? level))
      sent.push(`${amount ?? level}: ${ago >= 0 ? 'as of then' : 'now'}`)
  })

  await page.goto(`${house}/boil`)
  await page.getByRole('button', { name: 'Begin the decoction' }).click()
  await expect(page.getByText('Put it over the flame.')).toBeVisible()
  await page.getByRole('button', { name: 'Over the flame' }).click()
  await expect(page.getByRole('button', { name: 'Off, covered' })).toBeVisible()
  await clock(page, LATER)
  await context.setOffline(true)
  await page.getByLabel('There is').fill('a good deal')
  await page.getByLabel('At', { exact: true }).fill('10:40')
  await page.getByRole('button', { name: 'Write a mark' }).click()
  await expect(waits(page, 'One thing')).toBeVisible()
  await expect(page.getByLabel('There is')).toHaveValue('')
  await context.setOffline(false)
  await page.getByRole('button', { name: 'See and decide' }).click()
  await page.getByRole('link', { name: 'Put it right where it was written' }).click()
  await page.getByRole('button', { name: 'Put it right here' }).click()
  await expect(page.getByLabel('There is')).toHaveValue('a good deal')
  await expect(page.getByLabel('At', { exact: true })).toHaveValue('10:40')
  // Left and come back to, it is still there.
  await page.reload()
  await page.getByRole('button', { name: 'Put it right here' }).click()
  await page.getByLabel('There is').fill('7 L')
  await page.getByRole('button', { name: 'Write a mark' }).click()
  await expect(page.getByText('Mark: 7 L', { exact: true }).first()).toBeVisible()
  await expect(waits(page, 'One thing')).toHaveCount(0)

  await begun(page, house)
  const step = page.locator('[aria-current=step]')
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(step).toContainText('olive oil')
  await context.setOffline(true)
  await step.getByLabel('What went in').fill('a bit more')
  await step.getByRole('button', { name: 'It is in', exact: true }).click()
  await expect(step).toContainText('eeswax')
  await context.setOffline(false)
  // Not taken, it is the step that is next again.
  await step.getByRole('button', { name: 'Put it right here' }).click()
  await expect(step.getByLabel('What went in')).toHaveValue('a bit more')
  await step.getByRole('button', { name: 'As of now instead' }).click()
  await step.getByLabel('What went in').fill('68 g')
  await step.getByRole('button', { name: 'It is in', exact: true }).click()
  await expect(page.getByText('Olive oil: 68 g in', { exact: true }).first()).toBeVisible()
  await expect(waits(page, 'One thing')).toHaveCount(0)
  expect(sent).toContain('7 L: as of then')
  expect(sent).toContain('68 g: now')
})

test('what was seen under a lid is in the note that is kept of it', async ({ page, context }) => {
  const batch = await filledJar(page)
  await page.goto(batch.replace(/\/batch\/.+/, '/today'))
  await clock(page, '2026-12-01T11:10:00Z')
  await page.reload()
  await page.getByRole('button', { name: 'Looked at' }).first().click()
  await context.setOffline(true)
  await page.getByLabel(/^Fur on it/).check()
  await page.getByRole('dialog').getByRole('button', { name: 'Write it down' }).click()
  await expect(waits(page, 'One thing')).toBeVisible()
  await write(page, batch, 'discard', { reason: 'It fell' })
  await context.setOffline(false)
  await page.getByRole('button', { name: 'See and decide' }).click()
  await page.getByRole('button', { name: 'Keep it as a note' }).click()
  await expect(page.getByText('All of it is in the house now.')).toBeVisible()
  await page.goto(batch)
  await expect(logbook(page).first()).toContainText('seen: Fur on it')
})

test('a pot is gone on with step by step without a network, until the house is to say what follows', async ({
  page,
  context,
}) => {
  const house = await ownHouse(page)
  await begun(page, house)
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.reload()
  await expect(page.getByText('begun, nothing weighed yet')).toBeVisible()
  await clock(page, LATER)
  await context.setOffline(true)
  const step = page.locator('[aria-current=step]')
  const press = (name: string) => step.getByRole('button', { name, exact: true }).click()
  // Pressed twice, as hands do: the second press is not of what comes next.
  await step.getByRole('button', { name: 'Done', exact: true }).dblclick()
  await expect(step).toContainText('olive oil')
  await expect(waits(page, 'One thing')).toBeVisible()
  await step.getByLabel('What went in').fill('68 g')
  await press('It is in')
  await expect(step).toContainText('eeswax')
  await press('It is in')
  await step.getByLabel('How warm it was').fill('68')
  await press('Done')
  await expect(waits(page, '4 things')).toBeVisible()
  const steps = page.getByRole('list').filter({ has: step })
  await expect(steps.getByRole('listitem').filter({ hasText: 'it waits to be sent' })).toHaveCount(4)
  // Too soft: what goes in then is reckoned by the house.
  await step.getByRole('radio', { name: /^Too soft/ }).check()
  await press('Write it down')
  await expect(waits(page, '5 things')).toBeVisible()
  await expect(step.getByRole('radio', { name: /^Too soft/ })).toBeVisible()

  await context.setOffline(false)
  await expect(page.getByText('that you wrote down here')).toHaveCount(0)
  await expect(page.getByText('Too soft: put in', { exact: false })).toBeVisible()
  await expect(page.getByText('Olive oil: 68 g in', { exact: true })).toBeVisible()
  await expect(page.getByText('Melted, at 68 °C', { exact: true })).toBeVisible()
})

test('two pages of one browser send each thing once', async ({ page, context }) => {
  const batch = await filledJar(page)
  await clock(page, LATER)
  const other = await context.newPage()
  await other.goto(batch)
  await expect(logbook(other).first()).toBeVisible()
  const posted: string[] = []
  context.on('request', (request) => {
    if (request.method() === 'POST' && request.headers()['done-ago']) posted.push(request.postData() ?? '')
  })
  await context.setOffline(true)
  for (const text of ['first', 'second', 'third']) {
    await note(page, text)
    await expect(page.getByLabel('A note')).toHaveValue('')
  }
  // The other page knows of them too.
  await expect(waits(other, '3 things')).toBeVisible()
  posted.length = 0
  await context.setOffline(false)
  await expect(page.getByText(/waits? to be sent/)).toHaveCount(0)
  await expect(other.getByText(/waits? to be sent/)).toHaveCount(0)
  await page.reload()
  for (const [at, text] of ['third', 'second', 'first'].entries())
    await expect(logbook(page).nth(at)).toContainText(`Note: ${text}`)
  await expect(logbook(page).filter({ hasText: 'Note:' })).toHaveCount(3)
  expect(new Set(posted).size).toBe(posted.length)
})

test('who signs out is told of what is not in the house yet, and it is gone then', async ({ page, context }) => {
  const batch = await filledJar(page)
  await clock(page, LATER)
  const house = batch.replace(/\/batch\/.*/, '')
  await page.goto(house + '/house')
  await expect(page.getByRole('button', { name: 'Sign out', exact: true })).toBeVisible()
  await page.goto(batch)
  await context.setOffline(true)
  await note(page, 'Not for others')
  await expect(waits(page, 'One thing')).toBeVisible()
  // Nothing goes while it is looked at: the house does not answer this.
  await page.route('**/notes', (route) => route.abort())
  await context.setOffline(false)
  await page.goto(house + '/house')
  await expect(page.getByText('on this device is not in the house yet. Signed out, that is gone.')).toBeVisible()
  await page.getByRole('button', { name: 'Sign out all the same' }).click()
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  const left = () =>
    page.evaluate(
      () =>
        new Promise((told) => {
          const open = indexedDB.open('kettle')
          open.onsuccess = () => {
            const all = open.result.transaction('unsent').objectStore('unsent').getAll()
            all.onsuccess = () => told(all.result.length)
          }
        }),
    )
  await expect.poll(left).toBe(0)
})
