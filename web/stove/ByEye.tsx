import { useState } from 'react'
import { type Shape, useHouseId } from '../api/hooks'
import { usePart } from '../frame/part'
import { useRighting } from '../offline/righting'
import { Button, TextButton } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { useTend } from './useTend'

type View = Shape<'StoveView'>

/** A warmth read off a thermometer and typed, and those read lately, which can be taken back. */
export function ByEye({ pot }: { pot: View }) {
  const [typed, setTyped] = useState('')
  const house = useHouseId()
  const righting = useRighting<{ warmth: string }>(`/houses/${house}/stove/${pot.id}/reading`, ({ warmth }) =>
    setTyped(warmth),
  )
  const { write, path } = useTend(pot, () => {
    setTyped('')
    righting.done()
  })
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={sent(() => {
        write.mutate({
          path: `${path}/reading`,
          doneAt: righting.doneAt,
          body: { warmth: typed },
          says: `${pot.title}: it read ${typed} ${pot.warmth_unit}`,
        })
      })}
    >
      {righting.notice ? <div className="basis-full">{righting.notice}</div> : null}
      <div className="w-72 max-sm:grow">
        <Field
          label={`It reads, ${pot.warmth_unit}`}
          inputMode="decimal"
          required
          autoComplete="off"
          value={typed}
          fault={write.error?.about('warmth')}
          onChange={(event) => setTyped(event.target.value)}
        />
      </div>
      <Button look="strong" type="submit" disabled={write.isPending}>
        Write it down
      </Button>
      {write.error?.about('warmth') ? null : <Trouble problem={write.error} />}
      {pot.read.length > 0 ? (
        <ul aria-label="Read so far" className="flex basis-full flex-wrap gap-x-6">
          {pot.read.map((each) => (
            <li key={each.entry} className="figures flex items-center gap-2">
              <span className="text-soft">{each.when}</span> {each.text}
              <BackAgain pot={pot} entry={each.entry} what={`${each.text}, read at ${each.when}`} />
            </li>
          ))}
        </ul>
      ) : null}
    </form>
  )
}

/** Takes a slip back; what it was stays told in what was done. */
export function BackAgain({ pot, entry, what }: { pot: View; entry: string; what: string }) {
  const { works } = usePart()
  const { write, takeBack } = useTend(pot)
  return works ? (
    <>
      <TextButton
        type="button"
        disabled={write.isPending}
        aria-label={`Take back: ${what}`}
        onClick={() => takeBack(entry, what)}
      >
        take it back
      </TextButton>
      <Trouble problem={write.error} />
    </>
  ) : null
}
