import type { ReactNode } from 'react'
import type { Problem } from '../api/client'

const ranks = {
  stop: { word: 'Stop.', bar: 'border-warmth border-s-8', text: 'text-warmth' },
  care: { word: 'Care.', bar: 'border-oil border-s-4 border-double', text: '' },
  note: { word: '', bar: 'border-soft border-s-2', text: '' },
}

/** Stop, care and note: told apart by word and shape as well as by colour. */
export function Notice({ rank, children }: { rank: string; children: ReactNode }) {
  const look = ranks[rank as keyof typeof ranks] ?? ranks.note
  return (
    <div className={`ps-4 ${look.bar} ${rank === 'care' ? 'border-s-[7px]' : ''}`}>
      {look.word ? <strong className={look.text}>{look.word} </strong> : null}
      {children}
    </div>
  )
}

export function Trouble({ problem }: { problem: Problem | null | undefined }) {
  if (!problem) return null
  const more = problem.faults.filter((fault) => fault.sentence !== problem.message)
  return (
    <div role="alert" className="flex flex-col gap-2">
      <Notice rank="stop">{problem.message}</Notice>
      {more.map((fault) => (
        <Notice key={fault.field + fault.sentence} rank="stop">
          {fault.sentence}
        </Notice>
      ))}
    </div>
  )
}

export function Waiting({ what }: { what: string }) {
  return (
    <p className="text-soft p-10" role="status">
      Fetching {what}…
    </p>
  )
}
