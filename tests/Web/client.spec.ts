import { execFileSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { MORNING, ownHouse, token } from './support'

// A client that a public generator (@hey-api/openapi-ts) makes of docs/openapi.json: nothing in it is ours.
const MADE = 'var/test/client'

interface Answer {
  data?: Record<string, never>
  error?: { detail: string; faults?: { field: string }[] }
  response: Response
}

type Ask = (of: object) => Promise<Answer>

interface Sdk {
  postHousesHouseReckon: Ask
  postHousesHouseBatches: Ask
  postHousesHouseBatchesBatchTasks: Ask
  postHousesHouseBatchesBatchStrain: Ask
  getHousesHouseBatchesBatch: Ask
}

test('a client made by a public generator plans a batch, begins it and strains it', async ({ page, baseURL }) => {
  rmSync(MADE, { recursive: true, force: true })
  const made = ['-i', './docs/openapi.json', '-o', MADE, '-c', '@hey-api/client-fetch', '--silent']
  execFileSync('bin/linters/node_modules/.bin/openapi-ts', made)
  // What it makes holds together by its own types.
  const held = [
    '--noEmit',
    '--strict',
    '--skipLibCheck',
    '--target',
    'es2022',
    '--module',
    'esnext',
    '--moduleResolution',
    'bundler',
  ]
  execFileSync('bin/linters/node_modules/.bin/tsc', [...held, '--lib', 'es2022,dom,dom.iterable', `${MADE}/index.ts`])
  const api = (await import(`../../${MADE}/sdk.gen`)) as Sdk
  const { client } = (await import(`../../${MADE}/client.gen`)) as { client: { setConfig(of: object): void } }

  const house = (await ownHouse(page)).split('/h/')[1] ?? ''
  const xsrf = await token(page)
  const cookies = (await page.context().cookies()).map((each) => `${each.name}=${each.value}`).join('; ')
  const at = (moment: string) =>
    client.setConfig({
      baseUrl: `${baseURL}/api`,
      auth: (scheme: { in?: string }) => (scheme.in === 'cookie' ? undefined : xsrf),
      headers: { Accept: 'application/json', Cookie: cookies, 'X-Standing-Clock': moment },
    })

  at(MORNING)
  const wish = { herb: { id: 'calendula' }, oils: [{ id: 'sunflower' }], method: 'cold', oil_amount: '300 mL' }
  const plan = await api.postHousesHouseReckon({ path: { house }, body: { wish } })
  expect(plan.error).toBeUndefined()
  expect(plan.data).toMatchObject({ name: 'Calendula in sunflower oil' })

  let sent = 0
  const once = () => ({ 'Idempotency-Key': `by-a-generator-${++sent}` })
  const petrol = { ...wish, oils: [{ id: 'petrol' }] }
  const refused = await api.postHousesHouseBatches({ path: { house }, body: { wish: petrol }, headers: once() })
  expect(refused.response.status).toBe(422)
  expect(refused.error?.faults?.map((fault) => fault.field)).toContain('oils')

  const begun = await api.postHousesHouseBatches({ path: { house }, body: { wish, acknowledged: [] }, headers: once() })
  expect(begun.error).toBeUndefined()
  const batch = String((begun.data as unknown as { id: string }).id)
  const filled = { task: 'fill', outcome: 'done' }
  const fill = await api.postHousesHouseBatchesBatchTasks({ path: { house, batch }, body: filled, headers: once() })
  expect(fill.error).toBeUndefined()

  // Four weeks on the shelf.
  at('2026-12-22T10:10:00Z')
  const out = { amount: '250 mL' }
  const strained = await api.postHousesHouseBatchesBatchStrain({ path: { house, batch }, body: out, headers: once() })
  expect(strained.error).toBeUndefined()
  const shown = await api.getHousesHouseBatchesBatch({ path: { house, batch } })
  expect(shown.data).toMatchObject({ id: batch, stage: 'settling', name: 'Calendula in sunflower oil' })
})
