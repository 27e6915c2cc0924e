import { useState } from 'react'
import { type Shape, useBatchWrite, useHouseId, useMaterials } from '../api/hooks'
import { usePart } from '../frame/part'
import { useTypedOn } from '../parts/begun'
import { Button, TextButton } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { Figure } from '../parts/Figure'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'

/** Until when it is good and why; where it stands; and what it is for. */
export function Keeping({ batch }: { batch: Shape<'BatchView'> }) {
  const { works } = usePart()
  const [changing, setChanging] = useState(false)
  const [purposing, setPurposing] = useState(false)
  const { kept } = batch
  const named = (choices: Shape<'Choice'>[], id: string) => choices.find((choice) => choice.id === id)?.name ?? id
  const put = batch.stage !== 'planned' && batch.stage !== 'discarded'
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <span>{kept.use_by ? 'Use by' : 'Best before'}</span>
        {kept.use_by ? (
          <strong className="text-warmth text-xl">{kept.use_by}</strong>
        ) : (
          <Figure name="Best before" figure={kept.best_before} size="text-xl" />
        )}
      </div>
      <p>
        {batch.press.strained ? 'Kept in ' : 'To be kept in '}
        {named(kept.places, kept.place)}
        {kept.where ? ` (${kept.where})` : ''}, in {named(kept.glasses, kept.glass)}
        {kept.antioxidant === 'none' ? '' : `, with ${named(kept.antioxidants, kept.antioxidant)}`}.
      </p>
      {works && put ? (
        <div className="flex flex-wrap gap-x-4">
          <TextButton onClick={() => setChanging(true)}>Kept otherwise</TextButton>
          <TextButton onClick={() => setPurposing(true)}>For something else</TextButton>
        </div>
      ) : null}
      <Sheet open={changing} onOpenChange={setChanging} title="How it is kept now">
        <KeepForm batch={batch} done={() => setChanging(false)} />
      </Sheet>
      <Sheet open={purposing} onOpenChange={setPurposing} title="What it is for">
        <PurposeForm batch={batch} done={() => setPurposing(false)} />
      </Sheet>
    </>
  )
}

type Props = { batch: Shape<'BatchView'>; done: () => void }

function KeepForm({ batch, done }: Props) {
  const house = useHouseId()
  const { kept } = batch
  const { place, glass, antioxidant, where } = kept
  // Any line of the logbook is a new version of the batch, and what is typed here stays.
  const { typed, put } = useTypedOn({ place, glass, antioxidant, where }, batch.version, true)
  const write = useBatchWrite(done)
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={sent(() => {
        write.mutate({
          path: `/houses/${house}/batches/${batch.id}/keep`,
          body: typed,
        })
      })}
    >
      <Select
        label="Kept in"
        choices={kept.places}
        value={typed.place}
        onChange={(e) => put({ place: e.target.value })}
      />
      <Select label="In" choices={kept.glasses} value={typed.glass} onChange={(e) => put({ glass: e.target.value })} />
      <Select
        label="With"
        choices={kept.antioxidants}
        value={typed.antioxidant}
        onChange={(e) => put({ antioxidant: e.target.value })}
      />
      <Field
        label="Where it stands"
        maxLength={120}
        value={typed.where}
        onChange={(e) => put({ where: e.target.value })}
      />
      <Trouble problem={write.error} />
      <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
        Reckon it anew
      </Button>
    </form>
  )
}

function PurposeForm({ batch, done }: Props) {
  const house = useHouseId()
  const materials = useMaterials()
  const { typed, put } = useTypedOn({ purpose: batch.purpose }, batch.version, true)
  const write = useBatchWrite(done)
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={sent(() => {
        write.mutate({ path: `/houses/${house}/batches/${batch.id}/purpose`, body: typed })
      })}
    >
      <p>What was made for the skin is eaten only where every part of it is known as food.</p>
      <Select
        label="For"
        choices={materials.data?.purposes ?? []}
        value={typed.purpose}
        onChange={(e) => put({ purpose: e.target.value as typeof batch.purpose })}
      />
      <Trouble problem={write.error} />
      <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
        It is for that
      </Button>
    </form>
  )
}
