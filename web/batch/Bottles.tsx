import { useState } from 'react'
import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { Button, TextButton } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'

const HOW = [
  { id: 'used', name: 'used' },
  { id: 'given', name: 'given away' },
  { id: 'thrown', name: 'thrown away' },
]

const WENT: Record<string, string> = { given: 'given', thrown: 'thrown away' }

function whereItWent(bottle: Shape<'BatchView'>['bottles'][number]): string {
  if (bottle.state !== 'in') {
    return `; ${WENT[bottle.state] ?? 'used'}${bottle.to ? `, ${bottle.to}` : ''}`
  }
  return bottle.left === '' || bottle.to === '' ? '' : `; ${bottle.left} left, some to ${bottle.to}`
}

/** Every bottle of a batch: what is left in it, and where it went. */
export function Bottles({ batch }: { batch: Shape<'BatchView'> }) {
  const { works } = usePart()
  const [using, setUsing] = useState<number | null>(null)
  const [topping, setTopping] = useState<number | null>(null)
  // What is left on its sediment is topped up, and what is strained is not.
  const stands = batch.plan.strained === false && batch.stage === 'bottled'
  if (batch.bottles.length === 0) return null
  return (
    <section aria-labelledby="bottles" className="flex flex-col gap-2">
      <h2 id="bottles" className="column-head font-text text-base">
        {stands ? 'What it stands in' : 'Bottles'}
      </h2>
      {batch.trace.length > 0 ? (
        <Notice rank="stop">
          These are to be found:
          <ul className="list-disc ps-5">
            {batch.trace.map((line) => (
              <li key={line.number}>
                no. {line.number}: {line.says}
              </li>
            ))}
          </ul>
        </Notice>
      ) : null}
      <ul>
        {batch.bottles.map((bottle) => (
          <li
            key={bottle.number}
            className="border-line flex flex-wrap items-center justify-between gap-x-4 border-b py-1"
          >
            <span className={bottle.state === 'in' ? '' : 'text-soft'}>
              <strong className="figures">no. {bottle.number}</strong>, {bottle.filled}
              {whereItWent(bottle)}
            </span>
            <span className="flex gap-4">
              {works && stands ? (
                <TextButton onClick={() => setTopping(bottle.number)} aria-label={`Top up number ${bottle.number}`}>
                  Top up
                </TextButton>
              ) : null}
              {works && bottle.state === 'in' ? (
                <TextButton onClick={() => setUsing(bottle.number)} aria-label={`Use or give bottle ${bottle.number}`}>
                  Use or give
                </TextButton>
              ) : null}
            </span>
          </li>
        ))}
      </ul>
      <UseSheet key={using} batch={batch} number={using} close={() => setUsing(null)} />
      <TopUpSheet key={`top-${topping ?? ''}`} batch={batch} number={topping} close={() => setTopping(null)} />
    </section>
  )
}

/** Fresh oil on what is used from the top. */
function TopUpSheet({ batch, number, close }: { batch: Shape<'BatchView'>; number: number | null; close: () => void }) {
  const house = useHouseId()
  const say = useSay()
  const [amount, setAmount] = useState('')
  const write = useBatchWrite(() => {
    close()
    say({ text: 'Topped up: written down.' })
  })
  return (
    <Sheet open={number !== null} onOpenChange={(open) => (open ? undefined : close())} title="Top up">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => {
          if (number !== null)
            write.mutate({
              path: `/houses/${house}/batches/${batch.id}/top-up`,
              body: { bottle: number, amount },
            })
        })}
      >
        <p>The same oil, before the powder stands out. It keeps no longer for it: best before {batch.best_before}.</p>
        <Field
          label="How much oil was added"
          placeholder="40 mL"
          maxLength={40}
          required
          value={amount}
          fault={write.error?.about('amount')}
          onChange={(event) => setAmount(event.target.value)}
        />
        {write.error && !write.error.about('amount') ? <Trouble problem={write.error} /> : null}
        <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
          Write it down
        </Button>
      </form>
    </Sheet>
  )
}

function UseSheet({ batch, number, close }: { batch: Shape<'BatchView'>; number: number | null; close: () => void }) {
  const house = useHouseId()
  const say = useSay()
  const [how, setHow] = useState('used')
  const [amount, setAmount] = useState('')
  const [to, setTo] = useState('')
  const path = `/houses/${house}/batches/${batch.id}` as const
  const undo = useBatchWrite(() => say({ text: 'Undone.' }))
  const write = useBatchWrite((after) => {
    close()
    const entry = after.entries[0]
    say({
      text: `Bottle ${number ?? ''}: written down.`,
      undo: entry ? () => undo.mutate({ path: `${path}/undo`, body: { entry: entry.id } }) : undefined,
    })
  })
  const bottle = batch.bottles.find((each) => each.number === number)
  return (
    <Sheet
      open={number !== null}
      onOpenChange={(open) => (open ? undefined : close())}
      title={`Bottle ${number ?? ''}`}
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => {
          if (number !== null)
            write.mutate({ path: `${path}/use`, body: { bottle: number, how, amount: amount || null, to } })
        })}
      >
        <p>
          {bottle?.left} in it{batch.kept.use_by ? `; not used or given after ${batch.kept.use_by}` : ''}.
        </p>
        <Select label="It is" choices={HOW} value={how} onChange={(e) => setHow(e.target.value)} />
        <Field
          label={how === 'given' ? 'To whom' : 'For what'}
          maxLength={160}
          value={to}
          onChange={(e) => setTo(e.target.value)}
        />
        <Field
          label="How much"
          placeholder="10 mL, half of it; empty for all that is in it"
          value={amount}
          fault={write.error?.about('amount')}
          onChange={(e) => setAmount(e.target.value)}
        />
        {write.error && !write.error.about('amount') ? <Trouble problem={write.error} /> : null}
        <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
          Write it down
        </Button>
      </form>
    </Sheet>
  )
}
