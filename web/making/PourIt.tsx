import { useState } from 'react'
import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { useLine } from './line'
import type { Making } from './MakingPage'
import { capital } from '../parts/letters'

/** Poured: how many of which size, what is left over, and where they stand. */
export function PourIt({ making }: { making: Making }) {
  const [counts, setCounts] = useState(() => making.fill.map((size) => String(size.count)))
  const [more, setMore] = useState({ ml: '', count: '' })
  const [left, setLeft] = useState('')
  const [where, setWhere] = useState('')
  const { write, path } = useLine(making)
  const number = (typed: string) => Number(typed.trim().replace(',', '.'))
  const tins = [
    ...making.fill.map((size, index) => ({ ml: size.ml, count: number(counts[index] ?? '0') })),
    ...(more.ml.trim() === '' ? [] : [{ ml: number(more.ml), count: number(more.count || '1') }]),
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
        {making.fill.map((size, index) => (
          <Field
            key={size.ml}
            label={`${capital(making.vessel)}s of ${size.ml_text}`}
            inputMode="numeric"
            value={counts[index] ?? ''}
            onChange={(event) => setCounts(counts.map((each, at) => (at === index ? event.target.value : each)))}
          />
        ))}
        <Field
          label="Another size, mL"
          inputMode="decimal"
          placeholder="none"
          value={more.ml}
          onChange={(event) => setMore({ ...more, ml: event.target.value })}
        />
        {more.ml.trim() === '' ? null : (
          <Field
            label="How many of it"
            inputMode="numeric"
            value={more.count}
            onChange={(event) => setMore({ ...more, count: event.target.value })}
          />
        )}
        <Field
          label="Left over, put elsewhere"
          placeholder="not looked at"
          value={left}
          fault={write.error?.about('left')}
          onChange={(event) => setLeft(event.target.value)}
        />
        <Field
          label="Where they stand"
          placeholder="the bathroom cupboard"
          maxLength={80}
          value={where}
          onChange={(event) => setWhere(event.target.value)}
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
