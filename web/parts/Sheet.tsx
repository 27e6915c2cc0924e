import { type ComponentType, type ReactNode, useEffect, useSyncExternalStore } from 'react'
import { listeners } from './told'

export type SheetProps = {
  open: boolean
  onOpenChange: (open: boolean) => void
  title: string
  children: ReactNode
}

let Dialog: ComponentType<SheetProps> | undefined
const waiting = listeners()

const load = async () => {
  Dialog ??= (await import('./SheetDialog')).default
  waiting.tell()
}

// Not for the first screen, and there before anybody presses, also if the connection goes meanwhile. Once it is there
// it is drawn at once, so that what is typed right after the key that opens it is typed into it.
window.setTimeout(() => void load(), 300)

/** A dialog with a title; Escape closes it, and focus goes back where it was. */
export function Sheet(props: SheetProps) {
  const there = useSyncExternalStore(waiting.watch, () => Dialog !== undefined)
  const wanted = props.open && !there
  useEffect(() => {
    if (wanted) void load()
  }, [wanted])
  return there && Dialog ? <Dialog {...props} /> : null
}
