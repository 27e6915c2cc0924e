import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { type Shape, useHouseId, useOfHouse } from '../api/hooks'
import { useKey } from '../frame/keys'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { useAwake } from '../hands/awake'
import { Bell } from '../hands/Bell'
import { useArrived } from '../parts/arrived'
import { Button, TextButton } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { UnderThumb } from '../parts/UnderThumb'
import { BathSide, BathTop, HoursBar, Thermometer, WarmthLine } from './drawings'
import { ReadingsFile } from './ReadingsFile'
import { StoveCautions } from './StoveCautions'
import { BackAgain, ByEye } from './ByEye'
import { useTend } from './useTend'
import { useLive } from './useLive'

type View = Shape<'StoveView'>

export default function Pot() {
  useAwake()
  const { session = '' } = useParams()
  const pot = useOfHouse(`/stove/${session}`)
  const heard = useLive(pot.data?.state === 'ended' ? undefined : pot.data?.live, pot.refetch)
  const { there, instead } = useArrived(pot, 'the pot')
  if (!there) return instead
  return <Warm key={session} pot={there} heard={heard && !pot.isError} />
}

function Warm({ pot, heard }: { pot: View; heard: boolean }) {
  const { works } = usePart()
  const ended = pot.state === 'ended'
  const { write, tend } = useTend(pot)
  const [pouring, setPouring] = useState(false)
  const [wanted, setWanted] = useState('')
  const [because, setBecause] = useState('')
  const [ending, setEnding] = useState(false)
  const can = works && !ended && !write.isPending
  const shaken = () => tend('shaken')
  const switched = () => tend(pot.state === 'on' ? 'pause' : 'on')
  useKey('k', 'Shaken and wiped', shaken, can && pot.state === 'on')
  useKey('u', 'Water topped up', () => setPouring(true), can)
  useKey('o', pot.state === 'on' ? 'Off for the night' : 'On again', switched, can)
  const asks = new Set(pot.alarms.map((alarm) => alarm.id))
  const wet = asks.has('water-low') || asks.has('water-soon')
  const { next, others } = first(pot, wet, can, { shaken, switched, pour: () => setPouring(true) })
  return (
    <div className="grid gap-x-10 gap-y-8 max-sm:pb-16 lg:grid-cols-[210px_minmax(0,1.35fr)_minmax(0,1fr)]">
      <div className="max-lg:hidden">
        <Thermometer scale={pot.scale} reads={pot.warmth_c} text={said(pot)} />
      </div>
      <section aria-label="The warmth" className="flex flex-col gap-5">
        <header>
          <h1 className="column-head font-text text-base">
            {pot.title}, {pot.state === 'on' ? pot.setting_text : pot.state === 'paused' ? 'off' : 'ended'}
            {pot.trial ? ` · a trial at ${pot.speed} times the clock` : ''}
          </h1>
          <p className="flex items-baseline gap-3">
            <span className="figures text-[5.5rem] leading-none font-bold sm:text-[7.5rem]" data-warmth>
              {pot.warmth_text ?? '–'}
            </span>
            <span className="text-soft text-4xl font-semibold">{pot.warmth_unit}</span>
          </p>
          <p className="text-xl">
            {pot.trend_text}
            <span className="text-soft">
              {' '}
              · {pot.by_eye ? 'read by eye' : pot.probe ? `${pot.probe.called}, ${pot.probe.kind_text}` : ''}
            </span>
          </p>
          {heard || ended ? null : (
            <p role="status" className="bg-warmth-pale mt-2 px-3 py-1">
              The stream is lost; this page asks again by itself. The pot’s readings are not lost.
            </p>
          )}
        </header>
        <div className="flex flex-col gap-2" aria-live="assertive">
          {pot.alarms.map((alarm) => (
            <Notice key={alarm.id + alarm.says} rank={alarm.rank}>
              {alarm.says}
            </Notice>
          ))}
          {pot.over_text ? <Notice rank="care">{pot.over_text}</Notice> : null}
        </div>
        {ended ? null : <Bell title={pot.title} alarms={pot.alarms} />}
        {pot.by_eye && !ended && works ? <ByEye pot={pot} /> : null}
        <section aria-labelledby="hours" className="flex flex-col gap-4">
          <h2 id="hours" className="column-head font-text text-base">
            Hours at warmth
          </h2>
          {pot.jars.map((jar) => (
            <JarHours
              key={jar.batch}
              jar={jar}
              pot={pot}
              onOut={can && !jar.out ? () => tend('jar_out', jar.batch) : undefined}
            />
          ))}
        </section>
        <section aria-labelledby="line">
          <h2 id="line" className="column-head font-text text-base">
            Since it was begun
          </h2>
          <WarmthLine chart={pot.chart} scale={pot.scale} />
          {pot.model_text.length > 0 ? (
            <p className="text-soft">Dotted: what the model foretold. {pot.model_text.join('. ')}.</p>
          ) : null}
        </section>
      </section>
      <section aria-label="What stands in it, and what was done" className="flex flex-col gap-4">
        <h2 className="column-head font-text text-base">{pot.water ? 'The water' : 'What stands in it'}</h2>
        <BathSide bath={pot.bath} />
        {pot.water ? (
          <p className="text-lg">
            {pot.water.top_up_text ? <strong>{pot.water.top_up_text}. </strong> : null}
            {pot.water.loses_text} <span className="text-soft">There is {pot.water.text}.</span>
          </p>
        ) : (
          <p className="text-lg">It holds its warmth by itself, with no water to pour.</p>
        )}
        {works && !ended ? (
          <div className="flex flex-wrap gap-2">
            <UnderThumb>
              <Button
                look="strong"
                className="max-sm:grow"
                disabled={!can}
                aria-keyshortcuts={next.key}
                onClick={next.run}
              >
                {next.name}
              </Button>
            </UnderThumb>
            {others.map((each) => (
              <Button key={each.name} disabled={!can} aria-keyshortcuts={each.key} onClick={each.run}>
                {each.name}
              </Button>
            ))}
            <Button look="stop" disabled={!can} onClick={() => setEnding(true)}>
              All out, end
            </Button>
          </div>
        ) : null}
        {pot.shake_text && pot.state === 'on' ? <p className="text-soft">Shake {pot.shake_text}.</p> : null}
        <Trouble problem={pouring ? null : write.error} />
        {write.error?.about('confirmed') ? (
          <form
            className="flex flex-wrap items-end gap-3"
            onSubmit={sent(() => {
              tend('setting', wanted, because)
            })}
          >
            <Field
              label={`Set it to ${wanted} all the same, because`}
              required
              maxLength={500}
              value={because}
              onChange={(event) => setBecause(event.target.value)}
            />
            <Button type="submit">Set it so</Button>
            <Button look="quiet" type="button" onClick={() => write.reset()}>
              Leave it as it is
            </Button>
          </form>
        ) : null}
        {works && !ended ? (
          <div className="grid grid-cols-2 items-end gap-4">
            <Select
              label="Set to"
              value={pot.setting}
              choices={pot.settings.map((each) => ({ id: each.name, name: `${each.name} (${each.text})` }))}
              onChange={(event) => {
                setWanted(event.target.value)
                tend('setting', event.target.value)
              }}
            />
            {pot.water ? (
              <label className="flex min-h-11 items-center gap-3">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={pot.lid}
                  onChange={(event) => tend(event.target.checked ? 'lid_on' : 'lid_off')}
                />
                The cooker’s lid is on
              </label>
            ) : null}
          </div>
        ) : null}
        <details>
          <summary className="min-h-11 py-2 font-semibold">From above, and what was done</summary>
          <div className="flex flex-wrap items-start gap-6">
            <BathTop bath={pot.bath} />
            <ul className="min-w-52 flex-1">
              {pot.done.map((line, index) => (
                <li key={`${line.when} ${line.text} ${index}`} className="border-line border-b py-1">
                  {line.undone ? <s>{line.text}</s> : line.text}{' '}
                  <span className="text-soft">
                    {line.when}, {line.by}
                  </span>{' '}
                  {line.entry ? <BackAgain pot={pot} entry={line.entry} what={`${line.text}, ${line.when}`} /> : null}
                </li>
              ))}
            </ul>
          </div>
        </details>
        {works && pot.teaches ? <Learn pot={pot} /> : null}
        {works && !ended ? <ReadingsFile session={pot.id} /> : null}
        {ended ? null : <StoveCautions batches={pot.jars.map((jar) => jar.batch)} />}
      </section>
      <TopUp pot={pot} open={pouring} onOpenChange={setPouring} />
      <Sheet open={ending} onOpenChange={setEnding} title="All jars out?">
        <p>The hours each has had are written to its logbook. What still wants warmth can be begun again later.</p>
        <Button
          look="strong"
          className="self-start"
          disabled={write.isPending}
          onClick={() => {
            setEnding(false)
            tend('end')
          }}
        >
          All out, end it
        </Button>
      </Sheet>
    </div>
  )
}

