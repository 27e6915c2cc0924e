import { useOutletContext } from 'react-router'

type Part = { role: 'keeper' | 'helper' | 'reader'; kitchen: boolean }

/** What the signed-in person may do in this house, and likes to see. */
export function usePart(): Part & { works: boolean; keeps: boolean } {
  const part = useOutletContext<Part>()
  return { ...part, works: part.role !== 'reader', keeps: part.role === 'keeper' }
}
