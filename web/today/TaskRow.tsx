import { useState } from 'react'
import { Link } from 'react-router'
import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { useUnsent } from '../offline/here'
import { unsentTask } from '../offline/later'
import { stands } from '../offline/Unsent'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { namesOf, whole } from '../offline/whole'
import { Button, ButtonLink } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'

/** What is done there, where it is not straining or bottling. */
const AT_PRESS: Record<string, string> = { smell: 'Smell it', use_up: 'See its bottles', ready: 'See that it is ready' }

/** One thing to do: done, skipped with a reason, or put off; and the way back. */
export function TaskRow({ task }: { task: Shape<'TaskView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const say = useSay()
  const [otherwise, setOtherwise] = useState(false)
  const [looking, setLooking] = useState(false)
  const undo = useBatchWrite(() => say({ text: 'Undone.' }))
  const path = `/houses/${house}/batches/${task.batch}` as const
  const unsent = unsentTask(useUnsent(), task)
  const done = useBatchWrite((batch) => {
    const entry = batch.entries[0]
    say({
      text: `${task.title}: written down.`,
      undo: entry?.can_undo ? () => undo.mutate({ path: `${path}/undo`, body: { entry: entry.id } }) : undefined,
    })
  })
  const doneSo = (more: { seen?: string[]; amount?: string | null } = {}) =>
    done.mutate({
      path: `${path}/tasks`,
      body: { task: task.key, outcome: 'done', ...more },
      says: whole(`${task.title}: done`, ['seen:', namesOf(SEEN, more.seen ?? [])], ['added:', more.amount]),
    })
  return (
    <li
      className={`flex flex-col gap-1.5 py-2 ${task.overdue ? 'border-warmth border-s-4 ps-4' : 'border-line border-b'}`}
    >
      <Link to={`/h/${house}/batch/${task.batch}`} className="text-lg leading-snug font-semibold">
        {task.title}
      </Link>
      <p className="text-soft">
        {task.overdue ? (
          <strong className="text-warmth">{task.due_text}. </strong>
        ) : task.waiting ? (
          ''
        ) : (
          `${task.due_text}. `
        )}
        {task.detail}
      </p>
      {unsent ? (
        <p className="bg-oil-pale px-3 py-1">
          {unsent.says}. {stands(unsent)}
        </p>
      ) : null}
      {task.open && works && (unsent === undefined || unsent.refused !== undefined) ? (
        <div className="flex flex-wrap gap-2">
          {task.danger ? (
            <Button
              look="strong"
              disabled={done.isPending}
              onClick={() =>
                done.mutate({
                  path: `${path}/discard`,
                  body: { reason: 'Past the hours it may be used: thrown away.' },
                })
              }
            >
              It is thrown away
            </Button>
          ) : null}
          {task.at_press ? (
            <ButtonLink look={task.danger ? 'quiet' : 'strong'} to={`/h/${house}/press/${task.batch}`}>
              {AT_PRESS[task.step] ?? 'Take it to the press'}
            </ButtonLink>
          ) : task.step === 'warm_off' && !task.overdue ? (
            <ButtonLink to={`/h/${house}/stove`}>At the Stove</ButtonLink>
          ) : null}
          {task.step === 'warm_on' ? (
            <ButtonLink look="strong" to={`/h/${house}/stove`}>
              To the Stove
            </ButtonLink>
          ) : null}
          {task.at_press ? null : (
            <Button
              once
              disabled={done.isPending}
              onClick={() => (task.step === 'check' || task.step === 'top_up' ? setLooking(true) : doneSo())}
            >
              {task.step === 'check' ? 'Looked at' : task.step === 'top_up' ? 'Topped up' : 'Done'}
            </Button>
          )}
          {task.step === 'use_up' ? null : (
            <Button look="quiet" onClick={() => setOtherwise(true)} aria-label={`Not now: ${task.title}`}>
              Not now
            </Button>
          )}
        </div>
      ) : null}
      <Trouble problem={(unsent ? null : done.error) ?? undo.error} />
      <Topped
        title={task.title}
        open={looking && task.step === 'top_up'}
        onOpenChange={setLooking}
        onTopped={(amount) => {
          setLooking(false)
          doneSo({ amount: amount || null })
        }}
      />
      <LookUnder
        title={task.title}
        open={looking && task.step === 'check'}
        onOpenChange={setLooking}
        onSeen={(seen) => {
          setLooking(false)
          doneSo({ seen })
        }}
      />
      <NotNow task={task} path={path} open={otherwise} onOpenChange={setOtherwise} />
    </li>
  )
}

const SEEN = [
  { id: 'herb_above', says: 'Herb stood above the oil; pushed under', rank: '' },
  { id: 'drops_wiped', says: 'Drops under the lid; wiped away', rank: '' },
  { id: 'fur', says: 'Fur on it', rank: 'Then it is spoiled: discard it, do not skim it.' },
]

/** What was seen under the lid; nothing ticked is all well. */
function LookUnder({
  title,
  open,
  onOpenChange,
  onSeen,
}: {
  title: string
  open: boolean
  onOpenChange: (open: boolean) => void
  onSeen: (seen: string[]) => void
}) {
  const [seen, setSeen] = useState<string[]>([])
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={title}>
      <fieldset className="flex flex-col gap-1">
        <legend className="font-semibold">What was there to see</legend>
        {SEEN.map((each) => (
          <label key={each.id} className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-5"
              checked={seen.includes(each.id)}
              onChange={(event) =>
                setSeen(event.target.checked ? [...seen, each.id] : seen.filter((other) => other !== each.id))
              }
            />
            <span>
              {each.says}
              {each.rank && seen.includes(each.id) ? <strong className="text-warmth block">{each.rank}</strong> : null}
            </span>
          </label>
        ))}
      </fieldset>
      <Button look="strong" className="self-start" onClick={() => onSeen(seen)}>
        {seen.length === 0 ? 'All well' : 'Write it down'}
      </Button>
    </Sheet>
  )
}

