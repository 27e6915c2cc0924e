import { useState } from 'react'
import { type Shape, useBatchWrite, useHouseId, useMaterials } from '../api/hooks'
import { usePart } from '../frame/part'
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
      <KeepSheet key={`keep-${batch.version}`} batch={batch} open={changing} onOpenChange={setChanging} />
      <PurposeSheet key={`for-${batch.version}`} batch={batch} open={purposing} onOpenChange={setPurposing} />
    </>
  )
}

type Props = { batch: Shape<'BatchView'>; open: boolean; onOpenChange: (open: boolean) => void }

function KeepSheet({ batch, open, onOpenChange }: Props) {
  const house = useHouseId()
  const { kept } = batch
  const [place, setPlace] = useState(kept.place)
  const [glass, setGlass] = useState(kept.glass)
  const [antioxidant, setAntioxidant] = useState(kept.antioxidant)
  const [where, setWhere] = useState(kept.where)
  const write = useBatchWrite(() => onOpenChange(false))
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="How it is kept now">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => {
          write.mutate({
            path: `/houses/${house}/batches/${batch.id}/keep`,
            body: { place, glass, antioxidant, where },
          })
        })}
      >
        <Select label="Kept in" choices={kept.places} value={place} onChange={(e) => setPlace(e.target.value)} />
        <Select label="In" choices={kept.glasses} value={glass} onChange={(e) => setGlass(e.target.value)} />
        <Select
          label="With"
          choices={kept.antioxidants}
          value={antioxidant}
          onChange={(e) => setAntioxidant(e.target.value)}
        />
        <Field label="Where it stands" maxLength={120} value={where} onChange={(e) => setWhere(e.target.value)} />
        <Trouble problem={write.error} />
        <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
          Reckon it anew
        </Button>
      </form>
    </Sheet>
  )
}

function PurposeSheet({ batch, open, onOpenChange }: Props) {
  const house = useHouseId()
  const materials = useMaterials()
  const [purpose, setPurpose] = useState(batch.purpose)
  const write = useBatchWrite(() => onOpenChange(false))
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="What it is for">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => {
          write.mutate({ path: `/houses/${house}/batches/${batch.id}/purpose`, body: { purpose } })
        })}
      >
        <p>What was made for the skin is eaten only where every part of it is known as food.</p>
        <Select
          label="For"
          choices={materials.data?.purposes ?? []}
          value={purpose}
          onChange={(e) => setPurpose(e.target.value)}
        />
        <Trouble problem={write.error} />
        <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
          It is for that
        </Button>
      </form>
    </Sheet>
  )
}
