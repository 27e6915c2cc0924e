import { Link } from 'react-router'
import { type Shape, useHouseId } from '../api/hooks'

/** Pots that are boiled down, each with what is next, and what came of others; what is past its day in plain words. */
export function PotLinks({ pots, look }: { pots: Shape<'BoilCard'>[]; look: string }) {
  const house = useHouseId()
  return (
    <ul className={look}>
      {pots.map((pot) => {
        const past = pot.urgent && pot.stage === 'made'
        return (
          <li key={pot.id} className="border-line border-b py-2">
            <Link to={`/h/${house}/stove/boil/${pot.id}`}>
              <strong>{pot.name}</strong> <span className="text-soft figures">{pot.code}</span>
              <span className={`block ${past ? 'text-warmth font-semibold' : ''}`}>
                {past ? `Not to be used: ${pot.says}` : pot.says}
              </span>
            </Link>
          </li>
        )
      })}
    </ul>
  )
}
