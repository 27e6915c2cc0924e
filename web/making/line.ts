import { useHouseId, useMakingWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import type { Making } from './MakingPage'

/** Writes a line of a product's logbook, and says what was written, with the way back beside it. */
export function useLine(making: Making, done?: () => void, kept?: () => void) {
  const say = useSay()
  const path = `/houses/${useHouseId()}/makings/${making.id}` as const
  const undo = useMakingWrite(() => say({ text: 'Undone.' }))
  const write = useMakingWrite((after) => {
    done?.()
    const entry = after.entries[0]
    say({
      text: `${entry?.title ?? 'Written down'}.`,
      undo: entry ? () => undo.mutate({ path: `${path}/undo`, body: { entry: entry.id } }) : undefined,
    })
  }, kept)
  return { write, path }
}
