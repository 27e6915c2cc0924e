import { useSearchParams } from 'react-router'
import { Solvents } from '../boil/Solvents'

/** Should it be an oil at all: what each solvent takes of a plant, how long it keeps, and what it can be mixed into. */
export default function WhichSolvent() {
  const [query] = useSearchParams()
  return (
    <div className="flex flex-col gap-6">
      <header>
        <h1 className="text-3xl">Which solvent</h1>
        <p className="text-soft">Should it be an oil at all? Only oil, decoctions and glycerin are planned here.</p>
      </header>
      <Solvents plant={query.get('plant') ?? 'calendula'} />
    </div>
  )
}
