import { expect, type Page, test } from '@playwright/test'
import { ALONE, benchWith, clock, clockOfAll, demo, MORNING, ownHouse, tabTo } from './support'

/** Starts a slow-cooker batch at the Bench and fills its jar; answers with the address of its page. */
async function warmJar(page: Page, house: string, herb: string, more: object = {}): Promise<string> {
  await benchWith(page, house, {
    herbs: [{ id: herb }],
    oils: ['olive'],
    method: 'slow-cooker',
    school: 'usual',
    ...more,
  })
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  const address = page.url()
  await page.getByRole('button', { name: 'Done', exact: true }).first().click()
  await expect(page.getByRole('link', { name: 'To the Stove' })).toBeVisible()
  return address
}

test('a jar is warmed by eye, off for the night, on again, and taken out with its hours', async ({ page }) => {
  const house = await ownHouse(page)
  const batch = await warmJar(page, house, 'self-heal')
  await page.getByRole('link', { name: 'To the Stove' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('there is something that wants warmth')
  // What it will do stands there before it is switched on.
  await expect(page.getByText(/^Pour .* of water round them/)).toBeVisible()
  await expect(page.getByText('Settles at')).toBeVisible()
  await page.getByRole('button', { name: 'Jars in, switch it on' }).click()
  await expect(page.getByLabel('It reads, °C')).toBeVisible()
  await page.getByLabel('It reads, °C').fill('180')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText(/no warmth of this pot/)).toBeVisible()
  await expect(page.getByLabel('It reads, °C')).toHaveValue('180')
  const read = async (moment: string, warmth: string) => {
    await clock(page, moment)
    await page.getByLabel('It reads, °C').fill(warmth)
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByLabel('It reads, °C')).toHaveValue('')
  }
  await read('2026-11-24T11:00:00Z', '49')
  await expect(page.locator('[data-warmth]')).toHaveText('49.0')
  await read('2026-11-24T12:00:00Z', '120 F')
  await expect(page.locator('[data-warmth]')).toHaveText('48.9')
  await read('2026-11-24T13:00:00Z', '63')
  await expect(page.getByText(/63 °C is over the ceiling of 60 °C/)).toBeVisible()
  // A slip is taken back, and counted nowhere.
  await read('2026-11-24T13:20:00Z', '5')
  await expect(page.getByText(/5 °C is under the band/)).toBeVisible()
  await page.getByRole('button', { name: 'Take back: 5.0 °C, read at 13:20' }).click()
  await expect(page.locator('[data-warmth]')).toHaveText('63.0')
  await read('2026-11-24T14:00:00Z', '49')
  await page.getByRole('button', { name: 'Shaken and wiped' }).click()
  await page.getByRole('button', { name: 'Water topped up' }).click()
  await page.getByRole('button', { name: 'To the full line' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.getByText('From above, and what was done').click()
  await page.getByRole('button', { name: /^Take back: Water topped up/ }).click()
  await expect(page.getByRole('listitem').filter({ hasText: /^Taken back: water topped up/ })).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'Taken back: water topped up' })).toBeVisible()
  await page.getByRole('button', { name: 'Off for the night' }).click()
  await expect(page.getByRole('button', { name: 'On again' })).toBeVisible()
  // A closed browser forgets nothing; on the next morning it goes on.
  await clock(page, '2026-11-25T08:00:00Z')
  await page.goto(house + '/today')
  await expect(page.getByText(/off since 14:00/)).toBeVisible()
  await page
    .getByRole('link', { name: /self-heal/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'On again' }).click()
  await read('2026-11-25T08:30:00Z', '49')
  await page.getByRole('button', { name: 'All out, end' }).click()
  await page.getByRole('button', { name: 'All out, end it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('ended')
  // Ended by a slip, by the keyboard alone: it goes on as it stood, and is ended once more.
  await page.getByRole('button', { name: 'Undo' }).press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('on Warm')
  await page.getByRole('button', { name: 'All out, end' }).click()
  await page.getByRole('button', { name: 'All out, end it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('ended')
  await page.goto(batch)
  await expect(page.getByRole('heading', { name: 'Warmth', exact: true })).toBeVisible()
  const off = /Taken off the warmth, \d+ (h \d+|min) at warmth/
  await expect(page.getByText(off)).toHaveCount(3)
  await expect(page.locator('.line-through').filter({ hasText: off })).toHaveCount(1)
  await expect(page.getByText(/over the ceiling; the peak was 63 °C/).first()).toBeVisible()
})

test(
  'a trial with the simulated thermometer is followed live, also when the stream is lost',
  ALONE,
  async ({ page }) => {
    const house = await ownHouse(page)
    await warmJar(page, house, 'self-heal')
    await page.goto(house + '/stove')
    await page.getByText('Add a thermometer').click()
    await page.getByRole('region', { name: 'Thermometers' }).getByLabel('Called').fill('made up')
    await page.getByRole('button', { name: 'Add it' }).last().click()
    await expect(page.getByRole('region', { name: 'Thermometers' }).getByText('made up')).toBeVisible()
    await page.getByLabel('Warmth read').selectOption({ label: 'made up (simulated)' })
    await page.getByLabel('How fast').selectOption('300')
    await page.getByRole('button', { name: 'Try it out' }).click()
    await expect(page.getByText(/a trial at 300 times the clock/)).toBeVisible()
    await expect(page.locator('[data-warmth]')).toHaveText('–')
    // A minute of the clock is five hours of the trial. Nobody touches the page.
    await clockOfAll(page, '2026-11-24T10:11:00Z')
    await expect(page.locator('[data-warmth]')).toHaveText(/^[34567]\d\.\d$/, { timeout: 15_000 })
    const warm = await page.locator('[data-warmth]').textContent()
    await page.route('**/live?**', (route) => route.abort())
    await page.reload()
    await expect(page.getByText(/The stream is lost/)).toBeVisible()
    await page.getByLabel('Set to').selectOption('High')
    await expect(page.getByText('Dotted: what the model foretold.', { exact: false })).toBeVisible()
    await clockOfAll(page, '2026-11-24T10:12:00Z')
    await expect(page.locator('[data-warmth]')).not.toHaveText(warm ?? '', { timeout: 20_000 })
  },
)

test('two jars share the pot, one too many is told, and a double press begins once', async ({ page }) => {
  const house = await ownHouse(page)
  for (const herb of ['self-heal', 'calendula']) await warmJar(page, house, herb)
  await page.goto(house + '/stove')
  await expect(page.getByText('2 jars stand in it', { exact: false })).toBeVisible()
  await page.route('**/stove', async (route) => {
    if (route.request().method() === 'POST') await new Promise((resolve) => setTimeout(resolve, 600))
    await route.continue()
  })
  await page.getByRole('button', { name: 'Jars in, switch it on' }).evaluate((button: HTMLButtonElement) => {
    button.click()
    button.click()
  })
  await expect(page.getByRole('button', { name: 'Take the calendula out' })).toBeVisible()
  await page.getByRole('button', { name: 'Take the calendula out' }).click()
  await expect(page.getByText(/taken out today/)).toBeVisible()
  await page.goto(house + '/stove')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('One pot is warm.')
})

test('days away move what was to be warm, and the diary says so', async ({ page }) => {
  const house = await ownHouse(page)
  await warmJar(page, house, 'self-heal')
  await page.goto(house + '/today')
  await expect(page.getByRole('link', { name: 'Put the self-heal to warm' })).toBeVisible()
  await page.keyboard.press('d')
  await expect(page.getByText(/10:40 to 19:2\d/)).toBeVisible()
  await page.getByLabel('From', { exact: true }).fill('2026-11-24')
  await page.getByLabel('To, and with').fill('2026-11-26')
  await page.getByRole('button', { name: 'Nobody is at home' }).click()
  await expect(
    page.getByText(/warm from Fri 27 Nov, 07:00, not from Tue 24 Nov, 10:40, because nobody is at home/),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Seen' }).click()
  await expect(page.getByText(/because nobody is at home/)).toHaveCount(0)
  await page.getByRole('button', { name: /^Move the self-heal/ }).click()
  await page.getByLabel('Not before').fill('2026-11-28')
  await page.getByLabel('At', { exact: true }).fill('1300')
  await page.getByLabel('At', { exact: true }).press('Tab')
  await expect(page.getByLabel('At', { exact: true })).toHaveValue('13:00')
  await page.getByRole('button', { name: 'Move it' }).click()
  await expect(page.getByText(/13:00 to 21:4\d/)).toBeVisible()
  await page.getByLabel('From', { exact: true }).fill('2026-12-05')
  await page.getByLabel('To, and with').fill('2026-12-01')
  await page.getByRole('button', { name: 'Nobody is at home' }).click()
  await expect(page.getByText('It must end after it begins.')).toBeVisible()
  await expect(page.getByLabel('From', { exact: true })).toHaveValue('2026-12-05')
})

test('a calendar is read for its busy times, one is refused, and the diary goes out', async ({ page }) => {
  const house = await ownHouse(page)
  await warmJar(page, house, 'self-heal')
  await page.goto(house + '/diary')
  const ics = (body: string) => ({
    name: 'choir.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(body),
  })
  await page.locator('input[type=file]').setInputFiles(ics('not a calendar'))
  await expect(page.getByText(/not a calendar that can be read/)).toBeVisible()
  await page
    .locator('input[type=file]')
    .setInputFiles(
      ics(
        [
          'BEGIN:VCALENDAR',
          'VERSION:2.0',
          'PRODID:x',
          'BEGIN:VEVENT',
          'UID:1',
          'DTSTAMP:20261101T000000Z',
          'SUMMARY:Choir',
          'DTSTART:20261124T110000Z',
          'DTEND:20261124T230000Z',
          'END:VEVENT',
          'END:VCALENDAR',
          '',
        ].join('\r\n'),
      ),
    )
  await expect(page.getByText('1 busy time to come')).toBeVisible()
  await expect(page.getByText(/07:00 to 15:4\d/)).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'As a file' }).click()
  expect((await download).suggestedFilename()).toBe('warm-kettle.ics')
  await page.getByRole('button', { name: 'A private address' }).click()
  const address = await page.locator('code').textContent()
  const feed = await page.request.get(new URL(address ?? '').pathname)
  expect(await feed.text()).toContain('BEGIN:VEVENT')
  await page.getByRole('button', { name: 'Take the address back' }).click()
  await expect(page.getByRole('button', { name: 'A private address' })).toBeVisible()
  expect((await page.request.get(new URL(address ?? '').pathname)).status()).toBe(404)
})

test('a colour is taken off a picture by the keyboard, and by a swatch; a scent is given', async ({ page }) => {
  const house = await ownHouse(page)
  await warmJar(page, house, 'self-heal')
  await expect(page.getByRole('heading', { name: 'Is it done? Colour and scent' })).toBeVisible()
  const picture = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    canvas.width = canvas.height = 300
    const pen = canvas.getContext('2d')
    if (!pen) return ''
    pen.fillStyle = '#d9cb76'
    pen.fillRect(0, 0, 300, 300)
    pen.fillStyle = '#f4f4f4'
    pen.fillRect(0, 0, 120, 120)
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  await page.getByRole('button', { name: 'Look at its colour' }).click()
  await page
    .getByLabel(/From a picture/)
    .setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(page.getByText(/could not be read as a picture/)).toBeVisible()
  await page
    .getByLabel(/From a picture/)
    .setInputFiles({ name: 'jar.png', mimeType: 'image/png', buffer: Buffer.from(picture, 'base64') })
  const oil = page.getByRole('button', { name: /^The oil: 50 across, 60 down/ })
  await oil.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Shift+ArrowDown')
  await expect(page.getByRole('button', { name: /^The oil: 51 across, 65 down/ })).toBeVisible()
  await page.getByRole('button', { name: 'Keep this look' }).click()
  await expect(page.getByRole('list', { name: /Its colours/ }).getByRole('link')).toHaveCount(1)
  await clock(page, '2026-11-28T10:00:00Z')
  await page.reload()
  await page.getByRole('button', { name: 'Look at its colour' }).click()
  await page.getByRole('radio', { name: 'Swatch 7, gold' }).check({ force: true })
  await page.getByRole('button', { name: 'Keep this look' }).click()
  await expect(page.getByText(/Too few looks to say: 1 of at least 4/)).toBeVisible()
  await page.getByRole('button', { name: 'Smell it' }).click()
  await page.getByLabel('It smells of the herb').selectOption('4')
  await page.getByRole('button', { name: 'Keep this', exact: true }).click()
  await expect(page.getByText('Smelled: 4 of 10')).toBeVisible()
})

test('the pot is tended by the keyboard alone', async ({ page }) => {
  const house = await ownHouse(page)
  await warmJar(page, house, 'self-heal')
  await page.keyboard.press('w')
  await expect(page.getByRole('heading', { name: 'Put to warm' })).toBeVisible()
  await tabTo(page, /^Jars in, switch it on/)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('It reads, °C')).toBeVisible()
  await page.keyboard.press('k')
  await page.getByText('From above, and what was done').focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Shaken and wiped', { exact: false }).nth(1)).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByRole('dialog', { name: 'Water topped up' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('o')
  await expect(page.getByRole('button', { name: 'On again' })).toBeVisible()
})

test('Skerry House is warm: a live pot, a scorched one, a jar in the sun, and colours', async ({ page }) => {
  const house = await demo(page)
  await page.goto(house + '/stove')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('One pot is warm. An ointment has leaf in it.')
  await expect(page.getByRole('link', { name: /spruce tips/ })).toBeVisible()
  await page.getByRole('link', { name: /spruce tips/ }).click()
  await expect(page.getByText(/over the ceiling; the peak was 74 °C/)).toBeVisible()
  await page.goto(house + '/shelf')
  await page
    .getByRole('link', { name: /^Heather in olive oil, 380 mL/ })
    .first()
    .click()
  await expect(page.getByText(/sun and shelf are the same/)).toBeVisible()
})

test('an empty house is taught, a cooker is measured, refused, and taken off', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/stove')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The stove is cold.')
  await expect(page.getByRole('link', { name: 'Plan a warm one at the bench' })).toBeVisible()
  const cookers = page.getByRole('region', { name: 'Cookers' })
  await cookers.getByText('Add a cooker').click()
  await cookers.getByLabel('Called').fill('the old oval')
  await cookers.getByLabel('Inside it is').selectOption('oval')
  await cookers.getByLabel('Long').fill('12 in')
  await cookers.getByLabel('Wide').fill('1 mm')
  await cookers.getByLabel('Deep').fill('14 cm')
  await cookers.getByRole('button', { name: 'Add it' }).click()
  await expect(cookers.getByText('1 mm is no inner width for a cooker.', { exact: false })).toBeVisible()
  await expect(cookers.getByLabel('Long')).toHaveValue('12 in')
  await cookers.getByLabel('Wide').fill('8 1/4 in')
  await cookers.getByRole('button', { name: 'Add it' }).click()
  await expect(cookers.getByText('305 × 210 mm inside, 140 mm deep', { exact: false })).toBeVisible()
  await cookers.getByRole('button', { name: 'Remove the old oval' }).click()
  await expect(cookers.getByText('the old oval')).toHaveCount(0)
  await page.goto(house + '/diary')
  await expect(page.getByText('Nobody has said so.')).toBeVisible()
})

