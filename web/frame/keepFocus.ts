/*
 * Where somebody goes on who works by keyboard: when what was pressed is gone, what stands in its place takes the focus,
 * so that nobody is thrown back to the top of the page, and a screen reader says where it is.
 */

/** A sheet that closes gives the focus back by itself, a little after it is gone, ms. */
const SETTLES_MS = 80

type Around = { parent: Element; at: number }

/** What is around something, from the nearest, and at which place it stands in each. */
function aroundOf(element: Element): Around[] {
  const around: Around[] = []
  for (let each: Element = element; each.parentElement && each !== document.body; each = each.parentElement)
    around.push({ parent: each.parentElement, at: [...each.parentElement.children].indexOf(each) })
  return around
}

/** What stands where something stood that is gone: the next one, else the one before it, else what was around both. */
function inPlaceOf(around: Around[]): Element | null {
  const left = around.find(({ parent }) => parent.isConnected)
  // What says so at the foot of the screen, and a sheet, are no places: the page is.
  if (!left || left.parent === document.body || left.parent.closest('[role="status"]'))
    return document.querySelector('main')
  return left.parent.children[Math.min(left.at, left.parent.children.length - 1)] ?? left.parent
}

function focusOn(element: Element) {
  if (!(element instanceof HTMLElement)) return
  if (!element.hasAttribute('tabindex')) {
    element.tabIndex = -1
    element.addEventListener('blur', () => element.removeAttribute('tabindex'), { once: true })
  }
  element.focus()
}

/** Begins; the answer ends it. */
export function keepFocus(): () => void {
  let watching: MutationObserver | null = null
  let waits: ReturnType<typeof setTimeout> | undefined
  const stop = () => {
    clearTimeout(waits)
    watching?.disconnect()
    watching = null
  }
  const pressed = (event: KeyboardEvent) => {
    const on = document.activeElement
    if ((event.key !== 'Enter' && event.key !== ' ') || !on || on === document.body) return
    stop()
    const around = aroundOf(on)
    watching = new MutationObserver(() => {
      if (on.isConnected || document.activeElement !== document.body) return
      clearTimeout(waits)
      waits = setTimeout(() => {
        if (on.isConnected || document.activeElement !== document.body) return
        stop()
        const to = inPlaceOf(around)
        if (to) focusOn(to)
      }, SETTLES_MS)
    })
    watching.observe(document.body, { childList: true, subtree: true })
  }
  // Once somebody is elsewhere there is nothing to keep.
  const moved = (event: FocusEvent) => event.target !== document.body && stop()
  document.addEventListener('keydown', pressed, true)
  document.addEventListener('focusin', moved)
  document.addEventListener('pointerdown', stop)
  return () => {
    stop()
    document.removeEventListener('keydown', pressed, true)
    document.removeEventListener('focusin', moved)
    document.removeEventListener('pointerdown', stop)
  }
}
