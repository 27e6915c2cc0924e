import { useState } from 'react'
import type { Problem } from '../api/client'

/**
 * The version, or the text, that somebody began to change. What another writes meanwhile is asked for by the page all the time, and is
 * not overwritten unseen: only after a clash was told does what stands now count.
 *
 * @param open whether something is being changed
 */
export function useBegun<T extends string | number>(now: T, open: boolean, problem: Problem | null): T {
  const [begun, setBegun] = useState(now)
  if ((!open || problem?.status === 409) && begun !== now) setBegun(now)
  return begun
}
