import { useQueryClient } from '@tanstack/react-query'
import { type Shape, useHouseId, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { lower } from '../parts/letters'

/** A write at the stove, answered by the pot as it stands; what was done is said, with the way back. */
export function useTend(pot: Shape<'StoveView'>, done?: () => void) {
  const house = useHouseId()
  const client = useQueryClient()
  const say = useSay()
  const write = useWrite<
    | 'POST /houses/{house}/stove/{session}/tend'
    | 'POST /houses/{house}/stove/{session}/reading'
    | 'POST /houses/{house}/stove/{session}/undo'
    | 'POST /houses/{house}/stove/{session}/learn'
  >((now) => {
    client.setQueryData(['house', house, `/stove/${pot.id}`], now)
    done?.()
  }, done)
  const path = `/houses/${house}/stove/${pot.id}` as const
  const takeBack = (entry: string, what: string) =>
    write.mutate(
      { path: `${path}/undo`, body: { entry } },
      { onSuccess: () => say({ text: `Taken back: ${lower(what)}.` }) },
    )
  return {
    write,
    path,
    takeBack,
    tend: (what: string, wanted?: string, confirmed?: string) =>
      write.mutate(
        {
          path: `${path}/tend`,
          body: { what, with: wanted, confirmed },
          says: `${pot.title}: shaken and wiped`,
        },
        {
          onSuccess: ({ done: [line] }) => {
            const entry = line?.entry
            if (line) say({ text: `${line.text}.`, undo: entry ? () => takeBack(entry, line.text) : undefined })
          },
        },
      ),
  }
}
