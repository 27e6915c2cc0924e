import { Choice } from '../../bench/editors/edit'
import { TextButton } from '../../parts/Button'
import { Field, Select } from '../../parts/Field'
import { Tick } from '../../parts/Tick'
import { useMaterials } from '../../api/hooks'
import { type Choices, type PartWish, partsOf, partsWished } from '../wish'
import { about, type Edit, Wrong } from './edit'
import { BearsEditor, FirmnessEditor } from './Firmness'
import { HowMuchEditor } from './HowMuch'
import { OilsEditor } from './Oils'
import { Parts, scent, shareOrAmount, waxAmount } from './Parts'

function ProductEditor({ edit: { wish, change, choices, done } }: { edit: Edit }) {
  return (
    <Choice
      legend="What is made"
      value={wish.product ?? 'salve'}
      choices={choices.products.map((each) => ({ id: each.id, name: each.name, detail: each.note }))}
      onChoose={(product) => {
        const to = choices.products.find((each) => each.id === product)
        // What the new one has no place for goes with the old.
        change({
          product,
          tins: null,
          butters: null,
          others: null,
          water: null,
          ...(to?.takes_leaf ? {} : { leaf: null }),
          ...(to?.by_firmness ? {} : { firmness: null, bears_c: null, waxes: null }),
          ...(to?.eaten ? { essential_oils: null } : {}),
        })
      }}
      done={done}
    />
  )
}

/** Fresh plant stirred into the melted pot itself. */
function LeafEditor({ edit: { wish, change, problem } }: { edit: Edit }) {
  const materials = useMaterials().data
  const leaf = wish.leaf
  const set = (part: Partial<NonNullable<typeof leaf>>) => change({ leaf: { ...leaf, ...part } })
  if (!materials) return null
  return (
    <>
      <Select
        label="Leaf of"
        value={leaf?.id ?? ''}
        choices={[
          ...(leaf?.id ? [] : [{ id: '', name: 'choose one' }]),
          ...materials.herbs.map((each) => ({ id: each.id, name: each.name })),
        ]}
        onChange={(event) => set({ id: event.target.value, amount: leaf?.amount ?? '40 g' })}
      />
      {leaf ? (
        <>
          <Select
            label="As"
            value={leaf.state ?? 'fresh'}
            choices={[
              { id: 'fresh', name: 'fresh' },
              { id: 'wilted', name: 'wilted' },
            ]}
            onChange={(event) => set({ state: event.target.value as 'fresh' })}
          />
          <Field
            label="How much"
            defaultValue={leaf.amount ?? ''}
            hint="Weighed as it lies, such as 40 g: a handful or two."
            onChange={(event) => set({ amount: event.target.value || '0' })}
          />
          <TextButton onClick={() => change({ leaf: null })}>No leaf</TextButton>
        </>
      ) : null}
      <Wrong says={about(problem, 'leaf')} />
    </>
  )
}

function PeopleEditor({ edit: { wish, change, choices } }: { edit: Edit }) {
  const asked = Array.isArray(wish.for) ? wish.for : wish.for ? [wish.for] : []
  const heeded = wish.heed ?? []
  const toggled = <Id extends string>(ids: readonly Id[], id: Id, on: boolean): Id[] | null => {
    const next = on ? [...ids, id] : ids.filter((one) => one !== id)
    return next.length === 0 ? null : next
  }
  return (
    <>
      <fieldset className="flex flex-col">
        <legend className="mb-1 font-semibold">For whom</legend>
        {choices.people
          .filter((each) => each.id !== 'anyone')
          .map((each) => (
            <Tick
              key={each.id}
              checked={asked.includes(each.id as 'child')}
              onChange={(on) => change({ for: toggled(asked, each.id as 'child', on) as 'child'[] })}
            >
              {each.name}
            </Tick>
          ))}
      </fieldset>
      <fieldset className="flex flex-col pt-3">
        <legend className="mb-1 font-semibold">And how</legend>
        {choices.heeds.map((each) => (
          <Tick
            key={each.id}
            checked={heeded.includes(each.id as 'nuts')}
            onChange={(on) => change({ heed: toggled(heeded, each.id as 'nuts', on) })}
          >
            {each.name}
          </Tick>
        ))}
      </fieldset>
    </>
  )
}

