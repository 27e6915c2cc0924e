import { useState } from 'react'
import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { Trouble } from '../parts/Notice'

/** Bottles of the house's sizes, begun from what the core suggests. */
export function Bottling({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const [counts, setCounts] = useState<Record<string, string>>({})
  const write = useBatchWrite()
  const count = (line: Shape<'FillLine'>) => counts[line.size] ?? String(line.count)
  if (!works) return null
  return (
    <section aria-labelledby="bottle" className="flex flex-col gap-4">
      <h2 id="bottle" className="text-2xl">
        Bottle
      </h2>
      <p>
        {batch.press.strained} to fill. Clean, bone-dry, dark bottles; nearly full; cap them cold.
        {batch.press.settled ? '' : ' It has not settled its 24 hours yet.'}
      </p>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault()
          const bottles = batch.press.suggested
            .map((line) => ({ size: line.size, count: Number(count(line)) }))
            .filter((line) => line.count !== 0)
          write.mutate({ path: `/houses/${house}/batches/${batch.id}/bottle`, body: { bottles } })
        }}
      >
        <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
          {batch.press.suggested.map((line) => (
            <Field
              key={line.size}
              label={line.called}
              type="number"
              min={0}
              max={500}
              inputMode="numeric"
              value={count(line)}
              onChange={(e) => setCounts({ ...counts, [line.size]: e.target.value })}
            />
          ))}
        </div>
        <Trouble problem={write.error} />
        <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
          Bottles are filled
        </Button>
      </form>
    </section>
  )
}
