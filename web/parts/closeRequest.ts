import { useEffect, useEffectEvent } from 'react'

type CloseWatcher = EventTarget & { destroy: () => void }

/**
 * What a telephone's "back" asks of what stands open over the page: to be shut, and not that the page is left with what is typed in it.
 * A browser that does not know of it leaves the page, as before. Escape is heard by the dialog itself.
 *
 * @param stays whether it is not shut yet; the browser asks this once, and shuts it when asked again
 */
export function useCloseRequest(stays: () => boolean, shut: () => void) {
  const asked = useEffectEvent((event: Event) => {
    if (stays()) event.preventDefault()
  })
  const closed = useEffectEvent(shut)
  useEffect(() => {
    const Watcher = (window as { CloseWatcher?: new () => CloseWatcher }).CloseWatcher
    if (!Watcher) return
    const watcher = new Watcher()
    watcher.addEventListener('cancel', (event) => asked(event))
    watcher.addEventListener('close', () => closed())
    return () => watcher.destroy()
  }, [])
}
