import { Field } from '../../parts/Field'
import { without } from '../wish'
import { AmountEditor, JarFields } from './Amounts'
import { Choice, type Edit, orNothing } from './edit'
import { FormEditor, HerbEditor } from './Herbs'
import { OilsEditor } from './Oils'

function RatioEditor({ edit }: { edit: Edit }) {
  const { wish, change, fault, done } = edit
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
        done={done}
      />
      <Field
        label="Or your own"
        placeholder="1:6, 1:5 w/w, 1:2 v/v"
        value={usual.includes(ratio) ? '' : ratio}
        fault={fault('ratio')}
        hint="w/w is weight to weight, v/v cups to cups."
        onChange={(e) => change({ ratio: orNothing(e.target.value) })}
      />
    </>
  )
}

const DAYS = [
  { key: 'ready_by', label: 'Ready by', hint: 'The latest day to begin is reckoned back from it.' },
  { key: 'start', label: 'Or begin on', hint: 'Leave both blank to begin today.' },
  {
    key: 'begun',
    label: 'Or it stands already, since',
    hint: 'A jar begun before it came in here: its days are reckoned from then, and nothing is taken from Stores.',
  },
] as const

function WhenEditor({ edit }: { edit: Edit }) {
  const { wish, change, fault } = edit
  return (
    <>
      {DAYS.map(({ key, label, hint }) => (
        <Field
          key={key}
          label={label}
          type="date"
          value={wish[key] ?? ''}
          fault={fault(key)}
          hint={hint}
          // What stands already is neither to be begun nor wanted by a day.
          onChange={(e) =>
            change({
              ...(key === 'begun' ? { start: null, ready_by: null } : { begun: null }),
              [key]: orNothing(e.target.value),
            })
          }
        />
      ))}
    </>
  )
}

export function Editor({ slot, edit }: { slot: string; edit: Edit }) {
  const { wish, change, materials, plan, ways, fault, done } = edit
  const method = materials.methods.find((each) => each.id === (wish.method ?? 'cold'))
  switch (slot) {
    case 'amount':
      return <AmountEditor edit={edit} />
    case 'jar':
      return <JarFields edit={edit} />
    case 'herb':
      return <HerbEditor edit={edit} />
    case 'oils':
      return <OilsEditor edit={edit} />
    case 'ratio':
      return <RatioEditor edit={edit} />
    case 'when':
      return <WhenEditor edit={edit} />
    case 'form':
      return <FormEditor edit={edit} />
    case 'purpose':
      return (
        <Choice
          legend="What for"
          value={wish.purpose ?? 'skin'}
          choices={materials.purposes}
          onChoose={(purpose) => change({ purpose })}
          done={done}
        />
      )
    case 'method':
      return (
        <>
          <Choice
            legend="Which way"
            value={wish.method ?? 'cold'}
            choices={materials.methods}
            onChoose={(id) =>
              change({
                ...without(ways?.find((each) => each.id === id)?.drops),
                method: id,
                school: null,
                spirit: null,
                shake: null,
              })
            }
            done={done}
          />
          {plan?.method.heated && plan.state === 'dried' ? (
            <label className="flex min-h-11 items-start gap-3 pt-2">
              <input
                type="checkbox"
                className="mt-1 size-5 shrink-0"
                checked={wish.spirit === 'yes'}
                onChange={(event) => change({ spirit: event.target.checked ? 'yes' : null })}
              />
              <span>
                Moistened with strong spirit first
                <span className="text-soft block">ground, covered 8 to 12 h, then warmed uncovered</span>
              </span>
            </label>
          ) : null}
          {fault('spirit') ? <p role="alert">{fault('spirit')}</p> : null}
        </>
      )
    case 'kept':
      return (
        <Choice
          legend="How it is kept"
          value={wish.kept ?? 'shelf'}
          choices={[
            { id: 'fridge', name: 'cold, for four days', detail: `at ${materials.cold_text}, then used up or frozen` },
            {
              id: 'soured',
              name: 'soured first',
              detail: 'garlic, basil, oregano and rosemary only, by the tested way',
            },
            { id: 'shelf', name: 'on a shelf', detail: 'for dried herb only' },
          ]}
          onChoose={(kept) => change({ kept: kept as 'fridge' })}
          done={done}
        />
      )
    case 'way':
      return (
        <Choice
          legend="How it is got out of the herb"
          value={wish.way ?? plan?.way ?? 'squeezed'}
          choices={[
            { id: 'drained', name: 'drained', detail: 'for wet herb: squeezing drives its water into the oil' },
            { id: 'squeezed', name: 'squeezed', detail: 'by hand in a cloth, for dry herb' },
            { id: 'pressed', name: 'pressed', detail: 'in a press: the most comes out' },
          ]}
          onChoose={(way) => change({ way: way as 'drained' })}
          done={done}
        />
      )
    default:
      return (
        <>
          <Choice
            legend="How long, by which school"
            value={wish.school ?? plan?.method.school ?? ''}
            choices={(method?.schools ?? []).map((school) => ({
              id: school.id,
              name: `${school.name}: ${school.span}`,
              detail: school.why,
            }))}
            onChoose={(school) => change({ school })}
            done={done}
          />
          {plan && !plan.method.heated ? (
            <Choice
              legend="Shaken"
              value={wish.shake ?? ''}
              choices={[
                { id: '', name: 'as the method has it' },
                { id: 'twice-daily', name: 'twice a day' },
                { id: 'daily', name: 'daily' },
                { id: 'few-days', name: 'every few days' },
                { id: 'weekly', name: 'weekly, the least' },
              ]}
              onChoose={(id) => change({ shake: id === '' ? null : (id as 'daily') })}
              done={done}
            />
          ) : null}
        </>
      )
  }
}
