import { useQuery } from '@tanstack/react-query'
import type { DBSchema, IDBPDatabase } from 'idb'
import { useSyncExternalStore } from 'react'
import { send } from '../api/client'
import { Outbox, type Store, type Unsent } from './outbox'
import { thingOf } from './later'

/*
 * The outbox of this browser: in IndexedDB, one tab at a time sends, and the others are told.
 */

/** A picture over a poor connection takes its time; after this nobody answers, ms. */
const LONGEST_MS = 120_000

interface Kept extends DBSchema {
  unsent: { key: number; value: Unsent }
}

let opened: Promise<IDBPDatabase<Kept>> | null = null
const db = () => {
  // Not for the first screen.
  opened ??= import('idb').then(({ openDB }) =>
    openDB<Kept>('kettle', 1, {
      upgrade: (fresh) => void fresh.createObjectStore('unsent', { keyPath: 'order', autoIncrement: true }),
    }),
  )
  return opened
}

const store: Store = {
  all: async () => (await db()).getAll('unsent'),
  add: async (unsent) => void (await (await db()).add('unsent', unsent as Unsent)),
  put: async (unsent) => void (await (await db()).put('unsent', unsent)),
  remove: async (order) => (await db()).delete('unsent', order),
}

export const outbox = new Outbox(store, (unsent, ago) =>
  send('POST', unsent.path, { key: unsent.key, raw: unsent.body, agoS: ago, signal: AbortSignal.timeout(LONGEST_MS) }),
)

const tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('kettle.unsent')
tabs?.addEventListener('message', () => void outbox.read())
outbox.changed = () => tabs?.postMessage('changed')

/** Sends what waits, where no other tab is at it. */
export async function sendUnsent(who: string) {
  if (!('locks' in navigator)) return outbox.send(who)
  await navigator.locks.request('kettle.unsent', { ifAvailable: true }, async (lock) => {
    if (lock) await outbox.send(who)
  })
}

/** All of who is signed in that waits, in order; those that are about one thing, where it is named. */
export function useUnsent(thing?: string): Unsent[] {
  // As it is known here: who is signed in is asked for by others.
  const who = useQuery<{ id: string }>({ queryKey: ['me'], enabled: false }).data?.id
  const all = useSyncExternalStore(outbox.watch, outbox.all)
  return all.filter((each) => each.who === who && (thing === undefined || thingOf(each.path) === thing))
}
