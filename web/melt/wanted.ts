import { useState } from 'react'

/** A product that is wanted by a day, and which of its oils, where it is an oil that is planned for it. */
export type For = { id: string; name: string; oil?: number }

const key = (place: 'bench' | 'melt') => `kettle.wanted.${place}`

/** What is put on the Bench or the Melt next is for that product; null for none. */
export function planFor(place: 'bench' | 'melt', it: For | null): void {
  if (it === null) sessionStorage.removeItem(key(place))
  else sessionStorage.setItem(key(place), JSON.stringify(it))
}

function kept(place: 'bench' | 'melt'): For | null {
  try {
    const it: unknown = JSON.parse(sessionStorage.getItem(key(place)) ?? 'null')
    return it !== null && typeof it === 'object' && 'id' in it && 'name' in it ? (it as For) : null
  } catch {
    return null
  }
}

/** Which product that is wanted by a day this is planned for, and a way to say that it is not. */
export function useFor(place: 'bench' | 'melt'): [For | null, () => void, (it: For) => void] {
  const [it, set] = useState(() => kept(place))
  return [
    it,
    () => {
      planFor(place, null)
      set(null)
    },
    (to) => {
      planFor(place, to)
      set(to)
    },
  ]
}
