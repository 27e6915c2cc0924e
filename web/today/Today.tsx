import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { PotLinks } from '../boil/PotLinks'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { useUnsent } from '../offline/here'
import { unsentTask } from '../offline/later'
import { stands } from '../offline/Unsent'
import { useArrived } from '../parts/arrived'
import { Button } from '../parts/Button'
import { EmptyPlace } from '../parts/EmptyPlace'
import { Notice, Trouble } from '../parts/Notice'
import { TaskRow } from './TaskRow'
import { capital, lower } from '../parts/letters'

type TodayShape = Shape<'Today'>

/** Asks again each minute, so that an open tablet stays true. */
function useMinute(refetch: () => unknown) {
  useEffect(() => {
    const timer = setInterval(() => void refetch(), 60_000)
    return () => clearInterval(timer)
  }, [refetch])
}

/** What will stand where, when there is something to do. */
const COMES = [
  { name: 'At the bench', says: 'Fill a jar: how much herb, how much oil, how high it stands.' },
  { name: 'On the shelf', says: 'Top up after an hour; shake; look under the lid.' },
  { name: 'At the stove', says: 'Put to warm, stir, and off again when it has had its hours.' },
  { name: 'At the press', says: 'Strain, let settle, bottle, and put the label on.' },
]

export default function Today() {
  const house = useHouseId()
  const today = useOfHouse('/today')
  useMinute(today.refetch)
  const { there, instead } = useArrived(today, 'today')
  if (!there) return instead
  const {
    headline,
    date,
    bar,
    throw_away,
    places,
    coming,
    due,
    shown,
    empty,
    stove,
    melt,
    boils,
    stores,
    stores_more,
  } = there
  if (empty && stores.length === 0)
    return (
      <EmptyPlace
        title="Nothing is steeping here yet."
        says="Plan a first jar: what is to be done stands here then, by where you stand to do it, and when."
        action="Plan at the bench"
        to={`/h/${house}/bench`}
        also={[
          { name: 'Say what is here already', to: `/h/${house}/first` },
          { name: 'Practise on a made-up jar first', to: `/h/${house}/practice` },
        ]}
      >
        <ul className="border-line grid gap-x-8 gap-y-4 border-t pt-5 sm:grid-cols-2 lg:grid-cols-4">
          {COMES.map((place) => (
            <li key={place.name}>
              <p className="column-head">{place.name}</p>
              <p className="border-soft text-soft mt-2 min-h-20 border-2 border-dashed p-3">{place.says}</p>
            </li>
          ))}
        </ul>
      </EmptyPlace>
    )
  return (
    <div className="flex flex-col gap-6">
      <div>
        <h1 className="text-3xl">{headline}</h1>
        <p className="text-soft">
          {date} ·{' '}
          <Link to={`/h/${house}/diary`} aria-keyshortcuts="d" className="underline underline-offset-4">
            the days to come
          </Link>
        </p>
      </div>
      {throw_away.length > 0 ? (
        <section aria-labelledby="throw-away" className="border-warmth bg-warmth-pale border-4 p-4">
          <h2 id="throw-away" className="text-warmth text-2xl">
            Not to be eaten: throw it away now
          </h2>
          <ul className="flex flex-col gap-1">
            {throw_away.map((task) => (
              <TaskRow key={task.batch + task.key} task={task} />
            ))}
          </ul>
        </section>
      ) : null}
      <DayLine bar={bar} />
      <div className="border-line gap-x-8 border-t pt-5 md:columns-2 lg:columns-3 [&>section]:mb-8 [&>section]:break-inside-avoid">
        {stove.length > 0 ? <Warm pots={stove} /> : null}
        {places.map((place) => (
          <Place key={place.place} place={place} />
        ))}
        {boils.length > 0 ? <BoiledDown pots={boils} /> : null}
        {melt.length > 0 ? <AtTheMelt things={melt} /> : null}
        {stores.length > 0 ? <AtTheStores stores={stores} more={stores_more} /> : null}
        <section aria-labelledby="coming" className="flex flex-col gap-3">
          <h2 id="coming" className="column-head font-text text-base">
            Coming
          </h2>
          {coming.length === 0 ? <p className="text-soft">Nothing in the next two weeks.</p> : null}
          <ul className="flex flex-col">
            {coming.flatMap((day) =>
              day.tasks.map((task) => (
                <li key={task.batch + task.key} className="border-line border-b py-2">
                  <Link to={`/h/${house}/batch/${task.batch}`}>
                    <strong>{day.text}</strong> {lower(task.title)}
                  </Link>
                </li>
              )),
            )}
          </ul>
        </section>
      </div>
      {due > shown ? (
        <p className="text-soft">
          {due - shown} more are due; they come up as these are done. The{' '}
          <Link to={`/h/${house}/shelf`} className="underline">
            Shelf
          </Link>{' '}
          has every jar.
        </p>
      ) : null}
    </div>
  )
}

