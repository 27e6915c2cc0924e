import { useId } from 'react'
import type { Problem } from '../api/client'
import { Choice, orNothing } from '../bench/editors/edit'
import { TextButton } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { type Choices, type OilWish, oilsOf, type PartWish, type Product, type ProductWish, partsOf } from './wish'

export type Edit = {
  wish: ProductWish
  change: (part: Record<string, unknown>) => void
  choices: Choices
  plan: Product | undefined
  problem: Problem | null
}

const BEARS = [
  { id: '20', name: 'a cool room', detail: '20 °C' },
  { id: '25', name: 'a warm room', detail: '25 °C' },
  { id: '30', name: 'a pocket in summer', detail: '30 °C' },
  { id: '35', name: 'a hot car or a warm climate', detail: '35 °C' },
]

/** The number somebody typed; blank for nothing, and what is none as it was typed, to be refused by name. */
const number = (text: string) => {
  const plain = text.trim().replace(',', '.')
  return plain === '' ? undefined : Number.isFinite(Number(plain)) ? Number(plain) : plain
}

/** The first sentence about a slot or anything in it. */
const about = (problem: Problem | null, slot: string) =>
  problem?.faults.find((fault) => fault.field === slot || fault.field.startsWith(`${slot}.`))?.sentence

const Wrong = ({ says }: { says: string | undefined }) =>
  says ? (
    <p role="alert" className="text-warmth font-semibold">
      {says}
    </p>
  ) : null

function ProductEditor({ edit: { wish, change, choices } }: { edit: Edit }) {
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
          ...(to?.by_firmness ? {} : { firmness: null, bears_c: null, waxes: null }),
          ...(to?.eaten ? { essential_oils: null } : {}),
        })
      }}
    />
  )
}

function HowMuchEditor({ edit: { wish, change, choices, problem } }: { edit: Edit }) {
  const product = choices.products.find((each) => each.id === (wish.product ?? 'salve'))
  const tins = wish.tins ?? (product ? [{ ml: product.usual_ml, count: product.usual_count }] : [])
  const way = wish.total !== undefined ? 'total' : oilsOf(wish).some((oil) => oil.amount !== undefined) ? 'oil' : 'tins'
  const set = (next: { ml: number; count?: number | null }[]) => change({ tins: next })
  return (
    <>
      <Choice
        legend="How much"
        value={way}
        choices={[
          { id: 'tins', name: `so many ${product?.vessel ?? 'tin'}s` },
          { id: 'oil', name: 'as much as the oil at hand makes' },
          { id: 'total', name: 'so much in all' },
        ]}
        onChoose={(to) =>
          change({
            total: to === 'total' ? '300 g' : null,
            tins: to === 'tins' ? null : tins.map((tin) => ({ ml: tin.ml })),
            oils:
              to === 'oil'
                ? oilsOf(wish).map((oil) => ({ ...oil, parts: undefined, amount: oil.amount ?? '200 mL' }))
                : (wish.oils ?? []).length > 0
                  ? oilsOf(wish).map(({ amount: _gone, ...oil }) => oil)
                  : null,
          })
        }
      />
      {way === 'total' ? (
        <Field
          label="In all"
          value={String(wish.total ?? '')}
          fault={about(problem, 'total')}
          hint="A weight or a volume, such as 300 g or 1 cup."
          onChange={(event) => change({ total: event.target.value || '0' })}
        />
      ) : null}
      {way === 'oil' ? <p className="text-soft">Say how much of it under “the oil”.</p> : null}
      {tins.map((tin, index) => (
        <div key={index} className="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
          <Field
            label="Holds, mL"
            inputMode="decimal"
            list="sizes-of-it"
            defaultValue={tin.ml}
            onChange={(event) =>
              set(tins.map((each, at) => (at === index ? { ...each, ml: number(event.target.value) as number } : each)))
            }
          />
          <Field
            label="How many"
            inputMode="numeric"
            placeholder={way === 'tins' ? '' : 'as many as fill'}
            defaultValue={tin.count ?? ''}
            onChange={(event) =>
              set(
                tins.map((each, at) =>
                  at === index ? { ml: each.ml, ...counted(number(event.target.value) as number) } : each,
                ),
              )
            }
          />
          {tins.length > 1 ? (
            <TextButton
              aria-label={`Without those of ${tin.ml} mL`}
              onClick={() => set(tins.filter((_, at) => at !== index))}
            >
              Out
            </TextButton>
          ) : null}
        </div>
      ))}
      <datalist id="sizes-of-it">
        {product?.sizes_ml.map((ml) => (
          <option key={ml} value={ml}>
            {ml} mL
          </option>
        ))}
      </datalist>
      {tins.length < 4 ? (
        <TextButton
          onClick={() => set([...tins, { ml: product?.sizes_ml[0] ?? 30, ...(way === 'tins' ? { count: 1 } : {}) }])}
        >
          And another size
        </TextButton>
      ) : null}
      <Wrong says={about(problem, 'tins')} />
    </>
  )
}

