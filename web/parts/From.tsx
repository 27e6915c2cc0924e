import { Link } from 'react-router'
import { type Shape, useHouseId } from '../api/hooks'

/** Where each kind of thing has its page. */
const AT = { batch: 'batch', boil: 'stove/boil', lot: 'stores' } as const

/** The batches, pots and lots that something was made of, each with how much of it; nothing where there are none. */
export function From({ from, head = 'Where it came from' }: { from: Shape<'FromView'>[]; head?: string }) {
  const house = useHouseId()
  if (from.length === 0) return null
  return (
    <div>
      <h2 className="column-head font-text text-base">{head}</h2>
      <ul>
        {from.map((each) => (
          <li key={each.id} className="border-line flex justify-between gap-4 border-b py-1">
            <Link className="underline underline-offset-4" to={`/h/${house}/${AT[each.kind]}/${each.id}`}>
              {each.name}
            </Link>
            <span className="figures">{each.amount_text}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}
