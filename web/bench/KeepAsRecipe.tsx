import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { Button } from '../parts/Button'
import { Area, Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import type { AnyWish } from '../recipes/wish'

type Props = { open: boolean; onOpenChange: (open: boolean) => void; wish: AnyWish; suggested: string }

/** The name, or the first with a number behind it that no other recipe goes by. */
function freeName(name: string, others: { name: string }[]): string {
  const taken = new Set(others.map((each) => each.name.toLowerCase()))
  let free = name
  for (let nth = 2; taken.has(free.toLowerCase()); nth++) free = `${name} ${nth}`
  return free
}

/** Keeps the wish under a name, or as a new version of one that is there. */
export function KeepAsRecipe({ open, onOpenChange, wish, suggested }: Props) {
  const house = useHouseId()
  const list = useOfHouse('/recipes', { enabled: open })
  const [form, set] = useState({ name: '', note: '', of: '' })
  const say = useSay()
  const go = useNavigate()
  const write = useWrite<'POST /houses/{house}/recipes' | 'PATCH /houses/{house}/recipes/{recipe}'>((recipe) => {
    onOpenChange(false)
    set({ name: '', note: '', of: '' })
    say({ text: `Kept: ${recipe.name}, version ${recipe.version}.` })
    void go(`/h/${house}/recipes/${recipe.id}`)
  })
  const old = list.data?.recipes.find((recipe) => recipe.id === form.of)
  const free = freeName(suggested, list.data?.recipes ?? [])
  const name = form.name || old?.name || free
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Keep as a recipe">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => {
          if (old && list.isFetching) return
          write.mutate(
            old
              ? {
                  method: 'PATCH',
                  path: `/houses/${house}/recipes/${old.id}`,
                  body: { name, note: form.note, wish, version: old.version },
                }
              : { path: `/houses/${house}/recipes`, body: { name, note: form.note, wish } },
          )
        })}
      >
        {list.data && list.data.recipes.length > 0 ? (
          <Select
            label="As"
            value={form.of}
            choices={[
              { id: '', name: 'a new recipe' },
              ...list.data.recipes.map((recipe) => ({ id: recipe.id, name: `the next version of ${recipe.name}` })),
            ]}
            onChange={(e) => set({ ...form, of: e.target.value })}
          />
        ) : null}
        <Field
          label="Name"
          maxLength={120}
          value={form.name}
          placeholder={old?.name ?? free}
          fault={write.error?.about('name')}
          onChange={(e) => set({ ...form, name: e.target.value })}
        />
        <Area
          label="Note"
          maxLength={5000}
          placeholder="What to do otherwise next time"
          value={form.note}
          onChange={(e) => set({ ...form, note: e.target.value })}
        />
        {write.error && !write.error.about('name') ? <Trouble problem={write.error} /> : null}
        {/* The next version comes after the one there is now, not after the one that was listed a while ago. */}
        <Button
          type="submit"
          look="strong"
          disabled={write.isPending || (old !== undefined && list.isFetching)}
          className="self-start"
        >
          Keep it
        </Button>
      </form>
    </Sheet>
  )
}
