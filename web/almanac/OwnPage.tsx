import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { ask, type Problem } from '../api/client'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { useArrived } from '../parts/arrived'
import { useTypedOn } from '../parts/begun'
import { Button } from '../parts/Button'
import { keptDraft } from '../parts/draft'
import { Area, Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble, Waiting } from '../parts/Notice'
import { useSettled } from '../parts/settled'
import { Tick } from '../parts/Tick'
import { asTyped, isOwnKind, OF, type OwnKind, type OwnTyped, toSend } from './own'

/** A plant, an oil, a wax or an essential oil that the tables do not have, a measure or a school, entered by the house. */
export default function OwnPage() {
  return useParams().own ? <ChangeOwn /> : <NewOwn />
}

function NewOwn() {
  const { kind = 'plant' } = useParams()
  const house = useHouseId()
  const own: OwnKind = isOwnKind(kind) ? kind : 'plant'
  const store = `kettle.own.${house}.${own}`
  const [first] = useState<OwnTyped>(() => {
    const kept = keptDraft(store)
    return kept && typeof kept === 'object' ? (kept as OwnTyped) : { kind: own, name: '' }
  })
  const go = useNavigate()
  const say = useSay()
  const write = useWrite<'POST /houses/{house}/own'>((answer) => {
    localStorage.removeItem(store)
    say({ text: `${String(answer.own.name)} is in the Almanac.` })
    void go(`/h/${house}/almanac/${own}/${answer.id}`)
  })
  return (
    <Entering
      key={own}
      title={`${own === 'oil' || own === 'scent' ? 'An' : 'A'} ${OF[own]} of our own`}
      first={first}
      onTyped={(typed) => localStorage.setItem(store, JSON.stringify(typed))}
      problem={write.error}
      pending={write.isPending}
      onDone={(typed) => write.mutate({ path: `/houses/${house}/own`, body: { own: toSend(typed) } })}
    />
  )
}

/** What is known by now of one that was entered. */
function ChangeOwn() {
  const { own = '' } = useParams()
  const house = useHouseId()
  const { there, instead } = useArrived(useOfHouse(`/own/${own}`), 'what was entered')
  const go = useNavigate()
  const write = useWrite<'PUT /houses/{house}/own/{own}'>((answer) => {
    void go(`/h/${house}/almanac/${answer.own.kind}/${answer.id}`)
  })
  if (!there) return instead
  return (
    <Entering
      key={own}
      title={String(there.own.name)}
      first={{ ...asTyped(there.own), away: there.own.away === true }}
      now={there.version}
      problem={write.error}
      pending={write.isPending}
      onDone={(typed, version) =>
        write.mutate({ method: 'PUT', path: `/houses/${house}/own/${own}`, body: { version, own: toSend(typed) } })
      }
    />
  )
}

const NONE = { id: '', name: 'not said' }

