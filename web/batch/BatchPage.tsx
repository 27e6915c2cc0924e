import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { get, type Problem } from '../api/client'
import { type Shape, useBatch, useBatchWrite, useHouseId } from '../api/hooks'
import { putOnBench } from '../bench/wish'
import { useKey } from '../frame/keys'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { useBegun } from '../parts/begun'
import { Button, ButtonLink, FileLink } from '../parts/Button'
import { Cautions } from '../parts/Cautions'
import { FaultSheet } from '../parts/FaultSheet'
import { Field } from '../parts/Field'
import { Figure } from '../parts/Figure'
import { sent } from '../parts/form'
import { JarWithLevels } from '../parts/JarDrawing'
import { Notice, Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { TaskRow } from '../today/TaskRow'
import { BottleRack } from './BottleRack'
import { Bottles } from './Bottles'
import { FreshHerb } from './FreshHerb'
import { Keeping } from './Keeping'
import { Logbook } from './Logbook'
import { Watch } from './Watch'

export default function BatchPage() {
  const { batch: id = '' } = useParams()
  const batch = useBatch(id)
  const { there, instead } = useArrived(batch, 'the batch')
  if (!there) return instead
  return <Page key={there.id} batch={there} />
}

function Page({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const go = useNavigate()
  const say = useSay()
  const [discarding, setDiscarding] = useState(false)
  const [wrong, setWrong] = useState(false)
  const plan = batch.plan
  const closed = batch.stage === 'bottled' || batch.stage === 'discarded'
  const strained = batch.press.strained !== null
  const again = (times: number | null) =>
    void get(
      times === null
        ? `/houses/${house}/batches/${batch.id}/again`
        : `/houses/${house}/batches/${batch.id}/again?times=${times}`,
    ).then(
      (answer) => {
        putOnBench(house, answer.wish)
        sessionStorage.setItem('kettle.repeats', batch.id)
        void go(`/h/${house}/bench`)
      },
      (problem: Problem) => say({ text: problem.message, wrong: true }),
    )
  const repeat = () => again(1)
  useKey('R', 'Repeat this batch', repeat, works)
  useKey('f', 'Find what is wrong with this batch', () => setWrong(true))
  // Out of a bowl or a pan it stands in a jar, which has none of the marks that were planned.
  const levels = strained
    ? {
        ...plan.jar,
        ...((plan.jar.kind ?? 'jar') === 'jar'
          ? {}
          : { kind: batch.jar.kind, height_mm: batch.jar.height_mm, diameter_mm: batch.jar.diameter_mm, marks: [] }),
        bed_mm: 0,
        level_mm: batch.jar.level_mm,
        dry_fill_mm: 0,
      }
    : plan.jar
  const text = (figure: string) => plan.figures[figure]?.text ?? ''
  return (
    <div className="flex flex-col gap-6">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <p className="text-soft figures">{batch.code}</p>
          <h1 className="text-3xl sm:text-4xl">{batch.name}</h1>
          <p className="text-lg">
            {batch.stage_text}
            {batch.jar.alert ? <strong className="text-warmth"> · {batch.jar.alert}</strong> : null}
          </p>
        </div>
        <div className="no-print flex flex-wrap gap-2">
          {strained || batch.stage === 'steeping' ? (
            <ButtonLink to={`/h/${house}/press/${batch.id}`}>To the press</ButtonLink>
          ) : null}
          {plan.before ? null : (
            <FileLink href={`/api/houses/${house}/batches/${batch.id}/tag.pdf`}>Jar tag, PDF</FileLink>
          )}
          <ButtonLink to={`/h/${house}/batch/${batch.id}/print`}>Labels</ButtonLink>
          {plan.steps && !plan.before ? (
            <ButtonLink to={`/h/${house}/batch/${batch.id}/card`}>Kitchen card</ButtonLink>
          ) : null}
          {batch.stage === 'bottled' && batch.bottles.some((bottle) => bottle.state === 'in') ? (
            <ButtonLink to={`/h/${house}/melt?batch=${batch.id}`}>Melt it</ButtonLink>
          ) : null}
          <ButtonLink to={`/h/${house}/trace/batch/${batch.id}`}>Follow it</ButtonLink>
          {works ? (
            <>
              <Button onClick={repeat} aria-keyshortcuts="Shift+R">
                Repeat it
              </Button>
              <Button onClick={() => again(2)}>Twice as much</Button>
              <Button onClick={() => again(null)}>Another size</Button>
              <FreshHerb batch={batch} />
            </>
          ) : null}
        </div>
      </header>
      <div className="border-line grid gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,0.9fr)_minmax(0,1.1fr)_minmax(0,1fr)] lg:grid-rows-[auto_1fr]">
        <section aria-label={batch.bottles.length > 0 ? 'What it became' : 'The jar'}>
          {batch.bottles.length > 0 ? (
            <>
              <h2 className="column-head font-text text-base">What it became</h2>
              <BottleRack bottles={batch.bottles} />
            </>
          ) : (
            <>
              <h2 className="column-head font-text text-base">{strained ? batch.jar.jar : plan.jar.called}</h2>
              <JarWithLevels
                jar={levels}
                words={
                  strained
                    ? { level: `${batch.press.strained ?? ''} oil` }
                    : {
                        headspace: text('headspace') && `${text('headspace')} headspace`,
                        level: `${text('level_height')} oil`,
                        cover: text('cover') && `${text('cover')} cover`,
                        bed: text('bed_height') && `${text('bed_height')} herb`,
                      }
                }
              />
            </>
          )}
          <p className="mt-3">{plan.sentence_text}</p>
        </section>
        {/* On a phone, what was seen of it stands between what is next and what was done. */}
        <section
          aria-label="What comes next"
          className="border-line contents lg:row-span-2 lg:flex lg:flex-col lg:gap-4 lg:border-s lg:ps-8"
        >
          <div className="flex flex-col gap-4">
            <h2 className="column-head font-text text-base">
              {closed && batch.tasks.length === 0 ? 'Done with' : 'Next'}
            </h2>
            <ul>
              {batch.tasks
                .filter((task) => task.open || task.waiting)
                .map((task) => (
                  <TaskRow key={task.key} task={task} />
                ))}
            </ul>
            {batch.tasks.some((task) => !task.open && !task.waiting) ? (
              <p className="text-soft">
                Then:{' '}
                {batch.tasks
                  .filter((task) => !task.open && !task.waiting)
                  .map((task) => `${task.title.toLowerCase()} ${task.due_text}`)
                  .join(', ')}
                .
              </p>
            ) : null}
            <Bottles batch={batch} />
          </div>
          <div className="order-2 lg:order-none">
            <Logbook batch={batch} />
          </div>
        </section>
        {/* It comes after the page, and pushes down nothing that is to be pressed next. */}
        <Watch batch={batch} />
        <section
          aria-label="Facts"
          className="border-line order-3 flex flex-col gap-3 lg:order-none lg:col-start-3 lg:row-span-2 lg:row-start-1 lg:border-s lg:ps-8"
        >
          <h2 className="column-head font-text text-base">Facts</h2>
          {/* Nothing is made up for what was there before it was entered. */}
          {plan.before ? <p>How much of each went in is not known.</p> : <WentIn plan={plan} />}
          {batch.base ? (
            <p>
              Made in the oil of{' '}
              <Link className="underline" to={`/h/${house}/batch/${batch.base.id}`}>
                {batch.base.code}, {batch.base.name}
              </Link>
              .
            </p>
          ) : null}
          <Keeping batch={batch} />
          <Origin batch={batch} />
          {batch.lots.length > 0 ? (
            <p>
              From Stores:{' '}
              {batch.lots.map((lot, index) => (
                <span key={lot.lot}>
                  {index > 0 ? '; ' : ''}
                  {lot.text} of{' '}
                  <Link className="underline" to={`/h/${house}/stores/${lot.lot}`}>
                    {lot.called}
                  </Link>
                </span>
              ))}
              .
            </p>
          ) : null}
          {(strained ? [] : plan.notes)
            .filter(
              (each) =>
                !each.why && each.id !== 'skin-only' && !batch.cautions.some((caution) => caution.id === each.id),
            )
            .map((note) => (
              <Notice key={note.id} rank={note.rank}>
                {note.says}
              </Notice>
            ))}
          <Cautions batch={batch} place={strained ? 'label' : 'bench'} />
          <details>
            <summary className="min-h-11 py-2 font-semibold">How it is done</summary>
            <ul className="list-disc ps-5">
              {plan.method.handling.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </details>
          {works && batch.stage !== 'discarded' ? (
            <div className="flex flex-wrap gap-3">
              <Button onClick={() => setWrong(true)} aria-keyshortcuts="f">
                Something is wrong
              </Button>
              <Button look="stop" onClick={() => setDiscarding(true)}>
                Discard it
              </Button>
            </div>
          ) : null}
        </section>
      </div>
      <DiscardSheet batch={batch} open={discarding} onOpenChange={setDiscarding} />
      <FaultSheet
        of="batch"
        id={batch.id}
        title={`What is wrong with the ${batch.herb}?`}
        open={wrong}
        setOpen={setWrong}
        discard={() => setDiscarding(true)}
      />
    </div>
  )
}

function Origin({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const [typed, setTyped] = useState(batch.origin)
  const write = useBatchWrite()
  // A line of the logbook is a new version too, and stands in nobody's way here.
  const from = useBegun(batch.origin, typed !== batch.origin, write.error)
  const begun = useBegun(batch.version, from !== batch.origin, write.error)
  if (!works) return batch.origin ? <p>From {batch.origin}</p> : null
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={sent(() => {
        write.mutate({
          method: 'PATCH',
          path: `/houses/${house}/batches/${batch.id}`,
          body: { version: begun, origin: typed },
        })
      })}
    >
      <Field
        label="Where the plant came from"
        maxLength={160}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
      />
      {typed === batch.origin ? null : (
        <Button type="submit" disabled={write.isPending} className="self-start">
          Keep it
        </Button>
      )}
      <Trouble problem={write.error} />
    </form>
  )
}

function DiscardSheet({
  batch,
  open,
  onOpenChange,
}: {
  batch: Shape<'BatchView'>
  open: boolean
  onOpenChange: (open: boolean) => void
}) {
  const house = useHouseId()
  const [reason, setReason] = useState('')
  const write = useBatchWrite(() => onOpenChange(false))
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={`Discard the ${batch.herb}?`}>
      <form
        className="flex flex-col gap-3"
        onSubmit={sent(() => {
          write.mutate({ path: `/houses/${house}/batches/${batch.id}/discard`, body: { reason } })
        })}
      >
        <p>It stays in the records with the reason, and it can be undone from its logbook.</p>
        <Field label="Because" required maxLength={500} value={reason} onChange={(e) => setReason(e.target.value)} />
        <Trouble problem={write.error} />
        <Button look="stop" type="submit" disabled={write.isPending} className="self-start">
          Discard it
        </Button>
      </form>
    </Sheet>
  )
}

/** What went in, as it was planned, and what was expected of it. */
function WentIn({ plan }: { plan: Shape<'BatchView'>['plan'] }) {
  const house = useHouseId()
  const { kitchen } = usePart()
  // A batch begun by an earlier kettle has one herb and no list.
  const herbs = plan.herbs ?? [plan.herb]
  return (
    <dl className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 gap-y-1.5 [&_dd]:text-end">
      {herbs.map((herb, index) => (
        <div key={herb.name + herb.form} className="contents">
          <dt>
            {herb.id ? (
              <Link
                className="underline decoration-dotted underline-offset-4"
                to={`/h/${house}/almanac/plant/${herb.id}`}
              >
                {herb.name}
              </Link>
            ) : (
              herb.name
            )}
          </dt>
          <dd>
            <Figure
              name={herb.name}
              figure={plan.figures[herbs.length > 1 ? `herb_mass.${index}` : 'herb_mass']}
              kitchenFirst={kitchen}
              size="text-xl"
            />
          </dd>
        </div>
      ))}
      {plan.oils.map((oil) => (
        <div key={oil.id} className="contents">
          <dt>
            <Link className="underline decoration-dotted underline-offset-4" to={`/h/${house}/almanac/oil/${oil.id}`}>
              {oil.name}
            </Link>
          </dt>
          <dd>
            <Figure
              name={oil.name}
              figure={plan.figures[`oil_volume.${oil.id}`]}
              kitchenFirst={kitchen}
              size="text-xl"
            />
          </dd>
        </div>
      ))}
      <dt>Herb to oil</dt>
      <dd className="text-xl font-semibold">{plan.ratio}</dd>
      <dt>Expected out</dt>
      <dd>
        <Figure name="Expected out" figure={plan.figures.yield_volume} kitchenFirst={kitchen} size="text-xl" />
      </dd>
    </dl>
  )
}
