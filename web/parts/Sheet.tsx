import { lazy, type ReactNode, Suspense, useState } from 'react'

export type SheetProps = {
  open: boolean
  onOpenChange: (open: boolean) => void
  title: string
  children: ReactNode
}

const load = () => import('./SheetDialog')
const SheetDialog = lazy(load)

// Not for the first screen, and there before anybody presses, also if the connection goes meanwhile.
window.setTimeout(() => void load(), 1500)

/** A dialog with a title; Escape closes it, and focus goes back where it was. */
export function Sheet(props: SheetProps) {
  const [wanted, setWanted] = useState(props.open)
  if (props.open && !wanted) setWanted(true)
  return wanted ? (
    <Suspense fallback={null}>
      <SheetDialog {...props} />
    </Suspense>
  ) : null
}
