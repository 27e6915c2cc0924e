import { TextButton } from '../../parts/Button'
import { Field, Select } from '../../parts/Field'
import type { Choices, PartWish } from '../wish'
import { Wrong } from './edit'

/** A list of what goes in, each with how much of it. */
export function Parts({
  legend,
  parts,
  from,
  set,
  unit,
  hint,
  wrong,
}: {
  legend: string
  parts: PartWish[]
  from: Choices['waxes']
  set: (next: PartWish[]) => void
  /** How one of them is measured: the fields of it, and what a new one has. */
  unit: { label: string; of: (part: PartWish) => string; to: (part: PartWish, text: string) => PartWish; first: string }
  hint?: string
  wrong: string | undefined
}) {
  const free = from.filter((each) => !parts.some((part) => part.id === each.id))
  return (
    <>
      {parts.map((part, index) => (
        <div key={part.id} className="border-line grid grid-cols-[1fr_6rem_auto] items-end gap-3 border-b pb-3">
          <Select
            label={index === 0 ? legend : 'And'}
            value={part.id}
            choices={[
              ...(from.some((each) => each.id === part.id) ? [] : [{ id: part.id, name: `${part.id}: choose one` }]),
              ...from.filter((each) => each.id === part.id || free.includes(each)),
            ]}
            hint={from.find((each) => each.id === part.id)?.note}
            onChange={(event) =>
              set(parts.map((each, at) => (at === index ? unit.to({ id: event.target.value }, unit.of(each)) : each)))
            }
          />
          <Field
            label={unit.label}
            defaultValue={unit.of(part)}
            onChange={(event) =>
              set(parts.map((each, at) => (at === index ? unit.to(each, event.target.value) : each)))
            }
          />
          <TextButton
            aria-label={`Without ${from.find((each) => each.id === part.id)?.name ?? part.id}`}
            onClick={() => set(parts.filter((_, at) => at !== index))}
          >
            Out
          </TextButton>
        </div>
      ))}
      <Select
        label={parts.length === 0 ? legend : 'And another'}
        value=""
        choices={[{ id: '', name: 'none' }, ...free]}
        onChange={(event) => event.target.value && set([...parts, unit.to({ id: event.target.value }, unit.first)])}
      />
      {hint ? <p className="text-soft">{hint}</p> : null}
      <Wrong says={wrong} />
    </>
  )
}

/** "12 %", "12" as per cent of the whole; "30 g" as an amount. */
export const shareOrAmount = {
  label: 'How much',
  of: (part: PartWish) =>
    part.amount !== undefined
      ? String(part.amount)
      : part.percent !== undefined
        ? `${part.percent} %`
        : part.share !== undefined
          ? `${part.share}`
          : '',
  to: (part: PartWish, text: string): PartWish => {
    const percent = /^\s*([\d.,]+)\s*%?\s*$/.exec(text)
    return percent
      ? { id: part.id, percent: Number((percent[1] ?? '').replace(',', '.')) }
      : text.trim() === ''
        ? { id: part.id }
        : { id: part.id, amount: text }
  },
  first: '10 %',
}

/** "20 drops" or "2 %". */
export const scent = {
  ...shareOrAmount,
  of: (part: PartWish) => (part.drops !== undefined ? `${part.drops} drops` : shareOrAmount.of(part)),
  to: (part: PartWish, text: string): PartWish => {
    const drops = /^\s*(\d+)\s*drops?\s*$/i.exec(text)
    return drops ? { id: part.id, drops: Number(drops[1]) } : shareOrAmount.to(part, text)
  },
  first: '1 %',
}

/** Blank for as much as the firmness asks. */
export const waxAmount = {
  label: 'How much',
  of: (part: PartWish) => (part.amount === undefined ? '' : String(part.amount)),
  to: (part: PartWish, text: string): PartWish =>
    text.trim() === '' ? { id: part.id } : { id: part.id, amount: text },
  first: '',
}
