import { Link } from 'react-router'
import { type Shape, useHouseId } from '../api/hooks'
import { TextButton } from '../parts/Button'
import { herbsOf, oilsOf, type OilWish, unmeasured, type Wish } from './wish'
import { capital } from '../parts/letters'

type Need = Shape<'Plan'>['stores'][number]

/** What the plan takes from Stores, lot by lot; another lot can be named to go first. */
export function FromStores({
  plan,
  wish,
  change,
}: {
  plan: Shape<'Plan'>
  wish: Wish
  change: (change: Partial<Wish>) => void
}) {
  const herbs = herbsOf(wish)
  const oils = oilsOf(wish)
  const first = (need: Need, index: number): string =>
    (need.kind === 'herb' ? herbs[index]?.lot : oils.find((oil) => oil.id === need.material)?.lot) ?? ''
  const name = (need: Need, index: number, lot: string) =>
    need.kind === 'herb'
      ? change({ herbs: herbs.map((herb, at) => (at === index ? { ...herb, lot } : herb)) })
      : change({ oils: oils.map((oil): OilWish => (oil.id === need.material ? { ...oil, lot } : oil)) as Wish['oils'] })
  // With one herb, or one oil, a lot can be the side the plan is given its size from.
  const useAll = (need: Need, lot: Need['lots'][number]) => {
    const nothing = { oil_amount: null, finished: null, by_jar: null, jar: null, jars: null }
    const unweighed = herbs.map(({ amount: _amount, ...herb }) => herb)
    if (need.kind === 'herb')
      change({
        ...nothing,
        oils: unmeasured(wish),
        herbs: [{ ...unweighed[0], amount: `${lot.left} g`, lot: lot.lot }],
      })
    else
      change({
        ...nothing,
        herbs: unweighed,
        oil_amount: `${lot.left} mL`,
        oils: [{ id: need.material, lot: lot.lot }],
      })
  }
  const alone = (need: Need) => (need.kind === 'herb' ? herbs.length : oils.length) === 1
  return (
    <ul className="grid gap-x-10 gap-y-6 md:grid-cols-2">
      {plan.stores.map((need, index) => (
        <li key={need.kind + need.material + need.name}>
          <OneNeed
            need={need}
            first={first(need, index)}
            name={(lot) => name(need, index, lot)}
            all={alone(need) ? (lot) => useAll(need, lot) : null}
          />
        </li>
      ))}
    </ul>
  )
}

type One = {
  need: Need
  first: string
  name: (lot: string) => void
  all: ((lot: Need['lots'][number]) => void) | null
}

function OneNeed({ need, first, name, all }: One) {
  const house = useHouseId()
  const taken = need.takes[0]?.lot ?? ''
  return (
    <fieldset className="flex flex-col">
      <legend className="font-semibold">{capital(need.name)}</legend>
      {need.lots.length === 0 ? (
        <p className="text-soft">
          Stores keeps none.{' '}
          <Link
            className="underline"
            to={`/h/${house}/stores/new?kind=${need.kind}&material=${need.material || need.name}`}
          >
            Enter a lot
          </Link>
        </p>
      ) : null}
      {need.lots.map((lot) => {
        const take = need.takes.find((each) => each.lot === lot.lot)
        return (
          <div key={lot.lot} className="border-line flex flex-wrap items-center gap-x-4 border-b">
            <label className="flex min-h-11 flex-1 items-center gap-3 py-1.5">
              <input
                type="radio"
                name={`lot-${need.kind}-${need.material || need.name}`}
                className="size-5 shrink-0"
                disabled={!lot.usable}
                checked={(first || taken) === lot.lot}
                onChange={() => name(lot.lot)}
              />
              <span className="flex-1">
                {lot.called}
                {lot.condition === 'sound' ? null : (
                  <span className={lot.condition === 'past' ? 'text-warmth block' : 'block'}>
                    <strong>{lot.condition === 'past' ? 'Past.' : 'Ageing.'}</strong> {lot.why}
                  </span>
                )}
              </span>
              <span className="figures text-end">
                {take ? <strong>{take.text} taken</strong> : null}
                <span className="text-soft block">
                  {take ? `${take.left_text} left after` : `${lot.left_text} there`}
                </span>
              </span>
            </label>
            {all && lot.usable ? (
              <TextButton onClick={() => all(lot)} aria-label={`Plan with all of ${lot.called}`}>
                Plan with all of it
              </TextButton>
            ) : null}
          </div>
        )
      })}
      {need.short_text ? <p className="mt-1 font-semibold">{need.short_text} short.</p> : null}
    </fieldset>
  )
}
