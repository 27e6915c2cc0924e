import { useQueryClient } from '@tanstack/react-query'
import { type Shape, useHouseId, useWrite } from '../api/hooks'

/** A write at the stove, answered by the pot as it stands. */
export function useTend(pot: Shape<'StoveView'>, done?: () => void) {
  const house = useHouseId()
  const client = useQueryClient()
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
  return {
    write,
    path,
    tend: (what: string, say?: string, confirmed?: string) =>
      write.mutate({
        path: `${path}/tend`,
        body: { what, with: say, confirmed },
        says: `${pot.title}: shaken and wiped`,
      }),
  }
}
