import { newKey, type Problem } from './client'

/** After so long without a final answer the same words are a new wish, ms. */
const FORGET_AFTER = 10 * 60_000

/** Tries in all before it is left to the person to press again. */
const TRIES = 5

/**
 * The key of each write that has had no final answer yet, by what is written. A lost answer does not end a write:
 * whoever sends the same again, by itself or by another press, sends it under the same key, and it is done once.
 */
export class OpenWrites {
  readonly #open = new Map<string, { key: string; since: number; failures: number }>()

  keyFor(what: string, now = Date.now()): string {
    const known = this.#open.get(what)
    if (known && now - known.since < FORGET_AFTER) return known.key
    const key = newKey()
    this.#open.set(what, { key, since: now, failures: 0 })
    return key
  }

  /** Called with each answer; only a final one lets the key go. */
  answered(what: string, problem?: Problem) {
    const known = this.#open.get(what)
    if (!problem?.again) this.#open.delete(what)
    else if (known) known.failures += 1
  }

  /** When it was begun, ms, and how often nobody knew what became of it. */
  begun(what: string): { since: number; failures: number } | undefined {
    return this.#open.get(what)
  }

  /** It waits elsewhere, with its key. */
  letGo(what: string) {
    this.#open.delete(what)
  }
}

/** How a write is sent again by itself: only while nobody knows whether it was done, each time after a longer while. */
export const sendingAgain = {
  retry: (failures: number, problem: Problem) => problem.again && failures < TRIES,
  retryDelay: (failures: number) => Math.min(300 * 2 ** failures, 8_000),
}