test('a thermometer that sends has its key shown once, and its readings come in by it', async ({ page, request }) => {
  const house = await ownHouse(page)
  await warmJar(page, house, 'self-heal')
  await page.goto(house + '/stove')
  const thermometers = page.getByRole('region', { name: 'Thermometers' })
  await thermometers.getByText('Add a thermometer').click()
  await thermometers.getByLabel('Called').fill('the wire')
  await thermometers.getByRole('combobox').selectOption('sends')
  await thermometers.getByRole('button', { name: 'Add it' }).click()
  const key = (await thermometers.locator('code').textContent()) ?? ''
  expect(key).toHaveLength(40)
  await page.getByLabel('Warmth read').selectOption({ label: 'the wire (sends by itself)' })
  await page.getByRole('button', { name: 'Jars in, switch it on' }).click()
  await expect(page.getByText('waiting for the first reading', { exact: false })).toBeVisible()
  const send = (readings: object[]) =>
    request.post('/api/readings', { headers: { Authorization: `Bearer ${key}` }, data: { readings } })
  expect((await (await send([{ at: MORNING, f: 120 }])).json()).taken).toBe(1)
  await expect(page.locator('[data-warmth]')).toHaveText('48.9')
  expect((await (await send([{ at: MORNING, f: 120 }])).json()).doubled).toBe(1)
  expect((await send([{ at: MORNING, c: 900 }])).status()).toBe(422)
  await page.goto(house + '/stove')
  await expect(page.locator('code')).toHaveCount(0)
})

