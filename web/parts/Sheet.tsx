import { type ComponentType, type ReactNode, useEffect, useState } from 'react'

export type SheetProps = {
  open: boolean
  onOpenChange: (open: boolean) => void
  title: string
  children: ReactNode
}

let Dialog: ComponentType<SheetProps> | undefined

const load = async () => {
  Dialog ??= (await import('./SheetDialog')).default
}

// Not for the first screen, and there before anybody presses, also if the connection goes meanwhile. Once it is there
// it is drawn at once, so that what is typed right after the key that opens it is typed into it.
window.setTimeout(() => void load(), 300)

/** A dialog with a title; Escape closes it, and focus goes back where it was. */
export function Sheet(props: SheetProps) {
  const [, setLoaded] = useState(false)
  const { open } = props
  useEffect(() => {
    // It may have come between drawing and now: asked again either way, so that it is drawn.
    if (open) void load().then(() => setLoaded(true))
  }, [open])
  return Dialog ? <Dialog {...props} /> : null
}
