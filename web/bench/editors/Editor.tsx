import { useState } from 'react'
import { useHouseId, useWrite } from '../../api/hooks'
import { Button } from '../../parts/Button'
import { sent } from '../../parts/form'
import { Field } from '../../parts/Field'
import { Tick } from '../../parts/Tick'
import { byMethod, without } from '../wish'
import { AmountEditor, JarFields } from './Amounts'
import { Choice, type Edit, orNothing } from './edit'
import { FormEditor, HerbEditor, StatesEditor } from './Herbs'
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

/** Hours and warmth set by hand, kept under a name: from then on a school like any other, of this house. */
function KeepAsSchool({ edit, method }: { edit: Edit; method: string }) {
  const { wish, change, plan } = edit
  const house = useHouseId()
  const [name, setName] = useState('')
  const keep = useWrite<'POST /houses/{house}/own'>((answer) =>
    change({ school: answer.id, hours: null, warmth: null }),
  )
  // A warmth is kept with its unit, also where it was typed without one.
  const warmth = plan?.method.target_c
  const keepIt = () =>
    keep.mutate({
      path: `/houses/${house}/own`,
      body: {
        own: {
          kind: 'school',
          name: name.trim(),
          method,
          hours: String(wish.hours ?? `${plan?.method.hours ?? ''} h`),
          warmth: warmth === null || warmth === undefined ? null : `${warmth} °C`,
        },
      },
    })
  return (
    <form className="flex items-end gap-3" onSubmit={sent(keepIt)}>
      <Field
        label="Keep as a school called"
        placeholder="low and slow"
        maxLength={60}
        value={name}
        fault={keep.error?.about('name') ?? keep.error?.message}
        onChange={(e) => setName(e.target.value)}
      />
      <Button type="submit" disabled={name.trim() === '' || keep.isPending}>
        Keep it
      </Button>
    </form>
  )
}

/** How long, how warm, and what is done in that time: by a school, or as one does it oneself. */
function HoursEditor({ edit }: { edit: Edit }) {
  const { wish, change, materials, plan, fault, done } = edit
  const method = materials.methods.find((each) => each.id === (wish.method ?? 'cold'))
  const heated = method?.heated ?? false
  const own = Boolean(wish.hours ?? wish.warmth)
  // As it stood when the panel was opened: what is being typed in does not move.
  const [ownFirst] = useState(own)
  const schools = (
    <Choice
      legend="How long, by which school"
      value={own ? '' : (wish.school ?? plan?.method.school ?? '')}
      choices={(method?.schools ?? []).map((school) => ({
        id: school.id,
        name: `${school.name}: ${school.span}`,
        detail: school.why,
      }))}
      onChoose={(school) => change({ school, hours: null, warmth: null })}
      done={done}
    />
  )
  const mine = (
    <>
      <div className="grid grid-cols-2 gap-3 pt-2">
        <Field
          label={ownFirst ? 'Hours of your own' : 'Or hours of your own'}
          placeholder={heated ? '6 to 8 h' : '3 weeks'}
          value={String(wish.hours ?? '')}
          fault={fault('hours')}
          onChange={(e) => change({ hours: orNothing(e.target.value) })}
        />
        {heated ? (
          <Field
            label="at a warmth of"
            placeholder="38 °C or 100 °F"
            value={String(wish.warmth ?? '')}
            fault={fault('warmth')}
            onChange={(e) => change({ warmth: orNothing(e.target.value) })}
          />
        ) : null}
      </div>
      {own && plan && !fault('hours') && !fault('warmth') ? (
        <KeepAsSchool edit={edit} method={method?.id ?? 'cold'} />
      ) : null}
    </>
  )
  return (
    <>
      {ownFirst ? mine : schools}
      {ownFirst ? schools : mine}
      {heated ? (
        <>
          <Field
            label="Then left to stand off the heat"
            placeholder="12 h"
            value={String(wish.stands ?? '')}
            fault={fault('stands')}
            hint="Up to a day; blank is as the school has it."
            onChange={(e) => change({ stands: orNothing(e.target.value) })}
          />
          <Tick
            checked={wish.cooled === 'uncovered'}
            onChange={(open) => change({ cooled: open ? 'uncovered' : null })}
          >
            Cooled uncovered
            <span className="text-soft block">a dry cloth over it, so that no steam falls back as drops</span>
          </Tick>
        </>
      ) : (
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
      )}
    </>
  )
}

