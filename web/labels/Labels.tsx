import { useQueryClient } from '@tanstack/react-query'
import { type MouseEvent, useEffect, useRef, useState } from 'react'
import { useParams } from 'react-router'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { ButtonLink, FileLink } from '../parts/Button'
import { CautionLine } from '../parts/Cautions'
import { Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { Tick } from '../parts/Tick'

type Page = Shape<'LabelPage'>
type Set = { size: string; start: number; names: Page['names']; fields: string[]; words: string }

/** A batch's labels: which sheet, from where, what stands on them, and what would come out. */
export default function Labels() {
  const { batch, making, boil } = useParams()
  const of: Of = batch
    ? { kind: 'batches', id: batch }
    : boil
      ? { kind: 'boils', id: boil }
      : { kind: 'makings', id: making ?? '' }
  // Each is answered alike.
  const page = useOfHouse(`/${of.kind}/${of.id}/label` as `/batches/${string}/label`)
  const { there, instead } = useArrived(page, 'the labels')
  if (!there) return instead
  return <LabelBench of={of} page={there} />
}

type Of = { kind: 'batches' | 'makings' | 'boils'; id: string }

/** What each has a label on, what it is called, and where its page is. */
const KINDS = {
  batches: { on: 'Bottle', called: 'batch', at: 'batch' },
  makings: { on: 'Tin', called: 'product', at: 'making' },
  boils: { on: 'Bottle', called: 'pot', at: 'stove/boil' },
} as const

const setOf = (page: Page): Set => ({
  size: page.size,
  start: page.start,
  names: page.names,
  fields: page.fields.filter((field) => field.on).map((field) => field.id),
  words: page.words,
})

/**
 * Sets the label, one change after another, each on what the one before was answered with; what was pressed
 * shows at once.
 */
function useLabel(of: Of, known: Page) {
  const house = useHouseId()
  const client = useQueryClient()
  const write = useWrite<'PUT /houses/{house}/batches/{batch}/label'>((answer) =>
    client.setQueryData(['house', house, `/${of.kind}/${of.id}/label`], answer),
  )
  const [ahead, setAhead] = useState<Partial<Set>>({})
  const latest = useRef(known)
  const queue = useRef(Promise.resolve(true))
  useEffect(() => {
    if (known.version > latest.current.version) latest.current = known
  }, [known])
  const set = (change: Partial<Set>) => {
    setAhead((before) => ({ ...before, ...change }))
    const mine = queue.current.then(async () => {
      let isIn = true
      try {
        latest.current = await write.mutateAsync({
          method: 'PUT',
          path: `/houses/${house}/${of.kind}/${of.id}/label` as `/houses/${string}/batches/${string}/label`,
          body: { version: latest.current.version, ...setOf(latest.current), ...change },
        })
      } catch {
        // Said where it belongs, from the write's own trouble.
        isIn = false
      }
      if (queue.current === mine) setAhead({})
      return isIn
    })
    queue.current = mine
  }
  const { fields, ...rest } = ahead
  const page: Page = {
    ...known,
    ...rest,
    fields: fields ? known.fields.map((field) => ({ ...field, on: fields.includes(field.id) })) : known.fields,
  }
  return {
    page,
    set,
    problem: write.error,
    /** Whether nothing is on its way. */
    settled: Object.keys(ahead).length === 0,
    /** Once nothing is on its way any more: whether what was set last is in. */
    whenIn: () => queue.current,
  }
}

function LabelBench({ of, page: known }: { of: Of; page: Page }) {
  const house = useHouseId()
  const { works } = usePart()
  const { page, set, problem, settled, whenIn } = useLabel(of, known)
  const [words, setWords] = useState(known.words)
  const [start, setStart] = useState(String(known.start))
  const path = `/api/houses/${house}/${of.kind}/${of.id}`
  const bottled = of.kind === 'batches'
  const size = page.sizes.find((each) => each.id === page.size)
  const each = size ? size.columns * size.rows : 1
  // The picture is made anew when what stands on the label changes.
  const setStartTyped = () => (Number(start) === page.start ? undefined : set({ start: Number(start) || 0 }))
  const setWordsTyped = () => (words === page.words ? undefined : set({ words }))
  /** A sheet is printed once: with what was set last, also where that is still on its way. */
  const print = (event: MouseEvent<HTMLAnchorElement>) => {
    if (settled) return
    event.preventDefault()
    const tab = window.open('', '_blank')
    void whenIn().then((isIn) => (isIn ? tab?.location.assign(`${path}/labels.pdf`) : tab?.close()))
  }
  const printed = `${path}/labels.png?v=${known.version}`
  return (
    <div className="flex flex-col gap-6">
      <header className="no-print flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="text-3xl">Labels</h1>
          <p className="text-lg">{page.lines.find((line) => line.id === 'title')?.text}</p>
        </div>
        <div className="flex flex-wrap gap-2">
          {page.bottles > 0 && page.prints ? (
            <FileLink look="strong" href={`${path}/labels.pdf`} onClick={print}>
              {KINDS[of.kind].on} labels, PDF
            </FileLink>
          ) : null}
          {bottled ? <FileLink href={`${path}/tag.pdf`}>Jar tag, PDF</FileLink> : null}
          <ButtonLink to={`/h/${house}/${KINDS[of.kind].at}/${of.id}`}>Back to the {KINDS[of.kind].called}</ButtonLink>
        </div>
      </header>
      <div className="border-line grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
        <section aria-label="What it looks like" className="flex flex-col gap-4">
          {size ? <LabelDrawing page={page} code={`${path}/code.svg`} size={size} /> : null}
          {page.warnings.map((warning) => (
            <Notice key={warning} rank="care">
              {warning}
            </Notice>
          ))}
          {size?.paper === 'roll' && page.bottles > 0 && page.prints ? (
            <figure className="flex flex-col gap-1">
              <img
                src={printed}
                alt="The strip of labels the simulated printer gives"
                className="border-line max-h-96 self-start border"
              />
              <figcaption className="text-soft">
                What the simulated label printer gives: 203 dots to the inch, black or nothing.
              </figcaption>
            </figure>
          ) : null}
          <h2 className="column-head font-text text-base">What such labels usually carry</h2>
          <ul>
            {page.checklist.map((line) => (
              <li key={line.says} className="border-line flex gap-3 border-b py-1.5">
                <span aria-hidden className="w-5 font-semibold">
                  {line.there ? '✓' : '–'}
                </span>
                <span>
                  {line.says}
                  <span className="sr-only">{line.there ? ', is on it' : ', is not on it'}</span>
                  <span className="text-soft block">{line.source}</span>
                </span>
              </li>
            ))}
          </ul>
          <p className="text-soft">A help to remember, no more: the rules of your own country come first.</p>
        </section>
        <section aria-label="How it is set" className="flex flex-col gap-4">
          {works ? (
            <>
              <div className="grid gap-4 sm:grid-cols-[2fr_1fr]">
                <Select
                  label="Sheet or roll"
                  choices={page.sizes.filter((choice) => choice.paper !== 'tag')}
                  value={page.size}
                  onChange={(event) => {
                    setStart('1')
                    set({ size: event.target.value, start: 1 })
                  }}
                />
                {each > 1 ? (
                  <form noValidate onSubmit={sent(setStartTyped)}>
                    <Field
                      label="First free label"
                      type="number"
                      min={1}
                      max={each}
                      value={start}
                      fault={problem?.about('start')}
                      onChange={(event) => setStart(event.target.value)}
                      onBlur={setStartTyped}
                    />
                  </form>
                ) : null}
              </div>
              {size && each > 1 ? (
                <UsedSheet
                  size={size}
                  start={page.start}
                  bottles={page.bottles}
                  choose={(place) => {
                    setStart(String(place))
                    set({ start: place })
                  }}
                />
              ) : null}
              <fieldset className="flex flex-wrap gap-x-6">
                <legend className="font-semibold">Ingredients are named</legend>
                {(['cook', 'inci'] as const).map((names) => (
                  <label key={names} className="flex min-h-11 items-center gap-3">
                    <input
                      type="radio"
                      name="names"
                      className="size-5"
                      checked={page.names === names}
                      onChange={() => set({ names })}
                    />
                    {names === 'cook' ? 'as a cook says them' : 'by their INCI names'}
                  </label>
                ))}
              </fieldset>
              <fieldset>
                <legend className="font-semibold">What stands on it</legend>
                {page.fields.map((field) => (
                  <Tick
                    key={field.id}
                    checked={field.on}
                    onChange={(checked) => {
                      const on = setOf(page).fields
                      set({ fields: checked ? [...on, field.id] : on.filter((other) => other !== field.id) })
                    }}
                  >
                    {field.name}
                    {field.text ? <span className="text-soft block">{field.text}</span> : null}
                  </Tick>
                ))}
              </fieldset>
              <form onSubmit={sent(setWordsTyped)}>
                <Field
                  label="Your own line"
                  hint="such as who made it, and where to write to"
                  maxLength={300}
                  value={words}
                  fault={problem?.about('words')}
                  onChange={(event) => setWords(event.target.value)}
                  onBlur={setWordsTyped}
                />
              </form>
              {problem && !problem.about('words') && !problem.about('start') ? <Trouble problem={problem} /> : null}
            </>
          ) : null}
          {page.cautions.map((caution) => (
            <CautionLine key={caution.id} caution={caution} />
          ))}
        </section>
      </div>
    </div>
  )
}

/** One label as its words will stand, at twice its size. */
function LabelDrawing({ page, code, size }: { page: Page; code: string; size: Shape<'LabelSize'> }) {
  const title = page.lines.find((line) => line.id === 'title')?.text
  const batch = page.lines.find((line) => line.id === 'code')?.text
  const net = page.fields.find((field) => field.id === 'net')?.on && page.bottles > 0
  const wide = Math.min(size.w_mm * 2, 150)
  return (
    // Where there is less room than that, its letters are smaller with it.
    <div className="@container max-w-full" style={{ width: `${wide}mm` }}>
      <article
        aria-label="The label"
        className={`relative overflow-hidden border border-gray-400 bg-white leading-tight text-black ${size.round ? 'rounded-full' : ''}`}
        style={{
          aspectRatio: `${size.w_mm} / ${size.h_mm}`,
          padding: size.round ? '12%' : '2.2%',
          fontSize: `${(((size.h_mm < 32 ? 3.2 : 3.7) / wide) * 100).toFixed(3)}cqw`,
        }}
      >
        {batch ? (
          <div className="float-right ms-2 text-center font-bold" style={{ width: '22%' }}>
            <img src={code} alt={`Code that opens batch ${batch}`} className="w-full" />
            {batch}
          </div>
        ) : null}
        <p className="font-bold" style={{ fontSize: '1.3em' }}>
          {title}
        </p>
        {net && page.net ? <p className="font-bold">{page.net}</p> : null}
        {page.lines
          .filter((line) => line.id !== 'title' && line.id !== 'code')
          .map((line) => (
            <p key={line.id}>{line.text}</p>
          ))}
      </article>
    </div>
  )
}

/** The sheet to scale: labels gone, labels to be printed, labels that stay. Press one to begin there. */
function UsedSheet({
  size,
  start,
  bottles,
  choose,
}: {
  size: Shape<'LabelSize'>
  start: number
  bottles: number
  choose: (place: number) => void
}) {
  const places = Array.from({ length: size.columns * size.rows }, (_, index) => index + 1)
  return (
    <div>
      <p className="font-semibold">Begin at</p>
      <div
        className="border-line grid w-44 gap-[2px] border p-1"
        style={{ gridTemplateColumns: `repeat(${size.columns}, 1fr)` }}
      >
        {places.map((place) => {
          const printed = place >= start && place < start + bottles
          return (
            <button
              key={place}
              type="button"
              aria-label={`Begin at label ${place}${place < start ? ', used' : ''}`}
              aria-pressed={place === start}
              className={`min-h-6 border text-center ${size.round ? 'rounded-full' : ''} ${printed ? 'bg-rim border-rim text-on-rim' : place < start ? 'border-line text-soft line-through' : 'border-soft'}`}
              onClick={() => choose(place)}
            >
              {place}
            </button>
          )
        })}
      </div>
    </div>
  )
}
