import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { ofHouse, type Shape, useHouseId } from '../../api/hooks'
import { useBeforeShut } from '../../parts/beforeShut'
import { TextButton } from '../../parts/Button'
import { Field } from '../../parts/Field'
import { useSettled } from '../../parts/settled'
import { useStill } from '../../parts/still'
import { barred, heededOf, herbsOf, type HerbWish } from '../wish'
import { Choice, type Edit, orNothing } from './edit'
import { Wilting } from './Wilting'

const MOST = 12

/** The herbs of the jar. Written or looked for by any name; what Stores has stands first. */
export function HerbEditor({ edit }: { edit: Edit }) {
  const { wish, change, materials, fault, done } = edit
  const herbs = herbsOf(wish)
  const [at, setAt] = useState(0)
  const [typed, setTyped] = useState('')
  const field = useRef<HTMLDivElement>(null)
  const asked = useSettled(typed.trim().toLowerCase(), 120)
  const [unclear, setUnclear] = useState<string>()
  // The words that are being looked up to be taken; none any more, when others are typed or the panel is left.
  const taking = useRef<string | null>(null)
  useEffect(
    () => () => {
      taking.current = null
    },
    [],
  )
  const house = useHouseId()
  const client = useQueryClient()
  // What was found by the words before stays until the next answer is there.
  const found = useQuery({ ...herbsBy(house, asked), placeholderData: keepPreviousData }).data?.herbs
  const nameOf = (herb: HerbWish) => materials.herbs.find((each) => each.id === herb.id)?.name ?? herb.name ?? 'herb'
  // Past the last of them another is being looked for, and none is put in before it is chosen.
  const adding = at >= herbs.length
  const old = herbs[at]
  const put = (next: HerbWish) => {
    const kept = { amount: old?.amount ?? null, parts: old?.parts ?? null }
    change({
      herbs: adding ? [...herbs, next] : herbs.map((herb, each) => (each === at ? { ...next, ...kept } : herb)),
    })
    if (adding) {
      setTyped('')
      setAt(herbs.length)
    }
  }
  const many = herbs.length > 1 || adding
  const here = new Set(herbs.map((herb) => herb.id ?? herb.name))
  const out = barred(wish, materials).herbs
  const isBarred = (herb: FoundHerb) => out.has(herb.id)
  const mayBe = (herb: FoundHerb) => !isBarred(herb) && (!adding || !here.has(herb.id || herb.name))
  const [offered, hold] = useStill((found ?? []).filter(mayBe))
  const barredHere = typed.trim() === '' ? [] : (found ?? []).filter(isBarred)
  const ownName = !(offered.length > 0 ? offered.some((herb) => isCalled(herb, typed)) : barredHere.length > 0)
  const notOffered = (barredOnes: FoundHerb[]) =>
    `Not offered (${heededOf(wish, materials)}): ${barredOnes.map((herb) => herb.name).join(', ')}.`
  const take = (herb: FoundHerb) => put(herb.id ? { id: herb.id } : { name: herb.name, form: herb.form })
  /** What is typed and not pressed yet is taken where only one herb can be meant, and asked about otherwise. */
  const takeTyped = async (words: string) => {
    taking.current = words
    const answer = await client.fetchQuery(herbsBy(house, words.toLowerCase()))
    if (taking.current !== words) return
    const may = answer.herbs.filter(mayBe)
    const meant = may.find((herb) => isCalled(herb, words)) ?? (may.length === 1 ? may[0] : undefined)
    if (meant) {
      take(meant)
      done()
    } else
      setUnclear(
        may.length > 1
          ? `More than one herb goes by “${words}”. Choose which.`
          : answer.herbs.some(isBarred)
            ? notOffered(answer.herbs.filter(isBarred))
            : `No herb of the list goes by “${words}”. Use it as it is, or write it otherwise.`,
      )
  }
  useBeforeShut(() => {
    const words = typed.trim()
    if (words === '') return true
    takeTyped(words).catch((problem: unknown) => setUnclear(problem instanceof Error ? problem.message : undefined))
    return false
  })
  return (
    <>
      {many ? (
        <HerbGrid
          edit={edit}
          herbs={herbs}
          nameOf={nameOf}
          at={at}
          choose={setAt}
          out={(index) => {
            change({ herbs: herbs.filter((_, each) => each !== index) })
            setAt(0)
          }}
        />
      ) : null}
      <div ref={field}>
        <Field
          label={
            adding
              ? 'Which herb as well'
              : herbs.length > 1
                ? `Another in place of ${nameOf(old ?? {})}`
                : 'Find a herb, or write your own'
          }
          value={typed}
          fault={unclear ?? fault('herbs') ?? fault('herb')}
          onChange={(e) => {
            setTyped(e.target.value)
            setUnclear(undefined)
            taking.current = null
          }}
        />
      </div>
      {typed.trim() !== '' && ownName ? (
        <button
          type="button"
          className="border-rim min-h-11 rounded-rim border-2 px-3 text-start"
          onClick={() => {
            put({ name: typed.trim(), form: old?.form ?? 'thin-leaf' })
            setTyped('')
            if (!many) done()
          }}
        >
          Use “{typed.trim()}”, which is not in the list
        </button>
      ) : null}
      {barredHere.length > 0 && !unclear ? <p className="text-soft">{notOffered(barredHere)}</p> : null}
      {herbs.length < MOST && !adding ? (
        <TextButton
          className="self-start"
          onClick={() => {
            setAt(herbs.length)
            setTyped('')
            field.current?.querySelector('input')?.focus()
          }}
        >
          Add another herb
        </TextButton>
      ) : null}
      {offered.length > 0 ? (
        <div onPointerDown={hold}>
          <Choice
            legend="Herbs"
            value={old?.id ?? (old?.name ? `name:${old.name}` : '')}
            choices={offered.map((herb) => ({
              id: herb.id || `name:${herb.name}`,
              name: herb.part ? `${herb.name} (${herb.part})` : herb.name,
              detail: [herb.here ? 'in Stores' : '', herb.says].filter(Boolean).join('. '),
            }))}
            onChoose={(id) => {
              const herb = offered.find((each) => (each.id || `name:${each.name}`) === id)
              if (herb) take(herb)
            }}
            done={many ? () => setTyped('') : done}
          />
        </div>
      ) : null}
      {herbs.length > 1 && !adding ? <FormEditor edit={edit} index={at} /> : null}
    </>
  )
}

