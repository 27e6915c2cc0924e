import { useState } from 'react'
import type { Problem } from '../api/client'
import { rebased } from './form'

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

/**
 * What is typed on what stands there, also while another changes that: what was not touched is as it is there, what was touched stays as
 * typed. Where both touched the same, it stays begun on what stood there, and is refused, until that was told.
 *
 * @param is what stands there
 * @param told whether it may be written over: the clash was told, or it is the last who says it that counts
 */
export function useTypedOn<F extends Record<string, unknown>>(is: F, version: number, told: boolean) {
  const [begun, setBegun] = useState({ is, version })
  const [typed, setTyped] = useState(is)
  if (version !== begun.version) {
    const now = rebased(begun.is, is, typed, told)
    if (now) {
      setBegun({ is, version })
      setTyped(now)
    }
  }
  return {
    typed,
    put: (part: Partial<F>) => setTyped((before) => ({ ...before, ...part })),
    version: begun.version,
    touched: JSON.stringify(typed) !== JSON.stringify(begun.is),
  }
}
