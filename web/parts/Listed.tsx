import type { ReactNode } from 'react'

/** A line of a list that can be taken off it, by those who may. */
export function Listed({
  called,
  onOff,
  children,
}: {
  called: string
  onOff: (() => void) | undefined
  children: ReactNode
}) {
  return (
    <li className="border-line flex items-center justify-between gap-3 border-b py-1">
      <span>{children}</span>
      {onOff ? (
        <button
          type="button"
          className="min-h-11 underline underline-offset-4"
          aria-label={`Remove ${called}`}
          onClick={onOff}
        >
          remove
        </button>
      ) : null}
    </li>
  )
}

/** Lines of a file that were not taken, each with its reason. */
export function Refused({ lines }: { lines: { row: number; sentence: string }[] }) {
  return (
    <ul>
      {lines.map((no) => (
        <li key={no.row}>
          <span className="text-soft">line {no.row}</span> {no.sentence}
        </li>
      ))}
    </ul>
  )
}
