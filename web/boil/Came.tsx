import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useHouseId } from '../api/hooks'
import { putOnMelt } from '../melt/wish'
import { Button, TextButton } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { putOnBoil, useBoilDraft } from './wish'
import { type Pot, usePotLine } from './line'
import { Discard } from './Sheets'

const HOW = [
  { id: 'used', name: 'used' },
  { id: 'given', name: 'given away' },
]

/** What came of it: how much there is, until when, and where it goes on. */
export function Came({ pot, works }: { pot: Pot; works: boolean }) {
  const house = useHouseId()
  const go = useNavigate()
  const [planned] = useBoilDraft(house)
  const form = useForm({ amount: '', how: 'used', to: '' }, `came.${pot.id}`)
  const { write, path } = usePotLine(pot, () => form.clear())
  const { field, rest } = form.beside(write.error)
  const { made } = pot
  const [discarding, setDiscarding] = useState(false)
  if (pot.stage === 'discarded') return <p>Thrown away.</p>
  if (!made) return null
  return (
    <div className="flex flex-col gap-3">
      <p>
        <strong className="figures font-display text-4xl font-normal">{made.left}</strong>{' '}
        <span className="text-soft">
          of {made.amount}, strained {made.when}
          {made.where ? `, ${made.where}` : ''}
        </span>
      </p>
      {made.best_before ? (
        <p className={made.past ? 'text-warmth font-semibold' : ''}>
          {made.past ? 'Past its day: ' : 'Good until '}
          {made.best_before}
          {made.past ? '. Throw it away.' : '.'}
        </p>
      ) : null}
      {made.batch ? (
        <p>
          It is an oil of the house: <Link to={`/h/${house}/batch/${made.batch}`}>its bottles and labels</Link>.
        </p>
      ) : null}
      {pot.kind === 'cleanse' && works ? (
        <Button
          look="strong"
          className="self-start"
          onClick={() => {
            // Its paste, its pot and its hours are as they were planned with the cleansing.
            const part = { stage: 'cook', known: 'oil', amount: made.left, oilFrom: pot.id }
            putOnBoil(house, part, planned.what === 'long-oil' ? planned : undefined)
            void go(`/h/${house}/boil`)
          }}
        >
          Cook the oil with it
        </Button>
      ) : null}
      {made.goes_in && pot.stage === 'made' && !made.past && works ? (
        <Button
          className="self-start"
          onClick={() => {
            const percent = made.percent == null ? {} : { percent: made.percent }
            putOnMelt(house, { product: 'cream', others: [{ boil: pot.id, ...percent }] })
            void go(`/h/${house}/melt`)
          }}
        >
          Make a cream with it
        </Button>
      ) : null}
      {pot.stage === 'made' && works && !made.past ? (
        <form
          className="flex flex-col gap-3"
          onSubmit={sent(() => write.mutate({ path: `${path}/take`, body: form.typed }))}
        >
          <Field label="Take of it" placeholder={made.left} maxLength={80} required {...field('amount')} />
          <Select
            label="It is"
            choices={HOW}
            value={form.typed.how}
            onChange={(event) => form.put({ how: event.target.value })}
          />
          <Field
            label={form.typed.how === 'given' ? 'To whom' : 'For what'}
            placeholder={form.typed.how === 'given' ? 'a neighbour' : 'a cream'}
            maxLength={160}
            {...field('to')}
          />
          <Trouble problem={rest} />
          <Button type="submit" className="self-start" disabled={write.isPending}>
            Taken
          </Button>
        </form>
      ) : null}
      {pot.stage === 'made' && works ? (
        <>
          <TextButton className="self-start" onClick={() => setDiscarding(true)}>
            Throw it away
          </TextButton>
          <Discard pot={pot} open={discarding} close={() => setDiscarding(false)} />
        </>
      ) : null}
    </div>
  )
}
