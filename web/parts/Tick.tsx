import type { ReactNode } from 'react'

/** Something to be ticked, as tall as a finger needs, with all its words for a name. */
export function Tick({
  checked,
  onChange,
  children,
}: {
  checked: boolean
  onChange: (checked: boolean) => void
  children: ReactNode
}) {
  return (
    <label className="border-line flex min-h-11 items-start gap-3 border-b py-2">
      <input
        type="checkbox"
        className="mt-0.5 size-5 shrink-0"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      <span className="min-w-0 wrap-anywhere">{children}</span>
    </label>
  )
}
