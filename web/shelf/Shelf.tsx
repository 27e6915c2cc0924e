import { useState } from 'react'
import { Link } from 'react-router'
import { get } from '../api/client'
import { type Shape, useHouseId, useOfHouse } from '../api/hooks'
import { useArrived } from '../parts/arrived'
import { Button } from '../parts/Button'
import { EmptyBoard, EmptyPlace } from '../parts/EmptyPlace'
import { JarShape } from '../parts/JarDrawing'

type Part = Shape<'ShelfPart'>
type Jar = Shape<'ShelfJar'>

/** Pixels for each millimetre: one scale for every jar, so that a pint and a quart are told apart. */
const SCALE = 1.15

/** Pixels of a place on the board, at the least. */
const COLUMN = 168

export default function Shelf() {
  const house = useHouseId()
  const shelf = useOfHouse('/shelf')
  const { there, instead } = useArrived(shelf, 'the shelf')
  if (!there) return instead
  if (there.empty)
    return (
      <EmptyPlace
        title="The shelf is bare."
        says="Every jar you start stands here, with its level and its days, until it is strained; then its bottles."
        action="Plan a first jar"
        to={`/h/${house}/bench`}
        also={[{ name: 'Say what is here already', to: `/h/${house}/first` }]}
      >
        <EmptyBoard />
      </EmptyPlace>
    )
  return (
    <div className="flex flex-col gap-9">
      <h1 className="sr-only">Shelf</h1>
      <Link
        to={`/h/${house}/first`}
        className="relative z-10 -mb-20 flex min-h-11 items-center self-end font-semibold underline"
      >
        Enter what is here already
      </Link>
      {there.parts
        .filter((part) => part.total > 0)
        .map((part) => (
          <Board key={part.part} part={part} />
        ))}
      {there.made.length > 0 ? <MadeBoard made={there.made} /> : null}
    </div>
  )
}

/** Products of which some still stands here: as many tins as there were, those that are gone empty. */
function MadeBoard({ made }: { made: Shape<'MakingCard'>[] }) {
  const house = useHouseId()
  return (
    <section aria-labelledby="board-made">
      <h2 id="board-made" className="text-2xl">
        Made, and keeping <span className="text-soft font-text figures text-base">{made.length}</span>
      </h2>
      <ul className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-x-6 gap-y-6">
        {made.map((card) => (
          <li key={card.id} className="border-rim border-t-4 pt-2">
            <Link to={`/h/${house}/making/${card.id}`} className="flex flex-col gap-1">
              <TinsOf card={card} />
              <strong>{card.name}</strong>
              <span className="text-soft">
                {card.code}, {card.tins_left} of {card.tins}
                {card.stands ? `, ${card.stands}` : ''}
              </span>
              <span className={card.past ? 'text-warmth font-semibold' : 'text-soft'}>
                {card.past ? 'past its day, ' : 'until '}
                {card.best_before}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

const TINS = 10

function TinsOf({ card }: { card: Shape<'MakingCard'> }) {
  const shown = Math.min(TINS, card.tins)
  return (
    <svg viewBox={`0 0 ${TINS * 20} 22`} className="h-6 self-start" aria-hidden>
      {Array.from({ length: shown }, (_, index) => (
        <rect
          // eslint-disable-next-line react/no-array-index-key -- a tin is known by its place
          key={index}
          x={index * 20 + 1}
          y={6}
          width={16}
          height={14}
          rx={2}
          fill={index < card.tins_left ? 'var(--wax)' : 'none'}
          stroke="var(--rim)"
          strokeWidth={1.5}
        />
      ))}
    </svg>
  )
}

function Board({ part }: { part: Part }) {
  const house = useHouseId()
  const [more, setMore] = useState<Part[]>([])
  const last = more.at(-1) ?? part
  const jars = [...part.jars, ...more.flatMap((each) => each.jars)]
  const fetchMore = async () => {
    const answer = await get(`/houses/${house}/shelf?part=${part.part}&after=${encodeURIComponent(last.next ?? '')}`)
    const next = answer.parts[0]
    if (next) setMore((before) => [...before, next])
  }
  return (
    <section aria-labelledby={`board-${part.part}`}>
      <h2 id={`board-${part.part}`} className="text-2xl">
        {part.name} <span className="text-soft font-text figures text-base">{part.total}</span>
      </h2>
      <ul
        className={`mt-3 grid grid-cols-[repeat(auto-fill,minmax(10.5rem,1fr))] ${part.part === 'bottled' ? 'gap-x-6 gap-y-6' : 'gap-y-6'}`}
      >
        {jars.map((jar) => (
          <OnBoard key={jar.id} jar={jar} bottled={part.part === 'bottled'} />
        ))}
      </ul>
      {last.next ? (
        <Button className="mt-4" onClick={() => void fetchMore()}>
          Further along the board
        </Button>
      ) : null}
    </section>
  )
}

/** What is read aloud as one sentence and seen as lines; in the line, for what is out of it is read apart from its word. */
const COMMA = <span className="text-[0px]">,</span>

function OnBoard({ jar, bottled }: { jar: Jar; bottled: boolean }) {
  const house = useHouseId()
  const width = jar.diameter_mm * SCALE + 8
  return (
    <li
      className={bottled ? 'border-rim border-t-[5px] pt-1' : 'row-span-2 grid grid-rows-subgrid gap-y-0'}
      // A pan is as wide as two jars or more, and takes their room.
      style={bottled || width <= COLUMN ? undefined : { gridColumn: `span ${Math.ceil(width / COLUMN)}` }}
    >
      <Link
        to={`/h/${house}/batch/${jar.id}`}
        className={bottled ? 'group block' : 'group row-span-2 grid grid-rows-subgrid gap-y-0'}
      >
        {bottled ? null : (
          <span className="border-rim flex items-end border-b-[5px]">
            <svg width={width} height={jar.height_mm * SCALE + 4} className="block" aria-hidden>
              <JarShape jar={jar} scale={SCALE} x={3} foot={jar.height_mm * SCALE + 4} />
            </svg>
          </span>
        )}
        <span className="mt-1.5 flex flex-col pe-6 leading-snug [overflow-wrap:anywhere]">
          <strong className="group-hover:underline">{jar.herb}</strong>
          <span>
            <span className="sr-only">in </span>
            {jar.oils}
            {COMMA}
          </span>
          <span className={bottled ? 'sr-only' : 'text-soft'}>
            {jar.jar}
            {COMMA}
          </span>
          <span>
            {jar.days}
            {jar.alert || jar.seen ? COMMA : null}
          </span>
          {jar.alert ? <strong className="text-warmth">{jar.alert}</strong> : null}
          {jar.seen ? <span className="text-warmth">{jar.seen}</span> : null}
          {jar.colours.length > 0 && !bottled ? (
            <svg
              viewBox={`0 0 ${jar.colours.length * 10} 8`}
              className="mt-1 h-2.5 w-24"
              aria-hidden
              preserveAspectRatio="none"
            >
              {jar.colours.map((colour, index) => (
                <rect key={`${colour} ${index}`} x={index * 10} width={10} height={8} fill={colour} />
              ))}
            </svg>
          ) : null}
          {jar.stage === 'steeping' && !jar.alert ? (
            <svg viewBox="0 0 100 6" className="mt-1 h-1.5 w-24" aria-hidden preserveAspectRatio="none">
              <rect width={100} height={6} fill="var(--line)" />
              <rect width={jar.progress * 100} height={6} fill="var(--herb)" />
            </svg>
          ) : null}
        </span>
      </Link>
    </li>
  )
}
