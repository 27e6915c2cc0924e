import { useMaterials, useOfHouse } from '../api/hooks'
import { TextButton } from '../parts/Button'
import { Select } from '../parts/Field'
import { PotSize, Typed } from './Typed'
import { type BoilWish, KNOWN, POT } from './wish'

const STAGES = [
  { id: 'whole', name: 'decoction, cleansing and cooking' },
  { id: 'cleanse', name: 'cleansing the oil' },
  { id: 'cook', name: 'cooking the oil' },
]

const HARDNESS = [
  { id: 'soft', name: 'soft: leaf, flower, soft herb' },
  { id: 'medium', name: 'medium: stem, seed, soft root' },
  { id: 'very-hard', name: 'very hard: hard root, outer bark' },
]

const LIQUIDS = [
  { id: 'decoction', name: 'a decoction' },
  { id: 'milk', name: 'milk' },
  { id: 'curd-water', name: 'curd water' },
  { id: 'juice', name: 'fresh juice' },
]

type Its = {
  wish: BoilWish
  change: (part: Partial<BoilWish>) => void
  fault: (field: string) => string | undefined
}

/** Which word of the sentence a field that is refused stands in. */
const SLOTS: Record<string, string> = {
  stage: 'done',
  oil: 'amount',
  paste: 'amount',
  decoction: 'amount',
  want: 'amount',
  herb: 'amount',
  water: 'amount',
  total: 'amount',
  paste_herbs: 'paste',
  width: 'pot',
  height: 'pot',
  rate: 'pot',
  hours_a_day: 'hours',
  extract_now: 'now',
  oil_from: 'carrier',
  liquid_from: 'liquid',
}

/** Of a long oil the herbs of its decoction stand with the liquid it is cooked in. */
export const slotOf = (field: string, what: BoilWish['what']) => {
  const name = field.split('.')[0] ?? ''
  const own = what === 'long-oil' && ['decoct', 'herbs', 'hardness'].includes(name)
  return own ? 'liquid' : (SLOTS[name] ?? (name === 'hardness' ? 'herbs' : name))
}

/** A word of the sentence, as it is changed. */
export function Word({ slot, ...its }: Its & { slot: string }) {
  const { wish, change, fault } = its
  const typed = { draft: wish, change, fault }
  switch (slot) {
    case 'done':
      return (
        <Select
          label="What is done"
          choices={STAGES}
          value={wish.stage}
          onChange={(e) => change({ stage: e.target.value })}
        />
      )
    case 'amount':
      return <Amount {...its} />
    case 'carrier':
      return <Carrier {...its} />
    case 'paste':
      return (
        <Listed
          label="Herb of the paste"
          none="not said"
          ids={wish.paste}
          set={(paste) => change({ paste })}
          fault={fault('paste_herbs')}
        />
      )
    case 'liquid':
      return <Liquid {...its} />
    case 'herbs':
      return wish.what === 'glycerin' ? (
        <Listed
          label="Of which herb"
          none="not said"
          ids={wish.herbs}
          set={(herbs) => change({ herbs })}
          fault={fault('herbs')}
        />
      ) : (
        <Herbs {...its} />
      )
    case 'pot':
      return (
        <>
          {wish.what === 'glycerin' ? null : <PotSize {...typed} />}
          <Typed
            {...typed}
            name="rate"
            label="It loses in an hour"
            placeholder={wish.width && wish.what !== 'glycerin' ? 'by its width' : '450 mL'}
          />
          {wish.what === 'glycerin' ? null : <Learned take={(rate) => change({ rate })} />}
        </>
      )
    case 'hours':
      return <Typed {...typed} name="hours" about="hours_a_day" label="Hours a day" placeholder="8" max={20} />
    case 'share':
      return <Typed {...typed} name="share" label="Glycerin, per cent" max={20} />
    case 'now':
      return (
        <Typed
          {...typed}
          name="now"
          about="extract_now"
          label="The strained extract weighs"
          placeholder="blank before it is made"
          max={80}
        />
      )
    case 'purpose':
      return (
        <Select
          label="For"
          choices={[
            { id: 'skin', name: 'the skin' },
            { id: 'kitchen', name: 'the kitchen' },
          ]}
          value={wish.purpose}
          onChange={(e) => change({ purpose: e.target.value })}
        />
      )
    default:
      return null
  }
}

/** How much there is or is wanted, and of what. */
function Amount({ wish, change, fault }: Its) {
  const known = KNOWN[wish.what]
  return (
    <>
      {wish.known === POT ? null : (
        <Typed
          draft={wish}
          change={change}
          fault={fault}
          name="amount"
          about={wish.known}
          label="There is, or is wanted"
          max={80}
        />
      )}
      {known.length > 1 ? (
        <Select
          label="That is so much"
          choices={known}
          value={wish.known}
          onChange={(e) =>
            change({
              known: e.target.value,
              amount: known.find((each) => each.id === e.target.value)?.amount ?? wish.amount,
            })
          }
        />
      ) : null}
    </>
  )
}

