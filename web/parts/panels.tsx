import { lazy, type ReactNode, Suspense, useRef, useState } from 'react'
import type { PanelProps } from './Panel'

const load = () => import('./Panel')
const Loaded = lazy(load)

/** Fetched a while after the page is there, so that the first press opens at once, and without a network too. */
export const fetchPanels = () => void load().catch(() => {})

/** What stands open over the page. Its code comes after the page is drawn: a page has many figures, and few are pressed. */
export function Panel(props: PanelProps) {
  return (
    <Suspense>
      <Loaded {...props} />
    </Suspense>
  )
}

/** A word or figure that opens what is behind it. */
export function Opens({
  className,
  label,
  panel,
  panelClass,
  children,
  behind,
}: {
  className: string
  label: string
  panel: string
  panelClass: string
  children: ReactNode
  behind: () => ReactNode
}) {
  const [open, setOpen] = useState(false)
  const button = useRef<HTMLButtonElement>(null)
  return (
    <>
      <button
        ref={button}
        type="button"
        className={className}
        aria-label={label}
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {children}
      </button>
      {open ? (
        <Panel
          of={button}
          label={panel}
          className={`bg-plate border-rim flex flex-col gap-3 rounded-rim border-2 p-4 ${panelClass}`}
          shut={() => setOpen(false)}
          shutter={
            <button type="button" className="self-start font-semibold underline underline-offset-4">
              Close
            </button>
          }
        >
          {behind()}
        </Panel>
      ) : null}
    </>
  )
}
