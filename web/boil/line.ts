import { type Shape, useHouseId, usePotWrite } from '../api/hooks'
import { useSay } from '../frame/Say'

export type Pot = Shape<'PotView'>

/** Writes a line of the pot's logbook, and says what was written, with the way back beside it. */
export function usePotLine(pot: Pot, done?: (after: Pot) => void) {
  const say = useSay()
  const path = `/houses/${useHouseId()}/boils/${pot.id}` as const
  const undo = usePotWrite(() => say({ text: 'Undone.' }))
  const write = usePotWrite(
    (after) => {
      done?.(after)
      const entry = after.entries[0]
      say({
        text: `${entry?.title ?? 'Written down'}.`,
        undo: entry?.can_undo ? () => undo.mutate({ path: `${path}/undo`, body: { entry: entry.id } }) : undefined,
      })
    },
    () => done?.(pot),
  )
  return { write, path }
}
