import { createHmac } from 'node:crypto'
import { expect, test } from '@playwright/test'
import { clock, demo, MORNING, ownHouse, thatIsIt, settling, word } from './support'

test('the house keeps its jars and bottles, and the Bench uses them', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/house')
  await page.getByText('Add a jar, a bowl or a pan', { exact: true }).first().click()
  const jars = page.getByRole('group').filter({ hasText: 'High inside' })
  await jars.getByLabel('Called').fill('stone crock')
  await jars.getByLabel('Holds to the brim').fill('1,000 mL')
  await jars.getByLabel('High inside').fill('15 cm')
  await jars.getByRole('button', { name: 'Add a jar, a bowl or a pan' }).click()
  await expect(page.getByText(/can be read two ways/).first()).toBeVisible()
  await expect(jars.getByLabel('Called')).toHaveValue('stone crock')
  await jars.getByLabel('Holds to the brim').fill('1000 mL')
  await jars.getByRole('button', { name: 'Add a jar, a bowl or a pan' }).click()
  await expect(page.getByText('1000 mL to the brim, 150 mm high')).toBeVisible()

  await page.goto(house + '/bench')
  await word(page, /^how much:/)
  await page.getByRole('radio', { name: /^stone crock/ }).check()
  await thatIsIt(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('A stone crock of calendula')

  // Taken off the list while it is on the bench: said, and nothing else is lost.
  const other = await page.context().newPage()
  await other.goto(house + '/house')
  await other.getByRole('button', { name: 'Remove the stone crock' }).click()
  await expect(other.getByText('stone crock')).toHaveCount(0)
  await other.close()
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByText(/it may have been taken off/).first()).toBeVisible()
})

test('what is typed into the settings outlives what another changes meanwhile, and a clash is told', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await page.goto(house + '/house')
  await page.getByLabel('Name', { exact: true }).fill('The name I want')
  const other = await page.context().newPage()
  const change = async (label: string, to: string) => {
    await other.goto(house + '/house')
    await other.getByLabel(label, { exact: true }).fill(to)
    await other.getByRole('button', { name: 'Keep these' }).click()
    await expect(other.getByText('The house’s settings are kept.').first()).toBeVisible()
  }
  await change('Burners on the stove', '3')
  // Asked for again, as when one comes back to the page: a jar is added.
  await page.getByText('Add a bottle', { exact: true }).first().click()
  const bottles = page.getByRole('group').filter({ has: page.getByRole('button', { name: 'Add a bottle' }) })
  await bottles.getByLabel('Called').fill('phial')
  await bottles.getByLabel('Holds').fill('15 mL')
  await bottles.getByRole('button', { name: 'Add a bottle' }).click()
  await expect(page.getByLabel('Burners on the stove')).toHaveValue('3')
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('The name I want')

  await change('Name', 'The name they want')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByRole('alert').first()).toBeVisible()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('The name I want')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('The name they want')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('The name I want')
  await expect(page.getByLabel('Burners on the stove')).toHaveValue('3')
})

test('settings are kept, wrong ones are answered, and warmth is read in Fahrenheit', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/house')
  await page.getByLabel('Time zone').fill('Mars/Base')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByText(/is not a time zone/)).toBeVisible()
  await expect(page.getByLabel('Time zone')).toHaveValue('Mars/Base')
  await page.getByLabel('Time zone').fill('Europe/Oslo')
  await page.getByLabel('Whose cups and spoons').selectOption('us')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByText('The house’s settings are kept.')).toBeVisible()
  // A choice is shown as made once it is kept.
  await page.getByLabel('Warmth in').selectOption('f')
  await expect(page.getByLabel('Warmth in')).toHaveValue('f')
  await page.getByLabel('Amounts first in').selectOption('kitchen')
  await expect(page.getByLabel('Amounts first in')).toHaveValue('kitchen')

  await page.goto(house + '/bench')
  await word(page, /^the way:/)
  await page.getByRole('radio', { name: 'slow cooker' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('8 h at 120 °F')
  await expect(page.getByRole('button', { name: /^Calendula: \d.* oz/ })).toBeVisible()
  // Grams are one press away.
  await page.getByRole('button', { name: /^Calendula: / }).click()
  await expect(page.getByText(/^Calendula: \d+ g/)).toBeVisible()
})

