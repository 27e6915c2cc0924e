import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

type Props = { open: boolean; onOpenChange: (open: boolean) => void; title: string; children: ReactNode }

/** A dialog with a title; Escape closes it, and focus goes back where it was. */
export function Sheet({ open, onOpenChange, title, children }: Props) {
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
