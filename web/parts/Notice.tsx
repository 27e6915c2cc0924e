import type { ReactNode } from 'react'
import { type Problem, WrittenHere } from '../api/client'
import { useUnsent } from '../offline/here'

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

/** What of a file was taken for what. */
export function TakenFor({ notes }: { notes: string[] }) {
  return notes.length === 0 ? null : (
    <Notice rank="care">
      {notes.map((note) => (
        <span key={note}>{note} </span>
      ))}
    </Notice>
  )
}

export function Trouble({ problem }: { problem: Problem | null | undefined }) {
  if (!problem) return null
  if (problem instanceof WrittenHere) return <Here says={problem.message} />
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

/** Written down on this device; nothing is wrong, and once it is sent there is nothing to say. */
function Here({ says }: { says: string }) {
  return useUnsent().every((each) => each.refused !== undefined) ? null : (
    <p role="status" className="bg-oil-pale px-3 py-2">
      {says}
    </p>
  )
}

export function Waiting({ what }: { what: string }) {
  return (
    <p className="text-soft p-10" role="status">
      Fetching {what}…
    </p>
  )
}
