import { useId } from 'react'
import { TextButton } from '../../parts/Button'
import { Field, Select } from '../../parts/Field'
import { useMaterials } from '../../api/hooks'
import { type Infuse, type OilWish, oilsOf } from '../wish'
import { about, type Edit, Wrong } from './edit'

export function OilsEditor({ edit: { wish, change, choices, plan, problem } }: { edit: Edit }) {
  const given = oilsOf(wish)
  const used = plan?.pot.find((part) => part.kind === 'oil')
  const oils: OilWish[] = given.length > 0 ? given : used ? [{ id: used.id }] : [{ id: 'olive' }]
  const byAmount = oils.some((oil) => oil.amount !== undefined)
  const set = (next: OilWish[]) => change({ oils: next })
  const list = useId()
  const eaten = choices.products.some((each) => each.id === wish.product && each.eaten)
  const all = [
    ...choices.bottled.map((each) => ({
      id: `batch.${each.id}`,
      name: each.from_text
        ? `${each.name}, about ${each.left_text}, in its bottles ${each.from_text}`
        : `${each.name}, ${each.left_text} left`,
    })),
    { id: INFUSE, name: 'An oil still to be infused' },
    ...choices.oils.map((each) => ({ id: each.id, name: each.name })),
  ]
  const key = (oil: OilWish) => (oil.infuse ? INFUSE : oil.batch ? `batch.${oil.batch}` : (oil.id ?? ''))
  const chosen = (id: string): OilWish =>
    id === INFUSE
      ? { infuse: eaten ? { ...SOME, herbs: [{ id: 'thyme' }], oils: ['olive'], purpose: 'kitchen' } : SOME }
      : id.startsWith('batch.')
        ? { batch: id.slice(6) }
        : { id }
  const free = all.filter((each) => each.id === INFUSE || !oils.some((oil) => key(oil) === each.id))
  return (
    <>
      {oils.map((oil, index) => {
        const bottle = choices.bottled.find((each) => each.id === oil.batch)
        return (
          <div
            key={`${list}-${key(oil)}-${oil.infuse ? index : ''}`}
            className="border-line flex flex-col gap-1 border-b pb-3"
          >
            <Select
              label={index === 0 ? 'Oil' : 'And'}
              value={key(oil)}
              choices={[
                ...(all.some((each) => each.id === key(oil))
                  ? []
                  : [{ id: key(oil), name: `${key(oil)}: choose one` }]),
                ...all.filter((each) => each.id === key(oil) || free.includes(each)),
              ]}
              hint={bottle ? `${bottle.code}, in ${bottle.oils}, best before ${bottle.best_before}` : undefined}
              onChange={(event) =>
                set(oils.map((each, at) => (at === index ? { ...chosen(event.target.value), ...sized(each) } : each)))
              }
            />
            {oil.infuse ? (
              <InfuseEditor
                infuse={oil.infuse}
                set={(infuse) => set(oils.map((each, at) => (at === index ? { ...each, infuse } : each)))}
              />
            ) : null}
            <div className="grid grid-cols-[1fr_auto] items-end gap-3">
              {byAmount ? (
                <Field
                  label="How much"
                  defaultValue={oil.amount ?? ''}
                  hint="Such as 200 mL or 1 cup."
                  onChange={(event) =>
                    set(oils.map((each, at) => (at === index ? { ...each, amount: event.target.value || '0' } : each)))
                  }
                />
              ) : oils.length > 1 ? (
                <Field
                  label="Parts"
                  inputMode="decimal"
                  placeholder="1"
                  defaultValue={oil.parts ?? ''}
                  onChange={(event) =>
                    set(
                      oils.map((each, at) => (at === index ? { ...which(each), ...partly(event.target.value) } : each)),
                    )
                  }
                />
              ) : (
                <span />
              )}
              {oils.length > 1 ? (
                <TextButton onClick={() => set(oils.filter((_, at) => at !== index))}>Out</TextButton>
              ) : null}
            </div>
          </div>
        )
      })}
      <Select
        label="With another oil"
        value=""
        choices={[{ id: '', name: 'none' }, ...free]}
        onChange={(event) =>
          set([...oils, { ...chosen(event.target.value), ...(byAmount ? { amount: '100 mL' } : { parts: 1 }) }])
        }
      />
      <TextButton
        onClick={() =>
          byAmount
            ? change({ oils: oils.map(({ amount: _gone, ...oil }) => oil) })
            : change({ total: null, oils: oils.map(({ parts: _gone, ...oil }) => ({ ...oil, amount: '200 mL' })) })
        }
      >
        {byAmount ? 'As much as the tins want' : 'Say how much there is of it'}
      </TextButton>
      <Wrong says={about(problem, 'oils')} />
    </>
  )
}

/** What is infused, in what, and how; all else is said on the Bench, when it is begun. */
function InfuseEditor({ infuse, set }: { infuse: Infuse; set: (infuse: Infuse) => void }) {
  const materials = useMaterials().data
  if (!materials) return null
  const herb = infuse.herbs[0]
  const first = infuse.oils[0]
  return (
    <>
      <div className="grid grid-cols-[1fr_auto] items-end gap-3">
        <Select
          label="Of the herb"
          value={herb?.id ?? ''}
          choices={materials.herbs.map((each) => ({ id: each.id, name: each.name }))}
          onChange={(event) =>
            set({ ...infuse, herbs: [{ ...herb, id: event.target.value }, ...infuse.herbs.slice(1)] })
          }
        />
        <Select
          label="As"
          value={herb?.state ?? 'dried'}
          choices={[
            { id: 'dried', name: 'dried' },
            { id: 'wilted', name: 'wilted' },
            { id: 'fresh', name: 'fresh' },
          ]}
          onChange={(event) =>
            set({ ...infuse, herbs: [{ ...herb, state: event.target.value }, ...infuse.herbs.slice(1)] })
          }
        />
      </div>
      <Select
        label="In"
        value={typeof first === 'string' ? first : (first?.id ?? '')}
        choices={materials.oils.map((each) => ({ id: each.id, name: each.name }))}
        onChange={(event) => set({ ...infuse, oils: [event.target.value, ...infuse.oils.slice(1)] })}
      />
      <Select
        label="By"
        value={infuse.method ?? 'cold'}
        choices={materials.methods.map((each) => ({ id: each.id, name: each.name }))}
        hint="How much, and all else, is seen to on the Bench."
        onChange={(event) => set({ ...infuse, method: event.target.value })}
      />
    </>
  )
}

const INFUSE = 'infuse'
const SOME: Infuse = { herbs: [{ id: 'calendula' }], oils: ['sunflower-high-oleic'], method: 'cold' }

const which = ({ id, batch, infuse }: OilWish): OilWish => (infuse ? { infuse } : batch ? { batch } : { id: id ?? '' })
const sized = (oil: OilWish) => ({
  ...(oil.parts === undefined ? {} : { parts: oil.parts }),
  ...(oil.amount === undefined ? {} : { amount: oil.amount }),
})
const partly = (text: string) => (text.trim() === '' ? {} : { parts: text })
