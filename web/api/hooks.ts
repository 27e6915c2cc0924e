import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { get, type Problem, type Schemas, send } from './client'
import { OpenWrites, sendingAgain } from './once'

export type Shape<Name extends keyof Schemas> = Schemas[Name]

export const useMe = () =>
  useQuery<Shape<'Me'>, Problem>({ queryKey: ['me'], queryFn: () => get('/me'), staleTime: 60_000 })

/** The id of the house in the address. */
export function useHouseId(): string {
  return useParams().house ?? ''
}

/** Something of the current house. */
export function useOfHouse<T>(path: string, options: { stale?: number; enabled?: boolean } = {}) {
  const house = useHouseId()
  return useQuery<T, Problem>({
    queryKey: ['house', house, path],
    queryFn: ({ signal }) => get<T>(`/houses/${house}${path}`, signal),
    staleTime: options.stale ?? 0,
    enabled: options.enabled ?? true,
  })
}

export const useBatch = (id: string) => useOfHouse<Shape<'BatchView'>>(`/batches/${id}`)
export const useHouse = () => useOfHouse<Shape<'HouseView'>>('', { stale: 30_000 })
export const useMaterials = () => useOfHouse<Shape<'Materials'>>('/materials', { stale: Infinity })

type Write = { method?: string; path: string; body?: unknown; raw?: string }

/** Of all pages together, for a page may be left before its answer is there. */
const open = new OpenWrites()

/**
 * A write. Until its answer is final it is sent again by itself under the same key, as is another press of the same,
 * so that it is done once; anything else written meanwhile has a key of its own.
 */
export function useWrite<T>(done?: (answer: T) => void) {
  const client = useQueryClient()
  return useMutation<T, Problem, Write>({
    // Offline is found out by trying, as everything else is.
    networkMode: 'always',
    ...sendingAgain,
    mutationFn: async ({ method = 'POST', path, body, raw }) => {
      const what = `${method} ${path} ${raw ?? JSON.stringify(body)}`
      try {
        const key = open.keyFor(what)
        const answer = await send<T>(method, path, { key, ...(raw === undefined ? { body } : { raw }) })
        open.answered(what)
        return answer
      } catch (problem) {
        open.answered(what, problem as Problem)
        throw problem
      }
    },
    onSuccess: (answer) => {
      done?.(answer)
      void client.invalidateQueries({ queryKey: ['house'] })
    },
  })
}

/** A write about one batch, answered by the batch as it stands. */
export function useBatchWrite(done?: (batch: Shape<'BatchView'>) => void) {
  const house = useHouseId()
  const client = useQueryClient()
  return useWrite<Shape<'BatchView'>>((batch) => {
    client.setQueryData(['house', house, `/batches/${batch.id}`], batch)
    done?.(batch)
  })
}
