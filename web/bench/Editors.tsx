import { useId, useState } from 'react'
import type { Shape } from '../api/hooks'
import { Field, Select } from '../parts/Field'
import { oilsOf, type Wish } from './wish'

export type Edit = {
  wish: Wish
  change: (change: Partial<Wish>) => void
  fault: (field: string) => string | undefined
  materials: Shape<'Materials'>
  jars: Shape<'JarSize'>[]
  plan: Shape<'Plan'> | undefined
}

/** One of a few, as radio buttons. */
function Choice({
  legend,
  value,
  choices,
  onChoose,
}: {
  legend: string
  value: string
  choices: { id: string; name: string; detail?: string }[]
  onChoose: (id: string) => void
}) {
  const name = useId()
  return (
    <fieldset className="flex flex-col">
      <legend className="mb-1 font-semibold">{legend}</legend>
      {choices.map((choice) => (
        <label key={choice.id} className="border-line flex min-h-11 items-center gap-3 border-b py-1">
          <input
            type="radio"
            name={name}
            className="size-5 shrink-0"
            value={choice.id}
            checked={choice.id === value}
            onChange={() => onChoose(choice.id)}
          />
          <span>
            {choice.name}
            {choice.detail ? <span className="text-soft block">{choice.detail}</span> : null}
          </span>
        </label>
      ))}
    </fieldset>
  )
}

/** A blank left to the kettle is sent as nothing at all. */
const orNothing = (text: string) => (text.trim() === '' ? null : text)

function Jars({ edit }: { edit: Edit }) {
  return (
    <Choice
      legend="In which jar"
      value={typeof edit.wish.jar === 'string' ? edit.wish.jar : ''}
      choices={[
        { id: '', name: 'Choose for me' },
        ...edit.jars.map((jar) => ({ id: jar.id, name: jar.called, detail: jar.text })),
      ]}
      onChoose={(id) => edit.change({ jar: id === '' ? null : id })}
    />
  )
}

function AmountEditor({ edit }: { edit: Edit }) {
  const { wish, change, fault } = edit
  return (
    <>
      <Field
        label="Herb there is, or wanted"
        placeholder="70 g, 2 1/2 oz, 1 cup"
        value={wish.herb.amount ?? ''}
        fault={fault('herb.amount')}
        onChange={(e) => change({ herb: { ...wish.herb, amount: orNothing(e.target.value) } })}
      />
      <Field
        label="Oil there is, or wanted"
        placeholder="350 mL, 1 1/2 cups, 300 g"
        value={wish.oil_amount ?? ''}
        fault={fault('oil_amount')}
        hint="Give herb, oil or neither; with neither the jar is filled."
        onChange={(e) => change({ oil_amount: orNothing(e.target.value) })}
      />
      <Jars edit={edit} />
    </>
  )
}

function HerbEditor({ edit }: { edit: Edit }) {
  const { wish, change, materials, fault } = edit
  const [typed, setTyped] = useState('')
  const asked = typed.trim().toLowerCase()
  const herbs = materials.herbs.filter((herb) => `${herb.name} ${herb.latin}`.toLowerCase().includes(asked))
  const amount = wish.herb.amount ?? null
  return (
    <>
      <Field
        label="Find a herb, or write your own"
        value={typed}
        fault={fault('herb.name')}
        onChange={(e) => setTyped(e.target.value)}
      />
      {asked !== '' && !herbs.some((herb) => herb.name === asked) ? (
        <button
          type="button"
          className="border-rim min-h-11 rounded-rim border-2 px-3 text-left"
          onClick={() => change({ herb: { name: typed.trim(), form: wish.herb.form ?? 'thin-leaf', amount } })}
        >
          Use “{typed.trim()}”, which is not in the list
        </button>
      ) : null}
      <Choice
        legend="Herbs"
        value={wish.herb.id ?? ''}
        choices={herbs.map((herb) => ({ id: herb.id, name: `${herb.name} (${herb.part})`, detail: herb.note }))}
        onChoose={(id) => change({ herb: { id, amount } })}
      />
    </>
  )
}

