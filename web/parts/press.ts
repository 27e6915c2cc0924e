/** A finger or a hand is not quite still; px. */
const STILL = 8

const pressable = (at: EventTarget | null) =>
  at instanceof Element
    ? at.closest<HTMLElement>('button, a[href], [role="button"], [role="tab"], summary, label')
    : null

/**
 * What was pressed is what is done, also where it moved in the meantime: an answer that comes between the pressing and the letting
 * go may push a button away, and the browser then gives the click to what stands there by now, or to nobody. A hand that went
 * elsewhere before it let go has thought better of it.
 */
export function holdPresses() {
  let down: { on: HTMLElement; x: number; y: number } | null = null
  document.addEventListener(
    'pointerdown',
    (event) => {
      const on = event.isPrimary && event.button === 0 ? pressable(event.target) : null
      down = on && { on, x: event.clientX, y: event.clientY }
    },
    true,
  )
  document.addEventListener(
    'click',
    (event) => {
      const pressed = down
      // Of the keyboard, or of code, as this one's own.
      if (event.detail === 0) return
      down = null
      if (!pressed || !pressed.on.isConnected || pressed.on.contains(event.target as Node)) return
      if (Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y) > STILL) return
      event.preventDefault()
      event.stopPropagation()
      pressed.on.click()
    },
    true,
  )
}
