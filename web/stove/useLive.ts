import { useEffect, useRef, useState } from 'react'

/** Between two tellings the page is not asked for again, ms. */
const LEAST_MS = 900

/** What depends on the clock alone is asked for so often, ms; more often while nothing can be heard. */
const EVERY_MS = 20_000
const DEAF_MS = 6_000

/** A stream that was refused is asked for again after so long, ms. */
const AGAIN_MS = 4_000

/**
 * Follows a pot by server-sent events, and by asking now and then; says whether it can be heard.
 */
export function useLive(address: string | undefined, refetch: () => unknown): boolean {
  const [heard, setHeard] = useState(true)
  const latest = useRef(refetch)
  useEffect(() => {
    latest.current = refetch
  })
  useEffect(() => {
    const timer = setInterval(() => void latest.current(), heard ? EVERY_MS : DEAF_MS)
    return () => clearInterval(timer)
  }, [heard])
  // The token in it is made anew with each answer; the stream stays with the one it was begun with.
  const token = useRef(address)
  useEffect(() => {
    token.current = address
  }, [address])
  const alive = address !== undefined
  useEffect(() => {
    if (!alive) return undefined
    let source: EventSource | undefined
    let last = 0
    let waiting: ReturnType<typeof setTimeout> | undefined
    let again: ReturnType<typeof setTimeout> | undefined
    const listen = () => {
      if (token.current === undefined) return
      source = new EventSource(token.current)
      source.addEventListener('changed', () => {
        const wait = Math.max(0, last + LEAST_MS - Date.now())
        waiting ??= setTimeout(() => {
          last = Date.now()
          waiting = undefined
          void latest.current()
        }, wait)
      })
      source.addEventListener('open', () => setHeard(true))
      source.addEventListener('error', () => {
        setHeard(false)
        // A stream that broke is taken up by the browser itself; one that was refused is not.
        if (source?.readyState === EventSource.CLOSED) {
          clearTimeout(again)
          again = setTimeout(listen, AGAIN_MS)
        }
      })
    }
    listen()
    return () => {
      clearTimeout(waiting)
      clearTimeout(again)
      source?.close()
    }
  }, [alive])
  return heard
}
