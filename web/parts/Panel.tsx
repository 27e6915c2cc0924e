import { Popover } from 'radix-ui'
import { type ReactNode, type RefObject, useRef } from 'react'
import { BeforeShut } from './beforeShut'
import { useCloseRequest } from './closeRequest'

export type PanelProps = {
  /** What was pressed: it is given the focus back. */
  of: RefObject<HTMLElement | null>
  /** What it stands at, if that is something else. */
  at?: RefObject<HTMLElement | null>
  label: string
  className: string
  shut: () => void
  /** What Escape does before it shuts. */
  leave?: () => void
  /** Whether Enter in a field is the same as the button that shuts it. */
  enterShuts?: boolean
  padding?: number
  offset?: number
  align?: 'start' | 'center'
  shutter: ReactNode
  children: ReactNode
}

/** What stands open over the page until it is shut. */
export default function Panel({
  of,
  at = of,
  label,
  className,
  shut,
  leave,
  enterShuts = false,
  padding = 12,
  offset = 6,
  align = 'center',
  shutter,
  children,
}: PanelProps) {
  const pressedBeside = useRef(false)
  const before = useRef<(() => boolean) | null>(null)
  const mayShut = () => before.current?.() ?? true
  useCloseRequest(() => !mayShut(), shut)
  return (
    <Popover.Root open onOpenChange={(open) => (open ? undefined : shut())}>
      <Popover.Anchor virtualRef={at as RefObject<HTMLElement>} />
      <Popover.Portal>
        <Popover.Content
          className={className}
          aria-label={label}
          collisionPadding={padding}
          sideOffset={offset}
          align={align}
          onEscapeKeyDown={leave}
          onInteractOutside={(event) => {
            // What was pressed shuts it by itself, and would else open it again.
            if (of.current?.contains(event.target as Node)) event.preventDefault()
            else pressedBeside.current = true
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault()
            if (!pressedBeside.current) of.current?.focus()
          }}
          onKeyDown={(event) => {
            if (!enterShuts || event.key !== 'Enter' || event.defaultPrevented) return
            if (!(event.target instanceof HTMLInputElement) || event.target.type === 'checkbox') return
            // A form within it has a button of its own.
            if (event.target.form) return
            event.preventDefault()
            if (mayShut()) shut()
          }}
        >
          <BeforeShut value={before}>{children}</BeforeShut>
          <Popover.Close asChild onClick={(event) => (mayShut() ? undefined : event.preventDefault())}>
            {shutter}
          </Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