export function Editor({ slot, edit }: { slot: string; edit: Edit }) {
  const { wish, change, materials, plan, ways, fault, done } = edit
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
    case 'states':
      return <StatesEditor edit={edit} />
    case 'purpose':
    case 'heed':
      return (
        <>
          {slot === 'heed' ? null : (
            <Choice
              legend="What for"
              value={wish.purpose ?? 'skin'}
              choices={materials.purposes}
              onChoose={(purpose) => change({ purpose })}
              done={done}
            />
          )}
          <fieldset className="pt-3">
            <legend className="mb-1 font-semibold">For whom, and without what</legend>
            {materials.heeds.map((heed) => (
              <Tick
                key={heed.id}
                checked={wish.heed?.includes(heed.id as 'nuts') ?? false}
                onChange={(on) =>
                  change({
                    heed: [...(wish.heed ?? []).filter((id) => id !== heed.id), ...(on ? [heed.id as 'nuts'] : [])],
                  })
                }
              >
                {heed.name}
                <span className="text-soft block">{heed.detail}</span>
              </Tick>
            ))}
            {fault('heed') ? <p className="text-warmth font-semibold">{fault('heed')}</p> : null}
          </fieldset>
        </>
      )
    case 'method':
      return (
        <Choice
          legend="Which way"
          value={wish.method ?? 'cold'}
          choices={materials.methods}
          onChoose={(id) => change({ ...without(ways?.find((each) => each.id === id)?.drops), ...byMethod(id) })}
          done={done}
        />
      )
    case 'spirit':
      return (
        <>
          <Choice
            legend="Moistened with strong spirit first"
            value={wish.spirit ?? 'no'}
            choices={[
              { id: 'no', name: 'no', detail: 'dry into the oil' },
              {
                id: 'yes',
                name: 'yes',
                detail: 'ground, covered 8 to 12 h, then warmed uncovered, away from any flame',
              },
            ]}
            onChoose={(id) => change({ spirit: id === 'yes' ? 'yes' : null })}
            done={done}
          />
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
        <>
          <Choice
            legend="How it is got out of the herb"
            value={wish.strained === 'never' ? '' : (wish.way ?? plan?.way ?? 'squeezed')}
            choices={[
              {
                id: 'drained',
                name: 'drained, not squeezed',
                detail: 'for wet herb: squeezing drives its water into the oil',
              },
              { id: 'squeezed', name: 'squeezed', detail: 'by hand in a cloth, for dry herb' },
              { id: 'pressed', name: 'pressed', detail: 'in a press: the most comes out' },
            ]}
            onChoose={(way) =>
              change({ way: way as 'drained', ...(wish.strained === 'never' ? { strained: null } : {}) })
            }
            done={done}
          />
          <Tick
            checked={wish.strained === 'never'}
            onChange={(never) => change(never ? { strained: 'never', way: null } : { strained: null })}
          >
            Never strained, left on its sediment
            <span className="text-soft block">
              fine dry powder only: used from the top, topped up, and the last of it into a marinade
            </span>
          </Tick>
          <Tick checked={wish.strained === 'twice'} onChange={(twice) => change({ strained: twice ? 'twice' : null })}>
            Strained twice
            <span className="text-soft block">
              the second time through paper or a finer cloth, which keeps a little more of the oil
            </span>
          </Tick>
        </>
      )
    default:
      return <HoursEditor edit={edit} />
  }
}
