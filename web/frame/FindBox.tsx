import { useDeferredValue, useState } from 'react'
import { useNavigate } from 'react-router'
import { useOfHouse } from '../api/hooks'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Sheet } from '../parts/Sheet'

const SCREENS = ['today', 'diary', 'bench', 'boil', 'shelf', 'stove', 'press', 'stores', 'recipes', 'almanac', 'house']

type Props = { open: boolean; onOpenChange: (open: boolean) => void; base: string }

export function FindBox({ open, onOpenChange, base }: Props) {
  const [typed, setTyped] = useState('')
  const asked = useDeferredValue(typed.trim())
  const found = useOfHouse(`/find?q=${encodeURIComponent(asked)}`, {
    enabled: open && asked !== '',
    stale: 5_000,
  })
  const go = useNavigate()
  const screens = SCREENS.filter((screen) => asked !== '' && screen.startsWith(asked.toLowerCase())).map((screen) => ({
    kind: 'place',
    name: screen[0]?.toUpperCase() + screen.slice(1),
    detail: 'go there',
    path: screen,
  }))
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
          label="A jar, its code, a lot, a recipe, a plant or a place"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          autoComplete="off"
        />
      </form>
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
