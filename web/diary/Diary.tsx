import { useState } from 'react'
import { Link } from 'react-router'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { Button, FileLink, TextButton } from '../parts/Button'
import { Field, TimeField } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Notice, TakenFor, Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { FileInput } from '../parts/FileInput'
import { lower } from '../parts/letters'

type Page = Shape<'DiaryPage'>
type Day = Page['days'][number]
type Session = Day['sessions'][number]

/** The days to come: who is at home, what is warm in which cooker, what wants doing; and what goes round it. */
export default function Diary() {
  const house = useHouseId()
  const { works, keeps } = usePart()
  const [from, setFrom] = useState('')
  const diary = useOfHouse(from === '' ? '/diary' : `/diary?from=${from}`)
  const [moving, setMoving] = useState<{ session: Session; day: string } | null>(null)
  const seen = useWrite<'POST /houses/{house}/diary/seen'>()
  const { there, instead } = useArrived(diary, 'the diary')
  if (!there) return instead
  const { days, moves, troubles, before, after } = there
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,2.2fr)_minmax(0,1fr)]">
      <div className="flex flex-col gap-4">
        <header className="flex flex-wrap items-end justify-between gap-4">
          <h1 className="text-3xl">The days to come</h1>
          <div className="flex gap-2">
            <Button disabled={before === null} onClick={() => setFrom(before ?? '')}>
              Before
            </Button>
            <Button onClick={() => setFrom(after)}>After</Button>
          </div>
        </header>
        {moves.length > 0 ? (
          <section aria-label="What moved" className="border-rim flex flex-col gap-1 border-s-4 ps-4">
            {moves.map((move) => (
              <p key={move.batch + move.was_text + move.is_text}>
                <Link to={`/h/${house}/batch/${move.batch}`} className="font-semibold">
                  {move.herb}
                </Link>
                : warm from {move.is_text}, not from {move.was_text}, {move.why}.
              </p>
            ))}
            {works ? (
              <TextButton onClick={() => seen.mutate({ path: `/houses/${house}/diary/seen` })}>Seen</TextButton>
            ) : null}
          </section>
        ) : null}
        {troubles.map((trouble) => (
          <Notice key={trouble.batch} rank="care">
            {trouble.says}{' '}
            <Link to={`/h/${house}/batch/${trouble.batch}`} className="underline">
              Look at it
            </Link>
          </Notice>
        ))}
        <ul>
          {days.map((day) => (
            <DayRow
              key={day.day}
              day={day}
              onMove={works ? (session) => setMoving({ session, day: day.day }) : undefined}
            />
          ))}
        </ul>
      </div>
      <aside className="flex flex-col gap-8">
        <Away page={there} works={works} />
        <Calendars page={there} works={works} keeps={keeps} />
        <p className="text-soft">
          Wanting something by a day? The{' '}
          <Link to={`/h/${house}/bench`} className="underline">
            Bench
          </Link>{' '}
          sets the methods side by side, each with the latest start that still fits; the{' '}
          <Link to={`/h/${house}/melt`} className="underline">
            Melt
          </Link>{' '}
          goes back from the day through the oil.
        </p>
      </aside>
      {moving ? <Move session={moving.session} day={moving.day} onClose={() => setMoving(null)} /> : null}
    </div>
  )
}

