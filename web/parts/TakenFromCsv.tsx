import { useState, type ReactNode } from 'react'
import type { Problem } from '../api/client'
import { Button } from './Button'
import { CsvInput } from './CsvInput'
import { Refused } from './Listed'
import { TakenFor, Trouble } from './Notice'

/** What becomes of a file's lines. */
interface Taken {
  taken: number
  doubled?: number
  refused: { row: number; sentence: string }[]
  notes: string[]
}

/** Lines out of a CSV file: what would be taken in is seen before it is. */
export function TakenFromCsv({
  summary,
  label,
  what,
  taken,
  error,
  busy,
  send,
}: {
  summary: string
  label: ReactNode
  /** By how many they are: one, or more. */
  what: [string, string]
  taken: Taken | undefined
  error: Problem | null
  busy: boolean
  send: (text: string, go: boolean) => void
}) {
  const [csv, setCsv] = useState('')
  const [done, setDone] = useState(false)
  const go = (text: string, sure: boolean) => {
    setCsv(text)
    setDone(sure)
    send(text, sure)
  }
  return (
    <details>
      <summary className="min-h-11 py-2 font-semibold">{summary}</summary>
      <div className="flex flex-col gap-3">
        <CsvInput label={label} onText={(text) => go(text, false)} />
        <Trouble problem={error} />
        {taken && !error ? (
          <div role="status" className="flex flex-col gap-2">
            <p>
              {done ? 'Taken in: ' : 'Would be taken in: '}
              <strong>
                {taken.taken} {taken.taken === 1 ? what[0] : what[1]}
              </strong>
              {taken.doubled ? `; ${taken.doubled} are there already` : ''}
              {taken.refused.length > 0 ? `; ${taken.refused.length} refused` : ''}.
            </p>
            <TakenFor notes={taken.notes} />
            {done || taken.taken === 0 ? null : (
              <Button className="self-start" disabled={busy} onClick={() => go(csv, true)}>
                Take them in
              </Button>
            )}
            <Refused lines={taken.refused} />
          </div>
        ) : null}
      </div>
    </details>
  )
}
