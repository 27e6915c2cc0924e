import { useQueryClient } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useState } from 'react'
import { useKnownFrom } from './known'
import { outbox, sendUnsent, useUnsent } from './here'

const load = () => import('./UnsentSheet')
const UnsentSheet = lazy(load)

/** After a try that found nobody it is tried again, each time after a longer while, up to the longest, ms. */
const FIRST_MS = 1_000
const LONGEST_MS = 30_000

const many = (count: number, one: string, more: string) => (count === 1 ? one : more.replace('#', String(count)))

/** Sends what was written down without a network, as soon as there is one; and says what still waits. */
export default function UnsentBar({ who, online }: { who: string; online: boolean }) {
  const client = useQueryClient()
  const all = useUnsent()
  const refused = all.filter((each) => each.refused !== undefined).length
  const waiting = all.length - refused
  const back = useKnownFrom() === null && online
  const [open, setOpen] = useState(false)
  useEffect(() => {
    outbox.sent = () => void client.invalidateQueries({ queryKey: ['house'] })
    // Fetched while there is a network, for when there is none.
    const soon = setTimeout(() => void load().catch(() => undefined), 2_000)
    void outbox.read().catch(() => undefined)
    return () => clearTimeout(soon)
  }, [client])
  const any = waiting > 0
  useEffect(() => {
    if (!any || !online) return undefined
    let after = FIRST_MS
    let timer: ReturnType<typeof setTimeout>
    let stopped = false
    const attempt = () =>
      void sendUnsent(who)
        .catch(() => undefined)
        .then(() => {
          if (stopped) return
          timer = setTimeout(attempt, after)
          after = Math.min(after * 2, LONGEST_MS)
        })
    // While nobody answers, it is tried all the same: that is how it is found out.
    if (back) attempt()
    else timer = setTimeout(attempt, FIRST_MS)
    return () => {
      stopped = true
      clearTimeout(timer)
    }
  }, [any, online, back, who])
  return (
    <>
      {all.length === 0 ? null : (
        <p role="status" className={`no-print px-6 py-2 ${refused > 0 ? 'bg-warmth-pale' : 'bg-oil-pale'}`}>
          {waiting > 0
            ? `${many(waiting, 'One thing that you wrote down here waits', '# things that you wrote down here wait')} to be sent. `
            : ''}
          {refused > 0
            ? `${many(refused, 'One thing that you wrote down here was', '# things that you wrote down here were')} ` +
              'not taken by the house. '
            : ''}
          <button type="button" className="min-h-8 underline underline-offset-4" onClick={() => setOpen(true)}>
            {refused > 0 ? 'See and decide' : 'See them'}
          </button>
        </p>
      )}
      {open ? (
        <Suspense>
          <UnsentSheet
            all={all}
            sendNow={() => void sendUnsent(who).catch(() => undefined)}
            onClose={() => setOpen(false)}
          />
        </Suspense>
      ) : null}
    </>
  )
}
