import { useEffect, useState } from 'react'
import type { Shape } from '../api/hooks'

export type Wish = Shape<'Wish'>

export const FIRST: Wish = { herb: { id: 'calendula' }, oils: [{ id: 'sunflower-high-oleic' }] }

/** The wish on the bench, kept as a draft so that nothing typed is lost. */
export function useDraft(house: string): [Wish, (change: Partial<Wish>) => void, (whole: Wish) => void] {
  const store = `kettle.bench.${house}`
  const [wish, setWish] = useState<Wish>(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(store) ?? 'null')
      return kept && typeof kept === 'object' ? (kept as Wish) : FIRST
    } catch {
      return FIRST
    }
  })
  useEffect(() => localStorage.setItem(store, JSON.stringify(wish)), [store, wish])
  return [wish, (change) => setWish((before) => ({ ...before, ...change })), setWish]
}

/** The oils of a wish, each with its parts. */
export function oilsOf(wish: Wish): { id: string; parts: string }[] {
  return wish.oils.map((oil) =>
    typeof oil === 'string' ? { id: oil, parts: '1' } : { id: oil.id, parts: String(oil.parts ?? '1') },
  )
}
