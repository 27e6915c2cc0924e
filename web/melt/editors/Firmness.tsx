import { Choice, orNothing } from '../../bench/editors/edit'
import { Field } from '../../parts/Field'
import { about, type Edit, Wrong } from './edit'

const BEARS = [
  { id: '20', name: 'a cool room', detail: '20 °C' },
  { id: '25', name: 'a warm room', detail: '25 °C' },
  { id: '30', name: 'a pocket in summer', detail: '30 °C' },
  { id: '35', name: 'a hot car or a warm climate', detail: '35 °C' },
]

export function FirmnessEditor({ edit: { wish, change, choices, problem, done } }: { edit: Edit }) {
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
        done={done}
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

export function BearsEditor({ edit: { wish, change, problem, done } }: { edit: Edit }) {
  return (
    <>
      <Choice
        legend="The warmest it must bear"
        value={String(wish.bears_c ?? 20)}
        choices={BEARS}
        onChoose={(id) => change({ bears_c: Number(id) })}
        done={done}
      />
      <p className="text-soft">The warmer, the firmer a word makes it. A number of your own stays as it is.</p>
      <Wrong says={about(problem, 'bears_c')} />
    </>
  )
}
