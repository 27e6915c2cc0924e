import { TextButton } from '../../parts/Button'
import { Field, Select } from '../../parts/Field'
import { barred, type OilWish, oilsOf } from '../wish'
import type { Edit } from './edit'
import { orNothing } from './edit'

const MOST = 12
const ORDER = [
  '',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
]

/** "3" is parts, "50 mL" an amount: what is written with a unit is one. */
const partsOrAmount = (typed: string): Partial<OilWish> =>
  /[a-z]/i.test(typed) ? { amount: typed, parts: null } : { parts: orNothing(typed), amount: null }

export function OilsEditor({ edit }: { edit: Edit }) {
  const { wish, change, materials, fault, plan } = edit
  const together = plan?.figures.oil_volume?.text
  const oils = oilsOf(wish)
  const out = barred(wish, materials).oils
  const offered = materials.oils.filter((each) => !out.has(each.id) || oils.some((oil) => oil.id === each.id))
  const set = (next: OilWish[]) => change({ oils: next as typeof wish.oils })
  const about = (id: string) => materials.oils.find((oil) => oil.id === id)?.note
  const put = (index: number, more: Partial<OilWish>) =>
    change({
      oils: oils.map((oil, at) => (at === index ? { ...oil, ...more } : oil)) as typeof wish.oils,
      // The amounts of the oils are all the oil there is.
      ...(more.amount ? { oil_amount: null, finished: null } : {}),
    })
  if (wish.in_oil) {
    return (
      <>
        <p>It is made in an oil of this house, all of it or as much as you say, and is as old as that.</p>
        <TextButton className="self-start" onClick={() => change({ in_oil: null })}>
          Take oil by itself instead
        </TextButton>
      </>
    )
  }
  return (
    <>
      {oils.map((oil, index) => (
        <div key={oil.id} className="border-line grid grid-cols-[1fr_7rem] gap-x-3 gap-y-1 border-b pb-3">
          <Select
            label={
              index === 0 ? 'Oil' : `${ORDER[index]?.replace(/^./, (letter) => letter.toUpperCase()) ?? 'Another'} oil`
            }
            value={oil.id}
            choices={[
              ...(oil.id === '' ? [{ id: '', name: `${oil.name ?? 'an oil'}: choose one` }] : []),
              ...offered.filter((each) => each.id === oil.id || !oils.some((one) => one.id === each.id)),
            ]}
            hint={about(oil.id)}
            onChange={(e) => put(index, { id: e.target.value, name: null, lot: null })}
          />
          {oils.length > 1 ? (
            <div className="flex flex-col">
              <Field
                label="How much"
                placeholder="1 or 50 mL"
                value={oil.amount ?? oil.parts ?? ''}
                fault={fault(`oils.${index}.amount`)}
                onChange={(e) => put(index, partsOrAmount(e.target.value))}
                aria-label={`Parts or amount of the ${ORDER[index] || 'first'} oil`}
              />
              <TextButton
                aria-label={`Take out the ${ORDER[index] || 'first'} oil`}
                onClick={() => set(oils.filter((_, at) => at !== index))}
              >
                Out
              </TextButton>
            </div>
          ) : null}
        </div>
      ))}
      {oils.length > 1 && together ? (
        <p className="flex justify-between">
          <span>together</span>
          <strong className="tabular-nums">{together}</strong>
        </p>
      ) : null}
      {oils.length < MOST ? (
        <Select
          label={oils.length === 1 ? 'With a second oil' : 'And another'}
          value=""
          choices={[{ id: '', name: 'none' }, ...offered.filter((each) => !oils.some((oil) => oil.id === each.id))]}
          onChange={(e) => set([...oils, { id: e.target.value, parts: '1' }])}
        />
      ) : null}
      {fault('oils') ? <p className="text-warmth font-semibold">{fault('oils')}</p> : null}
      <p className="text-soft">“Which oil”, below the jar, sets them in order for what it is for.</p>
    </>
  )
}