test('a password is changed, and the old one no longer opens', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/house')
  const email = await page.locator('section[aria-labelledby=you] p').first().innerText()
  await page.getByLabel('Present password').fill('not this one')
  await page.getByLabel('New password', { exact: true }).fill('quite another one')
  await page.getByRole('button', { name: 'Change it' }).click()
  await expect(page.getByText('That is not your present password.')).toBeVisible()
  await page.getByLabel('Present password').fill('ten letters long')
  await page.getByRole('button', { name: 'Change it' }).click()
  await expect(page.getByText(/The password is changed/)).toBeVisible()
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await page.getByLabel('E-mail', { exact: true }).fill(email)
  await page.getByLabel('Password', { exact: true }).fill('ten letters long')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByText(/do not belong together/)).toBeVisible()
  await page.getByLabel('Password', { exact: true }).fill('quite another one')
  await page.getByRole('button', { name: 'Sign in' }).click()
  // Back where one was.
  await expect(page.getByRole('heading', { name: 'North End' })).toBeVisible()
})

test('a keeper gives parts, takes them back, and makes a new-password link', async ({ page, browser }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/house')
  await page.getByLabel('Ask somebody in as').selectOption('helper')
  await page.getByRole('button', { name: 'Make an invitation link' }).click()
  const link = await page.getByText(/\/join\//).innerText()
  const guest = await (await browser.newContext()).newPage()
  await guest.goto(link)
  await guest.getByLabel('Your name').fill('Torin')
  await guest.getByLabel('Your e-mail').fill(`torin${Date.now()}@example.org`)
  await guest.getByLabel('A new password').fill('ten letters long')
  await guest.getByRole('button', { name: 'Make it and go in' }).click()
  await guest.waitForURL(/today/)

  await page.reload()
  const changed = page.waitForResponse((answer) => answer.request().method() === 'PATCH')
  await page.getByLabel('Torin’s part').selectOption('reader')
  expect((await changed).status()).toBe(200)
  await guest.goto(house + '/bench')
  await expect(guest.getByText('You are a reader of this house')).toBeVisible()
  await page.getByRole('button', { name: 'New-password link' }).click()
  const reset = await page.getByText(/\/new-password\//).innerText()
  await guest.goto(reset)
  await guest.getByLabel('A new password').fill('a brand new one')
  await guest.getByRole('button', { name: 'Set it and go in' }).click()
  await guest.waitForURL(/today/)
  await page.getByRole('button', { name: 'Take Torin off' }).click()
  await expect(page.getByText('Torin', { exact: true })).toHaveCount(0)
  await guest.goto(house + '/today')
  await expect(guest.getByRole('heading', { level: 1 })).toContainText('You belong to no house yet')
  await guest.context().close()
})

test('a step is put off, a batch is discarded, and both are taken back', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/bench')
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await page.getByRole('button', { name: /^Not now: Fill/ }).click()
  await page.getByLabel('Put it off to').fill('2026-11-20')
  await page.getByRole('button', { name: 'Put it off' }).click()
  await expect(page.getByText(/has gone by; today is/)).toBeVisible()
  await page.getByLabel('Put it off to').fill('2026-11-28')
  await page.getByRole('button', { name: 'Put it off' }).click()
  await expect(page.getByText('Sat 28 Nov.').first()).toBeVisible()
  await page.getByRole('button', { name: /^Undo: Put off/ }).click()
  await expect(page.getByText('today 10:10.')).toBeVisible()

  await page.getByRole('button', { name: 'Discard it' }).click()
  await page.getByLabel('Because').fill('Fur on the herb.')
  await page.getByRole('dialog').getByRole('button', { name: 'Discard it' }).click()
  await expect(page.getByText('Discarded: Fur on the herb.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo: Discarded' }).click()
  await expect(page.getByText(/^to be filled/)).toBeVisible()

  // Where it came from, kept; a note, put right beside the wrong one.
  await page.getByLabel('Where the plant came from').fill('the quarry')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('button', { name: 'Keep it' })).toHaveCount(0)
  await page.getByLabel('A note').fill('smels of hay')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await page.getByRole('button', { name: 'correct' }).click()
  await page.getByLabel('Put it right').fill('smells of hay')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('Note, corrected: smells of hay')).toBeVisible()
  await expect(page.getByText('Note: smels of hay')).toHaveCSS('text-decoration-line', 'line-through')
  await page.reload()
  await expect(page.getByLabel('Where the plant came from')).toHaveValue('the quarry')
})

