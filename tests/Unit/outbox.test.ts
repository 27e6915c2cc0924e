import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { Problem } from '../../web/api/client'
import { formOf, mayWait, notesOf, pageOf, thingOf, unsentStep } from '../../web/offline/later'
import { Outbox, type Store, type Unsent } from '../../web/offline/outbox'

/** As a browser keeps them: in order, by a number that is never given twice. */
function memory(): Store & { kept: Map<number, Unsent> } {
  const kept = new Map<number, Unsent>()
  let last = 0
  return {
    kept,
    all: async () => [...kept.values()].sort((a, b) => a.order - b.order),
    add: async (unsent) => {
      last += 1
      kept.set(last, { ...unsent, order: last })
    },
    put: async (unsent) => void kept.set(unsent.order, unsent),
    remove: async (order) => void kept.delete(order),
  }
}

const NOON = 1_800_000_000_000

const note = (text: string, more: Partial<Unsent> = {}) => ({
  key: `key-${text}`,
  who: 'una',
  path: '/houses/north/batches/7/notes',
  body: JSON.stringify({ note: text }),
  at: NOON,
  says: `A note: ${text}`,
  ...more,
})

/** A house that takes what it is sent, but for what is said of it. */
function house(says: (unsent: Unsent) => Problem | undefined = () => undefined) {
  const took: [string, number][] = []
  const tried: string[] = []
  return {
    took,
    tried,
    send: async (unsent: Unsent, agoS: number) => {
      tried.push(unsent.key)
      const problem = says(unsent)
      if (problem) throw problem
      took.push([unsent.key, agoS])
    },
  }
}

describe('what may wait for a network', () => {
  it('is what the document says, and nothing else', () => {
    const { paths } = JSON.parse(readFileSync('docs/openapi.json', 'utf8')) as {
      paths: Record<string, Record<string, { parameters?: { name: string }[] }>>
    }
    let may = 0
    for (const [path, verbs] of Object.entries(paths)) {
      if (!path.startsWith('/houses/') || !verbs.post) continue
      const here = mayWait(path.replaceAll(/\{\w+\}/g, 'x'), path.endsWith('/tend') ? { what: 'shaken' } : {})
      expect(here, path).toBe((verbs.post.parameters ?? []).some((each) => each.name === 'Done-Ago'))
      may += here ? 1 : 0
    }
    expect(may).toBe(17)
  })

  it('is nothing that is put off, switched, or of another place', () => {
    const at = '/houses/n/batches/7/tasks'
    expect(mayWait(at, { task: 'shake', outcome: 'done' })).toBe(true)
    expect(mayWait(at, { task: 'shake', outcome: 'skipped' })).toBe(true)
    expect(mayWait(at, { task: 'shake', outcome: 'later' })).toBe(false)
    for (const what of ['pause', 'on', 'topped_up', 'setting', 'lid_on', 'lid_off', 'jar_out', 'end']) {
      expect(mayWait('/houses/n/stove/7/tend', { what }), what).toBe(false)
    }
    expect(mayWait('/houses/n/batches/7/looks', { what: 'scent' })).toBe(true)
    for (const path of [
      '/me',
      '/session',
      '/houses/n/batches',
      '/houses/n/batches/7/bottle',
      '/houses/n/batches/7/tasks/x',
    ])
      expect(mayWait(path, {}), path).toBe(false)
  })

  it('knows its thing, its page and its logbook', () => {
    expect(thingOf('/houses/n/boils/7/marks')).toBe('/boils/7')
    expect(thingOf('/houses/n/today/shaken')).toBe('/today')
    expect(pageOf('/houses/n/boils/7/marks')).toBe('/h/n/stove/boil/7')
    expect(pageOf('/houses/n/today/shaken')).toBe('/h/n/today')
    expect(notesOf('/houses/n/makings/7/stir')).toBe('/houses/n/makings/7/notes')
    expect(notesOf('/houses/n/stove/7/reading')).toBeNull()
  })

  it('knows where what was refused is put right', () => {
    expect(formOf('/houses/n/batches/7/strain')).toBe('/h/n/press/7')
    expect(formOf('/houses/n/boils/7/marks')).toBe('/h/n/stove/boil/7')
    expect(formOf('/houses/n/makings/7/stir')).toBe('/h/n/making/7')
    expect(formOf('/houses/n/makings/7/weigh')).toBe('/h/n/making/7')
    expect(formOf('/houses/n/stove/7/reading')).toBe('/h/n/stove/7')
    expect(formOf('/houses/n/batches/7/tasks')).toBeNull()
    expect(formOf('/houses/n/today/shaken')).toBeNull()
  })
})

