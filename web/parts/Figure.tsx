import { useEffect, useRef, useState } from 'react'
import type { Shape } from '../api/hooks'
import { Opens } from './panels'

export type Reckoned = Shape<'Plan'>['figures'][string]

/** Marks what changed for a moment. */
function useChanged(text: string): boolean {
  const before = useRef(text)
  const [changed, setChanged] = useState(false)
  useEffect(() => {
    if (before.current === text) return undefined
    before.current = text
    setChanged(true)
    const timer = setTimeout(() => setChanged(false), 1300)
    return () => clearTimeout(timer)
  }, [text])
  return changed
}

/** A computed figure: press it for its reasons, its range and its other measure. */
export function Figure({
  name,
  figure,
  kitchenFirst = false,
  size = 'text-3xl',
}: {
  name: string
  figure: Reckoned | undefined
  kitchenFirst?: boolean
  size?: string
}) {
  const changed = useChanged(figure?.text ?? '')
  if (!figure) return null
  const kitchen = figure.kitchen
  const shown = kitchenFirst && kitchen ? kitchen.text : figure.text
  return (
    <Opens
      className={`figures inline-block rounded-sm font-semibold underline decoration-soft decoration-dotted decoration-1 underline-offset-4 ${size} ${changed ? 'changed' : ''}`}
      label={`${name}: ${shown}. Why?`}
      panel={`Why ${name} is ${shown}`}
      panelClass="z-30 max-h-[70vh] max-w-[min(26rem,92vw)] overflow-auto"
      behind={() => <Reasons name={name} figure={figure} />}
    >
      {shown}
    </Opens>
  )
}

function Reasons({ name, figure }: { name: string; figure: Reckoned }) {
  const kitchen = figure.kitchen
  return (
    <>
      <p className="font-semibold">
        {name}: {figure.text}
        {kitchen ? (
          <span className="text-soft font-normal">
            {' '}
            · {kitchen.text}
            {kitchen.rounding_percent === 0
              ? ''
              : `, which is ${Math.abs(kitchen.rounding_percent)} % ${kitchen.rounding_percent > 0 ? 'more' : 'less'}`}
          </span>
        ) : null}
      </p>
      {figure.range_text ? <p>Between {figure.range_text}.</p> : null}
      <ul className="flex flex-col gap-3">
        {figure.reasons.map((reason) => (
          <li key={reason.rule + reason.says}>
            {reason.says}
            <br />
            <span className="text-soft">
              {reason.source}
              {reason.source.toLowerCase().includes(reason.standing) ? '' : ` (${reason.standing})`}
            </span>
          </li>
        ))}
      </ul>
    </>
  )
}
