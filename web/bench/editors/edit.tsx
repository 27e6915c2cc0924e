import { useId } from 'react'
import type { Shape } from '../../api/hooks'
import type { Wish } from '../wish'

export type Edit = {
  wish: Wish
  change: (change: Partial<Wish>) => void
  fault: (field: string) => string | undefined
  materials: Shape<'Materials'>
  jars: Shape<'JarSize'>[]
  plan: Shape<'Plan'> | undefined
  ways: Shape<'Methods'> | undefined
  /** The word is chosen: what it was changed in shuts. */
  done: () => void
}

/**
 * One of a few, as radio buttons. Pressed, it is chosen and done with; by the keyboard, which chooses as it goes past,
 * it is only chosen.
 */
export function Choice({
  legend,
  value,
  choices,
  onChoose,
  done,
}: {
  legend: string
  value: string
  choices: { id: string; name: string; detail?: string }[]
  onChoose: (id: string) => void
  done?: (() => void) | undefined
}) {
  const name = useId()
  return (
    <fieldset className="flex flex-col">
      <legend className="mb-1 font-semibold">{legend}</legend>
      {choices.map((choice) => (
        <label key={choice.id} className="border-line flex min-h-11 items-center gap-3 border-b py-1">
          <input
            type="radio"
            name={name}
            className="size-5 shrink-0"
            value={choice.id}
            checked={choice.id === value}
            onChange={() => onChoose(choice.id)}
            onClick={(event) => {
              if (!done || event.currentTarget.matches(':focus-visible')) return
              onChoose(choice.id)
              done()
            }}
          />
          <span>
            {choice.name}
            {choice.detail ? <span className="text-soft block">{choice.detail}</span> : null}
          </span>
        </label>
      ))}
    </fieldset>
  )
}

/** A blank left to the kettle is sent as nothing at all. */
export const orNothing = (text: string) => (text.trim() === '' ? null : text)