/** What there is to press, what is wanted most first: that alone stays under the thumb on a phone. */
function first(
  pot: View,
  wet: boolean,
  can: boolean,
  acts: { shaken: () => void; switched: () => void; pour: () => void },
) {
  const water = pot.water ? [{ name: 'Water topped up', key: 'u', run: acts.pour }] : []
  if (pot.state === 'paused') return { next: { name: 'On again', key: 'o', run: acts.switched }, others: water }
  const shake = { name: 'Shaken and wiped', key: 'k', run: acts.shaken }
  const off = { name: 'Off for the night', key: 'o', run: acts.switched }
  const [poured] = water
  return can && wet && poured ? { next: poured, others: [shake, off] } : { next: shake, others: [...water, off] }
}

const said = (pot: View) =>
  (pot.warmth_text === null ? 'Nothing read yet' : `${pot.warmth_text} ${pot.warmth_unit}`) +
  `; band ${pot.scale.band_text}, ${pot.scale.ceiling_text}`

function JarHours({ jar, pot, onOut }: { jar: Shape<'StoveJarView'>; pot: View; onOut: (() => void) | undefined }) {
  const house = useHouseId()
  return (
    <div className="flex flex-col gap-1">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4">
        <Link to={`/h/${house}/batch/${jar.batch}`} className="text-lg font-semibold">
          {jar.herb} <span className="text-soft font-normal">{jar.jar}</span>
        </Link>
        {onOut && pot.jars.length > 1 ? (
          <TextButton onClick={onOut} aria-label={`Take the ${jar.herb} out`}>
            take it out
          </TextButton>
        ) : null}
      </p>
      <HoursBar share={jar.share} label={`${jar.had_text} of ${jar.planned_text}`} />
      <p className="figures flex justify-between gap-4">
        <span>{jar.had_text} gathered</span>
        <span>
          {jar.planned_text}
          {jar.done_text ? `, ${jar.done_text}` : ''}
        </span>
      </p>
    </div>
  )
}

