import { Link, useNavigate } from 'react-router'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { putOnBench, type Wish } from '../bench/wish'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { TextButton } from '../parts/Button'
import { Trouble } from '../parts/Notice'
import { planFor } from './wanted'
import type { ProductWish } from './wish'

/** Products that are wanted by a day and not begun yet: what to do for each next. */
export function Wanted({ look }: { look: (wish: ProductWish, card: Shape<'WantedCard'>) => void }) {
  const list = useOfHouse('/wanted').data
  const house = useHouseId()
  const { works } = usePart()
  const say = useSay()
  const gone = useWrite<'DELETE /houses/{house}/wanted/{wanted}'>(() => say({ text: 'It is not wanted any more.' }))
  if (!list || list.wanted.length === 0) return null
  return (
    <section aria-label="Wanted by a day" className="border-line border-t pt-5">
      <h2 className="column-head font-text text-base">Wanted by a day</h2>
      <Trouble problem={gone.error} />
      <ul>
        {list.wanted.map((card) => (
          <li
            key={card.id}
            className="border-line grid gap-x-7 gap-y-1 border-b py-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,2fr)_auto]"
          >
            <p>
              <strong>{card.name}</strong>
              <span className="text-soft block">for {card.ready_text}</span>
            </p>
            <ul className="flex flex-col gap-1">
              {card.trouble ? <li className="text-warmth font-semibold">{card.trouble}</li> : null}
              {card.oils.map((oil) => (
                <Oil key={oil.index} card={card} oil={oil} />
              ))}
              <li>
                {card.late ? (
                  <span className="text-warmth font-semibold">Too late for its day as things stand. </span>
                ) : null}
                {card.late ? 'It can be made from' : 'Make it at the latest from'} {card.make_text} on.
              </li>
            </ul>
            {works ? (
              <p className="flex flex-wrap items-start gap-x-4">
                <TextButton onClick={() => look(card.wish, card)}>
                  {card.waits || card.trouble ? 'Look at it' : 'Begin it'}
                  <span className="sr-only">: {card.name}</span>
                </TextButton>
                <TextButton
                  disabled={gone.isPending}
                  onClick={() => gone.mutate({ method: 'DELETE', path: `/houses/${house}/wanted/${card.id}` })}
                >
                  Not wanted
                  <span className="sr-only">: {card.name}</span>
                </TextButton>
              </p>
            ) : null}
          </li>
        ))}
      </ul>
      {list.more ? <p className="text-soft">More are wanted than are listed here.</p> : null}
    </section>
  )
}

function Oil({ card, oil }: { card: Shape<'WantedCard'>; oil: Shape<'WantedOil'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const go = useNavigate()
  const begin = (wish: Wish) => {
    putOnBench(house, wish)
    planFor('bench', { id: card.id, name: card.name, oil: oil.index })
    void go(`/h/${house}/bench`)
  }
  return (
    <li className={oil.overdue ? 'text-warmth font-semibold' : ''}>
      {oil.batch ? (
        <Link
          className="inline-block underline underline-offset-4 first-letter:uppercase"
          to={`/h/${house}/batch/${oil.batch}`}
        >
          {oil.name}
        </Link>
      ) : (
        <span className="inline-block first-letter:uppercase">{oil.name}</span>
      )}
      : {oil.text}.{' '}
      {oil.wish && works ? (
        <TextButton onClick={() => begin(oil.wish as Wish)}>
          Put it on the Bench<span className="sr-only">: {oil.name}</span>
        </TextButton>
      ) : null}
    </li>
  )
}
