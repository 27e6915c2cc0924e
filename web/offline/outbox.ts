import { newKey, Problem } from '../api/client'
import { listeners } from '../parts/told'
import { notesOf } from './later'

/** Something that was done without a network, and waits to be sent. */
export type Unsent = {
  /** Its place in the order; given by the store. */
  order: number
  /** Under which it is done once, however often it is sent. */
  key: string
  /** Whose it is: nobody else sends it. */
  who: string
  path: string
  /** What is sent, as JSON. */
  body: string
  /** When it was done, by this machine's clock, ms. */
  at: number
  /** What it is, for a person to read. */
  says: string
  /** The house's sentence, where it would not take it; then it waits for a person. */
  refused?: string
}

/** Where they are kept over a closed tab and a flat battery. */
export type Store = {
  all: () => Promise<Unsent[]>
  add: (unsent: Omit<Unsent, 'order'>) => Promise<void>
  put: (unsent: Unsent) => Promise<void>
  remove: (order: number) => Promise<void>
}

/** Sends one, with how many seconds ago it was done; throws a Problem where it was not taken. */
export type SendLate = (unsent: Unsent, ago: number) => Promise<void>

/** How many whole seconds ago a moment was, both by this machine's clock, ms. */
export const agoS = (then: number, now = Date.now()): number => Math.max(0, Math.floor((now - then) / 1000))

/** The same pressed again so soon is the same, ms. */
const SAME_WITHIN = 10 * 60_000

/** Not the fault of what is sent: somebody has to sign in, or to wait. */
const WAITS = [401, 419, 429]

/**
 * What was done without a network: kept in order, sent in order, each once, and only by whose it is. What the house
 * refuses stays until its person has decided; what comes after it goes on.
 */
export class Outbox {
  #kept: Unsent[] = []
  #sending: Promise<void> | null = null
  readonly #watching = listeners()
  readonly #store: Store
  readonly #send: SendLate
  /** Called after each that the house has taken. */
  sent: () => void = () => undefined
  /** Called after the store was changed from here. */
  changed: () => void = () => undefined

  constructor(store: Store, send: SendLate) {
    this.#store = store
    this.#send = send
  }

  /** As they were read last, in order. */
  readonly all = (): Unsent[] => this.#kept

  readonly watch = this.#watching.watch

  async read() {
    this.#kept = await this.#store.all()
    this.#watching.tell()
  }

  isWaiting(who: string): boolean {
    return this.#kept.some((each) => each.who === who && each.refused === undefined)
  }

  /** Kept, and read back; the same pressed twice is kept once. */
  async keep(unsent: Omit<Unsent, 'order'>) {
    const same = (each: Unsent) =>
      each.who === unsent.who &&
      each.path === unsent.path &&
      each.body === unsent.body &&
      each.refused === undefined &&
      Math.abs(unsent.at - each.at) < SAME_WITHIN
    if (!(await this.#store.all()).some(same)) await this.#store.add(unsent)
    await this.#told()
  }

  /** Sends what waits, until there is nothing or nobody answers. */
  send(who: string, now = () => Date.now()): Promise<void> {
    this.#sending ??= this.#sendAll(who, now).finally(() => {
      this.#sending = null
    })
    return this.#sending
  }

  async #sendAll(who: string, now: () => number) {
    for (;;) {
      const next = (await this.#store.all()).find((each) => each.who === who && each.refused === undefined)
      if (!next) break
      try {
        await this.#send(next, agoS(next.at, now()))
      } catch (thrown) {
        if (!(thrown instanceof Problem) || thrown.again || WAITS.includes(thrown.status)) break
        await this.#store.put({ ...next, refused: thrown.message })
        await this.#told()
        continue
      }
      await this.#store.remove(next.order)
      await this.#told()
      this.sent()
    }
    await this.read()
  }

  /** Of one that was refused: sent once more, as a new write; what was decided before was of then. */
  async again(unsent: Unsent, as: Partial<Pick<Unsent, 'path' | 'body'>> = {}) {
    const { refused: _, ...rest } = unsent
    await this.#store.put({ ...rest, ...as, key: newKey() })
    await this.#told()
  }

  /** Kept as a note in the logbook of its thing, in its place and of its moment; there is one or the other, never both. */
  async asNote(unsent: Unsent, note: string) {
    const path = notesOf(unsent.path)
    // The picture of a look stays with it.
    const { photo } = JSON.parse(unsent.body) as { photo?: string }
    const body = JSON.stringify({ note, corrects: null, ...(photo ? { photo } : {}) })
    if (path !== null) await this.again(unsent, { path, body })
  }

  async letGo(unsent: Unsent) {
    await this.#store.remove(unsent.order)
    await this.#told()
  }

  /** Nothing of somebody is left on this machine. */
  async forget(who: string) {
    for (const each of await this.#store.all()) if (each.who === who) await this.#store.remove(each.order)
    await this.#told()
  }

  async #told() {
    await this.read()
    this.changed()
  }
}
