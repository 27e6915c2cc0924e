import type { Shape } from '../api/hooks'
import { Select } from '../parts/Field'

export const HAD_WARMTH = [
  { id: 'had', name: 'yes, it was only not written down' },
  { id: 'not', name: 'no, or less' },
]

/** Whether it had the warmth that nobody wrote down, where that is not known. */
export function HadWarmth({
  press,
  warmth,
  setWarmth,
  fault,
}: {
  press: Shape<'BatchView'>['press']
  warmth: string
  setWarmth: (warmth: string) => void
  fault: string | undefined
}) {
  if (!press.asks_warmth) return null
  return (
    <Select
      label={press.asks_warmth}
      required
      choices={[{ id: '', name: 'choose' }, ...HAD_WARMTH]}
      value={warmth}
      fault={fault}
      onChange={(event) => setWarmth(event.target.value)}
    />
  )
}
