import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { type Schemas, send } from '../api/client'
import { Button, ButtonLink, TextButton } from '../parts/Button'
import { asOf } from '../parts/moment'
import { Notice } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { formOf, houseOf, notesOf, pageOf, thingOf } from './later'
import type { Unsent } from './outbox'
import { outbox } from './here'

/** So many of the newest lines of a logbook are shown beside what was refused. */
const LINES = 4

/** What was written down on this device and is not in the house yet; and of what the house refused, both sides. */
export default function UnsentSheet({
  all,
  sendNow,
  onClose,
}: {
  all: Unsent[]
  sendNow: () => void
  onClose: () => void
}) {
  return (
    <Sheet open onOpenChange={(now) => (now ? undefined : onClose())} title="Written down on this device">
      {all.length === 0 ? <p>All of it is in the house now.</p> : null}
      <ol className="flex flex-col">
        {all.map((unsent) => (
          <li key={unsent.order} className="border-line flex flex-col gap-2 border-b py-3">
            {unsent.refused === undefined ? (
              <>
                <Said unsent={unsent} onClose={onClose} />
                <p className="text-soft">Done {asOf(new Date(unsent.at))}; it waits to be sent.</p>
              </>
            ) : (
              <Refused unsent={unsent} refused={unsent.refused} sendNow={sendNow} onClose={onClose} />
            )}
          </li>
        ))}
      </ol>
      {all.some((each) => each.refused === undefined) ? (
        <Button className="self-start" onClick={sendNow}>
          Send them now
        </Button>
      ) : null}
    </Sheet>
  )
}

function Said({ unsent, onClose }: { unsent: Unsent; onClose: () => void }) {
  return (
    <Link
      to={pageOf(unsent.path)}
      onClick={onClose}
      className="text-lg leading-snug font-semibold underline-offset-4 hover:underline"
    >
      {unsent.says}
    </Link>
  )
}

type Lines = Pick<Schemas['BatchView'], 'entries'>

/** What was done here, beside what the house has of it meanwhile; and what may become of it. */
function Refused({
  unsent,
  refused,
  sendNow,
  onClose,
}: {
  unsent: Unsent
  refused: string
  sendNow: () => void
  onClose: () => void
}) {
  const [sure, setSure] = useState(false)
  const house = houseOf(unsent.path)
  const thing = thingOf(unsent.path)
  const notes = notesOf(unsent.path)
  const form = formOf(unsent.path)
  const there = useQuery({
    queryKey: ['house', house, thing],
    queryFn: ({ signal }) => send<Lines>('GET', `/houses/${house}${thing}`, { signal }),
    enabled: notes !== null,
    retry: false,
  })
  const decided = (now: Promise<void>) => void now.then(sendNow)
  return (
    <>
      <Notice rank="note">The house did not take it: {refused}</Notice>
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2">
        <section>
          <h3 className="column-head font-text text-base">Yours, {asOf(new Date(unsent.at))}</h3>
          <Said unsent={unsent} onClose={onClose} />
        </section>
        <section>
          <h3 className="column-head font-text text-base">In the house now</h3>
          {there.data ? (
            <ol>
              {there.data.entries.slice(0, LINES).map((entry) => (
                <li key={entry.id} className="border-line border-b py-1">
                  <span className={entry.struck ? 'text-soft line-through' : ''}>
                    {entry.title}
                    {entry.note ? `: ${entry.note}` : ''}
                  </span>{' '}
                  <span className="text-soft">
                    {entry.when} · {entry.by}
                  </span>
                </li>
              ))}
            </ol>
          ) : (
            <p className="text-soft">
              {notes === null ? 'Open it to see how it stands.' : there.isError ? there.error.message : 'Fetching…'}
            </p>
          )}
        </section>
      </div>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        {form ? (
          <ButtonLink look="strong" to={form} onClick={onClose}>
            Put it right where it was written
          </ButtonLink>
        ) : null}
        {notes !== null && unsent.path !== notes ? (
          <Button look={form ? 'plain' : 'strong'} onClick={() => decided(outbox.asNote(unsent, unsent.says))}>
            Keep it as a note
          </Button>
        ) : null}
        <Button onClick={() => decided(outbox.again(unsent))}>Send it again</Button>
        {sure ? (
          <Button look="stop" onClick={() => decided(outbox.letGo(unsent))}>
            Yes, let it go
          </Button>
        ) : (
          <TextButton onClick={() => setSure(true)}>Let it go</TextButton>
        )}
      </div>
    </>
  )
}
