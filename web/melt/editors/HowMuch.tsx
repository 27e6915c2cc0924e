import { Choice } from '../../bench/editors/edit'
import { TextButton } from '../../parts/Button'
import { Field } from '../../parts/Field'
import { oilsOf } from '../wish'
import { about, type Edit, number, Wrong } from './edit'

export function HowMuchEditor({ edit: { wish, change, choices, problem } }: { edit: Edit }) {
  const product = choices.products.find((each) => each.id === (wish.product ?? 'salve'))
  const tins = wish.tins ?? (product ? [{ ml: product.usual_ml, count: product.usual_count }] : [])
  const way = wish.total !== undefined ? 'total' : oilsOf(wish).some((oil) => oil.amount !== undefined) ? 'oil' : 'tins'
  const set = (next: { ml: number; count?: number | null }[]) => change({ tins: next })
  return (
    <>
      <Choice
        legend="How much"
        value={way}
        choices={[
          { id: 'tins', name: `so many ${product?.vessel ?? 'tin'}s` },
          { id: 'oil', name: 'as much as the oil at hand makes' },
          { id: 'total', name: 'so much in all' },
        ]}
        onChoose={(to) =>
          change({
            total: to === 'total' ? '300 g' : null,
            tins: to === 'tins' ? null : tins.map((tin) => ({ ml: tin.ml })),
            oils:
              to === 'oil'
                ? oilsOf(wish).map((oil) => ({ ...oil, parts: undefined, amount: oil.amount ?? '200 mL' }))
                : (wish.oils ?? []).length > 0
                  ? oilsOf(wish).map(({ amount: _gone, ...oil }) => oil)
                  : null,
          })
        }
      />
      {way === 'total' ? (
        <Field
          label="In all"
          value={String(wish.total ?? '')}
          fault={about(problem, 'total')}
          hint="A weight or a volume, such as 300 g or 1 cup."
          onChange={(event) => change({ total: event.target.value || '0' })}
        />
      ) : null}
      {way === 'oil' ? <p className="text-soft">Say how much of it under “the oil”.</p> : null}
      {tins.map((tin, index) => (
        <div key={index} className="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
          <Field
            label="Holds, mL"
            inputMode="decimal"
            list="sizes-of-it"
            defaultValue={tin.ml}
            onChange={(event) =>
              set(tins.map((each, at) => (at === index ? { ...each, ml: number(event.target.value) as number } : each)))
            }
          />
          <Field
            label="How many"
            inputMode="numeric"
            placeholder={way === 'tins' ? '' : 'as many as fill'}
            defaultValue={tin.count ?? ''}
            onChange={(event) =>
              set(
                tins.map((each, at) =>
                  at === index ? { ml: each.ml, ...counted(number(event.target.value) as number) } : each,
                ),
              )
            }
          />
          {tins.length > 1 ? (
            <TextButton
              aria-label={`Without those of ${tin.ml} mL`}
              onClick={() => set(tins.filter((_, at) => at !== index))}
            >
              Out
            </TextButton>
          ) : null}
        </div>
      ))}
      <datalist id="sizes-of-it">
        {product?.sizes_ml.map((ml) => (
          <option key={ml} value={ml}>
            {ml} mL
          </option>
        ))}
      </datalist>
      {tins.length < 4 ? (
        <TextButton
          onClick={() => set([...tins, { ml: product?.sizes_ml[0] ?? 30, ...(way === 'tins' ? { count: 1 } : {}) }])}
        >
          And another size
        </TextButton>
      ) : null}
      <Wrong says={about(problem, 'tins')} />
    </>
  )
}

const counted = (count: number | undefined) => (count === undefined ? {} : { count })
