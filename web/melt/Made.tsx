import { Link } from 'react-router'
import { type Shape, useHouseId, useOfHouse } from '../api/hooks'
import { FileLink } from '../parts/Button'

/** Products that are in the pot, and those of which some still stands somewhere. */
export function Made() {
  const house = useHouseId()
  const list = useOfHouse('/makings').data
  if (!list || list.open.length + list.made.length === 0) return null
  return (
    <div className="border-line grid gap-x-7 gap-y-6 border-t pt-5 lg:grid-cols-2">
      {list.open.length > 0 ? <Cards title="On the stove now" cards={list.open} /> : null}
      {list.made.length > 0 ? <Cards title="Made here" cards={list.made} /> : null}
      <p className="no-print lg:col-span-2">
        <FileLink href={`/api/houses/${house}/account.csv`}>The year’s account, CSV</FileLink>
      </p>
    </div>
  )
}

function Cards({ title, cards }: { title: string; cards: Shape<'MakingCard'>[] }) {
  const house = useHouseId()
  return (
    <section aria-label={title}>
      <h2 className="column-head font-text text-base">{title}</h2>
      <ul>
        {cards.map((card) => (
          <li key={card.id} className="border-line flex flex-wrap items-baseline justify-between gap-x-4 border-b py-2">
            <Link className="font-semibold underline underline-offset-4" to={`/h/${house}/making/${card.id}`}>
              {card.name}
            </Link>
            <span className="text-soft">
              {card.code} · {card.stage_text}
              {card.stands && card.tins_left > 0 ? ` · ${card.stands}` : ''}
              {card.stage === 'poured' ? ' · ' : ''}
              {card.stage === 'poured' ? (
                <span className={card.past ? 'text-warmth font-semibold' : ''}>
                  {card.past ? 'past its day, ' : 'until '}
                  {card.best_before}
                </span>
              ) : null}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
