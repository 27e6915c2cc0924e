import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { ask } from '../api/client'
import { useHouseId } from '../api/hooks'
import type { Wish } from './wish'

/** What the house says of a wish; what was said before stays in sight till then. */
export function useSaid<What extends 'reckon' | 'ways'>(what: What, wish: Wish, enabled = true) {
  const house = useHouseId()
  return useQuery({
    queryKey: ['house', house, what, wish],
    queryFn: ({ signal }) => ask(`/houses/${house}/${what}`, { wish }, signal),
    placeholderData: keepPreviousData,
    retry: false,
    enabled,
  })
}

type Told = { id: string; says: string }

/** The cautions somebody has read. One is read for what it says: of another plan it is read again. */
export function useReading() {
  const [read, setRead] = useState<string[]>([])
  const key = (note: Told) => `${note.id} ${note.says}`
  return {
    of: (note: Told) => ({
      is: read.includes(key(note)),
      set: (is: boolean) => setRead(is ? [...read, key(note)] : read.filter((each) => each !== key(note))),
    }),
    /** The ids of those of a plan that were read. */
    acknowledged: (notes: Told[]) => notes.filter((note) => read.includes(key(note))).map((note) => note.id),
    forget: () => setRead([]),
  }
}
