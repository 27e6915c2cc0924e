import { useState } from 'react'
import { TextButton } from '../../parts/Button'
import { Field } from '../../parts/Field'
import { herbsOf, type HerbWish } from '../wish'
import { Choice, type Edit, orNothing } from './edit'
import { Wilting } from './Wilting'

const MOST = 6

export function HerbEditor({ edit }: { edit: Edit }) {
  const { wish, change, materials, fault } = edit
  const herbs = herbsOf(wish)
  const [at, setAt] = useState(0)
  const [typed, setTyped] = useState('')
  const asked = typed.trim().toLowerCase()
  const found = materials.herbs.filter((herb) => `${herb.name} ${herb.latin}`.toLowerCase().includes(asked))
  const index = Math.min(at, Math.max(0, herbs.length - 1))
  const put = (next: HerbWish) => change({ herbs: herbs.map((herb, each) => (each === index ? next : herb)) })
  const nameOf = (herb: HerbWish) => materials.herbs.find((each) => each.id === herb.id)?.name ?? herb.name ?? 'herb'
  const kept = { amount: herbs[index]?.amount ?? null, parts: herbs[index]?.parts ?? null }
  return (
    <>
      {herbs.length > 1 ? (
        <ul className="flex flex-col gap-2">
          {herbs.map((herb, each) => (
            <li key={nameOf(herb)} className="border-line flex items-end gap-2 border-b pb-2">
              <button
                type="button"
                className={`min-h-11 flex-1 text-start ${each === index ? 'font-semibold' : ''}`}
                aria-pressed={each === index}
                onClick={() => setAt(each)}
              >
                {nameOf(herb)}
              </button>
              <div className="w-20">
                <Field
                  label="Parts"
                  inputMode="decimal"
                  placeholder="1"
                  value={herb.parts ?? ''}
                  aria-label={`Parts of ${nameOf(herb)}`}
                  fault={fault(`herbs.${each}.parts`)}
                  onChange={(e) =>
                    change({
                      herbs: herbs.map((one, i) => (i === each ? { ...one, parts: orNothing(e.target.value) } : one)),
                    })
                  }
                />
              </div>
              <TextButton
                aria-label={`Take out ${nameOf(herb)}`}
                onClick={() => {
                  change({ herbs: herbs.filter((_, i) => i !== each) })
                  setAt(0)
                }}
              >
                Out
              </TextButton>
            </li>
          ))}
        </ul>
      ) : null}
      <Field
        label={
          herbs.length > 1 ? `Another in place of ${nameOf(herbs[index] ?? {})}` : 'Find a herb, or write your own'
        }
        value={typed}
        fault={fault('herbs') ?? fault('herb')}
        onChange={(e) => setTyped(e.target.value)}
      />
      {asked !== '' && !found.some((herb) => herb.name === asked) ? (
        <button
          type="button"
          className="border-rim min-h-11 rounded-rim border-2 px-3 text-start"
          onClick={() => put({ name: typed.trim(), form: herbs[index]?.form ?? 'thin-leaf', ...kept })}
        >
          Use “{typed.trim()}”, which is not in the list
        </button>
      ) : null}
      {herbs.length < MOST ? (
        <TextButton
          className="self-start"
          onClick={() => {
            const next = materials.herbs.find((herb) => !herbs.some((each) => each.id === herb.id))
            change({ herbs: [...herbs, { id: next?.id ?? 'calendula' }] })
            setAt(herbs.length)
            setTyped('')
          }}
        >
          Add another herb
        </TextButton>
      ) : null}
      <Choice
        legend="Herbs"
        value={herbs[index]?.id ?? ''}
        choices={found.map((herb) => ({ id: herb.id, name: `${herb.name} (${herb.part})`, detail: herb.note }))}
        onChoose={(id) => put({ id, ...kept })}
      />
      {herbs.length > 1 ? <FormEditor edit={edit} index={index} /> : null}
    </>
  )
}

export function FormEditor({ edit, index = 0 }: { edit: Edit; index?: number }) {
  const { wish, change, materials, plan, fault } = edit
  const herbs = herbsOf(wish)
  const herb = herbs[index] ?? {}
  const planned = plan?.herbs[index] ?? plan?.herb
  const put = (more: Partial<HerbWish>) =>
    change({ herbs: herbs.map((each, at) => (at === index ? { ...each, ...more } : each)) })
  const state = herb.state ?? 'dried'
  const best = materials.herbs.find((each) => each.id === herb.id)?.best
  return (
    <>
      <Choice
        legend="Its state"
        value={state}
        choices={[
          { id: 'dried', name: 'dried', detail: best === 'dried' ? 'safest, and keeps longest' : '' },
          { id: 'wilted', name: 'wilted', detail: best === 'wilted' ? 'best so' : 'limp, not crisp' },
          { id: 'fresh', name: 'fresh', detail: best === 'fresh' ? 'best so: it loses by drying' : 'shorter keeping' },
        ]}
        onChoose={(next) =>
          put({
            state: next as 'dried',
            ...(next === 'dried' ? { water: null, picked: null } : {}),
          })
        }
      />
      {fault('state') || fault(`herbs.${index}.state`) ? (
        <p className="text-warmth font-semibold">{fault('state') ?? fault(`herbs.${index}.state`)}</p>
      ) : null}
      {state === 'dried' ? null : (
        <Wilting herb={herb} form={planned?.form} put={(water) => put({ water, picked: null, state: 'wilted' })} />
      )}
      {state === 'dried' ? null : (
        <Choice
          legend="The ratio is of herb"
          value={wish.basis ?? 'dry'}
          choices={[
            { id: 'dry', name: 'as if it were dry', detail: 'its water is reckoned off' },
            { id: 'as-it-lies', name: 'as it lies', detail: 'water and all' },
          ]}
          onChoose={(basis) => change({ basis: basis as 'dry' })}
        />
      )}
      <Choice
        legend="How it is cut"
        value={herb.form ?? planned?.form ?? ''}
        choices={materials.forms.map((form) => ({ id: form.id, name: form.name.replace(/, dried.*$/, '') }))}
        onChoose={(form) => put({ form })}
      />
    </>
  )
}
