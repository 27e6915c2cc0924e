import { useQueryClient } from '@tanstack/react-query'
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import type { WriteOf } from '../api/typed'
import { usePart } from '../frame/part'
import { whole } from '../offline/whole'
import { Button } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { PictureInput } from '../parts/PictureField'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { useWidth } from '../parts/useWidth'

type View = Shape<'LooksView'>
type Spot = { x: number; y: number }

export function Looks({ batch }: { batch: Shape<'BatchView'> }) {
  const { works } = usePart()
  const [open, setOpen] = useState<'colour' | 'scent' | null>(null)
  const looks = useOfHouse(`/batches/${batch.id}/looks`)
  if (looks.isError && !looks.data) return <Trouble problem={looks.error} />
  if (!looks.data) return null
  const can = works && batch.stage !== 'discarded' && batch.press.strained === null
  const { colour, scent } = looks.data
  // Once it is strained there is nothing more to come; what was seen stays.
  const strained = batch.press.strained !== null
  if (strained && colour.points.length + scent.points.length === 0) return null
  return (
    <section aria-labelledby="looks" className="flex flex-col gap-3">
      <h2 id="looks" className="text-2xl">
        {strained ? 'Colour and scent' : 'Is it done? Colour and scent'}
      </h2>
      {colour.points.length > 0 ? <Strip points={colour.points} batch={batch.id} /> : null}
      {colour.points.length > 1 ? <Curve curve={colour} ink="var(--oil)" /> : null}
      <p>{colour.says}</p>
      {scent.points.length > 0 ? <Curve curve={scent} ink="var(--herb)" /> : null}
      <p>{scent.says}</p>
      {can ? (
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => setOpen('colour')}>Look at its colour</Button>
          {batch.stage === 'planned' ? null : <Button onClick={() => setOpen('scent')}>Smell it</Button>}
        </div>
      ) : null}
      <ColourSheet batch={batch} looks={looks.data} open={open === 'colour'} onClose={() => setOpen(null)} />
      <ScentSheet batch={batch} looks={looks.data} open={open === 'scent'} onClose={() => setOpen(null)} />
    </section>
  )
}

/** The colours in their order, left to right. */
function Strip({ points, batch }: { points: Shape<'LookPoint'>[]; batch: string }) {
  const house = useHouseId()
  return (
    <ol
      className="border-rim flex overflow-hidden rounded-rim border-2"
      aria-label="Its colours, the first at the left"
    >
      {points.map((point) => {
        const said = `${point.when}, ${point.by}: ${point.text}`
        const patch = (
          <svg
            viewBox="0 0 40 40"
            preserveAspectRatio="none"
            className="block h-14 w-full"
            role="img"
            aria-label={said}
          >
            <rect width={40} height={40} fill={point.swatch ?? 'none'} />
            <title>{said}</title>
          </svg>
        )
        return (
          <li key={point.id} className="flex-1">
            {point.photo ? (
              <a href={`/api/houses/${house}/batches/${batch}/photos/${point.photo}`} target="_blank" rel="noreferrer">
                {patch}
              </a>
            ) : (
              patch
            )}
          </li>
        )
      })}
    </ol>
  )
}

/** Looks as points, the fitted approach as a line, its end as a level. */
function Curve({ curve, ink }: { curve: Shape<'LookCurve'>; ink: string }) {
  const [frame, width] = useWidth<HTMLDivElement>(360)
  const foot = 130
  const x = (hours: number) => (hours / curve.hours) * width
  const y = (value: number) => foot - (value / curve.most) * (foot - 8)
  return (
    <div ref={frame}>
      <svg viewBox={`0 0 ${width} 158`} className="w-full" role="img" aria-label={`${curve.kind}: ${curve.says}`}>
        <line x1={0} x2={width} y1={foot} y2={foot} stroke="var(--line)" strokeWidth={2} />
        {curve.end === null ? null : (
          <line x1={0} x2={width} y1={y(curve.end)} y2={y(curve.end)} stroke={ink} strokeDasharray="7 4" />
        )}
        {curve.curve.length > 0 ? (
          <path
            d={curve.curve
              .map((point, index) => `${index === 0 ? 'M' : 'L'}${x(point[0] ?? 0)} ${y(point[1] ?? 0)}`)
              .join(' ')}
            fill="none"
            stroke={ink}
            strokeWidth={2.5}
          />
        ) : null}
        {curve.points.map((point) => (
          <circle
            key={point.id}
            cx={Math.max(7, x(point.at))}
            cy={y(point.value)}
            r={6}
            fill={point.swatch ?? ink}
            stroke="var(--ink)"
          >
            <title>{`${point.when}: ${point.text}`}</title>
          </circle>
        ))}
        {curve.marks.map((mark) => (
          <text key={mark.at} x={x(mark.at)} y={152} textAnchor="middle" fontSize={14} fill="var(--soft)">
            {mark.text}
          </text>
        ))}
      </svg>
    </div>
  )
}