function OilsEditor({ edit }: { edit: Edit }) {
  const { wish, change, materials, fault } = edit
  const oils = oilsOf(wish)
  const [first = { id: 'olive', parts: '1' }, second] = oils
  const set = (next: { id: string; parts: string }[]) => change({ oils: next })
  const about = (id: string) => materials.oils.find((oil) => oil.id === id)?.note
  return (
    <>
      <Select
        label="Oil"
        value={first.id}
        choices={materials.oils}
        hint={about(first.id)}
        onChange={(e) => set([{ ...first, id: e.target.value }, ...(second ? [second] : [])])}
      />
      <Select
        label="With a second oil"
        value={second?.id ?? ''}
        choices={[{ id: '', name: 'none' }, ...materials.oils.filter((oil) => oil.id !== first.id)]}
        hint={second ? about(second.id) : undefined}
        onChange={(e) =>
          set(
            e.target.value === ''
              ? [{ ...first, parts: '1' }]
              : [first, { id: e.target.value, parts: second?.parts ?? '1' }],
          )
        }
      />
      {second ? (
        <div className="grid grid-cols-2 gap-3">
          <Field
            label="Parts of the first"
            inputMode="decimal"
            value={first.parts}
            onChange={(e) => set([{ ...first, parts: e.target.value }, second])}
          />
          <Field
            label="Parts of the second"
            inputMode="decimal"
            value={second.parts}
            onChange={(e) => set([first, { ...second, parts: e.target.value }])}
          />
        </div>
      ) : null}
      {fault('oils') ? <p className="text-warmth font-semibold">{fault('oils')}</p> : null}
    </>
  )
}

function RatioEditor({ edit }: { edit: Edit }) {
  const { wish, change, fault } = edit
  const ratio = String(wish.ratio ?? '')
  const usual = ['1:5', '1:7', '1:9']
  return (
    <>
      <Choice
        legend="Herb to oil, by weight to volume"
        value={ratio === '' || usual.includes(ratio) ? ratio : 'own'}
        choices={[
          { id: '', name: 'Choose for me', detail: 'by how the herb lies' },
          { id: '1:5', name: '1:5', detail: 'the weighed standard: 1 g to 5 mL' },
          { id: '1:7', name: '1:7', detail: 'leaner' },
          { id: '1:9', name: '1:9', detail: 'for fluffy flowers and needles' },
        ]}
        onChoose={(id) => change({ ratio: orNothing(id) })}
      />
      <Field
        label="Or your own"
        placeholder="1:6, 1:5 w/w, 1:2 v/v"
        value={usual.includes(ratio) ? '' : ratio}
        fault={fault('ratio')}
        onChange={(e) => change({ ratio: orNothing(e.target.value) })}
      />
    </>
  )
}

function WhenEditor({ edit }: { edit: Edit }) {
  const { wish, change, fault } = edit
  return (
    <>
      <Field
        label="Ready by"
        type="date"
        value={wish.ready_by ?? ''}
        fault={fault('ready_by')}
        hint="The latest day to begin is reckoned back from it."
        onChange={(e) => change({ ready_by: orNothing(e.target.value) })}
      />
      <Field
        label="Or begin on"
        type="date"
        value={wish.start ?? ''}
        fault={fault('start')}
        hint="Leave both blank to begin today."
        onChange={(e) => change({ start: orNothing(e.target.value) })}
      />
    </>
  )
}

export function Editor({ slot, edit }: { slot: string; edit: Edit }) {
  const { wish, change, materials, plan } = edit
  const method = materials.methods.find((each) => each.id === (wish.method ?? 'cold'))
  switch (slot) {
    case 'amount':
      return <AmountEditor edit={edit} />
    case 'jar':
      return <Jars edit={edit} />
    case 'herb':
      return <HerbEditor edit={edit} />
    case 'oils':
      return <OilsEditor edit={edit} />
    case 'ratio':
      return <RatioEditor edit={edit} />
    case 'when':
      return <WhenEditor edit={edit} />
    case 'form':
      return (
        <Choice
          legend="How it is cut"
          value={wish.herb.form ?? plan?.herb.form ?? ''}
          choices={materials.forms}
          onChoose={(form) => change({ herb: { ...wish.herb, form } })}
        />
      )
    case 'purpose':
      return (
        <Choice
          legend="What for"
          value={wish.purpose ?? 'skin'}
          choices={materials.purposes}
          onChoose={(purpose) => change({ purpose: purpose as NonNullable<Wish['purpose']> })}
        />
      )
    case 'method':
      return (
        <Choice
          legend="Which way"
          value={wish.method ?? 'cold'}
          choices={materials.methods}
          onChoose={(id) => change({ method: id as NonNullable<Wish['method']>, school: null })}
        />
      )
    default:
      return (
        <Choice
          legend="How long, by which school"
          value={wish.school ?? plan?.method.school ?? ''}
          choices={(method?.schools ?? []).map((school) => ({
            id: school.id,
            name: `${school.name}: ${school.span}`,
            detail: school.why,
          }))}
          onChoose={(school) => change({ school })}
        />
      )
  }
}
