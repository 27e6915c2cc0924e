import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Problem } from '../api/client'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { Button, FileLink, TextButton } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { Tick } from '../parts/Tick'
import { sendZip } from './sendZip'

type View = Shape<'TransferView'>

/** How far it is, as a bar and in words. */
function HowFar({ what, percent }: { what: string; percent: number }) {
  return (
    <label className="flex flex-col gap-1">
      <span>
        {what}, {percent} %
      </span>
      <progress className="accent-rim h-3 w-full" max={100} value={percent} aria-label={what} />
    </label>
  )
}

/** What is on its way, looked at again while it moves. */
function useCarried() {
  return useOfHouse('/transfers', {
    every: (both) => (both?.out?.state === 'asked' || both?.in?.state === 'asked' ? 1000 : false),
  })
}

/** Everything of the house, as a zip to be fetched. */
export function GoesOut() {
  const house = useHouseId()
  const out = useCarried().data?.out
  const begin = useWrite<'POST /houses/{house}/transfers'>()
  return (
    <div className="flex flex-col gap-3">
      <p>
        Everything of the house but passwords: its records as lines of JSON, its pictures as files, in one open zip.
      </p>
      {out?.state === 'asked' ? <HowFar what="Writing it down" percent={out.percent} /> : null}
      {out?.state === 'failed' ? (
        <Notice rank="care">{out.says || 'It could not be written. Try again.'}</Notice>
      ) : null}
      {out?.state === 'done' ? (
        <p className="flex flex-col items-start gap-2" role="status">
          <FileLink look="strong" href={`/api/houses/${house}/transfers/${out.id}/file`} download>
            Fetch the zip, {out.size}
          </FileLink>
          <span className="text-soft">It is here until {out.until}.</span>
        </p>
      ) : null}
      {out?.state === 'asked' ? null : (
        <Button
          className="self-start"
          disabled={begin.isPending}
          onClick={() => begin.mutate({ path: `/houses/${house}/transfers`, body: { way: 'out' } })}
        >
          {out?.state === 'done' ? 'Write it down anew' : 'Export everything'}
        </Button>
      )}
      <p className="text-soft">
        A small house is also one{' '}
        <a className="underline underline-offset-4" href={`/api/houses/${house}/export`} download>
          JSON document
        </a>
        .
      </p>
      <Trouble problem={begin.error} />
    </div>
  )
}

const CHOICES = {
  settings: 'its settings: name, hours, measures, place and money, in place of those here',
  calendars: 'when its calendars said that somebody is busy',
  thermometers: 'its thermometers, to go on with',
  people: 'who was of it, to ask them in again',
} as const
type Choice = keyof typeof CHOICES

/** What became of a zip that was sent. */
function CameIn({ view, drop }: { view: View; drop: () => void }) {
  if (view.state === 'asked') return <HowFar what="Taking it in" percent={view.percent} />
  if (view.state === 'failed')
    return <Notice rank="stop">{view.says || 'It could not be taken in. Nothing was changed; try again.'}</Notice>
  if (view.state === 'filling')
    return (
      <div className="flex flex-col gap-1">
        <p>
          {view.percent} % of a zip of {view.size} are here. Choose the same file to go on, or another to begin anew.
        </p>
        <TextButton onClick={drop}>Throw away what is here</TextButton>
      </div>
    )
  return (
    <div role="status" className="flex flex-col gap-2">
      <p>{view.says || 'It was taken in.'}</p>
      {view.people.length > 0 ? (
        <p>
          Of that house were also {view.people.map((each) => `${each.name} (${each.role})`).join(', ')}. Ask them in
          again under People.
        </p>
      ) : null}
    </div>
  )
}

/** A file of a house taken in: a zip of any size, or one JSON document. */
export function ComesIn() {
  const house = useHouseId()
  const client = useQueryClient()
  const carried = useCarried().data
  const [file, setFile] = useState<File | null>(null)
  const [zip, setZip] = useState(false)
  const [chosen, setChosen] = useState<Record<Choice, boolean>>({
    settings: false,
    calendars: false,
    thermometers: false,
    people: false,
  })
  const [sending, setSending] = useState<View | null>(null)
  const [problem, setProblem] = useState<Problem | null>(null)
  const plain = useWrite<'POST /houses/{house}/import'>()
  const take = useWrite<'POST /houses/{house}/transfers/{transfer}/take'>(() => setSending(null))
  const drop = useWrite()
  const busy = sending !== null || plain.isPending || take.isPending || carried?.in?.state === 'asked'
  const choose = async (picked: File | null) => {
    setFile(picked)
    // What it is stands in its first letters, whatever it is called.
    setZip(picked !== null && (await picked.slice(0, 2).text()) === 'PK')
  }
  const begin = async () => {
    if (!file || !carried) return
    setProblem(null)
    if (!zip) {
      plain.mutate({ path: `/houses/${house}/import`, raw: await file.text() })
      return
    }
    try {
      const view = await sendZip(house, file, carried.in, carried.at_once, setSending)
      take.mutate({ path: `/houses/${house}/transfers/${view.id}/take`, body: chosen })
    } catch (thrown) {
      setProblem(
        thrown instanceof Problem ? thrown : new Problem(0, 'That file could not be read. Choose it again.', [], false),
      )
    }
    setSending(null)
    void client.invalidateQueries({ queryKey: ['house', house, '/transfers'] })
  }
  return (
    <form className="flex flex-col gap-3" onSubmit={sent(() => void begin())}>
      <Field
        label="Take a file in"
        type="file"
        accept=".zip,application/zip,.json,application/json"
        hint="A zip or a JSON document of a house. What is here already stays as it is; a broken file changes nothing."
        onChange={(e) => void choose(e.target.files?.[0] ?? null)}
      />
      {zip ? (
        <fieldset>
          <legend className="pb-1">Take along, beside its records:</legend>
          {(Object.keys(CHOICES) as Choice[]).map((each) => (
            <Tick key={each} checked={chosen[each]} onChange={(to) => setChosen({ ...chosen, [each]: to })}>
              {CHOICES[each]}
            </Tick>
          ))}
        </fieldset>
      ) : null}
      <Button type="submit" disabled={!file || busy} className="self-start">
        {busy ? 'Taking it in…' : 'Take it in'}
      </Button>
      {sending ? <HowFar what="Sending it" percent={sending.percent} /> : null}
      {!sending && carried?.in ? (
        <CameIn
          view={carried.in}
          drop={() => drop.mutate({ method: 'DELETE', path: `/houses/${house}/transfers/${carried.in?.id}` })}
        />
      ) : null}
      {plain.data ? <p role="status">{plain.data.says}</p> : null}
      <Trouble problem={problem ?? plain.error ?? take.error ?? drop.error} />
    </form>
  )
}
