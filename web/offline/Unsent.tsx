import { asOf } from '../parts/moment'
import type { Unsent } from './outbox'
import { useUnsent } from './here'

/** What was written down here about one thing and is not in the house yet, as lines over those of its logbook. */
export function UnsentLines({ of }: { of: string }) {
  const unsent = useUnsent(of)
  return unsent.toReversed().map((each) => (
    <li key={each.order} className="bg-oil-pale border-line flex flex-col gap-1 border-b px-3 py-2">
      <span>{each.says}</span>
      <span className="text-soft">{stands(each)}</span>
    </li>
  ))
}

/** When it was done, and where it is. */
export const stands = (unsent: Unsent) =>
  `${asOf(new Date(unsent.at)).replace(/^./, (first) => first.toUpperCase())}, on this device; ` +
  (unsent.refused === undefined ? 'it waits to be sent.' : 'the house did not take it.')
