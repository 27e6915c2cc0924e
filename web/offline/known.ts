import { useSyncExternalStore } from 'react'
import { listeners } from '../parts/told'

/*
 * Whether what is shown was answered just now, or is what was known last: said by the header of each answer.
 */

let from: Date | null = null
const watching = listeners()

/** Called with each answer to a question. */
export function answered(headers: Headers) {
  const said = headers.get('X-Known-From')
  const now = said === null ? null : new Date(said)
  // Of several the oldest is said; one that was answered just now says that the house is there again.
  const next = now === null || Number.isNaN(now.getTime()) ? null : from === null || now < from ? now : from
  if (next?.getTime() === from?.getTime()) return
  from = next
  watching.tell()
}

/** Whether the last that was asked found nobody. */
export const isAway = () => from !== null || !navigator.onLine

/** From when what is shown is known; null while the house answers. */
export const useKnownFrom = () => useSyncExternalStore(watching.watch, () => from)

/** Nothing is left on the machine of what was known to who was in. */
export function forget() {
  navigator.serviceWorker?.controller?.postMessage('forget')
}

/** Puts the worker between the pages and the house, where there is one: over TLS, and on the machine itself. */
export function install() {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return
  addEventListener('load', () => {
    // Without it everything is as it is with it, while there is a network.
    navigator.serviceWorker.register('/build/worker.js', { scope: '/' }).catch(() => undefined)
  })
}