export function Editor({ slot, edit }: { slot: string; edit: Edit }) {
  const { problem } = edit
  const own = about(problem, slot === 'total' ? 'tins' : slot)
  return (
    <>
      <Word slot={slot} edit={edit} />
      {/* What another word has against it is said here too, for the panel may lie over where it is said. */}
      {problem && !own ? <Wrong says={problem.faults[0]?.sentence ?? problem.message} /> : null}
    </>
  )
}

function Word({ slot, edit }: { slot: string; edit: Edit }) {
  const { wish, change, choices, plan, problem } = edit
  // What the product has by itself is shown as chosen, so that it can be changed or taken out.
  const there = (kinds: string[], from: Choices['waxes']): PartWish[] =>
    (plan?.pot ?? [])
      .filter((part) => kinds.includes(part.kind) && from.some((each) => each.id === part.id))
      .map((part) => ({ id: part.id, share: part.share }))
  switch (slot) {
    case 'product':
      return <ProductEditor edit={edit} />
    case 'firmness':
      return <FirmnessEditor edit={edit} />
    case 'bears_c':
      return <BearsEditor edit={edit} />
    case 'oils':
      return <OilsEditor edit={edit} />
    case 'waxes':
      return (
        <Parts
          legend="Wax"
          parts={
            partsOf(wish.waxes).length > 0
              ? partsOf(wish.waxes)
              : there(['wax'], choices.waxes).map(({ id }) => ({ id }))
          }
          from={choices.waxes}
          set={(next) => change({ waxes: next.length === 0 ? null : next })}
          unit={waxAmount}
          hint="Leave how much blank, and how firm it is to be decides. Weigh wax; a cup of pellets is about 130 g."
          wrong={about(problem, 'waxes')}
        />
      )
    case 'butters':
      return (
        <Parts
          legend="Butter"
          parts={wish.butters ? partsOf(wish.butters) : there(['butter'], choices.butters)}
          from={choices.butters}
          set={(next) => change({ butters: next })}
          unit={shareOrAmount}
          hint="In per cent of the whole, or an amount such as 30 g."
          wrong={about(problem, 'butters')}
        />
      )
    case 'others':
      return (
        <Parts
          legend="What else"
          parts={wish.others ? partsOf(wish.others) : []}
          from={choices.others.filter((each) => each.kind !== 'water' || edit.plan?.product.method === 'emulsion')}
          set={(next) => change({ others: next.length === 0 ? null : partsWished(next) })}
          unit={{ ...shareOrAmount, first: '1 %' }}
          hint="In per cent of the whole, or an amount such as 5 g."
          wrong={about(problem, 'others')}
        />
      )
    case 'essential_oils':
      return (
        <Parts
          legend="Essential oil"
          parts={partsOf(wish.essential_oils)}
          from={choices.scents}
          set={(next) => change({ essential_oils: next.length === 0 ? null : next })}
          unit={scent}
          hint="In per cent of the whole, or in drops such as 20 drops."
          wrong={about(problem, 'essential_oils')}
        />
      )
    case 'for':
      return <PeopleEditor edit={edit} />
    case 'leaf':
      return <LeafEditor edit={edit} />
    case 'ready_by':
      return (
        <>
          <Field
            label="Ready by"
            type="date"
            value={wish.ready_by ?? ''}
            hint="It is ready when that day begins: what is melted sets overnight."
            {...(about(problem, 'ready_by') ? { fault: about(problem, 'ready_by') } : {})}
            onChange={(event) => change({ ready_by: event.target.value === '' ? null : event.target.value })}
          />
          {wish.ready_by ? <TextButton onClick={() => change({ ready_by: null })}>On no day</TextButton> : null}
        </>
      )
    default:
      return <HowMuchEditor edit={edit} />
  }
}