const counted = (count: number | undefined) => (count === undefined ? {} : { count })

function FirmnessEditor({ edit: { wish, change, choices, problem } }: { edit: Edit }) {
  const said = String(wish.firmness ?? '')
  // A number is kept as it is typed, so that no dot is lost on the way to 0.3.
  const own = /^[\d.]/.test(said)
  return (
    <>
      <Choice
        legend="How firm"
        value={own ? 'own' : said}
        choices={[
          { id: '', name: 'as it usually is' },
          ...choices.words.filter((each) => each.id !== 'pours').map((each) => ({ id: each.id, name: each.name })),
        ]}
        onChoose={(id) => change({ firmness: orNothing(id) })}
      />
      <Field
        label="Or your own"
        inputMode="decimal"
        placeholder="0.18"
        value={own ? said : ''}
        fault={about(problem, 'firmness')}
        hint="Parts of beeswax in one part of the whole."
        onChange={(event) => change({ firmness: orNothing(event.target.value.replace(',', '.')) })}
      />
    </>
  )
}

function BearsEditor({ edit: { wish, change, problem } }: { edit: Edit }) {
  return (
    <>
      <Choice
        legend="The warmest it must bear"
        value={String(wish.bears_c ?? 20)}
        choices={BEARS}
        onChoose={(id) => change({ bears_c: Number(id) })}
      />
      <p className="text-soft">The warmer, the firmer a word makes it. A number of your own stays as it is.</p>
      <Wrong says={about(problem, 'bears_c')} />
    </>
  )
}

function OilsEditor({ edit: { wish, change, choices, plan, problem } }: { edit: Edit }) {
  const given = oilsOf(wish)
  const used = plan?.pot.find((part) => part.kind === 'oil')
  const oils: OilWish[] = given.length > 0 ? given : used ? [{ id: used.id }] : [{ id: 'olive' }]
  const byAmount = oils.some((oil) => oil.amount !== undefined)
  const set = (next: OilWish[]) => change({ oils: next })
  const list = useId()
  const all = [
    ...choices.bottled.map((each) => ({ id: `batch.${each.id}`, name: `${each.name}, ${each.left_text} left` })),
    ...choices.oils.map((each) => ({ id: each.id, name: each.name })),
  ]
  const key = (oil: OilWish) => (oil.batch ? `batch.${oil.batch}` : (oil.id ?? ''))
  const chosen = (id: string): OilWish => (id.startsWith('batch.') ? { batch: id.slice(6) } : { id })
  const free = all.filter((each) => !oils.some((oil) => key(oil) === each.id))
  return (
    <>
      {oils.map((oil, index) => {
        const bottle = choices.bottled.find((each) => each.id === oil.batch)
        return (
          <div key={`${list}-${key(oil)}`} className="border-line flex flex-col gap-1 border-b pb-3">
            <Select
              label={index === 0 ? 'Oil' : 'And'}
              value={key(oil)}
              choices={[
                ...(all.some((each) => each.id === key(oil))
                  ? []
                  : [{ id: key(oil), name: `${key(oil)}: choose one` }]),
                ...all.filter((each) => each.id === key(oil) || free.includes(each)),
              ]}
              hint={bottle ? `${bottle.code}, in ${bottle.oils}, best before ${bottle.best_before}` : undefined}
              onChange={(event) =>
                set(oils.map((each, at) => (at === index ? { ...chosen(event.target.value), ...sized(each) } : each)))
              }
            />
            <div className="grid grid-cols-[1fr_auto] items-end gap-3">
              {byAmount ? (
                <Field
                  label="How much"
                  defaultValue={oil.amount ?? ''}
                  hint="Such as 200 mL or 1 cup."
                  onChange={(event) =>
                    set(oils.map((each, at) => (at === index ? { ...each, amount: event.target.value || '0' } : each)))
                  }
                />
              ) : oils.length > 1 ? (
                <Field
                  label="Parts"
                  inputMode="decimal"
                  placeholder="1"
                  defaultValue={oil.parts ?? ''}
                  onChange={(event) =>
                    set(
                      oils.map((each, at) =>
                        at === index ? { ...chosen(key(each)), ...partly(event.target.value) } : each,
                      ),
                    )
                  }
                />
              ) : (
                <span />
              )}
              {oils.length > 1 ? (
                <TextButton onClick={() => set(oils.filter((_, at) => at !== index))}>Out</TextButton>
              ) : null}
            </div>
          </div>
        )
      })}
      <Select
        label="With another oil"
        value=""
        choices={[{ id: '', name: 'none' }, ...free]}
        onChange={(event) =>
          set([...oils, { ...chosen(event.target.value), ...(byAmount ? { amount: '100 mL' } : { parts: 1 }) }])
        }
      />
      <TextButton
        onClick={() =>
          byAmount
            ? change({ oils: oils.map(({ amount: _gone, ...oil }) => oil) })
            : change({ total: null, oils: oils.map(({ parts: _gone, ...oil }) => ({ ...oil, amount: '200 mL' })) })
        }
      >
        {byAmount ? 'As much as the tins want' : 'Say how much there is of it'}
      </TextButton>
      <Wrong says={about(problem, 'oils')} />
    </>
  )
}