/** Pots that are boiled down, each with what is next, and decoctions past their day. */
function BoiledDown({ pots }: { pots: TodayShape['boils'] }) {
  return (
    <section aria-labelledby="boiled-down" className="flex flex-col gap-3">
      <h2 id="boiled-down" className="column-head font-text text-base">
        Boiled down
      </h2>
      <PotLinks pots={pots} look="flex flex-col" />
    </section>
  )
}

/** Products that are begun, each with its next step, and what is not to be used any more. */
function AtTheMelt({ things }: { things: TodayShape['melt'] }) {
  const house = useHouseId()
  return (
    <section aria-labelledby="at-the-melt" className="flex flex-col gap-3">
      <h2 id="at-the-melt" className="column-head font-text text-base">
        At the melt
      </h2>
      <ul className="flex flex-col">
        {things.map((thing) => (
          <li key={thing.id} className="border-line border-b py-2">
            <Link to={thing.wanted ? `/h/${house}/melt` : `/h/${house}/making/${thing.id}`}>
              <strong>{thing.name}</strong> <span className="text-soft figures">{thing.code}</span>
              <span className={`block ${thing.wrong ? 'text-warmth font-semibold' : ''}`}>
                {thing.wrong ? `Not to be used: ${thing.says}` : thing.says}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** The pots that are warm just now, each with the one thing to be said of it. */
function Warm({ pots }: { pots: TodayShape['stove'] }) {
  const house = useHouseId()
  return (
    <section aria-labelledby="warm" className="flex flex-col gap-3">
      <h2 id="warm" className="column-head font-text text-base">
        Warm now
      </h2>
      <ul className="flex flex-col gap-2">
        {pots.map((pot) => (
          <li key={pot.id} className="border-line border-b pb-2">
            <Link to={`/h/${house}/stove/${pot.id}`} className="flex flex-wrap items-baseline justify-between gap-x-3">
              <strong className="text-lg">{pot.jars}</strong>
              <span className="figures text-2xl font-bold">{pot.warmth_text ?? 'not read yet'}</span>
              <span className="text-soft w-full">
                {pot.left_text}, {pot.state_text}
              </span>
            </Link>
            {pot.alarm ? <Notice rank={pot.alarm.rank}>{pot.alarm.says}</Notice> : null}
          </li>
        ))}
      </ul>
    </section>
  )
}

function DayLine({ bar }: { bar: TodayShape['bar'] }) {
  return (
    <svg
      viewBox="0 0 1200 56"
      className="w-full overflow-visible max-lg:my-1 max-sm:hidden"
      role="img"
      aria-label={`The day from ${bar.wake} to ${bar.bed}; it is ${bar.now_text}`}
    >
      <rect x={1} y={22} width={1198} height={14} fill="var(--plate)" stroke="var(--rim)" />
      {bar.marks.map((mark) => (
        <circle key={mark.text} cx={mark.at * 1200} cy={29} r={7} fill="var(--rim)">
          <title>{mark.text}</title>
        </circle>
      ))}
      {bar.now === null ? null : (
        <g>
          <line x1={bar.now * 1200} x2={bar.now * 1200} y1={16} y2={42} stroke="var(--warmth)" strokeWidth={3} />
          <text
            x={Math.min(1160, Math.max(24, bar.now * 1200))}
            y={12}
            textAnchor="middle"
            className="text-[15px] max-lg:text-[24px]"
            fontWeight={700}
            fill="var(--ink)"
          >
            {bar.now_text}
          </text>
        </g>
      )}
      <text x={0} y={54} className="text-[15px] max-lg:translate-y-1.5 max-lg:text-[24px]" fill="var(--soft)">
        up {bar.wake}
      </text>
      <text
        x={1200}
        y={54}
        className="text-[15px] max-lg:translate-y-1.5 max-lg:text-[24px]"
        textAnchor="end"
        fill="var(--soft)"
      >
        bed {bar.bed}
      </text>
    </svg>
  )
}

function Place({ place }: { place: TodayShape['places'][number] }) {
  const together = place.place === 'shelf' ? place.tasks.filter((task) => task.step === 'shake' && task.open) : []
  const rest = together.length > 1 ? place.tasks.filter((task) => !together.includes(task)) : place.tasks
  return (
    <section aria-labelledby={`place-${place.place}`} className="flex flex-col gap-3">
      <h2 id={`place-${place.place}`} className="column-head font-text text-base">
        {place.name}
      </h2>
      <ul className="flex flex-col gap-1">
        {together.length > 1 ? <Together tasks={together} /> : null}
        {rest.map((task) => (
          <TaskRow key={task.batch + task.key} task={task} />
        ))}
      </ul>
    </section>
  )
}

const STORE_WORDS = { past: 'Past.', ageing: 'Ageing.', low: 'Low.' }

function AtTheStores({ stores, more }: { stores: TodayShape['stores']; more: boolean }) {
  const house = useHouseId()
  return (
    <section aria-labelledby="at-stores" className="flex flex-col gap-3">
      <h2 id="at-stores" className="column-head font-text text-base">
        At the stores
      </h2>
      <ul className="flex flex-col">
        {stores.map((each) => (
          <li key={each.lot + each.rank} className="border-line border-b py-2">
            <Link to={`/h/${house}/stores/${each.lot}`} className="block">
              <strong className="text-lg">{capital(each.called)}</strong>
              <span className="block">
                <strong className={each.rank === 'past' ? 'text-warmth' : ''}>{STORE_WORDS[each.rank]}</strong>{' '}
                {each.says}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {more ? (
        <Link to={`/h/${house}/stores`} className="underline">
          More in Stores
        </Link>
      ) : null}
    </section>
  )
}

function Together({ tasks }: { tasks: Shape<'TaskView'>[] }) {
  const house = useHouseId()
  const say = useSay()
  const { works } = usePart()
  const [each, setEach] = useState(false)
  const all = useUnsent()
  const turned = tasks.map((task) => unsentTask(all, task))
  const unsent = turned.every((one) => one && one.refused === undefined) ? turned.at(-1) : undefined
  const shaken = useWrite<'POST /houses/{house}/today/shaken'>(() => say({ text: `${tasks.length} jars turned over.` }))
  if (each) return tasks.map((task) => <TaskRow key={task.batch} task={task} />)
  return (
    <li className="border-line flex flex-col gap-2 border-b pb-3">
      <strong className="text-lg">Turn {tasks.length} jars over</strong>
      <span className="text-soft">{tasks.map((task) => task.title.replace('Shake the ', '')).join(', ')}</span>
      {unsent ? (
        <p className="bg-oil-pale px-3 py-1">
          {unsent.says}. {stands(unsent)}
        </p>
      ) : works ? (
        <div className="flex flex-wrap gap-3">
          <Button
            disabled={shaken.isPending}
            onClick={() =>
              shaken.mutate({
                path: `/houses/${house}/today/shaken`,
                body: { batches: tasks.map((task) => task.batch) },
                says: `${tasks.length} jars turned over`,
              })
            }
          >
            All turned
          </Button>
          <Button look="quiet" onClick={() => setEach(true)}>
            One by one
          </Button>
        </div>
      ) : null}
      <Trouble problem={unsent ? null : shaken.error} />
    </li>
  )
}
