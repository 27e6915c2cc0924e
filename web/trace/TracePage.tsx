import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { Beside } from './Beside'
import { Threads } from './Threads'
import { capital } from '../parts/letters'

export type Trace = Shape<'TraceView'>

const KINDS = [
  { id: 'lot', name: 'Lots' },
  { id: 'pot', name: 'Pots' },
  { id: 'batch', name: 'Batches' },
  { id: 'bottle', name: 'Bottles' },
  { id: 'product', name: 'Products' },
  { id: 'tin', name: 'Tins' },
]

const DO: Record<string, string> = { 'throw-away': 'Throw it away', tell: 'Tell', nothing: 'Nothing left of it' }

/** More than these are a list and no drawing. */
const DRAWN = 48

export default function TracePage() {
  const { kind = '', thing = '' } = useParams()
  const of =
    kind === 'person'
      ? `/trace/person?name=${encodeURIComponent(thing)}`
      : `/${{ lot: 'lots', pot: 'boils', batch: 'batches' }[kind] ?? 'makings'}/${thing}/trace`
  // Each is answered alike.
  const trace = useOfHouse(of as `/lots/${string}/trace`)
  const { there, instead } = useArrived(trace, 'the trace')
  if (!there) return instead
  return (
    <div className="flex flex-col gap-8">
      <Page trace={there} kind={kind} of={thing} />
      {kind === 'batch' || kind === 'product' ? <Beside kind={kind} thing={thing} /> : null}
    </div>
  )
}

function Page({ trace, kind, of }: { trace: Trace; kind: string; of: string }) {
  const { works } = usePart()
  const house = useHouseId()
  const person = trace.of.startsWith('person ')
  // What somebody has is no more than what it came from, but it is what is asked for.
  const held = new Set(trace.arrows.filter((arrow) => arrow.into === trace.of).map((arrow) => arrow.from))
  const has = person ? trace.things.filter((thing) => held.has(thing.id)) : []
  const back = trace.things.filter((thing) => thing.side === 'back' && !has.includes(thing))
  const forward = trace.things.filter((thing) => thing.side === 'forward' && thing.kind !== 'person')
  return (
    <div className="flex flex-col gap-6">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <p className="text-soft">What touches what</p>
          <h1 className="text-3xl sm:text-4xl">{capital(trace.name)}</h1>
        </div>
        <Button className="no-print" onClick={() => window.print()}>
          Print this list
        </Button>
      </header>
      {trace.things.length <= DRAWN ? <Threads trace={trace} /> : null}
      {trace.more > 0 ? (
        <Notice rank="care">{trace.more} more are touched than fit on a page; the house’s export has them all.</Notice>
      ) : null}
      <div className="border-line grid gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
        <section aria-labelledby="forward-head">
          <h2 id="forward-head" className="column-head font-text text-base">
            {person ? 'What was given or sold to them' : 'Should it have turned'}
          </h2>
          {person ? (
            <Listed things={has} />
          ) : forward.length === 0 ? (
            <p>Nothing was made of it yet.</p>
          ) : (
            <Listed things={forward} does />
          )}
          {works && !person ? <Close trace={trace} kind={kind} of={of} /> : null}
        </section>
        <div className="flex flex-col gap-8">
          {trace.people.length > 0 ? (
            <section aria-labelledby="people-head">
              <h2 id="people-head" className="column-head font-text text-base">
                Whom to tell
              </h2>
              <ul>
                {trace.people.map((each) => (
                  <li key={each.person} className="border-line border-b py-2">
                    {each.person ? (
                      <Link
                        className="font-semibold underline underline-offset-4"
                        to={`/h/${house}/trace/person/${encodeURIComponent(each.person)}`}
                      >
                        {each.person}
                      </Link>
                    ) : (
                      <span className="text-warmth font-semibold">Nobody’s name was written</span>
                    )}
                    <span className="text-soft block">{each.holds.join(', ')}</span>
                  </li>
                ))}
              </ul>
            </section>
          ) : null}
          {back.length > 0 ? (
            <section aria-labelledby="back-head">
              <h2 id="back-head" className="column-head font-text text-base">
                What it came from
              </h2>
              <Listed things={back} />
            </section>
          ) : null}
        </div>
      </div>
    </div>
  )
}

const RECALLS = { lot: 'lots', pot: 'boils', batch: 'batches', product: 'makings' } as const

/** All of it is thrown away at once, each in its own logbook. */
function Close({ trace, kind, of }: { trace: Trace; kind: string; of: string }) {
  const house = useHouseId()
  const say = useSay()
  const [open, setOpen] = useState(false)
  const form = useForm({ reason: '' })
  const write = useWrite<'POST /houses/{house}/lots/{lot}/recall'>(() => {
    setOpen(false)
    say({ text: 'All of it is thrown away. Each line can be undone where it stands.' })
  })
  const { field, rest } = form.beside(write.error)
  const things = trace.things.filter((each) => each.do === 'throw-away')
  if (things.length === 0) return null
  return (
    <div className="no-print mt-4">
      <Button onClick={() => setOpen(true)}>All of it is thrown away</Button>
      <Sheet
        open={open}
        onOpenChange={setOpen}
        title={things.length === 1 ? 'Throw away one thing' : `Throw away ${things.length} things`}
      >
        <form
          className="flex flex-col gap-4"
          onSubmit={sent(() =>
            write.mutate({
              path: `/houses/${house}/${RECALLS[kind as 'lot']}/${of}/recall` as `/houses/${string}/lots/${string}/recall`,
              body: { reason: form.typed.reason, things: things.map((each) => each.id) },
            }),
          )}
        >
          <p>
            {things.map((each) => each.name).join('; ')}.
            {trace.people.length > 0
              ? ` Whoever has some of it is told, and stays on the list: ${trace.people
                  .map((each) => each.person || 'somebody whose name was not written')
                  .join(', ')}.`
              : ''}
          </p>
          <Field label="Why" required maxLength={400} {...field('reason')} />
          <Trouble problem={rest} />
          <Button type="submit" look="strong" disabled={write.isPending}>
            It is thrown away
          </Button>
        </form>
      </Sheet>
    </div>
  )
}

/** By kind, from the plant to the person. */
function Listed({ things, does = false }: { things: Trace['things']; does?: boolean }) {
  const house = useHouseId()
  return (
    <>
      {KINDS.filter((kind) => things.some((thing) => thing.kind === kind.id)).map((kind) => (
        <div key={kind.id} className="mt-3 first:mt-0">
          <h3 className="text-soft font-text text-sm">{kind.name}</h3>
          <ul>
            {things
              .filter((thing) => thing.kind === kind.id)
              .map((thing) => (
                <li
                  key={thing.id}
                  className="border-line flex flex-wrap items-baseline justify-between gap-x-4 border-b py-1.5"
                >
                  <span>
                    <Link className="underline underline-offset-4" to={`/h/${house}/${thing.at}`}>
                      {thing.name}
                    </Link>
                    {thing.detail ? <span className="text-soft">, {thing.detail}</span> : null}
                  </span>
                  {does ? (
                    <span className={thing.do === 'nothing' ? 'text-soft' : 'text-warmth font-semibold'}>
                      {DO[thing.do]}
                      {thing.who ? ` ${thing.who}` : thing.do === 'tell' ? ' whoever has it' : ''}
                    </span>
                  ) : null}
                </li>
              ))}
          </ul>
        </div>
      ))}
    </>
  )
}
