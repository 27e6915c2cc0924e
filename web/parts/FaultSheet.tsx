import { useHouseId, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { Faults } from './Faults'
import { Trouble } from './Notice'
import { Sheet } from './Sheet'

/** What is wrong with a batch or a product, found and entered in its logbook; what must not be kept is thrown away next. */
export function FaultSheet({
  of,
  id,
  title,
  open,
  setOpen,
  discard,
}: {
  of: 'batch' | 'making'
  id: string
  title: string
  open: boolean
  setOpen: (open: boolean) => void
  discard: () => void
}) {
  const house = useHouseId()
  const { works } = usePart()
  const say = useSay()
  const enter = useWrite<
    'POST /houses/{house}/batches/{batch}/faults/note' | 'POST /houses/{house}/makings/{making}/faults/note'
  >()
  const path =
    of === 'batch'
      ? (`/houses/${house}/batches/${id}/faults/note` as const)
      : (`/houses/${house}/makings/${id}/faults/note` as const)
  return (
    <Sheet open={open} onOpenChange={setOpen} title={title}>
      <Faults
        {...{ [of]: id }}
        onNote={
          works
            ? (signs, thrown) =>
                enter.mutate(
                  { path, body: { signs } },
                  {
                    onSuccess: () => {
                      setOpen(false)
                      if (thrown) discard()
                      else say({ text: 'Entered in the logbook.' })
                    },
                  },
                )
            : undefined
        }
      />
      <Trouble problem={enter.error} />
    </Sheet>
  )
}
