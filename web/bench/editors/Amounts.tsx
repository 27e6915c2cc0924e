import { useState } from 'react'
import { Field, Select } from '../../parts/Field'
import { herbsOf, type HerbWish, isMeasured, unmeasured } from '../wish'
import { Choice, type Edit, orNothing } from './edit'

/** The sides a plan can be given its size from. */
const SIDES = [
  { id: 'jar', name: 'From a jar', detail: 'filled to its headspace' },
  { id: 'herb', name: 'From the herb there is' },
  { id: 'oil', name: 'From the oil there is' },
  { id: 'both', name: 'From both, which gives the ratio' },
  { id: 'finished', name: 'From the oil wanted in the end' },
  { id: 'bottles', name: 'From so many bottles or tins' },
  { id: 'by-jar', name: 'The jar way: so full, so far covered' },
]

type ByJar = NonNullable<Edit['wish']['by_jar']>

const NOTHING = { oil_amount: null, finished: null, by_jar: null }

function sideOf(edit: Edit): string {
  const { wish } = edit
  const weighed = herbsOf(wish).some((herb) => herb.amount)
  if (wish.by_jar) return 'by-jar'
  if (wish.finished) return wish.finished.count || wish.finished.size ? 'bottles' : 'finished'
  const oil = wish.oil_amount || isMeasured(wish)
  if (weighed) return oil ? 'both' : 'herb'
  return oil ? 'oil' : 'jar'
}

export function AmountEditor({ edit }: { edit: Edit }) {
  const { wish, change } = edit
  const [side, setSide] = useState(() => sideOf(edit))
  const herbs = herbsOf(wish)
  const unweighed = herbs.map(({ amount: _amount, ...herb }) => herb)
  const choose = (id: string) => {
    setSide(id)
    change({
      ...NOTHING,
      oils: unmeasured(wish),
      ...(id === 'herb' || id === 'both' ? {} : { herbs: unweighed }),
      ...(id === 'by-jar' ? { by_jar: { fill: 'half' }, ratio: null } : {}),
    })
  }
  return (
    <>
      <Select label="How much" value={side} choices={SIDES} onChange={(e) => choose(e.target.value)} />
      {side === 'herb' || side === 'both' ? <HerbAmounts edit={edit} herbs={herbs} /> : null}
      {(side === 'oil' || side === 'both') && isMeasured(wish) ? (
        <p className="text-soft">Each oil has an amount of its own, under the oils.</p>
      ) : side === 'oil' || side === 'both' ? (
        <Field
          label="Oil there is, or wanted"
          placeholder="350 mL, 1 1/2 cups, 300 g"
          value={wish.oil_amount ?? ''}
          fault={edit.fault('oil_amount')}
          onChange={(e) => change({ oil_amount: orNothing(e.target.value) })}
        />
      ) : null}
      {side === 'finished' || side === 'bottles' ? <FinishedFields edit={edit} bottles={side === 'bottles'} /> : null}
      {side === 'by-jar' ? <ByJarFields edit={edit} /> : null}
      <JarFields edit={edit} />
    </>
  )
}

function HerbAmounts({ edit, herbs }: { edit: Edit; herbs: HerbWish[] }) {
  const many = edit.wish.herbs !== undefined
  return (
    <>
      {herbs.map((herb, index) => (
        <Field
          key={herb.id ?? herb.name ?? index}
          label={
            herbs.length === 1
              ? 'Herb there is, or wanted'
              : `Of ${edit.materials.herbs.find((each) => each.id === herb.id)?.name ?? herb.name ?? 'the herb'}`
          }
          placeholder={herb.form === 'tea-bag' ? '12 bags' : '70 g, 2 1/2 oz, 1 cup'}
          value={herb.amount ?? ''}
          fault={edit.fault(many ? `herbs.${index}.amount` : 'herb.amount')}
          onChange={(e) =>
            edit.change({
              herbs: herbs.map((each, at) => (at === index ? { ...each, amount: orNothing(e.target.value) } : each)),
            })
          }
        />
      ))}
      {herbs.length > 1 ? (
        <p className="text-soft">Weigh one, and the others follow by their parts; or weigh all.</p>
      ) : null}
    </>
  )
}