type FoundHerb = Shape<'FoundHerbs'>['herbs'][number]

/** Found by the house, by any name. */
const herbsBy = (house: string, asked: string) => ({
  ...ofHouse(house, `/herbs?q=${encodeURIComponent(asked)}`),
  staleTime: 60_000,
})

const isCalled = (herb: FoundHerb, words: string) => herb.name.toLowerCase() === words.trim().toLowerCase()

/** Every herb with its amount or its parts, and what they come to together. */
function HerbGrid({
  edit,
  herbs,
  nameOf,
  at,
  choose,
  out,
}: {
  edit: Edit
  herbs: HerbWish[]
  nameOf: (herb: HerbWish) => string
  at: number
  choose: (index: number) => void
  out: (index: number) => void
}) {
  const { change, fault, plan } = edit
  const set = (index: number, more: Partial<HerbWish>) =>
    change({ herbs: herbs.map((one, each) => (each === index ? { ...one, ...more } : one)) })
  const together = plan?.figures.herb_mass?.text
  return (
    <div className="flex flex-col gap-1">
      <ul className="flex flex-col gap-2">
        {herbs.map((herb, each) => (
          <li
            key={nameOf(herb)}
            className="border-line grid grid-cols-[1fr_7.5rem_3.25rem_auto] items-end gap-2 border-b pb-2"
          >
            <button
              type="button"
              className={`min-h-11 text-start ${each === at ? 'font-semibold' : ''}`}
              aria-pressed={each === at}
              onClick={() => choose(each)}
            >
              {nameOf(herb)}
            </button>
            <Field
              label="Amount"
              placeholder="20 g"
              value={String(herb.amount ?? '')}
              aria-label={`Amount of ${nameOf(herb)}`}
              fault={fault(`herbs.${each}.amount`)}
              onChange={(e) => set(each, { amount: orNothing(e.target.value) })}
            />
            <Field
              label="Parts"
              inputMode="decimal"
              placeholder="1"
              value={herb.parts ?? ''}
              aria-label={`Parts of ${nameOf(herb)}`}
              fault={fault(`herbs.${each}.parts`)}
              onChange={(e) => set(each, { parts: orNothing(e.target.value) })}
            />
            <TextButton aria-label={`Take out ${nameOf(herb)}`} onClick={() => out(each)}>
              Out
            </TextButton>
          </li>
        ))}
      </ul>
      {together ? (
        <p className="flex justify-between">
          <span>together</span>
          <strong className="tabular-nums">{together}</strong>
        </p>
      ) : null}
    </div>
  )
}

/** Of several herbs, how each of them is. */
export function StatesEditor({ edit }: { edit: Edit }) {
  const { wish, materials } = edit
  return (
    <>
      {herbsOf(wish).map((herb, index) => (
        <StateChoice
          key={herb.id ?? herb.name ?? index}
          legend={materials.herbs.find((each) => each.id === herb.id)?.name ?? herb.name ?? 'herb'}
          edit={edit}
          index={index}
        />
      ))}
    </>
  )
}

function StateChoice({ legend, edit, index }: { legend: string; edit: Edit; index: number }) {
  const { wish, change, materials } = edit
  const herbs = herbsOf(wish)
  const herb = herbs[index] ?? {}
  const best = materials.herbs.find((each) => each.id === herb.id)?.best
  return (
    <Choice
      legend={legend}
      value={herb.state ?? 'dried'}
      choices={[
        { id: 'dried', name: 'dried', detail: best === 'dried' ? 'safest, and keeps longest' : '' },
        { id: 'wilted', name: 'wilted', detail: best === 'wilted' ? 'best so' : 'limp, not crisp' },
        { id: 'fresh', name: 'fresh', detail: best === 'fresh' ? 'best so: it loses by drying' : 'shorter keeping' },
      ]}
      onChoose={(next) =>
        change({
          herbs: herbs.map((each, at) =>
            at === index
              ? { ...each, state: next as 'dried', ...(next === 'dried' ? { water: null, picked: null } : {}) }
              : each,
          ),
        })
      }
    />
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
  return (
    <>
      <StateChoice legend="Its state" edit={edit} index={index} />
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