test('at the pot a lost connection is said, and what was read meanwhile is written down and sent', async ({
  page,
  context,
}) => {
  const house = await ownHouse(page)
  await warmJar(page, house, 'self-heal')
  await page.goto(house + '/stove')
  await page.getByRole('button', { name: 'Jars in, switch it on' }).click()
  await expect(page.getByLabel('It reads, °C')).toBeVisible()
  await clock(page, '2026-11-24T10:40:00Z')
  await page.getByLabel('It reads, °C').fill('47.5')
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('The connection is lost').first()).toBeVisible()
  await expect(page.getByText('Written down on this device. It is sent when the kettle answers.')).toBeVisible()
  await expect(page.getByLabel('It reads, °C')).toHaveValue('')
  // What is switched is switched when there is a kettle to switch it: that can be pressed again.
  await page.getByRole('button', { name: 'Off for the night' }).click()
  await expect(page.getByText(/cannot be reached/)).toBeVisible({ timeout: 20_000 })
  await context.setOffline(false)
  await expect(page.locator('[data-warmth]')).toHaveText('47.5')
  await expect(page.getByLabel('It reads, °C')).toHaveValue('')
})

test('at the bench herb is moistened with spirit, and a jar on the shelf shaken as one likes', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/bench')
  await expect(page.getByText('Weigh and pour')).toBeVisible()
  await page.getByRole('button', { name: /^how long:/ }).click()
  await page.getByRole('radio', { name: /^weekly/ }).click()
  await page.getByRole('button', { name: /^the way:/ }).click()
  await page.getByRole('radio', { name: /slow cooker/ }).click()
  await page.getByRole('button', { name: /^spirit first: without spirit/ }).click()
  await page.getByRole('radio', { name: /^yes/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('moistened with spirit first')
  await expect(page.getByText(/Strong spirit burns/)).toBeVisible()
  await page.getByLabel('I have read this').check()
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByText('Moisten the calendula with spirit')).toBeVisible()
  await page.goto(house + '/bench')
  await page.getByRole('button', { name: /^the way:/ }).click()
  await page.getByRole('radio', { name: /^in the sun/ }).click()
  await expect(page.getByText(/sun and shelf are the same|worth about/)).toBeVisible()
})