function FinishedFields({ edit, bottles }: { edit: Edit; bottles: boolean }) {
  const { wish, change, fault } = edit
  const finished = wish.finished ?? {}
  const set = (more: NonNullable<typeof wish.finished>) => change({ finished: { ...finished, ...more } })
  return (
    <>
      {bottles ? (
        <div className="grid grid-cols-2 gap-3">
          <Field
            label="How many"
            inputMode="numeric"
            placeholder="6"
            value={finished.count ?? ''}
            fault={fault('finished.count')}
            onChange={(e) => set({ amount: null, count: orNothing(e.target.value) })}
          />
          <Field
            label="Each holds"
            placeholder="50 mL"
            value={finished.size ?? ''}
            fault={fault('finished.size')}
            onChange={(e) => set({ amount: null, size: orNothing(e.target.value) })}
          />
        </div>
      ) : (
        <Field
          label="Wanted in the end"
          placeholder="300 mL, 1 cup"
          value={finished.amount ?? ''}
          fault={fault('finished')}
          onChange={(e) => set({ count: null, size: null, amount: orNothing(e.target.value) })}
        />
      )}
      <Choice
        legend="How surely"
        value={finished.sure ?? 'nine-in-ten'}
        choices={[
          { id: 'nine-in-ten', name: 'Nine times in ten' },
          { id: 'evens', name: 'As often as not', detail: 'less oil, and it may fall short' },
        ]}
        onChoose={(sure) => set({ sure: sure as 'evens' | 'nine-in-ten' })}
      />
    </>
  )
}

function ByJarFields({ edit }: { edit: Edit }) {
  const { wish, change, fault } = edit
  const way: ByJar = wish.by_jar ?? {}
  const set = (more: ByJar) => change({ by_jar: { fill: 'half', ...way, ...more } })
  const [oil, setOil] = useState(() =>
    way.cover === 'brim' ? 'brim' : wish.oil_amount || isMeasured(wish) ? 'amount' : 'cover',
  )
  const pour = (how: string) => {
    setOil(how)
    change({
      by_jar: { fill: 'half', ...way, cover: how === 'brim' ? 'brim' : null },
      ...(how === 'amount' ? {} : { oil_amount: null, oils: unmeasured(wish) }),
    })
  }
  return (
    <>
      <Choice
        legend="Herb fills the jar"
        value={way.fill ?? 'half'}
        choices={[
          { id: 'quarter', name: 'a quarter' },
          { id: 'third', name: 'a third' },
          { id: 'half', name: 'half' },
          { id: 'two-thirds', name: 'two thirds' },
          { id: 'three-quarters', name: 'three quarters' },
          { id: 'full', name: 'to the top', detail: 'for fresh plants' },
        ]}
        onChoose={(fill) => set({ fill: fill as 'half' })}
      />
      <Choice
        legend="It lies there"
        value={way.lying ?? 'loose'}
        choices={[
          { id: 'loose', name: 'loosely', detail: 'tipped in and shaken level' },
          { id: 'packed', name: 'packed', detail: 'pressed down with the fingers' },
          { id: 'stuffed', name: 'stuffed', detail: 'as much as goes in' },
        ]}
        onChoose={(lying) => set({ lying: lying === 'loose' ? null : (lying as 'packed') })}
      />
      <Choice
        legend="Oil"
        value={oil}
        choices={[
          { id: 'cover', name: 'so far over the herb' },
          { id: 'amount', name: 'as much as there is' },
          { id: 'brim', name: 'to the brim, and shut', detail: 'no air: for delicate fresh flowers' },
        ]}
        onChoose={pour}
      />
      {oil === 'cover' ? (
        <Field
          label="Oil stands over it by"
          placeholder="1 in, 25 mm"
          value={way.cover ?? ''}
          fault={fault('by_jar')}
          hint="One to three inches is common. It is still reckoned in grams."
          onChange={(e) => set({ cover: orNothing(e.target.value) })}
        />
      ) : null}
      {oil === 'amount' && isMeasured(wish) ? (
        <p className="text-soft">Each oil has an amount of its own, under the oils.</p>
      ) : oil === 'amount' ? (
        <Field
          label="Oil there is"
          placeholder="1 cup, 250 mL"
          value={wish.oil_amount ?? ''}
          fault={fault('oil_amount')}
          onChange={(e) => change({ oil_amount: orNothing(e.target.value) })}
        />
      ) : null}
    </>
  )
}

export function JarFields({ edit }: { edit: Edit }) {
  const vessels = edit.materials.methods.find((each) => each.id === (edit.wish.method ?? 'cold'))?.vessels ?? ['jar']
  return (
    <>
      <Choice
        legend={`In which ${vessels[0] ?? 'jar'}`}
        value={typeof edit.wish.jar === 'string' ? edit.wish.jar : ''}
        choices={[
          { id: '', name: 'Choose for me' },
          ...edit.jars
            .filter((jar) => vessels.includes(jar.kind))
            .toSorted((a, b) => vessels.indexOf(a.kind) - vessels.indexOf(b.kind))
            .map((jar) => ({ id: jar.id, name: jar.called, detail: jar.text })),
        ]}
        onChoose={(id) => edit.change({ jar: id === '' ? null : id })}
      />
      <Field
        label="How many alike"
        inputMode="numeric"
        placeholder="1"
        value={edit.wish.jars ?? ''}
        fault={edit.fault('jars')}
        onChange={(e) => edit.change({ jars: orNothing(e.target.value) })}
      />
    </>
  )
}
