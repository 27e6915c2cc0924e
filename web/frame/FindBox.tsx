import { useDeferredValue, useState } from 'react'
import { useNavigate } from 'react-router'
import { useOfHouse } from '../api/hooks'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Sheet } from '../parts/Sheet'

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

type Props = { open: boolean; onOpenChange: (open: boolean) => void; base: string }

export function FindBox({ open, onOpenChange, base }: Props) {
  const [typed, setTyped] = useState('')
  const asked = useDeferredValue(typed.trim())
  const found = useOfHouse(`/find?q=${encodeURIComponent(asked)}`, {
    enabled: open && asked !== '',
    stale: 5_000,
  })
  const go = useNavigate()
  const low = asked.toLowerCase()
  const screens = SCREENS.filter(
    ({ name, also }) => low !== '' && [name.toLowerCase(), ...also].some((each) => each.startsWith(low)),
  ).map(({ path, name }) => ({ kind: 'place', name, detail: 'go there', path }))
  const all = [...screens, ...(found.data?.found ?? [])]
  const goTo = (path: string) => {
    onOpenChange(false)
    setTyped('')
    void go(`${base}/${path}`)
  }
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Find">
      <form
        onSubmit={sent(() => {
          const first = all[0]
          if (first) goTo(first.path)
        })}
      >
        <Field
          label="A jar, its code, a lot, a recipe, a plant, a place, or what is wrong"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          autoComplete="off"
        />
      </form>
      {found.data?.meant && asked !== '' ? (
        <p role="status">
          Nothing goes by “{asked}”. This does by “{found.data.meant}”:
        </p>
      ) : null}
      <ul className="flex flex-col">
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
