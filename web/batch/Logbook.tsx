import { useState } from 'react'
import type { Problem } from '../api/client'
import { either, type Shape, useBatchWrite, useHouseId, useMakingWrite, usePotWrite } from '../api/hooks'
import { UnsentLines } from '../offline/Unsent'
import { useKey } from '../frame/keys'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { Button, TextButton } from '../parts/Button'
import { Area } from '../parts/Field'
import { sent } from '../parts/form'
import { useKept } from '../parts/kept'
import { Trouble } from '../parts/Notice'
import { PictureField } from '../parts/PictureField'

type Written = Pick<Shape<'BatchView'>, 'id' | 'name' | 'entries' | 'entries_total'>

export function Logbook({ batch }: { batch: Written }) {
  const write = useBatchWrite()
  const undo = useBatchWrite()
  const path = `/houses/${useHouseId()}/batches/${batch.id}` as const
  return (
    <Lines
      of={batch}
      note={(body, says, done) => write.mutate({ path: `${path}/notes`, body, says }, either(done))}
      undo={(entry, done) => undo.mutate({ path: `${path}/undo`, body: { entry } }, { onSuccess: done })}
      writing={write}
      undoing={undo}
      pictures={`/api${path}/photos`}
      hint="smells of hay; herb at the oil"
      thing={`/batches/${batch.id}`}
    />
  )
}

export function MakingLogbook({ making }: { making: Written }) {
  const write = useMakingWrite()
  const undo = useMakingWrite()
  const path = `/houses/${useHouseId()}/makings/${making.id}` as const
  return (
    <Lines
      of={making}
      note={({ note, corrects }, says, done) =>
        write.mutate({ path: `${path}/notes`, body: { note, corrects }, says }, either(done))
      }
      undo={(entry, done) => undo.mutate({ path: `${path}/undo`, body: { entry } }, { onSuccess: done })}
      writing={write}
      undoing={undo}
      hint="a little grainy; the lids stick"
      thing={`/makings/${making.id}`}
    />
  )
}

export function PotLogbook({ pot }: { pot: Written }) {
  const write = usePotWrite()
  const undo = usePotWrite()
  const path = `/houses/${useHouseId()}/boils/${pot.id}` as const
  return (
    <Lines
      of={pot}
      note={({ note, corrects }, says, done) =>
        write.mutate({ path: `${path}/notes`, body: { note, corrects }, says }, either(done))
      }
      undo={(entry, done) => undo.mutate({ path: `${path}/undo`, body: { entry } }, { onSuccess: done })}
      writing={write}
      undoing={undo}
      hint="more flame than yesterday; the paste catches at one side"
      thing={`/boils/${pot.id}`}
    />
  )
}

type Going = { isPending: boolean; error: Problem | null }

function Lines({
  of,
  note: send,
  undo,
  writing,
  undoing,
  hint,
  thing,
  pictures,
}: {
  of: Written
  note: (body: { note: string; corrects: string | null; photo?: string }, says: string, done: () => void) => void
  undo: (entry: string, done: () => void) => void
  writing: Going
  undoing: Going
  hint: string
  /** Whose logbook it is, as "/batches/…". */
  thing: string
  /** Where its pictures are, where a note may have one. */
  pictures?: string
}) {
  const { works } = usePart()
  const say = useSay()
  const [note, setNote] = useKept(`note.${of.id}`)
  const [correcting, setCorrecting] = useState<string | null>(null)
  const [photo, setPhoto] = useState('')
  const [opened, setOpened] = useState(false)
  useKey('N', 'Write a note', () => document.getElementById('note-box')?.querySelector('textarea')?.focus(), works)
  return (
    <div className="flex flex-col gap-3">
      <h2 className="column-head font-text text-base">Logbook</h2>
      {works ? (
        <form
          id="note-box"
          className="no-print flex flex-col gap-2"
          onSubmit={sent(() => {
            const says = `${of.name}: ${note.trim() === '' ? 'a picture' : `“${note.trim()}”`}`
            send({ note, corrects: correcting, ...(photo ? { photo } : {}) }, says, () => {
              setNote('')
              setPhoto('')
              setCorrecting(null)
            })
          })}
        >
          <Area
            label={correcting ? 'Put it right' : 'A note'}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            fault={writing.error?.about('note')}
            placeholder={hint}
          />
          {pictures && (opened || photo) ? (
            <PictureField
              label="A picture, as of an old page"
              photo={photo}
              fault={writing.error?.about('photo')}
              onChange={setPhoto}
            />
          ) : null}
          {writing.error && !writing.error.about('note') && !writing.error.about('photo') ? (
            <Trouble problem={writing.error} />
          ) : null}
          <div className="flex gap-2">
            <Button type="submit" disabled={writing.isPending || (note.trim() === '' && photo === '')}>
              Write it down
            </Button>
            {pictures && !opened && !photo ? (
              <TextButton onClick={() => setOpened(true)}>With a picture</TextButton>
            ) : null}
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
      <Trouble problem={undoing.error} />
      <ol className="flex flex-col">
        <UnsentLines of={thing} />
        {of.entries.map((entry) => (
          <li key={entry.id} className="border-line flex flex-col gap-1 border-b py-2">
            <span className={entry.struck ? 'text-soft line-through' : ''}>
              {entry.title}
              {entry.note ? `: ${entry.note}` : ''}
            </span>
            <span className="text-soft flex flex-wrap items-center gap-x-3">
              {entry.when} · {entry.by}
              {entry.written ? ` · written down ${entry.written}` : ''}
              {entry.photo && pictures ? (
                <a
                  className="text-ink min-h-8 underline underline-offset-4"
                  href={`${pictures}/${entry.photo}`}
                  target="_blank"
                  rel="noreferrer"
                >
                  its picture
                </a>
              ) : null}
              {works && entry.can_undo ? (
                <button
                  type="button"
                  className="no-print text-ink min-h-8 underline underline-offset-4"
                  aria-label={`Undo: ${entry.title}`}
                  disabled={undoing.isPending}
                  onClick={() => undo(entry.id, () => say({ text: 'Undone; both lines stay in the logbook.' }))}
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
      {of.entries_total > of.entries.length ? (
        <p className="text-soft">{of.entries_total - of.entries.length} older lines are in the house’s export.</p>
      ) : null}
    </div>
  )
}