test('what is being written at the press is there after a reload', async ({ page }) => {
  const house = await demo(page)
  await page.goto(house + '/press')
  await page.getByRole('link', { name: /^Helichrysum/ }).click()
  await page.getByLabel('What came out').fill('1 cup + 2')
  await page.getByLabel('Anything to remember').fill('spilt a spoonful')
  await page.reload()
  await expect(page.getByLabel('What came out')).toHaveValue('1 cup + 2')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText(/cannot be read as a volume/)).toBeVisible()
  await expect(page.getByLabel('Anything to remember')).toHaveValue('spilt a spoonful')
  await page.getByLabel('What came out').fill('')
  await page.getByLabel('Anything to remember').fill('')
})

test('pages are strict, and built files are kept for good', async ({ page, request }) => {
  const answer = await page.goto('/')
  const headers = answer?.headers() ?? {}
  expect(headers['content-security-policy']).toContain("default-src 'none'")
  expect(headers['x-frame-options']).toBe('DENY')
  expect(headers['referrer-policy']).toBe('no-referrer')
  expect(headers['x-content-type-options']).toBe('nosniff')
  expect(headers['x-powered-by']).toBeUndefined()
  const script = await page.locator('script[type=module]').getAttribute('src')
  const built = await request.get(script ?? '', { headers: { 'Accept-Encoding': 'gzip' } })
  expect(built.headers()['cache-control']).toContain('immutable')
  expect(built.headers()['content-encoding']).toBe('gzip')
  expect((await request.get('/build/.vite/manifest.json')).status()).toBe(404)
  const hidden = await request.get('/.env')
  expect(hidden.status()).toBe(404)
  expect(hidden.headers()['content-type']).toContain('text/plain')
  // What is said of it to who looks for it, and that nobody’s house is looked into.
  await expect(page.locator('meta[name=description]')).toHaveAttribute('content', /herbs infused in oil/)
  const robots = await request.get('/robots.txt')
  expect(robots.headers()['content-type']).toContain('text/plain')
  expect(await robots.text()).toContain('Disallow: /h/')
})

test('what a place asks first is asked beside its script, and once', async ({ page }) => {
  const house = await demo(page)
  const asked: string[] = []
  page.on('request', (request) => {
    const path = new URL(request.url()).pathname
    if (path.startsWith('/api/houses/') && request.method() === 'GET') asked.push(path)
  })
  // What the page named and the place then asked for by itself: nothing is asked that nobody wants.
  await page.addInitScript(() => {
    const wanted: string[] = []
    const plain = window.fetch
    window.fetch = (what, how) => (wanted.push(String(what)), plain(what, how))
    Object.assign(window, { wanted })
  })
  const settled = settling(page)
  const places = ['today', 'bench', 'recipes', 'shelf', 'press', 'melt', 'stove', 'diary', 'house']
  const named = {
    shelf: /^Self-heal/,
    stores: /^Mugwort/,
    recipes: /^Harbour hands/,
    stove: /marshmallow root/,
    melt: /^Heather salve/,
  }
  for (const [list, name] of Object.entries(named)) {
    await page.goto(`${house}/${list}`)
    const to = await page.getByRole('link', { name }).first().getAttribute('href')
    places.push((to ?? '').replace(`${house.replace(/^https?:\/\/[^/]+/, '')}/`, ''))
  }
  expect(places).toHaveLength(14)
  for (const place of places) {
    asked.length = 0
    await page.goto(`${house}/${place}`)
    await settled()
    const first = await page
      .locator('link[rel=preload][as=fetch]')
      .evaluateAll((links) => links.map((link) => new URL((link as HTMLLinkElement).href).pathname))
    expect(first.length, place).toBeGreaterThan(0)
    for (const path of first)
      expect(
        asked.filter((each) => each === path),
        place,
      ).toHaveLength(1)
    // What has a script of its own asks once that is there.
    const wanted = () => page.evaluate(() => (window as unknown as { wanted: string[] }).wanted)
    await expect.poll(wanted, place).toEqual(expect.arrayContaining(first))
  }
})

