import { Dialog } from 'radix-ui'
import type { SheetProps } from './Sheet'

/** The sheet itself, in a file of its own for what keeps the focus within weighs as much as a page. */
export default function SheetDialog({ open, onOpenChange, title, children }: SheetProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="bg-plate border-rim fixed top-[8vh] left-1/2 z-40 flex max-h-[84vh] w-[min(34rem,94vw)] -translate-x-1/2 flex-col gap-4 overflow-auto rounded-rim border-2 p-5"
        >
          <Dialog.Title className="font-display text-2xl">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
