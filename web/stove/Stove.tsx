import { useState } from 'react'
import { Link } from 'react-router'
import { type Shape, useHouseId, useOfHouse } from '../api/hooks'
import { usePart } from '../frame/part'
import { useAwake } from '../hands/awake'
import { Leaves } from '../making/Leaf'
import { useArrived } from '../parts/arrived'
import { ButtonLink } from '../parts/Button'
import { Notice } from '../parts/Notice'
import { BathSide, HoursBar } from './drawings'
import { Cookers, Thermometers } from './Kit'
import { Pans } from './Pans'
import { PutToWarm } from './PutToWarm'

type Page = Shape<'StovePage'>

export default function Stove() {
  useAwake()
  const house = useHouseId()
  const { works, keeps } = usePart()
  const stove = useOfHouse('/stove')
  const [chosen, setChosen] = useState<string[] | null>(null)
  const { there, instead } = useArrived(stove, 'the stove')
  if (!there) return instead
  const { sessions, waiting, pans, leaves, boils, cookers, probes, ended } = there
  const flames = pans.filter((pan) => pan.on).length
  const boiling = boils.filter((pot) => pot.stage === 'on').length
  const ready = waiting.filter((jar) => jar.ready)
  return (
    <div className="flex flex-col gap-8">
      <h1 className="text-3xl">
        {sessions.length + flames + leaves.length + boiling === 0
          ? ready.length + pans.length + boils.length === 0
            ? 'The stove is cold.'
            : 'The stove is cold, and there is something that wants warmth.'
          : [
              ...(sessions.length > 0
                ? [`${sessions.length === 1 ? 'One pot is' : `${sessions.length} pots are`} warm.`]
                : []),
              ...(leaves.length > 0
                ? [`${leaves.length === 1 ? 'An ointment has' : `${leaves.length} ointments have`} leaf in it.`]
                : []),
              ...(boiling > 0 ? [`${boiling === 1 ? 'A pot is' : `${boiling} pots are`} boiling down.`] : []),
              ...(flames > 0 ? [`${flames === 1 ? 'A pan is' : `${flames} pans are`} on the flame.`] : []),
            ].join(' ')}
      </h1>
      {sessions.length > 0 ? (
        <ul className={`grid gap-6 ${sessions.length > 1 ? 'md:grid-cols-2' : ''}`}>
          {sessions.map((pot) => (
            <PotLine key={pot.id} pot={pot} />
          ))}
        </ul>
      ) : null}
      {pans.length > 0 ? <Pans pans={pans} works={works} /> : null}
      {leaves.length > 0 ? <Leaves pots={leaves} works={works} /> : null}
      {boils.length > 0 ? <BoiledDown pots={boils} /> : null}
      {waiting.length > 0 && works ? (
        <PutToWarm
          key={ready.map((jar) => jar.batch).join()}
          waiting={waiting}
          cookers={cookers}
          probes={probes}
          chosen={chosen}
          setChosen={setChosen}
        />
      ) : sessions.length + pans.length + leaves.length + boils.length === 0 ? (
        <div className="flex flex-col items-start gap-4">
          {cookers[0] ? (
            <figure className="w-full max-w-sm">
              <BathSide bath={{ ...cookers[0], full_mm: 0, low_mm: 0, now_mm: 0, full_text: '', jars: [] }} />
              <figcaption className="text-soft">{cookers[0].called}, to scale</figcaption>
            </figure>
          ) : null}
          <p className="max-w-prose text-lg">
            What is planned for a cooker or a pan is put to warm here: what the pot will do before it is on, the hours
            it has had, and when to top up, shake and stop.
          </p>
          <ButtonLink look="strong" to={`/h/${house}/bench`}>
            Plan a warm one at the bench
          </ButtonLink>
        </div>
      ) : null}
      <div className="border-line grid gap-x-10 gap-y-8 border-t pt-6 md:grid-cols-2">
        <Cookers cookers={cookers} keeps={keeps} />
        <Thermometers probes={probes} keeps={keeps} />
      </div>
      {ended.length > 0 ? (
        <section aria-labelledby="ended">
          <h2 id="ended" className="text-2xl">
            Cooled down
          </h2>
          <ul>
            {ended.map((pot) => (
              <li key={pot.id} className="border-line border-b py-2">
                <Link to={`/h/${house}/stove/${pot.id}`}>
                  <strong>{pot.jars}</strong>.{' '}
                  <span className="text-soft">
                    {pot.cooker}; {pot.left_text}, {pot.state_text}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </div>
  )
}

function PotLine({ pot }: { pot: Page['sessions'][number] }) {
  const house = useHouseId()
  return (
    <li className="border-rim border-t-[5px] pt-3">
      <Link to={`/h/${house}/stove/${pot.id}`} className="group flex flex-col gap-2">
        <span className="flex items-baseline justify-between gap-4">
          <span className="text-xl font-semibold group-hover:underline">
            {pot.cooker}
            {pot.trial ? <span className="text-soft font-normal"> · a trial</span> : null}
          </span>
          <span className="figures text-4xl font-bold whitespace-nowrap">{pot.warmth_text ?? '–'}</span>
        </span>
        <span>
          {pot.jars}; <span className="text-soft">{pot.state_text}</span>
        </span>
        <HoursBar share={pot.share} label={pot.left_text} />
        <span className="text-soft">{pot.left_text} gathered</span>
      </Link>
      {pot.alarm ? <Notice rank={pot.alarm.rank}>{pot.alarm.says}</Notice> : null}
    </li>
  )
}

/** Pots that are boiled down, each with what is next. */
function BoiledDown({ pots }: { pots: Page['boils'] }) {
  const house = useHouseId()
  return (
    <section aria-labelledby="boiled-down">
      <h2 id="boiled-down" className="text-2xl">
        Boiled down
      </h2>
      <ul className={`mt-3 grid gap-6 ${pots.length > 1 ? 'md:grid-cols-2' : ''}`}>
        {pots.map((pot) => (
          <li key={pot.id} className={`border-t-[5px] pt-3 ${pot.urgent ? 'border-warmth' : 'border-rim'}`}>
            <Link to={`/h/${house}/stove/boil/${pot.id}`} className="text-xl font-semibold hover:underline">
              {pot.name} <span className="text-soft font-normal">{pot.code}</span>
            </Link>
            <p className="text-lg">{pot.says}</p>
          </li>
        ))}
      </ul>
    </section>
  )
}
