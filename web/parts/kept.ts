import { useEffect, useState } from 'react'
import { asJson } from './draft'

/** Text being written, kept in this browser until it is in, so that nothing typed is lost. */
export function useKept(name: string): [string, (text: string) => void] {
  const store = `kettle.kept.${name}`
  const [text, setText] = useState(() => localStorage.getItem(store) ?? '')
  return [
    text,
    (next) => {
      if (next === '') localStorage.removeItem(store)
      else localStorage.setItem(store, next)
      setText(next)
    },
  ]
}

/** Whether it is of the same sort: what an older version of the page kept is not taken for something else. */
const isLike = (kept: unknown, first: unknown) =>
  typeof kept === typeof first && kept !== null && Array.isArray(kept) === Array.isArray(first)

/** What was kept of a form, of those fields it still has. */
export function keptOf<F extends object>(first: F, kept: string | null): Partial<F> {
  const found = Object.entries(asJson(kept) ?? {})
  return Object.fromEntries(found.filter(([name, value]) => isLike(value, first[name as keyof F]))) as Partial<F>
}

/**
 * A form of several fields, kept in this browser until it is in: filling bottles takes longer than a telephone keeps a page. Only what
 * was touched is kept; the rest is as it is first, also when that moves on.
 *
 * @param name none where it is not to be kept
 */
export function useKeptForm<F extends object>(name: string | null, first: F) {
  const store = name === null ? null : `kettle.kept.${name}`
  const [touched, setTouched] = useState<Partial<F>>(() =>
    store === null ? {} : keptOf(first, localStorage.getItem(store)),
  )
  useEffect(() => {
    if (store === null) return
    if (Object.keys(touched).length === 0) localStorage.removeItem(store)
    else localStorage.setItem(store, JSON.stringify(touched))
  }, [store, touched])
  return {
    typed: { ...first, ...touched } as F,
    put: (part: Partial<F>) => setTouched((before) => ({ ...before, ...part })),
    set: setTouched,
  }
}