function DayRow({ day, onMove }: { day: Day; onMove: ((session: Session) => void) | undefined }) {
  const house = useHouseId()
  const quiet = day.sessions.length === 0 && day.tasks.length === 0 && day.wanted.length === 0
  return (
    <li className={`border-line grid gap-x-4 border-b sm:grid-cols-[6.2rem_1fr] ${quiet ? 'py-1.5' : 'py-3'}`}>
      <h2 className="font-text text-base font-semibold">{day.text}</h2>
      <div className="flex flex-col gap-1.5">
        <svg
          viewBox={`0 0 600 ${10 + 16 * day.sessions.length}`}
          className="w-full"
          role="img"
          aria-label={`${day.home_text}; ${day.sessions.map((each) => `${each.herbs} warm in ${each.cooker} ${each.text}`).join('; ')}`}
        >
          <rect x={0} y={2} width={600} height={5} fill="var(--line)" />
          {day.home.map((each) => (
            <rect
              key={each.text}
              x={each.from * 600}
              y={1}
              width={(each.to - each.from) * 600}
              height={7}
              fill="var(--rim)"
            >
              <title>at home {each.text}</title>
            </rect>
          ))}
          {day.sessions.map((each, index) => (
            <rect
              key={each.cooker + each.from}
              x={each.from * 600}
              y={12 + 16 * index}
              width={Math.max(4, (each.to - each.from) * 600)}
              height={12}
              fill="var(--warmth)"
              fillOpacity={each.on ? 1 : 0.75}
            />
          ))}
        </svg>
        {day.home_text === 'nobody at home' ? <p className="text-soft">nobody at home</p> : null}
        {day.sessions.map((each) => (
          <p key={each.cooker + each.from}>
            <strong className="text-warmth">{each.text}</strong>{' '}
            {each.boil ? <Link to={`/h/${house}/stove/boil/${each.boil}`}>{each.herbs}</Link> : each.herbs}{' '}
            <span className="text-soft">in the {each.cooker}</span>
            {each.task && onMove ? (
              <>
                {' '}
                <TextButton onClick={() => onMove(each)} aria-label={`Move the ${each.herbs}, ${each.text}`}>
                  move
                </TextButton>
              </>
            ) : null}
          </p>
        ))}
        {day.tasks.length > 0 ? (
          <p>
            {day.tasks.map((task, index) => (
              <span key={task.batch + task.key}>
                {index > 0 ? ', ' : ''}
                <Link to={`/h/${house}/batch/${task.batch}`} className="hover:underline">
                  {lower(task.title)}
                </Link>
              </span>
            ))}
          </p>
        ) : null}
        {day.wanted.map((thing) => (
          <p key={thing.id + thing.says}>
            <Link to={`/h/${house}/melt`} className="hover:underline">
              {thing.name}
            </Link>
            : {thing.says}
          </p>
        ))}
      </div>
    </li>
  )
}

/** The first of them is put off; the diary places the rest anew. */
function Move({ session, day, onClose }: { session: Session; day: string; onClose: () => void }) {
  const house = useHouseId()
  const say = useSay()
  const form = useForm({ until: day, time: '17:00' })
  const [error, setError] = useState<ReturnType<typeof useWrite>['error']>(null)
  const [busy, setBusy] = useState(false)
  const write = useWrite<'POST /houses/{house}/batches/{batch}/tasks'>()
  const move = async () => {
    setBusy(true)
    try {
      for (const batch of session.batches) {
        const now = await write.mutateAsync({
          path: `/houses/${house}/batches/${batch}/tasks`,
          body: { task: 'next_warm_on', outcome: 'later', until: `${form.typed.until}T${form.typed.time}` },
        })
        say({ text: `${now.herb}: moved. The rest was placed anew.` })
      }
      onClose()
    } catch (problem) {
      setError(problem as typeof error)
    } finally {
      setBusy(false)
    }
  }
  const { field, rest } = form.beside(error)
  return (
    <Sheet open onOpenChange={(open) => (open ? null : onClose())} title={`Move: ${session.herbs}`}>
      <form className="flex flex-col gap-3" onSubmit={sent(() => void move())}>
        <div className="grid grid-cols-2 items-start gap-4">
          <Field label="Not before" type="date" required {...field('until')} />
          <TimeField label="At" required {...field('time')} onTime={(time) => form.put({ time })} />
        </div>
        <Trouble problem={rest} />
        <Button look="strong" type="submit" disabled={busy} className="self-start">
          Move it
        </Button>
      </form>
    </Sheet>
  )
}

