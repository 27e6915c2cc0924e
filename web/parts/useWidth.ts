import { useEffect, useRef, useState } from 'react'

/** The width an element has, in pixels: so that a drawing is drawn as wide as it stands, and its words stay readable. */
export function useWidth<E extends Element>(first: number): [(element: E | null) => void, number] {
  const [width, setWidth] = useState(first)
  const [element, setElement] = useState<E | null>(null)
  const timer = useRef<number>(undefined)
  useEffect(() => {
    if (!element) return undefined
    const observer = new ResizeObserver(([entry]) => {
      const now = Math.round(entry?.contentRect.width ?? 0)
      // In the next frame: drawn anew within this one, it would be told of its own change.
      if (now > 0) timer.current = requestAnimationFrame(() => setWidth(now))
    })
    observer.observe(element)
    return () => {
      observer.disconnect()
      cancelAnimationFrame(timer.current ?? 0)
    }
  }, [element])
  return [setElement, width]
}