type SheetProps = { batch: Shape<'BatchView'>; looks: View; open: boolean; onClose: () => void }

function useLook({ id: batch, name }: Pick<Shape<'BatchView'>, 'id' | 'name'>, done: () => void) {
  const house = useHouseId()
  const client = useQueryClient()
  const write = useWrite<'POST /houses/{house}/batches/{batch}/looks'>((now) => {
    client.setQueryData(['house', house, `/batches/${batch}/looks`], now)
    done()
  }, done)
  type Look = NonNullable<WriteOf<'POST /houses/{house}/batches/{batch}/looks'>['body']>
  return {
    write,
    look: (body: Look, ...of: string[]) =>
      write.mutate({
        path: `/houses/${house}/batches/${batch}/looks`,
        body,
        says: whole(`${name}: a look at its ${body.what === 'scent' ? 'scent' : 'colour'}`, ...of),
      }),
  }
}

const swatchName = (index: number) => `Swatch ${index + 1}, ${index < 10 ? 'gold' : index < 15 ? 'green' : 'red'}`

function ColourSheet({ batch, looks, open, onClose }: SheetProps) {
  const [swatch, setSwatch] = useState('')
  const [photo, setPhoto] = useState('')
  const [wrong, setWrong] = useState('')
  const [oil, setOil] = useState<Spot>({ x: 0.5, y: 0.6 })
  const [card, setCard] = useState<Spot>({ x: 0.15, y: 0.2 })
  const [withCard, setWithCard] = useState(true)
  const [plain, setPlain] = useState(looks.colour.points.length === 0)
  const { write, look } = useLook(batch, () => {
    setPhoto('')
    setSwatch('')
    setPlain(false)
    onClose()
  })
  return (
    <Sheet open={open} onOpenChange={(now) => (now ? null : onClose())} title="Its colour">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => {
          look(
            photo
              ? { what: 'colour', plain, photo, oil: [oil.x, oil.y], card: withCard ? [card.x, card.y] : null }
              : { what: 'colour', plain, swatch },
            photo ? 'a picture' : swatchName(looks.swatches.indexOf(swatch)),
            plain ? 'the plain oil, before the herb' : '',
          )
        })}
      >
        <PictureInput
          label="From a picture, in daylight, with a white card beside it"
          onChange={setPhoto}
          onWrong={setWrong}
        />
        {wrong ? <p role="alert">{wrong}</p> : null}
        {photo ? (
          <>
            <Pick
              photo={photo}
              spots={[
                { name: 'The oil', spot: oil, set: setOil, ink: 'var(--oil)' },
                ...(withCard ? [{ name: 'The white card', spot: card, set: setCard, ink: 'var(--water)' }] : []),
              ]}
            />
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5"
                checked={withCard}
                onChange={(e) => setWithCard(e.target.checked)}
              />
              There is a white card in it
            </label>
          </>
        ) : (
          <fieldset>
            <legend className="font-semibold">Or the swatch that is nearest</legend>
            <div className="mt-1 grid grid-cols-8 gap-1.5">
              {looks.swatches.map((each, index) => (
                <label key={each} className="relative block">
                  <input
                    type="radio"
                    name="swatch"
                    value={each}
                    checked={swatch === each}
                    onChange={() => setSwatch(each)}
                    className="peer absolute inset-0 size-full opacity-0"
                    aria-label={swatchName(index)}
                  />
                  <svg
                    viewBox="0 0 40 40"
                    className="peer-checked:outline-ink peer-focus-visible:outline-rim block w-full rounded-rim peer-checked:outline-4 peer-focus-visible:outline-4"
                    aria-hidden
                  >
                    <rect width={40} height={40} rx={4} fill={each} stroke="var(--line)" />
                  </svg>
                </label>
              ))}
            </div>
          </fieldset>
        )}
        <label className="flex min-h-11 items-center gap-3">
          <input type="checkbox" className="size-5" checked={plain} onChange={(e) => setPlain(e.target.checked)} />
          This is the plain oil, before the herb
        </label>
        <Trouble problem={write.error} />
        <Button
          look="strong"
          type="submit"
          className="self-start"
          disabled={write.isPending || (photo === '' && swatch === '')}
        >
          Keep this look
        </Button>
      </form>
    </Sheet>
  )
}

