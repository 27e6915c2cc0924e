import { useState } from 'react'
import { Sheet } from '../parts/Sheet'
import { useKeys } from './keys'

export function KeysHelp({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { on, setOn } = useKeys()
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Keys">
      <All />
      <label className="flex min-h-11 shrink-0 items-center gap-3 pb-2">
        <input type="checkbox" className="size-5" checked={on} onChange={(event) => setOn(event.target.checked)} />
        Single keys are on (? always works)
      </label>
    </Sheet>
  )
}

/** As they are when it is opened. */
function All() {
  const { all } = useKeys()
  const [keys] = useState(all)
  return (
    <dl className="grid shrink-0 grid-cols-[4rem_1fr] gap-y-2">
      {keys.map((key) => (
        <div key={key.key + key.says} className="contents">
          <dt>
            <kbd className="border-soft rounded-rim border px-2 py-0.5 font-semibold">{key.key}</kbd>
          </dt>
          <dd>{key.says}</dd>
        </div>
      ))}
    </dl>
  )
}
