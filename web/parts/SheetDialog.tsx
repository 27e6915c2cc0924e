import { Dialog } from 'radix-ui'
import { type FormEvent, useState } from 'react'
import { TextButton } from './Button'
import { useCloseRequest } from './closeRequest'
import type { SheetProps } from './Sheet'

/** Whether it is typed into what is sent by a button of its own; what is only looked for is not lost with it. */
const isSentByButton = ({ target }: FormEvent) =>
  (target as Partial<HTMLInputElement>).form?.querySelector('[type=submit]') != null

/** The sheet itself, in a file of its own for what keeps the focus within weighs as much as a page. */
export default function SheetDialog({ open, onOpenChange, title, children }: SheetProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-black/40" />
        <Opened title={title} leave={() => onOpenChange(false)}>
          {children}
        </Opened>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

/** A press beside it, or "back", once something is typed is a slip as likely as not: it is asked about, and another closes it. */
function Opened({ title, leave, children }: Pick<SheetProps, 'title' | 'children'> & { leave: () => void }) {
  const [typed, setTyped] = useState(false)
  const [asked, setAsked] = useState(false)
  const stays = () => {
    if (!typed || asked) return false
    setAsked(true)
    return true
  }
  useCloseRequest(stays, leave)
  return (
    <Dialog.Content
      aria-describedby={undefined}
      className="bg-plate border-rim fixed top-[8vh] left-1/2 z-40 flex max-h-[84vh] w-[min(34rem,94vw)] -translate-x-1/2 flex-col gap-4 overflow-auto rounded-rim border-2 p-5"
      onInput={(event) => {
        if (isSentByButton(event)) setTyped(true)
        setAsked(false)
      }}
      onPointerDownOutside={(event) => {
        if (stays()) event.preventDefault()
      }}
    >
      <Dialog.Title className="font-display text-2xl">{title}</Dialog.Title>
      {children}
      {asked ? (
        <p role="status" className="flex flex-wrap items-center gap-x-4">
          <span>What is typed here is not written down yet.</span>
          <TextButton onClick={leave}>Leave it</TextButton>
        </p>
      ) : null}
    </Dialog.Content>
  )
}