/** Two places pointed out in a picture: dragged, or moved with the arrow keys. */
function Pick({
  photo,
  spots,
}: {
  photo: string
  spots: { name: string; spot: Spot; set: (spot: Spot) => void; ink: string }[]
}) {
  const frame = useRef<HTMLDivElement>(null)
  const within = (value: number) => Math.max(0, Math.min(1, value))
  const drag = (set: (spot: Spot) => void) => (event: PointerEvent) => {
    const box = frame.current?.getBoundingClientRect()
    if (!box || event.buttons === 0) return
    set({ x: within((event.clientX - box.left) / box.width), y: within((event.clientY - box.top) / box.height) })
  }
  const nudge = (spot: Spot, set: (spot: Spot) => void) => (event: KeyboardEvent) => {
    const step = event.shiftKey ? 0.05 : 0.01
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key]
    if (!by) return
    event.preventDefault()
    set({ x: within(spot.x + (by[0] ?? 0)), y: within(spot.y + (by[1] ?? 0)) })
  }
  return (
    <div ref={frame} className="relative touch-none">
      <img src={photo} alt="The jar, to point out its oil in" className="w-full" />
      <svg viewBox="0 0 100 100" preserveAspectRatio="none" className="absolute inset-0 size-full" aria-hidden>
        {spots.map((each) => (
          <line
            key={each.name}
            x1={each.spot.x * 100}
            x2={each.spot.x * 100}
            y1={0}
            y2={100}
            stroke={each.ink}
            strokeWidth={0.2}
          />
        ))}
      </svg>
      {spots.map((each) => (
        <Handle key={each.name} each={each} drag={drag(each.set)} nudge={nudge(each.spot, each.set)} />
      ))}
    </div>
  )
}

function Handle({
  each,
  drag,
  nudge,
}: {
  each: { name: string; spot: Spot; ink: string }
  drag: (event: PointerEvent) => void
  nudge: (event: KeyboardEvent) => void
}) {
  const place = (button: HTMLButtonElement | null) => {
    if (!button) return
    button.style.left = `${each.spot.x * 100}%`
    button.style.top = `${each.spot.y * 100}%`
  }
  return (
    <button
      ref={place}
      type="button"
      aria-label={`${each.name}: ${Math.round(each.spot.x * 100)} across, ${Math.round(each.spot.y * 100)} down; arrow keys move it`}
      className="absolute size-11 -translate-x-1/2 -translate-y-1/2 touch-none"
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag}
      onKeyDown={nudge}
    >
      <svg viewBox="0 0 44 44" aria-hidden>
        <circle cx={22} cy={22} r={15} fill="none" stroke="white" strokeWidth={6} />
        <circle cx={22} cy={22} r={15} fill="none" stroke={each.ink} strokeWidth={3} />
      </svg>
      <span className="bg-plate absolute left-10 top-2 px-1 text-sm whitespace-nowrap">{each.name}</span>
    </button>
  )
}

function ScentSheet({ batch, looks, open, onClose }: SheetProps) {
  const [score, setScore] = useState('3')
  const [note, setNote] = useState('')
  const { write, look } = useLook(batch, () => {
    setNote('')
    onClose()
  })
  return (
    <Sheet open={open} onOpenChange={(now) => (now ? null : onClose())} title="Its scent">
      <form
        className="flex flex-col gap-3"
        onSubmit={sent(() => {
          look(
            { what: 'scent', score: Number(score), note: note || null },
            looks.words[Number(score)] ?? score,
            note && `“${note}”`,
          )
        })}
      >
        <p>A drop on the back of the hand, away from the stove; the herb in the oil, not the oil.</p>
        <Select
          label="It smells of the herb"
          value={score}
          choices={looks.words.map((word, index) => ({ id: String(index), name: `${index}, ${word}` }))}
          onChange={(event) => setScore(event.target.value)}
        />
        <Field label="A word on it" maxLength={500} value={note} onChange={(event) => setNote(event.target.value)} />
        <Trouble problem={write.error} />
        <Button look="strong" type="submit" disabled={write.isPending} className="self-start">
          Keep this
        </Button>
      </form>
    </Sheet>
  )
}
