import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { isAway } from '../offline/known'
import { mayWait } from '../offline/later'
import { outbox } from '../offline/here'
import { agoS } from '../offline/outbox'
import { get, type Problem, type Schemas, send, WrittenHere } from './client'
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

/** The question for something of a house. */
export const ofHouse = <const P extends string>(house: string, path: P) => ({
  queryKey: ['house', house, path],
  queryFn: ({ signal }: { signal: AbortSignal }): Promise<Answer<'get', `/houses/${string}${P}`>> =>
    get(`/houses/${house}${path}`, signal),
})

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
    ...ofHouse(house, path),
    staleTime: options.stale ?? 0,
    enabled: options.enabled ?? true,
    ...(every ? { refetchInterval: (query) => every(query.state.data) } : {}),
  })
}

export const useBatch = (id: string) => useOfHouse(`/batches/${id}`)
export const useHouse = () => useOfHouse('', { stale: 30_000 })
export const useMaterials = () => useOfHouse('/materials', { stale: Infinity })

type Write = { method?: string; path: string; body?: unknown; raw?: string; says?: string; doneAt?: number | undefined }

/** Of all pages together, for a page may be left before its answer is there. */
const open = new OpenWrites()

/** So often nobody answered, and it is kept here, where it may wait. */
const KEPT_AFTER = 3

/** Of a write that may wait: whether it is kept on this machine now, after others that wait, or because nobody answers. */
function waits({ method, path, body, raw, says }: Write, who: string, what: string, problem?: Problem): boolean {
  if (says === undefined || (method ?? 'POST') !== 'POST' || raw !== undefined || !mayWait(path, body)) return false
  if (problem === undefined) return outbox.isWaiting(who)
  return problem.again && (isAway() || (open.begun(what)?.failures ?? 0) >= KEPT_AFTER)
}

/** What became of a write: it is in, or it is written down here; for a form that is done with it either way. */
export const either = (done: () => void) => ({
  onSuccess: done,
  onError: (problem: Problem) => {
    if (problem instanceof WrittenHere) done()
  },
})

/**
 * A write. Until its answer is final it is sent again by itself under the same key, as is another press of the same,
 * so that it is done once; anything else written meanwhile has a key of its own. One that says what it is and may wait
 * is written down on this machine while nobody answers: that is told by a WrittenHere.
 *
 * @param kept called when it was written down here
 */
export function useWrite<Op extends Operation = Operation>(done?: (answer: AnswerTo<Op>) => void, kept?: () => void) {
  const client = useQueryClient()
  return useMutation<AnswerTo<Op>, Problem, WriteOf<Op>>({
    // Offline is found out by trying, as everything else is.
    networkMode: 'always',
    ...sendingAgain,
    mutationFn: async (write) => {
      const { method = 'POST', path, body, raw, says = '', doneAt }: Write = write
      const who = client.getQueryData<Schemas['Me']>(['me'])?.id ?? ''
      const what = `${method} ${path} ${raw ?? JSON.stringify(body)}`
      const key = open.keyFor(what)
      const keep = async () => {
        const at = doneAt ?? open.begun(what)?.since ?? Date.now()
        await outbox.keep({ key, who, path, body: JSON.stringify(body), at, says })
        open.letGo(what)
        return new WrittenHere()
      }
      if (waits(write, who, what)) throw await keep()
      try {
        const answer = await send<AnswerTo<Op>>(method, path, {
          key,
          ...(raw === undefined ? { body } : { raw }),
          ...(doneAt === undefined ? {} : { agoS: agoS(doneAt) }),
        })
        open.answered(what)
        return answer
      } catch (problem) {
        open.answered(what, problem as Problem)
        // Where this browser keeps nothing, it is tried again as any other.
        throw waits(write, who, what, problem as Problem) ? await keep().catch(() => problem) : problem
      }
    },
    onSuccess: (answer) => {
      done?.(answer)
      void client.invalidateQueries({ queryKey: ['house'] })
    },
    onError: (problem) => {
      if (problem instanceof WrittenHere) kept?.()
      // What stands now is shown, as its sentence says.
      if (problem.status === 409) void client.invalidateQueries({ queryKey: ['house'] })
    },
  })
}

/** Every write that is answered by the batch as it stands. */
type BatchWrite = {
  [Op in Operation]: AnswerTo<Op> extends Shape<'BatchView'> ? Op : never
}[Operation]

/** A write about one batch, answered by the batch as it stands. */
export function useBatchWrite(done?: (batch: Shape<'BatchView'>) => void, kept?: () => void) {
  const house = useHouseId()
  const client = useQueryClient()
  return useWrite<BatchWrite>((batch) => {
    client.setQueryData(['house', house, `/batches/${batch.id}`], batch)
    done?.(batch)
  }, kept)
}

/** Every write that is answered by the pot as it stands. */
type PotWrite = {
  [Op in Operation]: AnswerTo<Op> extends Shape<'PotView'> ? Op : never
}[Operation]

/** A write about one pot that is boiled down, answered by the pot as it stands. */
export function usePotWrite(done?: (pot: Shape<'PotView'>) => void, kept?: () => void) {
  const house = useHouseId()
  const client = useQueryClient()
  return useWrite<PotWrite>((pot) => {
    client.setQueryData(['house', house, `/boils/${pot.id}`], pot)
    done?.(pot)
  }, kept)
}

/** Every write that is answered by the product as it stands. */
type MakingWrite = {
  [Op in Operation]: AnswerTo<Op> extends Shape<'MakingView'> ? Op : never
}[Operation]

/** A write about one product, answered by the product as it stands. */
export function useMakingWrite(done?: (making: Shape<'MakingView'>) => void, kept?: () => void) {
  const house = useHouseId()
  const client = useQueryClient()
  return useWrite<MakingWrite>((making) => {
    client.setQueryData(['house', house, `/makings/${making.id}`], making)
    done?.(making)
  }, kept)
}
