import { useState } from 'react'
import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button } from '../parts/Button'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { HadWarmth } from './HadWarmth'

/** What is never strained: it is said to be ready, and is used from the top of the jar it stands in. */
export function Ready({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const [warmth, setWarmth] = useState('')
  const write = useBatchWrite()
  if (!works) return null
  return (
    <section aria-labelledby="ready" className="flex max-w-3xl flex-col gap-4">
      <h2 id="ready" className="text-2xl">
        Left on its sediment
      </h2>
      <p>
        It is not strained. Let the powder fall, and pour from the top with a dry hand: about{' '}
        <strong>{batch.press.expected}</strong> stands clear above it, and the rest goes with the powder into a
        marinade.
      </p>
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() =>
          write.mutate({ path: `/houses/${house}/batches/${batch.id}/ready`, body: { warmth: warmth || null } }),
        )}
      >
        <HadWarmth press={batch.press} warmth={warmth} setWarmth={setWarmth} fault={write.error?.about('warmth')} />
        <Trouble problem={write.error} />
        <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
          It is ready
        </Button>
      </form>
    </section>
  )
}
