import { useState } from 'react'
import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { useKey } from '../frame/keys'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { Button } from '../parts/Button'
import { Area } from '../parts/Field'
import { sent } from '../parts/form'
import { useKept } from '../parts/kept'
import { Trouble } from '../parts/Notice'

export function Logbook({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const say = useSay()
  const [note, setNote] = useKept(`note.${batch.id}`)
  const [correcting, setCorrecting] = useState<string | null>(null)
  const path = `/houses/${house}/batches/${batch.id}` as const
  const write = useBatchWrite(() => {
    setNote('')
    setCorrecting(null)
  })
  const undo = useBatchWrite(() => say({ text: 'Undone; both lines stay in the logbook.' }))
  useKey('N', 'Write a note', () => document.getElementById('note-box')?.querySelector('textarea')?.focus(), works)
  return (
    <div className="flex flex-col gap-3">
      <h2 className="column-head font-text text-base">Logbook</h2>
      {works ? (
        <form
          id="note-box"
          className="no-print flex flex-col gap-2"
          onSubmit={sent(() => {
            write.mutate({ path: `${path}/notes`, body: { note, corrects: correcting } })
          })}
        >
          <Area
            label={correcting ? 'Put it right' : 'A note'}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            fault={write.error?.about('note')}
            placeholder="smells of hay; herb at the oil"
          />
          {write.error && !write.error.about('note') ? <Trouble problem={write.error} /> : null}
          <div className="flex gap-2">
            <Button type="submit" disabled={write.isPending || note.trim() === ''}>
              Write it down
            </Button>
            {correcting ? (
              <Button
                look="quiet"
                onClick={() => {
                  setCorrecting(null)
                  setNote('')
                }}
              >
                Leave it
              </Button>
            ) : null}
          </div>
        </form>
      ) : null}
      <Trouble problem={undo.error} />
      <ol className="flex flex-col">
        {batch.entries.map((entry) => (
          <li key={entry.id} className="border-line flex flex-col gap-1 border-b py-2">
            <span className={entry.struck ? 'text-soft line-through' : ''}>
              {entry.title}
              {entry.note ? `: ${entry.note}` : ''}
            </span>
            <span className="text-soft flex flex-wrap items-center gap-x-3">
              {entry.when} · {entry.by}
              {works && entry.can_undo ? (
                <button
                  type="button"
                  className="no-print text-ink min-h-8 underline underline-offset-4"
                  aria-label={`Undo: ${entry.title}`}
                  disabled={undo.isPending}
                  onClick={() => undo.mutate({ path: `${path}/undo`, body: { entry: entry.id } })}
                >
                  undo
                </button>
              ) : null}
              {works && entry.can_correct ? (
                <button
                  type="button"
                  className="no-print text-ink min-h-8 underline underline-offset-4"
                  onClick={() => {
                    setCorrecting(entry.id)
                    setNote(entry.note ?? '')
                  }}
                >
                  correct
                </button>
              ) : null}
            </span>
          </li>
        ))}
      </ol>
      {batch.entries_total > batch.entries.length ? (
        <p className="text-soft">{batch.entries_total - batch.entries.length} older lines are in the house’s export.</p>
      ) : null}
    </div>
  )
}
