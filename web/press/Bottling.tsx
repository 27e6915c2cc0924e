import { useQuery } from '@tanstack/react-query'
import { ask } from '../api/client'
import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { Figure, type Reckoned } from '../parts/Figure'
import { sent } from '../parts/form'
import { useKeptForm } from '../parts/kept'
import { Notice, Trouble } from '../parts/Notice'
import { BottleRow } from './BottleRow'

type Offer = Shape<'FillOffer'>

const FORMS = [
  { id: 'd-alpha-tocopherol', name: 'natural, d-alpha' },
  { id: 'dl-alpha-tocopherol', name: 'dl-alpha' },
  { id: 'dl-alpha-tocopheryl-acetate', name: 'dl-alpha acetate' },
]

/** Bottles of the house's sizes: the filling that leaves the least over, around those that are wished for. */
export function Bottling({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const { press, kept } = batch
  const { typed, put, set } = useKeptForm(`bottle.${batch.id}`, {
    counts: {} as Record<string, string>,
    fixed: {} as Record<string, number>,
    fromStores: true,
    form: 'd-alpha-tocopherol',
    place: kept.place,
    glass: kept.glass,
    antioxidant: kept.antioxidant,
    where: kept.where,
  })
  const { counts, fixed, fromStores, form, place, glass, antioxidant, where } = typed
  const write = useBatchWrite(() => set({}))
  const asked = {
    fixed: Object.entries(fixed).map(([size, count]) => ({ size, count })),
    from_stores: fromStores,
    vitamin_e: form,
  }
  const filling = useQuery({
    queryKey: ['house', house, 'filling', batch.id, batch.version, asked],
    queryFn: ({ signal }) => ask(`/houses/${house}/batches/${batch.id}/filling`, asked, signal),
    // What was reckoned for another amount is not shown for this one.
    placeholderData: (before, query) => (query?.queryKey.at(-2) === batch.version ? before : undefined),
    retry: false,
  })
  if (!works) return null
  const offers = filling.data?.offers ?? []
  const offered = (size: string) => offers[0]?.bottles.find((line) => line.size === size)?.count ?? 0
  const count = (size: string) => counts[size] ?? String(offered(size))
  const take = (offer: Offer) =>
    put({
      counts: Object.fromEntries(
        press.sizes.map((size) => [
          size.size,
          String(offer.bottles.find((line) => line.size === size.size)?.count ?? 0),
        ]),
      ),
    })
  return (
    <section aria-labelledby="bottle" className="flex flex-col gap-4">
      <h2 id="bottle" className="text-2xl">
        Bottle
      </h2>
      <p>
        <strong>{press.to_bottle}</strong> to fill{press.poured_lost ? `, ${press.poured_lost} went with the mud` : ''}.
        Clean, bone-dry, dark bottles; nearly full; cap them cold.
        {press.settled ? '' : ' It has not settled its 24 hours yet.'}
      </p>
      <Trouble problem={filling.error} />
      <div className="grid gap-x-8 gap-y-6 xl:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        <form
          className="flex flex-col gap-4"
          onSubmit={sent(() => {
            const bottles = press.sizes
              .map((size) => ({ size: size.size, count: Number(count(size.size)) }))
              .filter((line) => line.count !== 0)
            write.mutate({
              path: `/houses/${house}/batches/${batch.id}/bottle`,
              body: { bottles, place, glass, antioxidant, where, from_stores: fromStores },
            })
          })}
        >
          <ul className="flex flex-col" aria-label="Ways to fill it">
            {offers.slice(0, 5).map((offer) => (
              <li key={offer.id} className="border-line flex flex-wrap items-center gap-x-4 border-b py-1.5">
                <span className="flex-1">
                  {offer.says}
                  <span className="text-soft">
                    {' '}
                    · {offer.left_text} over{offer.id === 'least-left' ? ', the least there is' : ''}
                  </span>
                </span>
                <Button
                  disabled={filling.isPlaceholderData}
                  onClick={() => take(offer)}
                  aria-label={`Take ${offer.says}`}
                >
                  Take it
                </Button>
              </li>
            ))}
          </ul>
          <BottleRow
            bottles={press.sizes
              .map((size) => ({ capacity: size.capacity_ml, count: Number(count(size.size)) || 0 }))
              .reverse()}
          />
          <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
            {press.sizes.map((size) => (
              <Field
                key={size.size}
                label={size.called}
                hint={
                  <>
                    {size.stock === null ? '' : `${size.stock} in Stores. `}
                    {fixed[size.size] === undefined ? (
                      <button
                        type="button"
                        className="min-h-6 underline underline-offset-4"
                        onClick={() => put({ fixed: { ...fixed, [size.size]: Number(count(size.size)) || 0 } })}
                        aria-label={`Keep so many ${size.called}, and find the best around them`}
                      >
                        keep
                      </button>
                    ) : (
                      <button
                        type="button"
                        className="min-h-6 font-semibold underline underline-offset-4"
                        onClick={() =>
                          put({ fixed: Object.fromEntries(Object.entries(fixed).filter(([id]) => id !== size.size)) })
                        }
                        aria-label={`Let ${size.called} go free again`}
                      >
                        kept at {fixed[size.size]}
                      </button>
                    )}
                  </>
                }
                type="number"
                min={0}
                max={500}
                inputMode="numeric"
                value={count(size.size)}
                onChange={({ target: { value } }) =>
                  put({
                    counts: { ...counts, [size.size]: value },
                    // What is kept at a number is kept at the one that is typed.
                    ...(fixed[size.size] === undefined ? {} : { fixed: { ...fixed, [size.size]: Number(value) || 0 } }),
                  })
                }
              />
            ))}
          </div>
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-5"
              checked={fromStores}
              onChange={(event) => put({ fromStores: event.target.checked })}
            />
            From the bottles in Stores
          </label>
          <div className="grid gap-4 sm:grid-cols-2">
            <Select
              label="In"
              choices={kept.glasses}
              value={glass}
              fault={write.error?.about('glass')}
              onChange={(e) => put({ glass: e.target.value })}
            />
            <Select
              label="With"
              choices={kept.antioxidants}
              value={antioxidant}
              onChange={(e) => put({ antioxidant: e.target.value })}
            />
            <Select
              label="Kept in"
              choices={kept.places}
              value={place}
              fault={write.error?.about('place')}
              onChange={(e) => put({ place: e.target.value })}
            />
            <Field
              label="Where they stand"
              placeholder="larder, second shelf"
              maxLength={120}
              value={where}
              onChange={(e) => put({ where: e.target.value })}
            />
          </div>
          <Trouble problem={write.error} />
          <Button type="submit" look="strong" className="self-start" disabled={write.isPending || filling.isPending}>
            Bottles are filled
          </Button>
        </form>
        {filling.data ? (
          <section aria-labelledby="antioxidant" className="flex flex-col gap-3">
            <h3 id="antioxidant" className="column-head text-base">
              If anything goes in
            </h3>
            <Notice rank="note">
              {filling.data.advised
                ? 'It keeps longer than three months: 500 IU of vitamin E to a cup is usual.'
                : 'It keeps a short while: nothing need go in.'}{' '}
              It slows rancidity only; it kills no microbe.
            </Notice>
            <Select
              label="The vitamin E you have"
              choices={FORMS}
              value={form}
              onChange={(e) => put({ form: e.target.value })}
            />
            <Doses
              doses={[
                ['Vitamin E', filling.data.vitamin_e.vitamin_e_iu],
                ['by weight', filling.data.vitamin_e.vitamin_e_mg],
                ['by volume', filling.data.vitamin_e.vitamin_e_ml],
                ['in drops', filling.data.vitamin_e.vitamin_e_drops],
                ['in capsules of 400 IU', filling.data.vitamin_e.vitamin_e_capsules],
                ['Or rosemary extract', filling.data.rosemary.rosemary_g],
                ['in drops of it', filling.data.rosemary.rosemary_drops],
              ]}
            />
          </section>
        ) : null}
      </div>
    </section>
  )
}

function Doses({ doses }: { doses: [string, Reckoned | undefined][] }) {
  return (
    <dl className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 gap-y-1.5 [&_dd]:text-end">
      {doses.map(([name, figure]) => (
        <div key={name} className="contents">
          <dt>{name}</dt>
          <dd>
            <Figure name={name} figure={figure} size="text-xl" />
          </dd>
        </div>
      ))}
    </dl>
  )
}
