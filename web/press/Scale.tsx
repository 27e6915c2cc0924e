import { useEffect, useState } from 'react'
import { useOfHouse, useWrite, useHouseId } from '../api/hooks'
import { Button } from '../parts/Button'
import { Trouble } from '../parts/Notice'

type Does = { do: string; batch?: string; making?: string; part?: string }

type Props = {
  /** What can be put on it. */
  put: { says: string; does: Does }[]
  /** What it may be that stands on it, and where what it shows goes then. */
  is: { says: string; take: (text: string) => void }[]
}

/** The simulated scale: something is put on it, it steadies, and what it shows goes into the field it is for. */
export function Scale(props: Props) {
  const [open, setOpen] = useState(false)
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 py-2 font-semibold">Weigh on the simulated scale</summary>
      {open ? <OnScale {...props} /> : null}
    </details>
  )
}

function OnScale({ put: things, is }: Props) {
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
  const does = (body: Does) => put.mutate({ path: `/houses/${house}/scale`, body })
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
        {things.map((thing) => (
          <Button key={thing.says} onClick={() => does(thing.does)}>
            {thing.says}
          </Button>
        ))}
        <Button onClick={() => does({ do: 'tare' })}>Tare</Button>
        <Button look="quiet" onClick={() => does({ do: 'off' })}>
          All off
        </Button>
      </div>
      <div className="flex flex-wrap gap-2">
        {is.map(({ says, take }) => (
          <Button key={says} disabled={!ready} onClick={() => take(shown?.text ?? '')}>
            {says}
          </Button>
        ))}
      </div>
      <Trouble problem={put.error ?? scale.error} />
    </div>
  )
}