/** Pots of a kind that something is left of and may be used. */
function useHere(kind: string) {
  const here = useOfHouse('/boils').data?.here ?? []
  return here
    .filter((pot) => pot.kind === kind && pot.left !== null)
    .map((pot) => ({ id: pot.id, name: `${pot.code}, ${pot.name.toLowerCase()}: ${pot.left}` }))
}

/** A pot that was chosen, and of which nothing is left. */
const gone = (id: string, here: { id: string }[]) =>
  id === '' || here.some((pot) => pot.id === id) ? [] : [{ id, name: 'a pot of which nothing is left: choose' }]

/** What a long oil is cooked in: milk and its like, a decoction to be made, or one that is here. */
function Liquid({ wish, change, fault }: Its) {
  const here = useHere('decoction')
  const from = wish.stage === 'cook' ? wish.liquidFrom : ''
  return (
    <>
      <Select
        label="Cooked with"
        choices={[...LIQUIDS, ...(wish.stage === 'cook' ? [...here, ...gone(from, here)] : [])]}
        value={from || wish.liquid}
        fault={fault('liquid_from') ?? fault('liquid')}
        onChange={(e) =>
          change(
            LIQUIDS.some((each) => each.id === e.target.value)
              ? { liquid: e.target.value, liquidFrom: '' }
              : { liquid: 'decoction', liquidFrom: e.target.value, herbs: [] },
          )
        }
      />
      {wish.liquid === 'decoction' && from === '' ? <Herbs wish={wish} change={change} fault={fault} /> : null}
    </>
  )
}

/** What pots of this house lost in an hour by their own marks, to be taken for the next. */
function Learned({ take }: { take: (rate: string) => void }) {
  const learned = useOfHouse('/boils').data?.learned ?? []
  if (learned.length === 0) return null
  return (
    <ul className="self-end pb-2">
      {learned.map((each) => (
        <li key={each.of} className="text-soft">
          {each.of} lost {each.rate}.{' '}
          <TextButton onClick={() => take(each.rate)} aria-label={`Take ${each.rate} an hour, as ${each.of} lost`}>
            Take that
          </TextButton>
        </li>
      ))}
    </ul>
  )
}

/** Which oil it is made in: one of the tables, or for the cooking one that was cleansed here. */
function Carrier({ wish, change, fault }: Its) {
  const oils = useMaterials().data?.oils ?? []
  const here = useHere('cleanse')
  const from = wish.stage === 'cook' ? wish.oilFrom : ''
  return (
    <Select
      label="In which oil"
      value={from || wish.carrier}
      choices={[
        ...(wish.stage === 'cook' ? [...here, ...gone(from, here)] : []),
        ...(oils.length === 0
          ? [{ id: wish.carrier, name: wish.carrier }]
          : oils.map((each) => ({ id: each.id, name: each.name }))),
      ]}
      fault={fault('oil_from') ?? fault('carrier')}
      onChange={(event) => {
        const id = event.target.value
        change(here.some((pot) => pot.id === id) ? { oilFrom: id } : { carrier: id, oilFrom: '' })
      }}
    />
  )
}

/** The herbs of the decoction, or how hard they are where none is named. */
function Herbs({ wish, change, fault }: Its) {
  const long = wish.what === 'long-oil'
  return (
    <div className="contents">
      <Listed
        label={long ? 'Herb of the decoction' : 'Herb'}
        none="by how hard it is"
        ids={wish.herbs}
        set={(herbs) => change({ herbs })}
        fault={fault('herbs') ?? fault('decoct.herbs')}
      />
      {wish.herbs.length === 0 ? (
        <Select
          label="How hard"
          choices={HARDNESS}
          value={wish.hardness}
          onChange={(e) => change({ hardness: e.target.value })}
        />
      ) : null}
    </div>
  )
}

/** Herbs that are named one after the other. */
function Listed({
  label,
  none,
  ids,
  set,
  fault,
}: {
  label: string
  none: string
  ids: string[]
  set: (ids: string[]) => void
  fault: string | undefined
}) {
  const herbs = useMaterials().data?.herbs ?? []
  const name = (id: string) => herbs.find((each) => each.id === id)?.name ?? id
  return (
    <div className="flex flex-col gap-2">
      <Select
        label={ids.length === 0 ? label : `${label}, and another`}
        value=""
        choices={[
          { id: '', name: ids.length === 0 ? none : 'no other' },
          ...herbs.filter((each) => !ids.includes(each.id)).map((each) => ({ id: each.id, name: each.name })),
        ]}
        onChange={(e) => (e.target.value ? set([...ids, e.target.value]) : undefined)}
      />
      {ids.length > 0 ? (
        <ul>
          {ids.map((id) => (
            <li key={id} className="flex items-center justify-between gap-3">
              {name(id)}
              <TextButton aria-label={`Take ${name(id)} out`} onClick={() => set(ids.filter((each) => each !== id))}>
                Out
              </TextButton>
            </li>
          ))}
        </ul>
      ) : null}
      {fault ? <p className="text-warmth">{fault}</p> : null}
    </div>
  )
}