function Entering({
  title,
  first,
  now = 0,
  problem,
  pending,
  onTyped,
  onDone,
}: {
  title: string
  first: OwnTyped
  /** Which version of it that is, where it is there already. */
  now?: number
  problem: Problem | null
  pending: boolean
  onTyped?: (typed: OwnTyped) => void
  onDone: (typed: OwnTyped, version: number) => void
}) {
  const house = useHouseId()
  const { typed, put, version } = useTypedOn(first, now, problem?.status === 409)
  const choices = useOfHouse('/own', { stale: 600_000 })
  useEffect(() => onTyped?.(typed), [typed, onTyped])
  const settled = useSettled(typed, 250)
  // Of a plant nothing is told before it is said how it comes.
  const ready =
    settled.name.trim() !== '' &&
    (settled.kind !== 'plant' || Boolean(settled.form)) &&
    (settled.kind !== 'measure' || Boolean(settled.holds_ml ?? settled.weighs_g)) &&
    (settled.kind !== 'school' || Boolean(settled.method && settled.hours))
  const seen = useQuery({
    queryKey: ['house', house, 'own', 'look', settled],
    queryFn: ({ signal }) => ask(`/houses/${house}/own/look`, { own: toSend(settled) }, signal),
    enabled: ready,
    placeholderData: keepPreviousData,
    retry: false,
  })
  if (!choices.data) return choices.isError ? <Trouble problem={choices.error} /> : <Waiting what="the lists" />
  const wrong = problem
  const text = (field: string) => ({
    value: String(typed[field] ?? ''),
    fault: wrong?.about(field),
    onChange: (event: { target: { value: string } }) => put({ [field]: event.target.value }),
  })
  const { kind } = typed
  // What is wrong with a field is said beside it; what may be ticked, and what is of no field, below them.
  const beside = wrong?.faults.some((fault) => fault.field !== '' && !fault.field.startsWith('concerns'))
  return (
    <div className="flex flex-col gap-5">
      <header>
        <p className="text-soft">
          <Link className="underline" to={`/h/${house}/almanac?kind=${kind}`}>
            Almanac
          </Link>
          , entered by this house
        </p>
        <h1 className="text-3xl sm:text-4xl">{title}</h1>
      </header>
      <div className="border-line grid gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
        <form className="flex flex-col gap-4" onSubmit={sent(() => onDone(typed, version))}>
          <div className="grid items-start gap-4 sm:grid-cols-2">
            <Field label="Name" required maxLength={60} {...text('name')} />
            {kind === 'school' ? null : (
              <Field label="Other names" placeholder="with commas between" {...text('also')} />
            )}
            {kind === 'plant' ? <Plant text={text} choices={choices.data} /> : null}
            {kind === 'oil' ? <Oil text={text} choices={choices.data} /> : null}
            {kind === 'wax' ? <OfWax text={text} choices={choices.data} /> : null}
            {kind === 'scent' ? <Scent text={text} choices={choices.data} /> : null}
            {kind === 'measure' ? <Measure text={text} /> : null}
            {kind === 'school' ? <School text={text} choices={choices.data} /> : null}
            {kind === 'scent' || kind === 'measure' || kind === 'school' ? null : (
              <Select
                label="May it be eaten"
                {...text('food')}
                choices={[
                  { id: '', name: 'not known: then it is not' },
                  { id: 'yes', name: 'yes, it is food' },
                  { id: 'no', name: 'no' },
                ]}
              />
            )}
          </div>
          {kind === 'plant' || kind === 'scent' ? (
            <Concerns
              concerns={typed.concerns ?? null}
              of={kind === 'plant' ? choices.data.concerns : choices.data.scent_concerns}
              brought={
                choices.data.families.find((each) => kind === 'plant' && each.id === typed.family)?.concerns ?? []
              }
              onChange={(concerns) => put({ concerns })}
            />
          ) : null}
          <Area label="Note" maxLength={400} {...text('note')} />
          {typed.away === undefined ? null : (
            <Tick checked={typed.away} onChange={(away) => put({ away })}>
              No longer offered. What was made of it keeps its name.
            </Tick>
          )}
          {wrong && !beside ? <Trouble problem={wrong} /> : null}
          {beside ? (
            <p className="text-warmth font-semibold">Something above is not right yet; it is said beside it.</p>
          ) : null}
          <Button type="submit" look="strong" className="self-start px-6" disabled={pending}>
            Keep it
          </Button>
        </form>
        <section
          aria-labelledby="told"
          aria-live="polite"
          className="border-line flex flex-col gap-3 lg:sticky lg:top-20 lg:self-start lg:border-s lg:ps-8"
        >
          <h2 id="told" className="column-head font-text text-base">
            What will be told of it
          </h2>
          {!ready ? (
            <p>
              Once it has a name{settled.kind === 'plant' ? ' and it is said how it comes' : ''}
              {settled.kind === 'measure' ? ' and it is said how much it is' : ''}
              {settled.kind === 'school' ? ' and it is said of which way and how long' : ''}, what will be told of it
              wherever it is used shows here.
            </p>
          ) : seen.isError ? (
            <Trouble problem={seen.error} />
          ) : seen.data ? (
            <>
              {seen.data.read.length > 0 ? <p>{seen.data.read.join(' ')}</p> : null}
              {seen.data.cautions.map((each) => (
                <Notice key={each.id} rank={each.rank}>
                  {each.says}
                </Notice>
              ))}
              {seen.data.cautions.length + seen.data.unknown.length === 0 ? (
                <p>
                  {settled.kind === 'measure'
                    ? `It can be written in any amount, such as “2 ${settled.name}s”.`
                    : 'Nothing to be careful of.'}
                </p>
              ) : null}
              {seen.data.unknown.length > 0 ? (
                <p className="text-soft">
                  Nobody has said {list(seen.data.unknown)}. What is not known is taken for the worst.
                </p>
              ) : null}
            </>
          ) : null}
        </section>
      </div>
    </div>
  )
}

const list = (words: string[]) => new Intl.ListFormat('en', { type: 'disjunction' }).format(words)

type Text = (field: string) => {
  value: string
  fault: string | undefined
  onChange: (event: { target: { value: string } }) => void
}
type Parts = { text: Text; choices: Shape<'OwnChoices'> }

function Plant({ text, choices }: Parts) {
  return (
    <>
      <Select
        label="How it comes"
        required
        {...text('form')}
        choices={[{ id: '', name: 'choose' }, ...choices.forms]}
      />
      <Field label="Part that is used" maxLength={40} placeholder="leaf, flower, root" {...text('part')} />
      <Field label="Latin name" maxLength={80} {...text('latin')} />
      <Select
        label="Its family"
        hint="It takes the family’s concerns."
        {...text('family')}
        choices={[
          NONE,
          ...choices.families.map((each) => ({
            id: each.id,
            name: each.latin ? `${each.name}, ${each.latin}` : each.name,
          })),
        ]}
      />
      <Select
        label="Kin to"
        hint="One of the Almanac, whose concerns it takes as well."
        {...text('kin')}
        choices={[NONE, ...choices.plants]}
      />
      <Field
        label="Water in it when fresh"
        inputMode="decimal"
        placeholder="per cent of its weight"
        {...text('water')}
      />
      <Field label="What it may be taken for" maxLength={160} placeholder="hemlock" {...text('look_alikes')} />
    </>
  )
}

