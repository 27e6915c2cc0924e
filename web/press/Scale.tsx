import { useEffect, useState } from 'react'
import { useOfHouse, useWrite, useHouseId } from '../api/hooks'
import { Button } from '../parts/Button'
import { Trouble } from '../parts/Notice'

type Takes = { tare: (text: string) => void; gross: (text: string) => void; spent: (text: string) => void }

const IS = [
  { what: 'tare', says: 'It is the empty jug' },
  { what: 'gross', says: 'It is jug and oil' },
  { what: 'spent', says: 'It is the spent herb' },
] as const

/** The simulated scale: something is put on it, it steadies, and what it shows goes into the field it is for. */
export function Scale({ batch, takes, weighed }: { batch: string; takes: Takes; weighed: () => void }) {
  const [open, setOpen] = useState(false)
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 py-2 font-semibold">Weigh on the simulated scale</summary>
      {open ? <OnScale batch={batch} takes={takes} weighed={weighed} /> : null}
    </details>
  )
}

function OnScale({ batch, takes, weighed }: { batch: string; takes: Takes; weighed: () => void }) {
  const house = useHouseId()
  const scale = useOfHouse('/scale')
  const put = useWrite<'POST /houses/{house}/scale'>()
  const { refetch } = scale
  const shown = scale.data
  const unsteady = shown !== undefined && !shown.stable && shown.on !== ''
  useEffect(() => {
    if (!unsteady) return undefined
    const timer = setInterval(() => void refetch(), 400)
    return () => clearInterval(timer)
  }, [unsteady, refetch])
  const does = (what: string) => put.mutate({ path: `/houses/${house}/scale`, body: { do: what, batch } })
  // What it showed before is not what stands on it now.
  const ready = shown?.stable === true && shown.grams !== null && !put.isPending && !scale.isFetching
  return (
    <div className="border-line flex flex-col gap-3 border-t pt-3">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <output className="figures text-4xl font-semibold" aria-live="polite">
          {shown?.text ?? '…'}
        </output>
        <span className="text-soft">
          {shown?.on ? shown.on : 'nothing on it'}
          {unsteady ? ', not steady yet' : ''}
        </span>
      </div>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => does('jug')}>Empty jug on</Button>
        <Button onClick={() => does('oil')}>Oil into the jug</Button>
        <Button onClick={() => does('spent')}>Spent herb on</Button>
        <Button onClick={() => does('tare')}>Tare</Button>
        <Button look="quiet" onClick={() => does('off')}>
          All off
        </Button>
      </div>
      <div className="flex flex-wrap gap-2">
        {IS.map(({ what, says }) => (
          <Button
            key={what}
            disabled={!ready}
            onClick={() => {
              takes[what](shown?.text ?? '')
              if (what !== 'spent') weighed()
            }}
          >
            {says}
          </Button>
        ))}
      </div>
      <Trouble problem={put.error ?? scale.error} />
    </div>
  )
}
