import { useEffect, useState } from 'react'

/**
 * A list as it was when a finger came down on it, until the finger is up again. An answer that comes
 * in between would move what is under the finger, and the press would be of nothing, or of its neighbour.
 */
export function useStill<T>(list: T): [T, () => void] {
  const [still, setStill] = useState<{ list: T } | null>(null)
  useEffect(() => {
    if (!still) return
    // The click comes after the finger is up, and belongs to the list as it was.
    const move = () => setTimeout(() => setStill(null))
    window.addEventListener('pointerup', move)
    window.addEventListener('pointercancel', move)
    return () => {
      window.removeEventListener('pointerup', move)
      window.removeEventListener('pointercancel', move)
    }
  }, [still])
  return [still ? still.list : list, () => setStill({ list })]
}