function Away({ page, works }: { page: Page; works: boolean }) {
  const house = useHouseId()
  const form = useForm({ from: '', to: '' })
  const add = useWrite<'POST /houses/{house}/absences'>(form.clear)
  const remove = useWrite<'DELETE /houses/{house}/absences/{absence}'>()
  const { field, rest } = form.beside(add.error)
  return (
    <section aria-labelledby="away" className="flex flex-col gap-3">
      <h2 id="away" className="text-2xl">
        Away
      </h2>
      {page.absences.length === 0 ? <p className="text-soft">Nobody has said so.</p> : null}
      <ul>
        {page.absences.map((each) => (
          <li key={each.id} className="border-line flex items-center justify-between gap-3 border-b py-1">
            <span>
              <strong>{each.text}</strong> <span className="text-soft">{each.called}</span>
            </span>
            {works ? (
              <TextButton
                aria-label={`At home after all, ${each.text}`}
                onClick={() => remove.mutate({ method: 'DELETE', path: `/houses/${house}/absences/${each.id}` })}
              >
                at home
              </TextButton>
            ) : null}
          </li>
        ))}
      </ul>
      {works ? (
        <form
          className="flex flex-col gap-3"
          onSubmit={sent(() => add.mutate({ path: `/houses/${house}/absences`, body: { ...form.typed, called: '' } }))}
        >
          <div className="grid grid-cols-2 items-start gap-3">
            <Field
              label="From"
              type="date"
              required
              {...field('from')}
              onChange={(e) => form.put({ from: e.target.value, to: form.typed.to || e.target.value })}
            />
            <Field label="To, and with" type="date" required {...field('to')} />
          </div>
          <Trouble problem={rest} />
          <Button type="submit" disabled={add.isPending} className="self-start">
            Nobody is at home
          </Button>
        </form>
      ) : null}
      <Trouble problem={remove.error} />
    </section>
  )
}

function Calendars({ page, works, keeps }: { page: Page; works: boolean; keeps: boolean }) {
  const house = useHouseId()
  const read = useWrite<'POST /houses/{house}/calendars'>()
  const forget = useWrite<'DELETE /houses/{house}/calendars/{calendar}' | 'DELETE /houses/{house}/diary/feed'>()
  const feed = useWrite<'POST /houses/{house}/diary/feed'>()
  return (
    <section aria-labelledby="calendars" className="flex flex-col gap-3">
      <h2 id="calendars" className="text-2xl">
        Calendars
      </h2>
      <ul>
        {page.calendars.map((each) => (
          <li key={each.id} className="border-line flex items-center justify-between gap-3 border-b py-1">
            <span>
              <strong>{each.called}</strong> <span className="text-soft">{each.text}</span>
            </span>
            {works ? (
              <TextButton
                aria-label={`Forget ${each.called}`}
                onClick={() => forget.mutate({ method: 'DELETE', path: `/houses/${house}/calendars/${each.id}` })}
              >
                forget
              </TextButton>
            ) : null}
          </li>
        ))}
      </ul>
      {works ? (
        <FileInput
          label={
            <span className="font-normal">
              <strong>In:</strong> an .ics file; heated work goes round its busy times
            </span>
          }
          accept=".ics,text/calendar"
          onFile={(file) =>
            file.text().then((ics) =>
              read.mutate({
                path: `/houses/${house}/calendars`,
                body: { called: file.name.replace(/\.ics$/i, '').slice(0, 80) || 'calendar', ics },
              }),
            )
          }
        />
      ) : null}
      <div role="status">
        <TakenFor notes={read.data?.notes ?? []} />
      </div>
      <Trouble problem={read.error ?? forget.error ?? feed.error} />
      <p>
        <strong>Out:</strong> what is to be done, for any calendar.
      </p>
      <div className="flex flex-wrap gap-2">
        <FileLink href={`/api/houses/${house}/diary.ics`} download>
          As a file
        </FileLink>
        {keeps ? (
          <Button disabled={feed.isPending} onClick={() => feed.mutate({ path: `/houses/${house}/diary/feed` })}>
            {page.feed ? 'A new private address' : 'A private address'}
          </Button>
        ) : null}
        {keeps && page.feed ? (
          <Button look="stop" onClick={() => forget.mutate({ method: 'DELETE', path: `/houses/${house}/diary/feed` })}>
            Take the address back
          </Button>
        ) : null}
      </div>
      {feed.data ? (
        <p role="status">
          Shown this once; whoever has it can read the diary:{' '}
          <code className="break-all select-all">{feed.data.address}</code>
        </p>
      ) : null}
    </section>
  )
}
