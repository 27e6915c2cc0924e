import { expect, test } from '@playwright/test'
import { ownHouse } from './support'

// Here the pages' worker is let in.
test.use({ serviceWorkers: 'allow' })

test('it can be installed, and opens without a network as it was known, with its age', async ({ page, context }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/bench')
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  const batch = page.url()

  // As the browser itself reads it: nothing stands against installing it.
  const devtools = await context.newCDPSession(page)
  const manifest = await devtools.send('Page.getAppManifest')
  expect(manifest.errors).toEqual([])
  expect(manifest.url).toContain('/kettle.webmanifest')
  const { installabilityErrors } = await devtools.send('Page.getInstallabilityErrors')
  expect(installabilityErrors.map((each) => each.errorId).filter((id) => id !== 'in-incognito')).toEqual([])

  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  for (const place of ['/today', '/shelf']) {
    await page.goto(house + place)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  }
  await page.goto(batch)
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()

  await context.setOffline(true)
  for (const address of ['/', house + '/today', house + '/shelf', batch]) {
    await page.goto(address)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(
      page.getByText(/^The kettle does not answer. This is as it was known today at \d\d:\d\d/),
    ).toBeVisible()
  }
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  // A place that was not looked at says so, and does not make something up.
  await page.goto(house + '/almanac')
  await expect(page.getByText(/cannot be reached/).first()).toBeVisible()

  await context.setOffline(false)
  await page.goto(batch)
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  await expect(page.getByText(/^The kettle does not answer/)).toHaveCount(0)
})

test('who signs out leaves nothing of the house behind', async ({ page, context }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/house')
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.goto(house + '/today')
  await page.goto(house + '/house')
  await expect(page.getByRole('heading', { name: 'People' })).toBeVisible()
  const kept = () =>
    page.evaluate(async () => {
      const all = []
      for (const name of ['kettle-page', 'kettle-known']) {
        for (const each of await (await caches.open(name)).matchAll()) all.push(await each.text())
      }
      return all.join('')
    })
  await expect.poll(kept).toContain('North End')
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  await expect.poll(kept).toContain('"signed_in":false')
  expect(await kept()).not.toContain('North End')
  await context.setOffline(true)
  // What is forgotten only when the network is gone leaves a page to open, and nobody's.
  await page.evaluate(() => navigator.serviceWorker.controller?.postMessage('forget'))
  await page.goto(house + '/today')
  await expect(page.getByText('North End')).toHaveCount(0)
  expect(await kept()).toContain('"signed_in":false')
})
