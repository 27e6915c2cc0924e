import { useState } from 'react'
import { type Shape, useHouse, useMaterials, useOfHouse } from '../api/hooks'
import type { Problem } from '../api/client'
import { Button } from '../parts/Button'
import { Area, Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble, Waiting } from '../parts/Notice'

export type LotFields = Record<string, string>

const KINDS = [
  { id: 'herb', name: 'a herb' },
  { id: 'carrier', name: 'an oil' },
  { id: 'wax', name: 'a wax, butter or additive' },
  { id: 'scent', name: 'an essential oil' },
  { id: 'addition', name: 'something else that goes in' },
  { id: 'jar', name: 'jars' },
  { id: 'bottle', name: 'bottles' },
  { id: 'tin', name: 'tins, pots or tubes' },
]

const NAMED = [
  'kind',
  'material',
  'called',
  'part',
  'state',
  'form',
  'amount',
  'low_at',
  'price',
  'got_on',
  'opened_on',
  'best_before',
  'got_where',
  'allergens',
  'note',
  'food_grade',
]

type Props = {
  first: LotFields
  fixedKind?: boolean
  problem: Problem | null
  pending: boolean
  done: string
  onDone: (fields: LotFields) => void
  /** Called with what has been typed, so that it can be kept. */
  onTyped?: (fields: LotFields) => void
}

/** A lot as somebody writes it. What each field means is read by the core; here it is only text. */
export function LotForm({ first, fixedKind = false, problem, pending, done, onDone, onTyped }: Props) {
  const materials = useMaterials()
  const house = useHouse()
  const melt = useOfHouse('/melt', { stale: 60_000 })
  const [fields, setFields] = useState<LotFields>(first)
  if (!materials.data || !house.data) return <Waiting what="the lists" />
  const kind = fields.kind ?? 'herb'
  const put = (change: LotFields) => {
    const next = { ...fields, ...change }
    setFields(next)
    onTyped?.(next)
  }
  const text = (field: string) => ({
    value: fields[field] ?? '',
    fault: problem?.about(field),
    onChange: (event: { target: { value: string } }) => put({ [field]: event.target.value }),
  })
  const counted = kind === 'jar' || kind === 'bottle' || kind === 'tin'
  const poured = kind === 'carrier' || kind === 'scent'
  const known = knownOf(kind, materials.data, house.data, melt.data)
  return (
    <form className="flex max-w-3xl flex-col gap-4" onSubmit={sent(() => onDone(fields))}>
      <div className="grid items-start gap-4 sm:grid-cols-2">
        {fixedKind ? null : (
          <Select
            label="What it is"
            choices={KINDS}
            {...text('kind')}
            onChange={(e) => put({ kind: e.target.value, material: '' })}
          />
        )}
        {kind === 'tin' ? (
          <Field label="Each holds" placeholder="30 mL" {...text('material')} />
        ) : (
          <Select
            label={counted ? 'Which' : 'Of what'}
            {...text('material')}
            choices={[{ id: '', name: counted || poured ? 'choose' : 'not in the list: write its name' }, ...known]}
          />
        )}
        <Field
          label="What you call it"
          placeholder={known.find((each) => each.id === fields.material)?.name ?? 'its name'}
          maxLength={80}
          {...text('called')}
        />
        {kind === 'herb' ? (
          <>
            <Field label="Part of the plant" maxLength={40} placeholder="leaf, flower, root" {...text('part')} />
            <Select
              label="State"
              {...text('state')}
              choices={[
                { id: '', name: 'dried' },
                { id: 'wilted', name: 'wilted' },
                { id: 'fresh', name: 'fresh' },
              ]}
            />
            <Select
              label="How it is cut"
              {...text('form')}
              choices={[{ id: '', name: 'as it usually comes' }, ...materials.data.forms]}
            />
          </>
        ) : null}
        <Field
          label={counted ? 'How many' : 'How much was got'}
          required
          placeholder={
            counted ? '12' : kind === 'scent' ? '10 mL' : kind === 'carrier' ? '1 L, 500 mL, 2 cups' : '250 g, 8 oz'
          }
          hint={counted ? undefined : 'By weight or volume, as you measure it.'}
          {...text('amount')}
        />
        <Field label="Tell me when it is down to" placeholder="a seventh of it" {...text('low_at')} />
        <Field label="Price in all" inputMode="decimal" placeholder="6.40" {...text('price')} />
        <Select
          label="How it was got"
          {...text('got_how')}
          choices={[
            { id: '', name: 'not said' },
            { id: 'bought', name: 'bought' },
            { id: 'gathered', name: 'gathered' },
          ]}
        />
        <Field label="Where" maxLength={160} placeholder="the walled garden" {...text('got_where')} />
        <Field label="When" type="date" {...text('got_on')} />
        {counted ? null : (
          <>
            <Field label="Opened" type="date" {...text('opened_on')} />
            <Field label="Best before" type="date" {...text('best_before')} />
            <Field
              label="Allergens"
              placeholder="almond (tree nuts); soya"
              hint="The oil’s own are added by themselves."
              {...text('allergens')}
            />
          </>
        )}
      </div>
      {counted ? null : (
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5"
            checked={fields.food_grade === 'yes'}
            onChange={(e) => put({ food_grade: e.target.checked ? 'yes' : 'no' })}
          />
          Food grade: sold or known as food
        </label>
      )}
      <Area label="Note" maxLength={1000} {...text('note')} />
      {problem && !NAMED.some((field) => problem.about(field)) ? <Trouble problem={problem} /> : null}
      {problem && NAMED.some((field) => problem.about(field)) ? (
        <p className="text-warmth font-semibold">Something above is not right yet; it is said beside it.</p>
      ) : null}
      <Button type="submit" look="strong" className="self-start px-6" disabled={pending}>
        {done}
      </Button>
    </form>
  )
}

function knownOf(
  kind: string,
  materials: Shape<'Materials'>,
  house: Shape<'HouseView'>,
  melt: Shape<'MeltChoices'> | undefined,
): { id: string; name: string }[] {
  switch (kind) {
    case 'herb':
      return materials.herbs
    case 'carrier':
      return materials.oils
    case 'wax':
      return materials.waxes
    case 'scent':
      return melt?.scents.filter((scent) => scent.kind !== 'solid') ?? []
    case 'addition':
      return melt
        ? [
            ...melt.others.filter((each) => !materials.waxes.some((wax) => wax.id === each.id)),
            ...melt.scents.filter((scent) => scent.kind === 'solid'),
          ]
        : []
    case 'jar':
      return house.jars.map((jar) => ({ id: jar.id, name: jar.called }))
    default:
      return house.bottles.map((bottle) => ({ id: bottle.id, name: bottle.called }))
  }
}