test('somebody sees where they are signed in, ends it there, and is refused a password that is guessed first', async ({
  page,
  browser,
}) => {
  const house = await ownHouse(page)
  const other = await (await browser.newContext()).newPage()
  const me = await (await page.context().request.get('/api/me')).json()
  await other.goto('/sign-in')
  await other.getByLabel('E-mail', { exact: true }).fill(me.email)
  await other.getByLabel('Password', { exact: true }).fill('ten letters long')
  await other.getByRole('button', { name: 'Sign in' }).click()
  await other.waitForURL(/\/today$/)
  await page.goto(`${house}/house`)
  const places = page.getByRole('region', { name: 'Where you are signed in' })
  await expect(places.getByRole('listitem')).toHaveCount(2)
  await expect(places.getByText('(here)')).toHaveCount(1)
  await places.getByRole('button', { name: 'Sign out everywhere else' }).dblclick()
  await expect(places.getByRole('listitem')).toHaveCount(1)
  await expect(places.getByRole('button')).toHaveCount(0)
  await other.reload()
  await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await other.close()
  await page.getByText('What happened to accounts').click()
  await expect(page.getByText('Una signed in')).toBeVisible()
  await expect(page.getByText('Una was signed out elsewhere').first()).toBeVisible()
  await page.getByLabel('Present password').fill('ten letters long')
  await page.getByLabel('New password', { exact: true }).fill('qwertyuiop')
  await page.getByRole('button', { name: 'Change it' }).click()
  await expect(page.getByText(/among those that are tried first/)).toBeVisible()
  await expect(page.getByLabel('New password', { exact: true })).toHaveValue('qwertyuiop')
})

/** RFC 6238 as it stands there, and not as the house reckons it. */
function codeOf(secret: string, steps: number, now: number): string {
  const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'
  const bits = [...secret.replaceAll(' ', '')]
    .map((each) => letters.indexOf(each).toString(2).padStart(5, '0'))
    .join('')
  const key = Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => Number.parseInt(byte, 2)))
  const counter = Buffer.alloc(8)
  counter.writeBigUInt64BE(BigInt(Math.floor(now / 30_000) + steps))
  const hash = createHmac('sha1', key).update(counter).digest()
  const number = hash.readUInt32BE((hash[19] ?? 0) & 15) & 0x7fff_ffff
  return String(number % 1_000_000).padStart(6, '0')
}

test('a second step at the door is begun with a phone, asked for, and opened by a code on paper', async ({ page }) => {
  await clock(page, MORNING)
  const house = await ownHouse(page)
  await page.goto(house + '/house')
  const email = await page
    .getByText(/@example\.org/)
    .first()
    .innerText()
  const step = page.getByRole('region', { name: 'A second step at the door' })
  await step.getByLabel('Your password').fill('not the password')
  await step.getByRole('button', { name: 'Begin' }).click()
  await expect(step.getByText(/password is (wrong|incorrect)|not your present/i)).toBeVisible()
  await step.getByLabel('Your password').fill('ten letters long')
  await step.getByRole('button', { name: 'Begin' }).click()
  const secret = await step.getByText(/^[A-Z2-7 ]{39}$/).innerText()
  await step.getByLabel('The six figures it shows').fill('000000')
  await step.getByRole('button', { name: 'Turn it on' }).click()
  await expect(step.getByText(/That code is not right/)).toBeVisible()
  await step.getByLabel('The six figures it shows').fill(codeOf(secret, 0, Date.parse(MORNING)))
  await step.getByRole('button', { name: 'Turn it on' }).click()
  const onPaper = step.getByText(/^[a-z2-7]{5}-[a-z2-7]{5}$/)
  await expect(onPaper).toHaveCount(10)
  const paper = await onPaper.allInnerTexts()
  await step.getByRole('button', { name: 'I have them on paper' }).click()
  await expect(step.getByText('Of the codes on paper 10 are left.', { exact: false })).toBeVisible()
  for (const code of [codeOf(secret, 1, Date.parse(MORNING)), paper[0] ?? '']) {
    await page.getByRole('button', { name: 'Sign out', exact: true }).click()
    await page.getByLabel('E-mail', { exact: true }).fill(email)
    await page.getByLabel('Password', { exact: true }).fill('ten letters long')
    await page.getByRole('button', { name: 'Sign in' }).click()
    await expect(page.getByText(/^Type the six figures/)).toBeVisible()
    await page.getByLabel('Code', { exact: true }).fill(code)
    await page.getByLabel('Code', { exact: true }).press('Enter')
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible()
    await page.goto(house + '/house')
  }
  await expect(step.getByText('Of the codes on paper 9 are left.', { exact: false })).toBeVisible()
  await step.getByLabel('Your password').fill('ten letters long')
  await step.getByRole('button', { name: 'Turn it off' }).click()
  await expect(step.getByRole('button', { name: 'Begin' })).toBeVisible()
})