/** How much oil was added, as far as it was measured: what comes out is reckoned of it too. */
function Topped({
  title,
  open,
  onOpenChange,
  onTopped,
}: {
  title: string
  open: boolean
  onOpenChange: (open: boolean) => void
  onTopped: (amount: string) => void
}) {
  const [amount, setAmount] = useState('')
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={title}>
      <form className="flex flex-col gap-4" onSubmit={sent(() => onTopped(amount.trim()))}>
        <Field
          label="How much oil was added"
          placeholder="40 mL"
          maxLength={40}
          value={amount}
          hint="Blank where it was not measured, or none was wanted."
          onChange={(event) => setAmount(event.target.value)}
        />
        <Button type="submit" look="strong" className="self-start">
          Write it down
        </Button>
      </form>
    </Sheet>
  )
}

type Props = {
  task: Shape<'TaskView'>
  path: `/houses/${string}/batches/${string}`
  open: boolean
  onOpenChange: (open: boolean) => void
}

function NotNow({ task, path, open, onOpenChange }: Props) {
  const [until, setUntil] = useState('')
  const [reason, setReason] = useState('')
  const say = useSay()
  const write = useBatchWrite(
    () => {
      onOpenChange(false)
      say({ text: `${task.title}: not now.` })
    },
    () => onOpenChange(false),
  )
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={task.title}>
      <form
        className="flex flex-col gap-3"
        onSubmit={sent(() => {
          write.mutate({ path: `${path}/tasks`, body: { task: task.key, outcome: 'later', until } })
        })}
      >
        <Field
          label="Put it off to"
          type="date"
          required
          value={until}
          onChange={(e) => setUntil(e.target.value)}
          fault={write.error?.about('until')}
        />
        <Button type="submit" disabled={write.isPending} className="self-start">
          Put it off
        </Button>
      </form>
      {task.skippable ? (
        <form
          className="border-line flex flex-col gap-3 border-t pt-4"
          onSubmit={sent(() => {
            write.mutate({
              path: `${path}/tasks`,
              body: { task: task.key, outcome: 'skipped', reason },
              says: `${task.title}: skipped, because ${reason}`,
            })
          })}
        >
          <Field
            label="Or skip it, because"
            required
            maxLength={500}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
          <Button type="submit" disabled={write.isPending} className="self-start">
            Skip it
          </Button>
        </form>
      ) : null}
      {write.error && !write.error.about('until') ? <Trouble problem={write.error} /> : null}
      <button type="button" className="self-start underline underline-offset-4" onClick={() => onOpenChange(false)}>
        Leave it as it is
      </button>
    </Sheet>
  )
}
