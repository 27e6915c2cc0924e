import { useState } from 'react'
import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import type { WriteOf } from '../api/typed'
import { HandsFull } from '../hands/HandsFull'
import { stands } from '../offline/Unsent'
import { namesOf, whole } from '../offline/whole'
import { useUnsent } from '../offline/here'
import { useRighting } from '../offline/righting'
import { usePart } from '../frame/part'
import { Button } from '../parts/Button'
import { Cautions } from '../parts/Cautions'
import { Area, Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { useKeptForm } from '../parts/kept'
import { Trouble } from '../parts/Notice'
import { Tick } from '../parts/Tick'
import { HAD_WARMTH, HadWarmth } from './HadWarmth'
import { Scale } from './Scale'
import { YieldBar } from './YieldBar'

const WAYS = [
  { id: 'drained', name: 'drained' },
  { id: 'squeezed', name: 'squeezed' },
  { id: 'pressed', name: 'pressed' },
]

/** Is it done, how it is strained, and what came out: one after the other. */
export function Straining({ batch }: { batch: Shape<'BatchView'> }) {
  const { press } = batch
  const [seen, setSeen] = useState<string[]>(press.signs.filter((sign) => sign.known === true).map((sign) => sign.id))
  const [done, setDone] = useState<string[]>([])
  const toggle = (list: string[], id: string) =>
    list.includes(id) ? list.filter((each) => each !== id) : [...list, id]
  return (
    <>
      <div className="grid gap-x-8 gap-y-7 xl:grid-cols-2">
        <section aria-labelledby="is-it-done" className="flex flex-col gap-2">
          <h2 id="is-it-done" className="text-2xl">
            Is it done?
          </h2>
          <ul>
            {press.signs.map((sign) => (
              <li key={sign.id}>
                <Tick checked={seen.includes(sign.id)} onChange={() => setSeen(toggle(seen, sign.id))}>
                  {sign.says}
                  {sign.evidence ? (
                    <span className={`block ${sign.known === false ? 'text-warmth font-semibold' : 'text-soft'}`}>
                      {sign.known === false ? `not yet: ${sign.evidence}` : sign.evidence}
                    </span>
                  ) : null}
                </Tick>
              </li>
            ))}
          </ul>
          <Cautions batch={batch} place="press" />
        </section>
        <section aria-labelledby="how" className="flex flex-col gap-2">
          <h2 id="how" className="text-2xl">
            How to strain it
          </h2>
          <span>
            <HandsFull name={`strain.${batch.id}`} title={`Straining the ${batch.herb}`} steps={press.steps} />
          </span>
          <ol>
            {press.steps.map((step) => (
              <li key={step.id}>
                <Tick checked={done.includes(step.id)} onChange={() => setDone(toggle(done, step.id))}>
                  {step.says} <span className="text-soft block">{step.why}</span>
                </Tick>
              </li>
            ))}
          </ol>
        </section>
      </div>
      <section aria-labelledby="measure" className="flex max-w-3xl flex-col gap-4">
        <h2 id="measure" className="text-2xl">
          Measure it
        </h2>
        <YieldBar press={press} />
        <StrainForm batch={batch} signs={seen} setSigns={setSeen} />
      </section>
    </>
  )
}

type Typed = WriteOf<'POST /houses/{house}/batches/{batch}/strain'>['body']

function StrainForm({
  batch,
  signs,
  setSigns,
}: {
  batch: Shape<'BatchView'>
  signs: string[]
  setSigns: (signs: string[]) => void
}) {
  const house = useHouseId()
  const { works } = usePart()
  const { press } = batch
  const { typed, put, set } = useKeptForm(`strain.${batch.id}`, {
    how: 'measured',
    amount: '',
    gross: '',
    tare: '',
    spent: '',
    note: '',
    way: press.way,
    filter: press.filter,
    spentTo: '',
    warmth: '',
  })
  const { how, amount, gross, tare, spent, note, way, filter, spentTo, warmth } = typed
  const path = `/houses/${house}/batches/${batch.id}/strain` as const
  const unsent = useUnsent(`/batches/${batch.id}`).find((each) => each.path === path && each.refused === undefined)
  const righting = useRighting<NonNullable<Typed>>(path, (was) => {
    put({
      how: was.gross ? 'weighed' : 'measured',
      amount: was.amount ?? '',
      gross: was.gross ?? '',
      tare: was.tare ?? '',
      spent: was.spent ?? '',
      note: was.note ?? '',
      way: was.way ?? press.way,
      filter: was.filter ?? press.filter,
      spentTo: was.spent_to ?? '',
      warmth: was.warmth ?? '',
    })
    setSigns(was.signs ?? [])
  })
  const done = () => {
    set({})
    righting.done()
  }
  const write = useBatchWrite(done, done)
  if (!works) return null
  if (unsent)
    return (
      <p className="bg-oil-pale px-3 py-2" role="status">
        {unsent.says}. {stands(unsent)}
      </p>
    )
  const fault = (field: string) => write.error?.about(field)
  const own = ['amount', 'gross', 'tare', 'spent', 'spent_to', 'way', 'filter', 'warmth'].some((field) => fault(field))
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={sent(() => {
        const weighed = how === 'weighed'
        write.mutate({
          path,
          doneAt: righting.doneAt,
          body: {
            amount: weighed ? '' : amount,
            gross: weighed ? gross : null,
            tare: weighed ? tare : null,
            way,
            filter,
            spent: spent || null,
            spent_to: spentTo || null,
            signs,
            warmth: warmth || null,
            note: note || null,
          },
          says: whole(
            `${batch.name}: strained, ${weighed ? `${gross} with the jug` : amount} came out`,
            ['the empty jug', weighed ? tare : ''],
            namesOf(WAYS, [way]),
            ['through', namesOf(press.filters, [filter])],
            ['the spent herb weighs', spent],
            ['it goes:', namesOf(press.spent_choices, [spentTo])],
            ['seen:', namesOf(press.signs, signs)],
            [press.asks_warmth ?? '', namesOf(HAD_WARMTH, [warmth])],
            note.trim() === '' ? '' : `“${note.trim()}”`,
          ),
        })
      })}
    >
      {righting.notice}
      <HadWarmth press={press} warmth={warmth} setWarmth={(said) => put({ warmth: said })} fault={fault('warmth')} />
      <fieldset className="flex flex-wrap gap-x-6">
        <legend className="font-semibold">How do you know how much it is?</legend>
        {(['measured', 'weighed'] as const).map((each) => (
          <label key={each} className="flex min-h-11 items-center gap-3">
            <input
              type="radio"
              name="how"
              className="size-5"
              checked={how === each}
              onChange={() => put({ how: each })}
            />
            {each === 'measured' ? 'measured, or weighed without the jug' : 'weighed with its jug'}
          </label>
        ))}
      </fieldset>
      {how === 'measured' ? (
        <Field
          label="What came out"
          placeholder="260 mL, 1 cup + 2 tbsp, or 238 g without the jug"
          hint="Measured or weighed; a weight is turned into a volume by the oil’s own density."
          required
          value={amount}
          fault={fault('amount')}
          onChange={(e) => put({ amount: e.target.value })}
        />
      ) : (
        <div className="grid items-start gap-4 sm:grid-cols-2">
          <Field
            label="The empty jug"
            placeholder="412 g"
            hint="0 where the scale has taken it off."
            required
            value={tare}
            fault={fault('tare')}
            onChange={(e) => put({ tare: e.target.value })}
          />
          <Field
            label="Jug and oil together"
            placeholder="651 g"
            required
            value={gross}
            fault={fault('gross')}
            onChange={(e) => put({ gross: e.target.value })}
          />
        </div>
      )}
      <Scale
        put={[
          { says: 'Empty jug on', does: { do: 'jug', batch: batch.id } },
          { says: 'Oil into the jug', does: { do: 'oil', batch: batch.id } },
          { says: 'Spent herb on', does: { do: 'spent', batch: batch.id } },
        ]}
        is={[
          { says: 'It is the empty jug', take: (text) => put({ how: 'weighed', tare: text }) },
          { says: 'It is jug and oil', take: (text) => put({ how: 'weighed', gross: text }) },
          { says: 'It is the spent herb', take: (text) => put({ spent: text }) },
        ]}
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <Select
          label="Got out"
          choices={WAYS}
          value={way}
          fault={fault('way')}
          onChange={(e) => put({ way: e.target.value })}
        />
        <Select
          label="Through"
          choices={press.filters}
          value={filter}
          fault={fault('filter')}
          onChange={(e) => put({ filter: e.target.value })}
        />
        <Field
          label="The spent herb weighs"
          placeholder="leave it empty if you did not weigh it"
          value={spent}
          fault={fault('spent')}
          onChange={(e) => put({ spent: e.target.value })}
        />
        <Select
          label="It goes"
          choices={[{ id: '', name: 'not said' }, ...press.spent_choices]}
          value={spentTo}
          fault={fault('spent_to')}
          onChange={(e) => put({ spentTo: e.target.value })}
        />
      </div>
      <Area
        label="Anything to remember"
        maxLength={5000}
        value={note}
        onChange={(e) => put({ note: e.target.value })}
      />
      {write.error && !own ? <Trouble problem={write.error} /> : null}
      <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
        Write it down
      </Button>
    </form>
  )
}
