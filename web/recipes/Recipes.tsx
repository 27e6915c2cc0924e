import { Link } from 'react-router'
import { useHouseId, useOfHouse } from '../api/hooks'
import { useArrived } from '../parts/arrived'
import { ButtonLink } from '../parts/Button'

export default function Recipes() {
  const house = useHouseId()
  const list = useOfHouse('/recipes')
  const { there, instead } = useArrived(list, 'the recipes')
  if (!there) return instead
  const { recipes, total } = there
  return (
    <div className="flex max-w-4xl flex-col gap-5">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-4xl">{recipes.length === 0 ? 'No recipes are kept yet.' : 'Recipes'}</h1>
        <div className="flex flex-wrap gap-2">
          <ButtonLink to={`/h/${house}/recipes/read`}>Read one in</ButtonLink>
          <ButtonLink look={recipes.length === 0 ? 'strong' : 'plain'} to={`/h/${house}/bench`}>
            To the bench
          </ButtonLink>
        </div>
      </header>
      {recipes.length === 0 ? (
        <p>Plan a jar at the bench and keep it under a name; or read in one that is written down.</p>
      ) : null}
      <ul className="flex flex-col">
        {recipes.map((recipe) => (
          <li key={recipe.id} className="border-line border-b">
            <Link
              to={`/h/${house}/recipes/${recipe.id}`}
              className="group flex items-baseline justify-between gap-4 py-3"
            >
              <span>
                <strong className="text-lg group-hover:underline">{recipe.name}</strong>
                <span className="text-soft block">{recipe.sentence}</span>
              </span>
              <span className="text-soft figures text-end whitespace-nowrap">
                version {recipe.version}
                <span className="block">{recipe.changed}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {total > recipes.length ? (
        <p className="text-soft">{total - recipes.length} more; find them by name with /.</p>
      ) : null}
    </div>
  )
}
