import { useEffect } from 'react'
import { useParams } from 'react-router'
import { useQueryClient } from '@tanstack/react-query'
import { useHouseId, useOfHouse } from '../api/hooks'
import { PotLogbook } from '../batch/Logbook'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { ButtonLink } from '../parts/Button'
import { From } from '../parts/From'
import { Notice } from '../parts/Notice'
import { Head } from './Head'
import { PotToScale } from './PotToScale'
import { Track } from './Track'
import { Mark, Now, Warmth } from './Tend'
import type { Pot } from './line'
import { Came } from './Came'
import { HowFar, Signs } from './Reached'

/** A pot that is boiled down for hours or days: how far it is, what is next, and whether it is done. */
export default function BoilingPot() {
  const { boil = '' } = useParams()
  const house = useHouseId()
  const client = useQueryClient()
  const pot = useOfHouse(`/boils/${boil}`)
  const { there, instead } = useArrived(pot, 'the pot')
  const on = there?.stage === 'on'
  // Over the flame it goes down by the clock: how far it is is asked again every minute.
  useEffect(() => {
    if (!on) return
    const asking = setInterval(() => void client.invalidateQueries({ queryKey: ['house', house] }), 60_000)
    return () => clearInterval(asking)
  }, [client, house, on])
  if (!there) return instead
  return <Page key={there.id} pot={there} />
}

function Page({ pot }: { pot: Pot }) {
  const house = useHouseId()
  const { works } = usePart()
  return (
    <div className="flex flex-col gap-6">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <p className="text-soft figures">{pot.code}</p>
          <h1 className="text-3xl sm:text-4xl">{pot.name}</h1>
        </div>
        <div className="flex flex-wrap gap-2">
          {pot.stage === 'made' ? (
            <ButtonLink to={`/h/${house}/stove/boil/${pot.id}/print`}>Its label</ButtonLink>
          ) : null}
          <ButtonLink to={`/h/${house}/trace/pot/${pot.id}`}>Follow it</ButtonLink>
        </div>
      </header>
      <div className="border-line grid gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.35fr)_minmax(0,1fr)] lg:grid-rows-[auto_1fr]">
        <section aria-label="The pot" className="lg:row-span-2 flex flex-col gap-3">
          <Head>{pot.pot ? 'The pot, to scale' : pot.open ? 'In the pot' : 'What came of it'}</Head>
          {pot.pot ? (
            <PotToScale pot={pot.pot} done={pot.kind === 'decoction' ? 'done' : 'water gone'} liquid="water" />
          ) : pot.open ? (
            <p className="text-soft">
              {pot.from_text ? `${pot.from_text} at first, ` : ''}done at {pot.ends_text}.
              {pot.unit === 'mL'
                ? ' Where the pot was measured before it was begun it is drawn, and a stick is read.'
                : ''}
            </p>
          ) : (
            <Came pot={pot} works={works} />
          )}
          {works && pot.open ? (
            <div className="border-line mt-2 flex flex-col gap-4 border-t pt-4">
              <Mark pot={pot} />
              <Warmth pot={pot} />
            </div>
          ) : null}
        </section>
        <section
          aria-label="How far it is"
          className="lg:row-span-2 border-line flex flex-col gap-3 lg:border-s lg:ps-8"
        >
          {pot.open ? <HowFar pot={pot} /> : <Head>How it went</Head>}
          {pot.open || pot.marks.length > 0 ? <Track pot={pot} /> : <p>No mark of its level was written down.</p>}
          {pot.learned || pot.open ? (
            <p>
              {pot.learned ? 'This pot loses ' : 'It is taken to lose '}
              <strong>{pot.rate}</strong>. {pot.learned ? 'The usual is 450 mL.' : 'Two marks tell what it does lose.'}
            </p>
          ) : null}
          <From from={pot.from} head="What it was filled from" />
          {pot.open ? <PotLogbook pot={pot} /> : null}
        </section>
        <section
          aria-label={pot.open ? 'Now' : 'Written down'}
          className={`${pot.open ? 'max-lg:order-first' : ''} border-line flex flex-col gap-4 lg:border-s lg:ps-8`}
        >
          {pot.open ? <Now pot={pot} works={works} /> : <PotLogbook pot={pot} />}
        </section>
        {pot.signs.length + pot.heed.length + pot.notes.length > 0 ? (
          <section
            aria-label="Signs and what to heed"
            className="border-line flex flex-col gap-4 lg:col-start-3 lg:border-s lg:ps-8"
          >
            {pot.signs.length > 0 ? <Signs pot={pot} /> : null}
            {[...pot.heed, ...pot.notes].map((note) => (
              <Notice key={note.id} rank={note.rank}>
                {note.says}
              </Notice>
            ))}
          </section>
        ) : null}
      </div>
    </div>
  )
}
