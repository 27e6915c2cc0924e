import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { ask, type Problem } from '../api/client'
import { type Shape, useHouseId } from '../api/hooks'
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

/** A wish typed as it would be said, read when it is asked; and what stands beside it where it cannot be. */
export function useReadWish(text: string, onRead: (read: Shape<'ReadWishView'>) => void) {
  const house = useHouseId()
  const reading = useMutation<Shape<'ReadWishView'>, Problem>({
    // Offline is found out by trying, as everything else is.
    networkMode: 'always',
    mutationFn: () => ask(`/houses/${house}/wishes/read`, { text }),
    onSuccess: onRead,
  })
  const problem = reading.error
  return {
    reading,
    read: () => {
      if (!reading.isPending && text.trim() !== '') reading.mutate()
    },
    fault: problem?.about('text') ?? problem?.faults[0]?.sentence ?? problem?.message,
  }
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
