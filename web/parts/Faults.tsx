import { useState } from 'react'
import { useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { sent } from './form'
import { useArrived } from './arrived'
import { Button } from './Button'
import { Notice, Trouble } from './Notice'
import { Tick } from './Tick'
import { capital } from './letters'

const KEEP: Record<string, string> = { keep: 'note', 'use-soon': 'care', 'discard-if-eaten': 'care', discard: 'stop' }

/** From what is seen to what is likely wrong; of a batch or a product, with what its own records say. */
export function Faults({
  batch,
  making,
  onNote,
}: {
  batch?: string
  making?: string
  onNote?: ((signs: string[], discard: boolean) => void) | undefined
}) {
  const house = useHouseId()
  const list = useOfHouse('/faults', { stale: Infinity })
  const [signs, setSigns] = useState<string[]>([])
  const find = useWrite<
    | 'POST /houses/{house}/faults'
    | 'POST /houses/{house}/batches/{batch}/faults'
    | 'POST /houses/{house}/makings/{making}/faults'
  >()
  const { there, instead } = useArrived(list, 'the signs')
  if (!there) return instead
  const found = find.data
  const shown = making ? there.signs.filter((sign) => sign.of.includes('product')) : there.signs
  return (
    <div className="flex flex-col gap-4">
      <form
        className="flex flex-col gap-3"
        onSubmit={sent(() => {
          const path = making
            ? (`/houses/${house}/makings/${making}/faults` as const)
            : batch
              ? (`/houses/${house}/batches/${batch}/faults` as const)
              : (`/houses/${house}/faults` as const)
          find.mutate({ path, body: { signs } })
        })}
      >
        <fieldset className="grid gap-x-6 sm:grid-cols-2">
          <legend className="font-semibold">What do you see or smell?</legend>
          {shown.map((sign) => (
            <Tick
              key={sign.id}
              checked={signs.includes(sign.id)}
              onChange={(checked) => {
                setSigns(checked ? [...signs, sign.id] : signs.filter((each) => each !== sign.id))
                find.reset()
              }}
            >
              {sign.says}
            </Tick>
          ))}
        </fieldset>
        <Trouble problem={find.error} />
        <Button type="submit" look="strong" className="self-start" disabled={find.isPending || signs.length === 0}>
          What is it?
        </Button>
      </form>
      {found ? (
        <div className="flex flex-col gap-4" role="status">
          <Notice rank={KEEP[found.keep] ?? 'care'}>{found.says}</Notice>
          <ol className="flex flex-col gap-4">
            {found.causes.map((cause) => (
              <li key={cause.id} className="border-line flex flex-col gap-1 border-t pt-3">
                <p className="text-lg">
                  <strong>{capital(cause.name)}</strong> <span className="text-soft">{cause.likely}</span>
                </p>
                {cause.for.length > 0 ? <p>For it: {cause.for.join(' ')}</p> : null}
                {cause.against.length > 0 ? <p>Against it: {cause.against.join(' ')}</p> : null}
                <p>
                  <strong>Test.</strong> {cause.test}
                </p>
                <p>
                  <strong>Do.</strong> {cause.do}
                </p>
              </li>
            ))}
          </ol>
          {onNote ? (
            <Button className="self-start" onClick={() => onNote(signs, found.keep === 'discard')}>
              Enter it in the logbook
            </Button>
          ) : null}
        </div>
      ) : null}
    </div>
  )
}
