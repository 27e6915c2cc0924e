import { type FormEvent, useRef, useState } from 'react'
import type { Problem } from '../api/client'
import { useKeptForm } from './kept'

type Typed = { target: { value: string } }

/** What is sent is sent by us: the page stays. */
export const sent = (send: () => void) => (event: FormEvent) => {
  event.preventDefault()
  send()
}

/** A form after it was sent: what is still as it went is cleared, what was typed meanwhile stays. */
export function cleared<F extends Record<string, string>>(first: F, now: F, away: F | null): F {
  const same = Object.entries(first).filter(([name]) => away === null || now[name] === away[name])
  return { ...now, ...Object.fromEntries(same) }
}

/** What differs from what the form begins with. */
const stillTyped = <F extends Record<string, string>>(begun: F, now: F) =>
  Object.fromEntries(Object.entries(now).filter(([name, text]) => text !== begun[name])) as Partial<F>

/**
 * What was typed, on what stands there now: what was not touched is as it is there, what was touched stays as typed. Nothing, where
 * another changed to something else what was touched here: that is told, and not written over unseen.
 *
 * @param was what stood there when it was begun
 */
export function rebased<F extends Record<string, unknown>>(was: F, is: F, typed: F, told: boolean): F | null {
  const other = (a: unknown, b: unknown) => JSON.stringify(a) !== JSON.stringify(b)
  const mine = Object.keys(was).filter((name) => other(typed[name], was[name]))
  if (!told && mine.some((name) => other(was[name], is[name]) && other(typed[name], is[name]))) return null
  return { ...is, ...Object.fromEntries(mine.map((name) => [name, typed[name]])) }
}

/**
 * What a form holds as it is typed, by the names its answer has for the fields.
 *
 * @param kept the name under which this browser keeps it until it is in, for what was measured and cannot be measured again
 */
export function useForm<F extends Record<string, string>>(first: F, kept: string | null = null) {
  const [begun] = useState(first)
  const { typed, put, set } = useKeptForm(kept, begun)
  const away = useRef<F | null>(null)
  return {
    typed,
    put,
    /** Sends it, and knows what was sent: what is typed meanwhile is not cleared with it. */
    sent: (send: () => void) =>
      sent(() => {
        away.current = typed
        send()
      }),
    clear: () => set((now) => stillTyped(begun, cleared(first, { ...begun, ...now }, away.current))),
    /** What was wrong, each beside its field, and what is about none of them. */
    beside: (problem: Problem | null) => ({
      field: (name: keyof F & string) => ({
        value: typed[name] ?? '',
        fault: problem?.about(name),
        onChange: (event: Typed) => put({ [name]: event.target.value } as Partial<F>),
      }),
      rest: problem && !Object.keys(first).some((name) => problem.about(name)) ? problem : null,
    }),
  }
}
