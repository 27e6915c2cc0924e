import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { useKeptForm } from '../parts/kept'
import { Trouble } from '../parts/Notice'
import { useLine } from './line'
import type { Making } from './MakingPage'
import { capital } from '../parts/letters'

type Size = Making['fill'][number]

/** What is counted by size, how many of another size there are, and what else is said of them. */
const NOTHING = { counts: {} as Record<string, string>, ml: '', more: '', left: '', where: '' }

/** Poured: how many of which size, what is left over, and where they stand. */
export function PourIt({ making }: { making: Making }) {
  const { typed, put, set } = useKeptForm(`pour.${making.id}`, NOTHING)
  const { write, path } = useLine(making, () => set({}))
  const { ml, left, where } = typed
  const count = (size: Size) => typed.counts[size.ml] ?? String(size.count)
  const number = (text: string) => Number(text.trim().replace(',', '.'))
  const tins = [
    ...making.fill.map((size) => ({ ml: size.ml, count: number(count(size)) })),
    ...(ml.trim() === '' ? [] : [{ ml: number(ml), count: number(typed.more || '1') }]),
  ]
  const fault = write.error?.faults.find((each) => each.field.startsWith('tins'))?.sentence
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={sent(() =>
        write.mutate({
          path: `${path}/pour`,
          body: { tins, left: left.trim() === '' ? null : left, where },
        }),
      )}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        {making.fill.map((size) => (
          <Field
            key={size.ml}
            label={`${capital(making.vessel)}s of ${size.ml_text}`}
            inputMode="numeric"
            value={count(size)}
            onChange={(event) => put({ counts: { ...typed.counts, [size.ml]: event.target.value } })}
          />
        ))}
        <Field
          label="Another size, mL"
          inputMode="decimal"
          placeholder="none"
          value={ml}
          onChange={(event) => put({ ml: event.target.value })}
        />
        {ml.trim() === '' ? null : (
          <Field
            label="How many of it"
            inputMode="numeric"
            placeholder="1"
            value={typed.more}
            onChange={(event) => put({ more: event.target.value })}
          />
        )}
        <Field
          label="Left over, put elsewhere"
          placeholder="not looked at"
          value={left}
          fault={write.error?.about('left')}
          onChange={(event) => put({ left: event.target.value })}
        />
        <Field
          label="Where they stand"
          placeholder="the bathroom cupboard"
          maxLength={80}
          value={where}
          onChange={(event) => put({ where: event.target.value })}
        />
      </div>
      {fault ? (
        <p className="text-warmth font-semibold" role="alert">
          {fault}
        </p>
      ) : write.error && !write.error.about('left') ? (
        <Trouble problem={write.error} />
      ) : null}
      <Button type="submit" look="strong" className="self-start px-6" disabled={write.isPending}>
        Poured
      </Button>
    </form>
  )
}
