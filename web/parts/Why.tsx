import { Popover } from 'radix-ui'

/** Why a caution holds, and where it comes from: one press away. */
export function Why({ about, why, source }: { about: string; why: string; source: string }) {
  return (
    <Popover.Root>
      <Popover.Trigger
        className="text-soft inline-flex min-h-6 items-center underline decoration-dotted underline-offset-4"
        aria-label={`Why: ${about}`}
      >
        Why?
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          className="bg-plate border-rim z-50 flex max-w-[min(24rem,92vw)] flex-col gap-2 rounded-rim border-2 p-4"
          collisionPadding={12}
          sideOffset={6}
          aria-label="Why"
        >
          <p>{why}</p>
          <p className="text-soft">{source}. Local rules and qualified people come first.</p>
          <Popover.Close className="self-start font-semibold underline underline-offset-4">Close</Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
