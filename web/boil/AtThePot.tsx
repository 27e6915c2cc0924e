import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { ask } from '../api/client'
import { type Shape, useHouseId } from '../api/hooks'
import { Button, TextButton } from '../parts/Button'
import { useKeptDraft } from '../parts/draft'
import { Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { useSettled } from '../parts/settled'
import { LevelLine } from './LevelLine'
import { PotSize, Typed } from './Typed'

type Log = {
  by: 'stick' | 'jug' | 'scale'
  width: string
  height: string
  end: string
  fat: 'oil' | 'butterfat'
  marks: { h: number; at: string }[]
  seen: Record<string, string>
}

const NONE: Log = { by: 'stick', width: '', height: '', end: '', fat: 'oil', marks: [], seen: {} }

const BY = [
  { id: 'stick', name: 'by a stick, in mm' },
  { id: 'jug', name: 'by the pot’s marks, in mL or L' },
  { id: 'scale', name: 'by weight' },
]

const SIGNS = [
  {
    id: 'flame',
    name: 'A little paste in a flame',
    seen: [
      { id: 'quiet', name: 'does not crackle' },
      { id: 'crackles', name: 'crackles' },
    ],
  },
  {
    id: 'froth',
    name: 'Froth',
    seen: [
      { id: 'stands', name: 'stands on it' },
      { id: 'none', name: 'none, or gone' },
    ],
  },
  {
    id: 'wick',
    name: 'Paste between the fingers',
    seen: [
      { id: 'sticks', name: 'sticks' },
      { id: 'breaks', name: 'breaks' },
      { id: 'rolls', name: 'rolls into a wick' },
      { id: 'crumbles', name: 'crumbles' },
    ],
  },
  {
    id: 'senses',
    name: 'Smell and colour',
    seen: [
      { id: 'right', name: 'are right' },
      { id: 'raw', name: 'are raw yet' },
      { id: 'burnt', name: 'are burnt' },
    ],
  },
]

const drafted = (kept: unknown): Log =>
  kept && typeof kept === 'object' ? { ...NONE, ...(kept as Partial<Log>) } : NONE

/** At the pot: marks of the level and what they tell, and the four signs by which it is done. */
export function AtThePot() {
  const house = useHouseId()
  const [log, change, put] = useKeptDraft<Log>(`kettle.pot.${house}`, drafted, (draft) => draft)
  return (
    <div className="grid gap-x-8 gap-y-8 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
      <Level log={log} change={change} />
      <Signs log={log} change={change} />
      <p className="text-soft lg:col-span-2">
        Kept in this browser, for one pot at a time.{' '}
        <TextButton onClick={() => put(NONE)}>Begin another pot</TextButton>
      </p>
    </div>
  )
}

type Part = { log: Log; change: (part: Partial<Log>) => void }

function Level({ log, change }: Part) {
  const house = useHouseId()
  const [h, setH] = useState('')
  const [at, setAt] = useState('')
  const asked = useSettled({ marks: log.marks, by: log.by, width: log.width, height: log.height, end: log.end }, 150)
  const told = useQuery({
    queryKey: ['house', house, 'level', asked],
    queryFn: ({ signal }) => ask(`/houses/${house}/boil/level`, asked, signal),
    placeholderData: keepPreviousData,
    retry: false,
    enabled: asked.marks.length > 1,
  })
  const view = log.marks.length > 1 && !told.isError ? told.data : undefined
  const fault = (field: string) => (log.marks.length > 1 ? told.error?.about(field) : undefined)
  return (
    <section aria-label="The level" className="flex flex-col gap-4">
      <h2 className="column-head font-text text-base">What the level says</h2>
      {view ? (
        <div>
          {view.left ? (
            <p className="flex flex-wrap items-baseline gap-x-3">
              <strong className="figures text-5xl">{view.left}</strong>
              <span className="text-soft text-xl">of water still to go</span>
            </p>
          ) : null}
          {view.more ? (
            <p className="text-lg">
              <strong>{view.more}</strong> of flame.
            </p>
          ) : null}
          <p>
            This pot loses <strong>{view.rate}</strong>, by {view.points.length} marks. The usual is 450 mL.
          </p>
          <LevelLine view={view} />
        </div>
      ) : (
        <p>Two marks tell how much this pot loses in an hour, and more of them when it is done, with its range.</p>
      )}
      {told.isError && log.marks.length > 1 ? <Trouble problem={told.error} /> : null}
      <form
        className="grid items-end gap-4 sm:grid-cols-3"
        onSubmit={sent(() => {
          const hours = Number(h.replace(',', '.'))
          if (at.trim() === '' || h.trim() === '' || Number.isNaN(hours)) return
          change({ marks: [...log.marks, { h: hours, at: at.trim() }].toSorted((a, b) => a.h - b.h) })
          setH('')
          setAt('')
        })}
      >
        <Field
          label="Hours of flame so far"
          inputMode="decimal"
          placeholder="0"
          value={h}
          maxLength={8}
          required
          onChange={(e) => setH(e.target.value)}
        />
        <Field
          label={log.by === 'stick' ? 'It stands' : log.by === 'jug' ? 'There is' : 'It weighs'}
          placeholder={log.by === 'stick' ? '190 mm' : log.by === 'jug' ? '9.6 L' : '9600 g'}
          value={at}
          maxLength={40}
          required
          onChange={(e) => setAt(e.target.value)}
        />
        <Button type="submit" look="strong" className="justify-self-start">
          Write a mark
        </Button>
      </form>
      {log.marks.length > 0 ? (
        <ol className="figures">
          {log.marks.map((mark, at_) => (
            <li
              key={`${mark.h} ${mark.at} ${at_}`}
              className="border-line flex items-center justify-between gap-4 border-b py-1"
            >
              <span>
                {mark.h} h: {mark.at}
              </span>
              <TextButton
                aria-label={`Take out the mark at ${mark.h} h`}
                onClick={() => change({ marks: log.marks.filter((_, index) => index !== at_) })}
              >
                Out
              </TextButton>
            </li>
          ))}
        </ol>
      ) : null}
      <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
        <Select
          label="Read"
          choices={BY}
          value={log.by}
          onChange={(e) => change({ by: e.target.value as Log['by'], marks: [], end: '' })}
        />
        <PotSize draft={log} change={change} fault={fault} />
        <Typed
          name="end"
          label="The water is gone at"
          draft={log}
          change={change}
          fault={fault}
          placeholder={log.by === 'stick' ? '44 mm' : log.by === 'jug' ? '2.9 L' : '2900 g'}
        />
      </div>
    </section>
  )
}

function Signs({ log, change }: Part) {
  const house = useHouseId()
  const asked = { ...log.seen, fat: log.fat }
  const told = useQuery({
    queryKey: ['house', house, 'signs', asked],
    queryFn: ({ signal }) => ask(`/houses/${house}/boil/signs`, asked as never, signal),
    placeholderData: keepPreviousData,
    retry: false,
  })
  return (
    <section aria-label="Whether it is done" className="border-line flex flex-col gap-3 lg:border-s lg:ps-8">
      <h2 className="column-head font-text text-base">Done when four agree</h2>
      <Select
        label="In"
        choices={[
          { id: 'oil', name: 'oil' },
          { id: 'butterfat', name: 'butterfat' },
        ]}
        value={log.fat}
        onChange={(e) => change({ fat: e.target.value as Log['fat'] })}
      />
      {SIGNS.map((sign) => (
        <Select
          key={sign.id}
          label={sign.name}
          choices={[{ id: '', name: 'not looked at' }, ...sign.seen]}
          value={log.seen[sign.id] ?? ''}
          onChange={(e) => {
            const { [sign.id]: _was, ...rest } = log.seen
            change({ seen: e.target.value === '' ? rest : { ...rest, [sign.id]: e.target.value } })
          }}
        />
      ))}
      {told.data ? <Verdict view={told.data} /> : null}
      <Trouble problem={told.error} />
    </section>
  )
}

function Verdict({ view }: { view: Shape<'SignsView'> }) {
  return (
    <div role="status" className="flex flex-col gap-2">
      <Notice rank={view.verdict === 'past' ? 'stop' : 'note'}>
        <strong>{view.says}</strong>
        {view.why.length > 0 ? (
          <ul className="list-disc ps-5">
            {view.why.map((each) => (
              <li key={each.id}>{each.says}</li>
            ))}
          </ul>
        ) : null}
      </Notice>
      {view.for ? <p>{view.for}</p> : null}
    </div>
  )
}
