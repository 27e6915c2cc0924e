import { useQueryClient } from '@tanstack/react-query'
import { useDeferredValue, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { ofHouse, useHouseId, useOfHouse } from '../api/hooks'
import { Field } from '../parts/Field'
import { Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { useStill } from '../parts/still'

/** Every place one can go to, by its name and by what else it may be called. */
const SCREENS = [
  { path: 'today', name: 'Today', also: ['tasks'] },
  { path: 'diary', name: 'The days to come', also: ['diary', 'calendar'] },
  { path: 'bench', name: 'Bench', also: ['plan'] },
  { path: 'boil', name: 'The long oil', also: ['long oil', 'boil', 'decoction', 'glycerin'] },
  { path: 'shelf', name: 'Shelf', also: ['jars'] },
  { path: 'stove', name: 'Stove', also: ['cookers', 'warmth'] },
  { path: 'press', name: 'Press', also: ['strain', 'bottle'] },
  { path: 'melt', name: 'Melt', also: ['salve', 'products'] },
  { path: 'stores', name: 'Stores', also: ['lots', 'cupboard'] },
  { path: 'recipes', name: 'Recipes', also: [] },
  { path: 'almanac', name: 'Almanac', also: ['plants', 'oils'] },
  { path: 'practice', name: 'Practice', also: ['made-up jars', 'learn', 'exercises'] },
  { path: 'almanac/what-is-wrong', name: 'What is wrong', also: ['faults', 'fault finder'] },
  { path: 'almanac/which-solvent', name: 'Which solvent', also: ['solvents'] },
  { path: 'almanac/yields', name: 'Yields', also: [] },
  { path: 'house', name: 'House', also: ['settings', 'units', 'people'] },
]

const screensBy = (words: string) => {
  const low = words.toLowerCase()
  const called = SCREENS.filter(
    ({ name, also }) => low !== '' && [name.toLowerCase(), ...also].some((each) => each.startsWith(low)),
  )
  return called.map(({ path, name }) => ({ kind: 'place', name, detail: 'go there', path }))
}

/** So long an answer is taken again for the same words. */
const FRESH_MS = 5_000

const toFind = (words: string) => `/find?q=${encodeURIComponent(words)}` as const

type Props = { open: boolean; onOpenChange: (open: boolean) => void; base: string }

export function FindBox({ open, onOpenChange, base }: Props) {
  const [typed, setTyped] = useState('')
  const client = useQueryClient()
  const house = useHouseId()
  // What was asked for by Enter; nothing any more, when something else is typed or it is closed before the answer.
  const entered = useRef<string | null>(null)
  const asked = useDeferredValue(typed.trim())
  const found = useOfHouse(toFind(asked), {
    enabled: open && asked !== '',
    stale: FRESH_MS,
  })
  const go = useNavigate()
  const [all, hold] = useStill([...screensBy(asked), ...(found.data?.found ?? [])])
  const goTo = (path: string) => {
    show(false)
    setTyped('')
    void go(`${base}/${path}`)
  }
  const show = (now: boolean) => {
    entered.current = null
    onOpenChange(now)
  }
  /** To the first of what goes by these words, as soon as that is known. */
  const goToFirst = async () => {
    const words = typed.trim()
    if (words === '') return
    entered.current = words
    const known = screensBy(words)[0]
    const first = known ?? (await client.fetchQuery({ ...ofHouse(house, toFind(words)), staleTime: FRESH_MS })).found[0]
    if (first && entered.current === words) goTo(first.path)
  }
  return (
    <Sheet open={open} onOpenChange={show} title="Find">
      <form
        onSubmit={(event) => {
          event.preventDefault()
          // What went wrong is told below, of the same question.
          void goToFirst().catch(() => {})
        }}
      >
        <Field
          label="A jar, its code, a lot, a recipe, a plant, a place, or what is wrong"
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value)
            entered.current = null
          }}
          autoComplete="off"
        />
      </form>
      {found.data?.meant && asked !== '' ? (
        <p role="status">
          Nothing goes by “{asked}”. This does by “{found.data.meant}”:
        </p>
      ) : null}
      {asked !== '' ? <Trouble problem={found.error} /> : null}
      <ul className="flex flex-col" onPointerDown={hold}>
        {all.map((each) => (
          <li key={each.path} className="border-line border-b">
            <button type="button" className="flex w-full flex-col py-2 text-start" onClick={() => goTo(each.path)}>
              <strong>{each.name}</strong>
              <span className="text-soft">{each.detail}</span>
            </button>
          </li>
        ))}
        {asked !== '' && all.length === 0 && found.isSuccess ? <li>Nothing by that name.</li> : null}
      </ul>
    </Sheet>
  )
}
