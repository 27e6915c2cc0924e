import type { ReactNode } from 'react'

/** A thing with what is said of it, its colour, and its figure at the end of the line. */
export function Row({
  name,
  detail,
  mark,
  children,
}: {
  name: string
  detail: ReactNode
  mark?: string
  children: ReactNode
}) {
  return (
    <div className="border-line flex items-end justify-between gap-4 border-b py-2.5">
      <div className="min-w-0 flex-1">
        <p className="flex items-center gap-2 font-medium">
          {mark ? (
            <span
              className="border-soft inline-block size-3.5 shrink-0 rounded-sm border"
              style={{ background: mark }}
              aria-hidden
            />
          ) : null}
          {name}
        </p>
        <div className="text-soft">{detail}</div>
      </div>
      <div className="text-end whitespace-nowrap">{children}</div>
    </div>
  )
}