describe('the outbox', () => {
  it('sends in order, once each, with how long ago it was', async () => {
    const { took, send } = house()
    const store = memory()
    const outbox = new Outbox(store, send)
    await outbox.keep(note('one'))
    await outbox.keep(note('two', { at: NOON + 60_000 }))
    await Promise.all([outbox.send('una', () => NOON + 3_600_500), outbox.send('una', () => NOON + 3_600_500)])
    expect(took).toEqual([
      ['key-one', 3600],
      ['key-two', 3540],
    ])
    expect(outbox.all()).toEqual([])
    expect(store.kept.size).toBe(0)
  })

  it('leaves all of it where it is while nobody answers, and sends nothing out of turn', async () => {
    let away = true
    const { took, tried, send } = house(() => (away ? new Problem(0, 'away') : undefined))
    const outbox = new Outbox(memory(), send)
    await outbox.keep(note('one'))
    await outbox.keep(note('two'))
    await outbox.send('una')
    expect(tried).toEqual(['key-one'])
    expect(outbox.all().map((each) => each.refused)).toEqual([undefined, undefined])
    for (const status of [401, 419, 429, 503]) {
      const busy = new Outbox(memory(), house(() => new Problem(status, 'later')).send)
      await busy.keep(note('one'))
      await busy.send('una')
      expect(busy.all()[0]?.refused, String(status)).toBeUndefined()
    }
    away = false
    await outbox.send('una')
    expect(took.map(([key]) => key)).toEqual(['key-one', 'key-two'])
  })

  it('keeps what the house refuses for its person to decide, and goes on with the rest', async () => {
    const { took, send } = house((unsent) =>
      unsent.key === 'key-one' ? new Problem(422, 'Meanwhile it was strained.') : undefined,
    )
    const store = memory()
    const outbox = new Outbox(store, send)
    await outbox.keep(note('one', { path: '/houses/north/batches/7/tasks' }))
    await outbox.keep(note('two'))
    await outbox.send('una')
    expect(took.map(([key]) => key)).toEqual(['key-two'])
    const [refused] = outbox.all()
    expect(refused?.refused).toBe('Meanwhile it was strained.')
    expect(outbox.isWaiting('una')).toBe(false)
    // It is not sent again by itself.
    await outbox.send('una')
    expect(took).toHaveLength(1)
    if (refused) await outbox.asNote(refused, 'Shaken')
    const [asNote] = outbox.all()
    expect(asNote).toMatchObject({
      order: refused?.order,
      path: '/houses/north/batches/7/notes',
      body: '{"note":"Shaken","corrects":null}',
      at: NOON,
    })
    // A new write: under the old key the house would answer as it did.
    expect(asNote?.key).not.toBe(refused?.key)
    expect(asNote?.refused).toBeUndefined()
    await outbox.send('una')
    expect(took).toHaveLength(2)
    expect(store.kept.size).toBe(0)
  })

  it('keeps the picture of a look with the note that is made of it', async () => {
    const outbox = new Outbox(memory(), house(() => new Problem(409, 'No.')).send)
    const body = JSON.stringify({ what: 'colour', plain: false, photo: 'data:image/png;base64,AAAA' })
    await outbox.keep(note('look', { path: '/houses/north/batches/7/looks', body }))
    await outbox.send('una')
    const refused = outbox.all()[0] as Unsent
    await outbox.asNote(refused, refused.says)
    expect(outbox.all()[0]).toMatchObject({
      path: '/houses/north/batches/7/notes',
      body: '{"note":"A note: look","corrects":null,"photo":"data:image/png;base64,AAAA"}',
    })
  })

  it('sends again, or lets go, what was refused', async () => {
    const outbox = new Outbox(memory(), house(() => new Problem(422, 'No.')).send)
    await outbox.keep(note('one'))
    await outbox.send('una')
    const refused = outbox.all()[0] as Unsent
    await outbox.again(refused)
    expect(outbox.isWaiting('una')).toBe(true)
    expect(outbox.all()[0]?.key).not.toBe(refused.key)
    await outbox.letGo(refused)
    expect(outbox.all()).toEqual([])
  })

  it('keeps what is pressed twice once, and what is done again later twice', async () => {
    const outbox = new Outbox(memory(), house().send)
    await outbox.keep(note('one'))
    await outbox.keep(note('one', { key: 'another', at: NOON + 5_000 }))
    expect(outbox.all()).toHaveLength(1)
    await outbox.keep(note('one', { key: 'an-hour-later', at: NOON + 3_600_000 }))
    expect(outbox.all()).toHaveLength(2)
  })

  it('sends and forgets only whose it is', async () => {
    const { took, send } = house()
    const outbox = new Outbox(memory(), send)
    await outbox.keep(note('mine'))
    await outbox.keep(note('theirs', { who: 'ola' }))
    await outbox.send('una')
    expect(took.map(([key]) => key)).toEqual(['key-mine'])
    expect(outbox.isWaiting('una')).toBe(false)
    expect(outbox.isWaiting('ola')).toBe(true)
    await outbox.forget('una')
    expect(outbox.all()).toHaveLength(1)
    await outbox.forget('ola')
    expect(outbox.all()).toHaveLength(0)
  })

  it('tells who watches, and others through what it is told to call', async () => {
    const outbox = new Outbox(memory(), house().send)
    const told: number[] = []
    let changed = 0
    let sent = 0
    outbox.changed = () => void changed++
    outbox.sent = () => void sent++
    const stop = outbox.watch(() => told.push(outbox.all().length))
    await outbox.keep(note('one'))
    await outbox.send('una')
    expect(told).toContain(1)
    expect(told.at(-1)).toBe(0)
    expect([changed, sent]).toEqual([2, 1])
    stop()
    await outbox.keep(note('two'))
    expect(told.at(-1)).toBe(0)
  })
})

describe('a step of a product that waits', () => {
  const kept = (path: string, body: object, more: Partial<Unsent> = {}): Unsent => ({
    ...note(path, more),
    order: 1,
    path: `/houses/north/makings/7/${path}`,
    body: JSON.stringify(body),
  })

  it.each([
    ['steps', { step: 'melt', warmth: '68' }, 'melt', true],
    ['steps', { step: 'melt', warmth: null }, 'drops', false],
    ['weigh', { part: 'beeswax', amount: null }, 'weigh.beeswax', true],
    ['weigh', { part: 'beeswax', amount: null }, 'beeswax', false],
    ['spoon', { verdict: 'right', by: 'plainly' }, 'spoon', true],
    // What goes in then is reckoned by the house.
    ['spoon', { verdict: 'too-soft', by: 'plainly' }, 'spoon', false],
    ['notes', { note: 'melt' }, 'melt', false],
  ])('%s %j is %s: %s', (path, body, step, is) => {
    expect(unsentStep([kept(path, body)], step) !== undefined).toBe(is)
  })

  it('is to be done again where the house did not take it', () => {
    expect(unsentStep([kept('steps', { step: 'melt' }, { refused: 'It is poured.' })], 'melt')).toBeUndefined()
  })
})