function TopUp({ pot, open, onOpenChange }: { pot: View; open: boolean; onOpenChange: (open: boolean) => void }) {
  const [typed, setTyped] = useState('')
  const { write, tend } = useTend(pot, () => {
    setTyped('')
    onOpenChange(false)
  })
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Water topped up">
      <form
        className="flex flex-col gap-3"
        onSubmit={sent(() => {
          tend('topped_up', typed.trim() === '' ? undefined : typed)
        })}
      >
        <p>Hot, from the kettle; round the jars, never on them. Lids tight while you pour.</p>
        <Field
          label="How much, if not to the full line"
          placeholder="400 mL"
          value={typed}
          fault={write.error?.about('with')}
          onChange={(event) => setTyped(event.target.value)}
        />
        {write.error && !write.error.about('with') ? <Trouble problem={write.error} /> : null}
        <Button look="strong" type="submit" disabled={write.isPending} className="self-start">
          {typed.trim() === '' ? 'To the full line' : 'So much'}
        </Button>
      </form>
    </Sheet>
  )
}

function Learn({ pot }: { pot: View }) {
  const say = useSay()
  const { write, path } = useTend(pot, () => say({ text: 'Learned: the next forecast is this pot’s own.' }))
  return (
    <div className="flex flex-col items-start gap-2">
      <Button disabled={write.isPending} onClick={() => write.mutate({ path: `${path}/learn` })}>
        Learn the pot from this warm-up
      </Button>
      <Trouble problem={write.error} />
    </div>
  )
}
