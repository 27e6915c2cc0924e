import { useState } from 'react'
import { Button, TextButton } from '../parts/Button'
import { asOf } from '../parts/moment'
import { Notice } from '../parts/Notice'
import type { Unsent } from './outbox'
import { outbox, useUnsent } from './here'
import { thingOf } from './later'

/**
 * What was written down here by a form, and not taken by the house: it is put back into its form, and sent from there as of the
 * moment it was done. It stays here until it is in.
 *
 * @param path where the form sends it
 * @param back puts what was sent into the form
 * @param mine whether it is of this form, where several send there
 */
export function useRighting<Body extends object>(
  path: string,
  back: (typed: Body) => void,
  mine: (typed: Body) => boolean = () => true,
) {
  const [chosen, setChosen] = useState<number | null>(null)
  const [asNow, setAsNow] = useState(false)
  const typed = (each: Unsent) => JSON.parse(each.body) as Body
  const refused = useUnsent(thingOf(path)).filter(
    (each) => each.refused !== undefined && each.path === path && mine(typed(each)),
  )
  const from = refused.find((each) => each.order === chosen)
  const next = from ?? refused[0]
  const put = (each: Unsent) => {
    back(typed(each))
    setAsNow(false)
    setChosen(each.order)
  }
  return {
    /** As of when it counts, ms; not said, it is of now. */
    doneAt: asNow ? undefined : from?.at,
    /** It is in, or written down here anew. */
    done: () => (from ? void outbox.letGo(from) : undefined),
    notice: next ? (
      <Notice rank="care">
        <span className="flex flex-col items-start gap-2">
          <span>The house did not take what was written down on this device: {next.refused}</span>
          <span className="text-soft">{next.says}.</span>
          {from ? (
            <span>
              {asNow ? 'It counts as of now.' : `It counts as of when it was done, ${asOf(new Date(from.at))}.`}{' '}
              <TextButton type="button" onClick={() => setAsNow(!asNow)}>
                {asNow ? 'As of then' : 'As of now instead'}
              </TextButton>
            </span>
          ) : (
            <Button type="button" onClick={() => put(next)}>
              Put it right here
            </Button>
          )}
        </span>
      </Notice>
    ) : null,
  }
}
