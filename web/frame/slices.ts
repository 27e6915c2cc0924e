import { useDeferredValue } from 'react'

/**
 * What came, given to be drawn a slice at a time when it comes first, so that a slow phone answers to a finger meanwhile;
 * what comes after it is drawn at once.
 */
export function useDrawnInSlices<T>(came: T | undefined): T | undefined {
  const there = useDeferredValue(came !== undefined)
  return there ? came : undefined
}
