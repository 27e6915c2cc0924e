import type { UseQueryResult } from '@tanstack/react-query'
import type { Problem } from '../api/client'
import { useDrawnInSlices } from '../frame/slices'
import { Trouble, Waiting } from './Notice'

type Asked<T> = Pick<UseQueryResult<T, Problem>, 'data' | 'error' | 'isError'>

/** What was asked for, once it came; and what stands in its place until then, or when it does not come. */
export function useArrived<T>(asked: Asked<T>, what: string) {
  const there = useDrawnInSlices(asked.data)
  const failed = asked.isError && !asked.data
  return { there, instead: failed ? <Trouble problem={asked.error} /> : <Waiting what={what} /> }
}