function Oil({ text, choices }: Parts) {
  return (
    <>
      <Like text={text} of={choices.oils} />
      <Field label="A millilitre weighs" placeholder="0.915 g" {...text('density')} />
      <Field label="Sets below, °C" placeholder="10, or 50 °F" {...text('sets_below')} />
      <Field label="Months it keeps, closed" placeholder="18, or 2 years" {...text('months_unopened')} />
      <Field label="Months it keeps, opened" placeholder="6" {...text('months_opened')} />
      <Area
        label="Its fats, per cent"
        placeholder="oleic 72, linoleic 10, palmitic 12"
        hint="As its seller’s sheet has them: oleic 72, 18:1 72, or 55–83, of which the middle is taken."
        maxLength={400}
        {...text('fatty_acids')}
      />
      <Field label="Allergens in it" placeholder="almond (tree nuts), sesame; or none" {...text('allergens')} />
      <Select
        label="Smell"
        {...text('smell')}
        choices={[
          { id: '', name: 'mild' },
          { id: 'none', name: 'none' },
          { id: 'strong', name: 'strong' },
        ]}
      />
    </>
  )
}

function OfWax({ text, choices }: Parts) {
  return (
    <>
      <Like text={text} of={choices.waxes} />
      <Field label="Melts from, °C" placeholder="62, or 144 °F" {...text('melts_from')} />
      <Field label="to, °C" placeholder="65" {...text('melts_to')} />
      <Field
        label="Stands for how many parts of beeswax"
        hint="1 as hard as beeswax, 2 twice as hard, 0.2 a soft butter."
        inputMode="decimal"
        {...text('hardness')}
      />
      <Field label="Allergens in it" placeholder="bee products; or none" {...text('allergens')} />
    </>
  )
}

function Measure({ text }: { text: Text }) {
  return (
    <>
      <Field
        label="It holds, mL"
        placeholder="42, or 3 tbsp"
        hint="Filled level with water and weighed: a gram is a millilitre."
        {...text('holds_ml')}
      />
      <Field
        label="Or it weighs, g"
        placeholder="50, or 2 oz"
        hint="For a packet or a bag as it is bought: what is in it."
        {...text('weighs_g')}
      />
    </>
  )
}

function School({ text, choices }: Parts) {
  return (
    <>
      <Select
        label="In which way"
        required
        {...text('method')}
        choices={[{ id: '', name: 'choose' }, ...choices.methods]}
      />
      <Field label="How long" required placeholder="6 to 8 h, 10 days" {...text('hours')} />
      <Field label="How warm" placeholder="38 °C; blank on a shelf" {...text('warmth')} />
    </>
  )
}

function Scent({ text, choices }: Parts) {
  return (
    <>
      <Like text={text} of={choices.scents} />
      <Field
        label="Most on the skin, per cent"
        hint="Where nobody has said, half of one per cent."
        inputMode="decimal"
        {...text('limit')}
      />
      <Field label="Latin name" maxLength={80} {...text('latin')} />
    </>
  )
}

function Like({ text, of }: { text: Text; of: { id: string; name: string }[] }) {
  return (
    <Select
      label="Like which of the Almanac"
      hint="For whatever is not said here."
      {...text('like')}
      choices={[{ id: '', name: 'none of them' }, ...of]}
    />
  )
}

/** Nobody has looked, or somebody has: an empty list of concerns is said, and never taken for granted. */
function Concerns({
  concerns,
  of,
  brought,
  onChange,
}: {
  concerns: string[] | null
  of: { id: string; name: string }[]
  brought: string[]
  onChange: (concerns: string[] | null) => void
}) {
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="font-semibold">What it may do</legend>
      <Tick checked={concerns !== null} onChange={(looked) => onChange(looked ? [] : null)}>
        I have looked it up: what is ticked here is so, and what is not ticked is not known of it.
      </Tick>
      {concerns === null ? null : (
        <div className="grid gap-x-6 sm:grid-cols-2">
          {of.map((each) => (
            <Tick
              key={each.id}
              checked={concerns.includes(each.id) || brought.includes(each.id)}
              onChange={(on) =>
                onChange(on ? [...concerns, each.id] : concerns.filter((concern) => concern !== each.id))
              }
            >
              {each.name}
              {brought.includes(each.id) ? <span className="text-soft"> (its family’s)</span> : null}
            </Tick>
          ))}
        </div>
      )}
    </fieldset>
  )
}
