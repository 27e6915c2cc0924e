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

/** What is to be boiled down, of what, and in which pot. */
export function Asks({ wish, change, fault }: Its) {
  const { what } = wish
  const cooks = what === 'decoction' || (wish.stage !== 'cleanse' && wish.liquid === 'decoction')
  const known = KNOWN[what]
  const its = { draft: wish, change, fault }
  const here = useOfHouse('/boils').data?.here ?? []
  // Pots of a kind that something is left of and may be used.
  const from = (kind: string) =>
    here
      .filter((pot) => pot.kind === kind && pot.left !== null)
      .map((pot) => ({ id: pot.id, name: `${pot.code}, ${pot.name.toLowerCase()}: ${pot.left}` }))
  return (
    <form className="grid gap-x-6 gap-y-4 sm:grid-cols-2 lg:grid-cols-4" onSubmit={(event) => event.preventDefault()}>
      {what === 'long-oil' ? (
        <Select
          label="What is done"
          choices={STAGES}
          value={wish.stage}
          onChange={(e) => change({ stage: e.target.value })}
        />
      ) : null}
      {wish.known === POT ? null : (
        <Typed {...its} name="amount" about={wish.known} label="There is, or is wanted" max={80} />
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
      {what === 'long-oil' && wish.stage !== 'cleanse' ? (
        <Select
          label="Cooked with"
          choices={[...LIQUIDS, ...(wish.stage === 'cook' ? from('decoction') : [])]}
          value={wish.stage === 'cook' && wish.liquidFrom !== '' ? wish.liquidFrom : wish.liquid}
          onChange={(e) =>
            change(
              LIQUIDS.some((each) => each.id === e.target.value)
                ? { liquid: e.target.value, liquidFrom: '' }
                : { liquid: 'decoction', liquidFrom: e.target.value, herbs: [] },
            )
          }
        />
      ) : null}
      {what !== 'glycerin' && cooks && !(what === 'long-oil' && wish.stage === 'cook' && wish.liquidFrom) ? (
        <Herbs wish={wish} change={change} fault={fault} />
      ) : null}
      {what === 'glycerin' ? (
        <>
          <Listed
            label="Of which herb"
            none="not said"
            ids={wish.herbs}
            set={(herbs) => change({ herbs })}
            fault={fault('herbs')}
          />
          <Typed {...its} name="share" label="Glycerin, per cent" max={20} />
          <Typed
            {...its}
            name="now"
            about="extract_now"
            label="The strained extract weighs"
            placeholder="blank before it is made"
            max={80}
          />
        </>
      ) : (
        <PotSize {...its} />
      )}
      <Typed
        {...its}
        name="rate"
        label="It loses in an hour"
        placeholder={wish.width && what !== 'glycerin' ? 'by its width' : '450 mL'}
      />
      {what === 'glycerin' ? null : <Learned take={(rate) => change({ rate })} />}
      {what === 'long-oil' ? (
        <>
          <Carrier wish={wish} change={change} here={wish.stage === 'cook' ? from('cleanse') : []} />
          <Listed
            label="Herb of the paste"
            none="not said"
            ids={wish.paste}
            set={(paste) => change({ paste })}
            fault={fault('paste_herbs')}
          />
          <Typed {...its} name="hours" about="hours_a_day" label="Hours a day" placeholder="6 to 10" max={20} />
          <Select
            label="For"
            choices={[
              { id: 'skin', name: 'the skin' },
              { id: 'kitchen', name: 'the kitchen' },
            ]}
            value={wish.purpose}
            onChange={(e) => change({ purpose: e.target.value })}
          />
        </>
      ) : null}
    </form>
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

function Carrier({
  wish,
  change,
  here,
}: {
  wish: BoilWish
  change: (part: Partial<BoilWish>) => void
  here: { id: string; name: string }[]
}) {
  const oils = useMaterials().data?.oils ?? []
  const poured = wish.stage === 'cook' && wish.oilFrom !== ''
  return (
    <Select
      label="In which oil"
      value={poured ? wish.oilFrom : wish.carrier}
      choices={[
        ...here,
        ...(poured && !here.some((pot) => pot.id === wish.oilFrom)
          ? [{ id: wish.oilFrom, name: 'a pot of which nothing is left: choose' }]
          : []),
        ...(oils.length === 0
          ? [{ id: wish.carrier, name: wish.carrier }]
          : oils.map((each) => ({ id: each.id, name: each.name }))),
      ]}
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
