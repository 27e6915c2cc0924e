import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { useBegun } from '../parts/begun'
import { Button, FileLink, TextButton } from '../parts/Button'
import { Area, Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { type AnyWish, isProduct, putThere } from './wish'
import { capital } from '../parts/letters'

type View = Shape<'RecipeView'>

export default function RecipePage() {
  const { recipe: id = '' } = useParams()
  const recipe = useOfHouse(`/recipes/${id}`)
  const { there, instead } = useArrived(recipe, 'the recipe')
  if (!there) return instead
  return <Page key={there.id} recipe={there} />
}

function Page({ recipe }: { recipe: View }) {
  const house = useHouseId()
  const { works } = usePart()
  const [editing, setEditing] = useState(false)
  const [form, set] = useState({ name: recipe.name, note: recipe.note })
  const go = useNavigate()
  const say = useSay()
  const edit = useWrite<'PATCH /houses/{house}/recipes/{recipe}'>((kept) => {
    setEditing(false)
    say({ text: `Kept as version ${kept.version}.` })
  })
  const begun = useBegun(recipe.version, editing, edit.error)
  const remove = useWrite(() => {
    say({ text: `${recipe.name} is off the list.` })
    void go(`/h/${house}/recipes`)
  })
  const plan = (wish: AnyWish) => void go(`/h/${house}/${putThere(house, wish)}`)
  const there = isProduct(recipe.wish) ? 'at the melt' : 'on the bench'
  const base = `/api/houses/${house}/recipes/${recipe.id}`
  return (
    <div className="flex max-w-4xl flex-col gap-6">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <p className="text-soft">Recipe, version {recipe.version}</p>
          <h1 className="text-4xl">{recipe.name}</h1>
        </div>
        <Button look="strong" onClick={() => plan(recipe.wish)}>
          Put it {there}
        </Button>
      </header>
      {recipe.note ? <p className="whitespace-pre-line">{recipe.note}</p> : null}
      <section aria-labelledby="share" className="border-line flex flex-col gap-3 border-t pt-4">
        <h2 id="share" className="column-head font-text text-base">
          Share it
        </h2>
        <div className="flex flex-wrap gap-2">
          <FileLink href={`${base}/recipe.json`} download>
            As our own file
          </FileLink>
          <FileLink href={`${base}/recipe.jsonld`} download>
            As schema.org Recipe
          </FileLink>
        </div>
      </section>
      <section aria-labelledby="versions" className="border-line flex flex-col gap-1 border-t pt-4">
        <h2 id="versions" className="column-head font-text text-base">
          How it was
        </h2>
        <ul>
          {recipe.versions.map((version) => (
            <li
              key={version.number}
              className="border-line flex flex-wrap items-baseline justify-between gap-x-4 border-b py-2"
            >
              <span>
                <strong>Version {version.number}</strong> {version.name === recipe.name ? '' : version.name}
                <span className="text-soft block">
                  {version.at}, {version.by}
                  {version.note ? `: ${version.note}` : ''}
                </span>
              </span>
              <TextButton onClick={() => plan(version.wish)}>{capital(there)}, as it was</TextButton>
            </li>
          ))}
        </ul>
      </section>
      {works ? (
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => setEditing(true)}>Change name or note</Button>
          <Button
            look="stop"
            disabled={remove.isPending}
            onClick={() => remove.mutate({ method: 'DELETE', path: `/houses/${house}/recipes/${recipe.id}` })}
          >
            Take it off the list
          </Button>
        </div>
      ) : null}
      <Sheet open={editing} onOpenChange={setEditing} title="Change name or note">
        <form
          className="flex flex-col gap-4"
          onSubmit={sent(() => {
            edit.mutate({
              method: 'PATCH',
              path: `/houses/${house}/recipes/${recipe.id}`,
              body: { ...form, wish: recipe.wish, version: begun },
            })
          })}
        >
          <Field
            label="Name"
            required
            maxLength={120}
            value={form.name}
            fault={edit.error?.about('name')}
            onChange={(e) => set({ ...form, name: e.target.value })}
          />
          <Area
            label="Note"
            maxLength={5000}
            value={form.note}
            onChange={(e) => set({ ...form, note: e.target.value })}
          />
          {edit.error && !edit.error.about('name') ? <Trouble problem={edit.error} /> : null}
          <Button type="submit" look="strong" className="self-start" disabled={edit.isPending}>
            Keep it so
          </Button>
        </form>
      </Sheet>
    </div>
  )
}
