import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { ask } from '../api/client'
import { type Shape, useHouseId, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { Button, TextButton } from '../parts/Button'
import { Area } from '../parts/Field'
import { sent } from '../parts/form'
import { without } from '../parts/lines'
import { Trouble } from '../parts/Notice'
import { useSettled } from '../parts/settled'
import type { LotFields } from './LotForm'

/** Lots as they are written on a lid, a line for each; what was understood stands below, and what was guessed is lighter. */
export function LotLines({ onLong, stays = false }: { onLong: (fields: LotFields) => void; stays?: boolean }) {
  const house = useHouseId()
  const store = `kettle.lot.lines.${house}`
  const [typed, setTyped] = useState(() => localStorage.getItem(store) ?? '')
  const [going, setGoing] = useState<string[]>([])
  useEffect(() => localStorage.setItem(store, typed), [store, typed])
  const asked = useSettled(typed.trim(), 200)
  const read = useQuery({
    queryKey: ['house', house, 'lots', 'read', asked],
    queryFn: ({ signal }) => ask(`/houses/${house}/lots/read`, { lines: asked }, signal),
    enabled: asked !== '',
    placeholderData: keepPreviousData,
    retry: false,
  })
  const go = useNavigate()
  const say = useSay()
  const write = useWrite<'POST /houses/{house}/lots/many'>((answer) => {
    // What was sent is gone from the lines; what was not clear, or was typed meanwhile, stays.
    const rest = without(localStorage.getItem(store) ?? '', going)
    localStorage.setItem(store, rest)
    setTyped(rest)
    const [first] = answer.lots
    say({
      text:
        answer.lots.length === 1 && first
          ? `${first.left_text} of ${first.called} is in Stores.`
          : `${answer.lots.length} lots are in Stores.`,
    })
    if (!stays && rest.trim() === '') void go(`/h/${house}/stores`)
  })
  const lots = asked === '' ? [] : (read.data?.lots ?? [])
  const clear = lots.filter((lot) => lot.faults.length === 0)
  const fresh = asked === typed.trim() && !read.isPlaceholderData
  return (
    <form
      className="flex max-w-3xl flex-col gap-3"
      onSubmit={sent(() => {
        setGoing(clear.map((lot) => lot.line))
        write.mutate({ path: `/houses/${house}/lots/many`, body: { lots: clear.map((lot) => lot.lot) } })
      })}
    >
      <Area
        label="A line for each, as on a lid"
        placeholder={'260 g calendula, dried, walled garden, 27 July, 8.50\n1 L olive oil, best before March 2027, £9'}
        rows={Math.min(14, Math.max(4, typed.split('\n').length))}
        maxLength={8000}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      {read.isError ? <Trouble problem={read.error} /> : null}
      <ul aria-label="What was understood" aria-live="polite" className="flex flex-col">
        {lots.map((lot, index) => (
          <Understood key={`${index}-${lot.line}`} lot={lot} onLong={() => onLong(lot.lot as LotFields)} />
        ))}
      </ul>
      <Trouble problem={write.error} />
      {lots.length > 0 ? (
        <Button
          type="submit"
          look="strong"
          className="self-start px-6"
          disabled={clear.length === 0 || !fresh || write.isPending}
        >
          {named(clear.length, lots.length)}
        </Button>
      ) : null}
    </form>
  )
}

function named(clear: number, all: number) {
  if (all === 1) return 'Put it in Stores'
  if (clear === 0 || clear === all) return `Put all ${all} in Stores`
  return clear === 1 ? 'Put the one that is clear in Stores' : `Put the ${clear} that are clear in Stores`
}

function Understood({ lot, onLong }: { lot: Shape<'ReadLot'>; onLong: () => void }) {
  const [what, ...rest] = lot.cells.toSorted(
    (a, b) => Number(b.as === 'material' || b.as === 'called') - Number(a.as === 'material' || a.as === 'called'),
  )
  return (
    <li className="border-line flex flex-col gap-1 border-b py-2">
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        {what ? <Cell cell={what} strong /> : <span>{lot.line}</span>}
        {rest.map((cell) => (
          <Cell key={cell.as} cell={cell} />
        ))}
        <TextButton className="ms-auto" onClick={onLong} aria-label={`In the long form: ${lot.line}`}>
          In the long form
        </TextButton>
      </p>
      {lot.faults.map((fault) => (
        <p key={fault} role="alert" className="text-warmth font-semibold">
          {fault}
        </p>
      ))}
    </li>
  )
}

function Cell({ cell, strong = false }: { cell: Shape<'ReadCell'>; strong?: boolean }) {
  const look = cell.guess ? 'text-soft underline decoration-dotted underline-offset-4' : ''
  return (
    <span className={`${look} ${strong ? 'text-lg font-semibold' : ''}`}>
      {cell.text}
      {cell.guess ? <span className="sr-only">, guessed</span> : null}
    </span>
  )
}
