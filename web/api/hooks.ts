import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { get, type Problem, type Schemas, send } from './client'
import { OpenWrites, sendingAgain } from './once'
import type { Answer, AnswerTo, Operation, WriteOf } from './typed'

declare module '@tanstack/react-query' {
  interface Register {
    defaultError: Problem
  }
}

export type Shape<Name extends keyof Schemas> = Schemas[Name]

export const useMe = () => useQuery({ queryKey: ['me'], queryFn: () => get('/me'), staleTime: 60_000 })

/** The id of the house in the address. */
export function useHouseId(): string {
  return useParams().house ?? ''
}

/** Something of the current house. */
export function useOfHouse<const P extends string>(
  path: P,
  options: {
    stale?: number
    enabled?: boolean
    /** After how many ms it is asked again, by what was answered last. */
    every?: (last: Answer<'get', `/houses/${string}${P}`> | undefined) => number | false
  } = {},
) {
  const house = useHouseId()
  const { every } = options
  return useQuery<Answer<'get', `/houses/${string}${P}`>>({
    queryKey: ['house', house, path],
    queryFn: ({ signal }) => get(`/houses/${house}${path}`, signal),
    staleTime: options.stale ?? 0,
    enabled: options.enabled ?? true,
    ...(every ? { refetchInterval: (query) => every(query.state.data) } : {}),
  })
}

export const useBatch = (id: string) => useOfHouse(`/batches/${id}`)
export const useHouse = () => useOfHouse('', { stale: 30_000 })
export const useMaterials = () => useOfHouse('/materials', { stale: Infinity })

type Write = { method?: string; path: string; body?: unknown; raw?: string }

/** Of all pages together, for a page may be left before its answer is there. */
const open = new OpenWrites()

/**
 * A write. Until its answer is final it is sent again by itself under the same key, as is another press of the same,
 * so that it is done once; anything else written meanwhile has a key of its own.
 */
export function useWrite<Op extends Operation = Operation>(done?: (answer: AnswerTo<Op>) => void) {
  const client = useQueryClient()
  return useMutation<AnswerTo<Op>, Problem, WriteOf<Op>>({
    // Offline is found out by trying, as everything else is.
    networkMode: 'always',
    ...sendingAgain,
    mutationFn: async (write) => {
      const { method = 'POST', path, body, raw }: Write = write
      const what = `${method} ${path} ${raw ?? JSON.stringify(body)}`
      try {
        const key = open.keyFor(what)
        const answer = await send<AnswerTo<Op>>(method, path, { key, ...(raw === undefined ? { body } : { raw }) })
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

/** Every write that is answered by the batch as it stands. */
type BatchWrite = {
  [Op in Operation]: AnswerTo<Op> extends Shape<'BatchView'> ? Op : never
}[Operation]

/** A write about one batch, answered by the batch as it stands. */
export function useBatchWrite(done?: (batch: Shape<'BatchView'>) => void) {
  const house = useHouseId()
  const client = useQueryClient()
  return useWrite<BatchWrite>((batch) => {
    client.setQueryData(['house', house, `/batches/${batch.id}`], batch)
    done?.(batch)
  })
}

/** Every write that is answered by the pot as it stands. */
type PotWrite = {
  [Op in Operation]: AnswerTo<Op> extends Shape<'PotView'> ? Op : never
}[Operation]

/** A write about one pot that is boiled down, answered by the pot as it stands. */
export function usePotWrite(done?: (pot: Shape<'PotView'>) => void) {
  const house = useHouseId()
  const client = useQueryClient()
  return useWrite<PotWrite>((pot) => {
    client.setQueryData(['house', house, `/boils/${pot.id}`], pot)
    done?.(pot)
  })
}

/** Every write that is answered by the product as it stands. */
type MakingWrite = {
  [Op in Operation]: AnswerTo<Op> extends Shape<'MakingView'> ? Op : never
}[Operation]

/** A write about one product, answered by the product as it stands. */
export function useMakingWrite(done?: (making: Shape<'MakingView'>) => void) {
  const house = useHouseId()
  const client = useQueryClient()
  return useWrite<MakingWrite>((making) => {
    client.setQueryData(['house', house, `/makings/${making.id}`], making)
    done?.(making)
  })
}