const sized = (oil: OilWish) => ({
  ...(oil.parts === undefined ? {} : { parts: oil.parts }),
  ...(oil.amount === undefined ? {} : { amount: oil.amount }),
})
const partly = (text: string) => (text.trim() === '' ? {} : { parts: text })

/** A list of what goes in, each with how much of it. */
function Parts({
  legend,
  parts,
  from,
  set,
  unit,
  hint,
  wrong,
}: {
  legend: string
  parts: PartWish[]
  from: Choices['waxes']
  set: (next: PartWish[]) => void
  /** How one of them is measured: the fields of it, and what a new one has. */
  unit: { label: string; of: (part: PartWish) => string; to: (part: PartWish, text: string) => PartWish; first: string }
  hint?: string
  wrong: string | undefined
}) {
  const free = from.filter((each) => !parts.some((part) => part.id === each.id))
  return (
    <>
      {parts.map((part, index) => (
        <div key={part.id} className="border-line grid grid-cols-[1fr_6rem_auto] items-end gap-3 border-b pb-3">
          <Select
            label={index === 0 ? legend : 'And'}
            value={part.id}
            choices={from.filter((each) => each.id === part.id || free.includes(each))}
            hint={from.find((each) => each.id === part.id)?.note}
            onChange={(event) =>
              set(parts.map((each, at) => (at === index ? unit.to({ id: event.target.value }, unit.of(each)) : each)))
            }
          />
          <Field
            label={unit.label}
            defaultValue={unit.of(part)}
            onChange={(event) =>
              set(parts.map((each, at) => (at === index ? unit.to(each, event.target.value) : each)))
            }
          />
          <TextButton
            aria-label={`Without ${from.find((each) => each.id === part.id)?.name ?? 'it'}`}
            onClick={() => set(parts.filter((_, at) => at !== index))}
          >
            Out
          </TextButton>
        </div>
      ))}
      <Select
        label={parts.length === 0 ? legend : 'And another'}
        value=""
        choices={[{ id: '', name: 'none' }, ...free]}
        onChange={(event) => event.target.value && set([...parts, unit.to({ id: event.target.value }, unit.first)])}
      />
      {hint ? <p className="text-soft">{hint}</p> : null}
      <Wrong says={wrong} />
    </>
  )
}

/** "12 %", "12" as per cent of the whole; "30 g" as an amount. */
const shareOrAmount = {
  label: 'How much',
  of: (part: PartWish) =>
    part.amount !== undefined
      ? String(part.amount)
      : part.percent !== undefined
        ? `${part.percent} %`
        : part.share !== undefined
          ? `${part.share}`
          : '',
  to: (part: PartWish, text: string): PartWish => {
    const percent = /^\s*([\d.,]+)\s*%?\s*$/.exec(text)
    return percent
      ? { id: part.id, percent: Number((percent[1] ?? '').replace(',', '.')) }
      : text.trim() === ''
        ? { id: part.id }
        : { id: part.id, amount: text }
  },
  first: '10 %',
}

/** "20 drops" or "2 %". */
const scent = {
  ...shareOrAmount,
  of: (part: PartWish) => (part.drops !== undefined ? `${part.drops} drops` : shareOrAmount.of(part)),
  to: (part: PartWish, text: string): PartWish => {
    const drops = /^\s*(\d+)\s*drops?\s*$/i.exec(text)
    return drops ? { id: part.id, drops: Number(drops[1]) } : shareOrAmount.to(part, text)
  },
  first: '1 %',
}

/** Blank for as much as the firmness asks. */
const waxAmount = {
  label: 'How much',
  of: (part: PartWish) => (part.amount === undefined ? '' : String(part.amount)),
  to: (part: PartWish, text: string): PartWish =>
    text.trim() === '' ? { id: part.id } : { id: part.id, amount: text },
  first: '',
}

function PeopleEditor({ edit: { wish, change, choices } }: { edit: Edit }) {
  const asked = Array.isArray(wish.for) ? wish.for : wish.for ? [wish.for] : []
  return (
    <fieldset className="flex flex-col">
      <legend className="mb-1 font-semibold">For whom</legend>
      {choices.people
        .filter((each) => each.id !== 'anyone')
        .map((each) => (
          <label key={each.id} className="border-line flex min-h-11 items-center gap-3 border-b py-1">
            <input
              type="checkbox"
              className="size-5 shrink-0"
              checked={asked.includes(each.id as 'child')}
              onChange={(event) => {
                const next = event.target.checked ? [...asked, each.id] : asked.filter((one) => one !== each.id)
                change({ for: next.length === 0 ? null : next })
              }}
            />
            {each.name}
          </label>
        ))}
    </fieldset>
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
          set={(next) => change({ others: next.length === 0 ? null : next })}
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
    default:
      return <HowMuchEditor edit={edit} />
  }
}
