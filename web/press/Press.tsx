import { Link, useParams } from 'react-router'
import { type Shape, useBatch, useHouseId, useOfHouse } from '../api/hooks'
import { FreshHerb } from '../batch/FreshHerb'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { ButtonLink, FileLink } from '../parts/Button'
import { Cautions } from '../parts/Cautions'
import { EmptyBoard, EmptyPlace } from '../parts/EmptyPlace'
import { Bottling } from './Bottling'
import { Ready } from './Ready'
import { Settling } from './Settling'
import { SmellIt } from './SmellIt'
import { Straining } from './Straining'
import { YieldBar } from './YieldBar'

export default function Press() {
  const house = useHouseId()
  const { batch } = useParams()
  const list = useOfHouse('/press')
  const { there, instead } = useArrived(list, 'the press')
  if (!there) return instead
  const { to_strain, resting, bottled } = there
  const groups = [
    { name: 'To strain', jars: to_strain },
    { name: 'Resting', jars: resting },
    { name: 'Bottled lately', jars: bottled },
  ].filter((group) => group.jars.length > 0)
  return (
    <div className={`grid gap-x-8 gap-y-8 ${groups.length > 0 ? 'lg:grid-cols-[15rem_1fr]' : ''}`}>
      <nav
        aria-label="At the press"
        hidden={groups.length === 0}
        className={`flex flex-col gap-5 ${batch ? 'max-lg:order-last' : ''}`}
      >
        {groups.map((group) => (
          <section key={group.name}>
            <h2 className="column-head font-text text-base">{group.name}</h2>
            <ul>
              {group.jars.map((jar) => (
                <PressLink key={jar.id} jar={jar} current={jar.id === batch} />
              ))}
            </ul>
          </section>
        ))}
      </nav>
      {batch ? (
        <AtPress id={batch} />
      ) : (
        <div className="max-lg:order-first flex flex-col gap-3">
          {groups.length > 0 ? (
            <>
              <h1 className="text-3xl">Press</h1>
              <p>Choose what you have in hand: strain it, let it settle, bottle it, label it.</p>
            </>
          ) : (
            <EmptyPlace
              title="Nothing wants the press."
              says="Jars come here when they are ready: through the cloth, left to settle, into bottles, with a label on each."
              action="See what steeps"
              to={`/h/${house}/shelf`}
            >
              <EmptyBoard cloth />
            </EmptyPlace>
          )}
        </div>
      )}
    </div>
  )
}

function PressLink({ jar, current }: { jar: Shape<'ShelfJar'>; current: boolean }) {
  const house = useHouseId()
  return (
    <li className="border-line border-b">
      <Link
        to={`/h/${house}/press/${jar.id}`}
        aria-current={current ? 'page' : undefined}
        className={`flex flex-col px-2 py-2 ${current ? 'bg-rim text-on-rim' : ''}`}
      >
        <strong>{jar.herb}</strong>
        <span className={current ? '' : 'text-soft'}>
          {jar.oils}, {jar.days}
        </span>
        {jar.alert ? <strong className={current ? '' : 'text-warmth'}>{jar.alert}</strong> : null}
      </Link>
    </li>
  )
}

function AtPress({ id }: { id: string }) {
  const house = useHouseId()
  const { works } = usePart()
  const batch = useBatch(id)
  const { there, instead } = useArrived(batch, 'the batch')
  if (!there) return instead
  const { stage, press, name, code, kept, plan } = there
  const stands = plan.strained === false
  return (
    <div className="flex flex-col gap-7" key={id}>
      <header className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <p className="text-soft figures">{code}</p>
          <h1 className="text-3xl">{name}</h1>
          <Link to={`/h/${house}/batch/${id}`} className="underline underline-offset-4">
            its page and logbook
          </Link>
        </div>
        {kept.use_by ? <p className="text-warmth text-xl font-semibold">Use by {kept.use_by}</p> : null}
      </header>
      {stage === 'planned' ? <p>It has not been filled yet.</p> : null}
      {stage === 'steeping' ? plan.strained === false ? <Ready batch={there} /> : <Straining batch={there} /> : null}
      {press.strained === null || stage === 'discarded' || stands ? null : (
        <section aria-labelledby="came-out" className="flex max-w-3xl flex-col gap-3">
          <h2 id="came-out" className="text-2xl">
            What came out
          </h2>
          <YieldBar press={press} />
          <p className="text-lg">
            {press.says} {press.odd ? <strong>It is odd beside the others of this house.</strong> : null}
          </p>
          {press.spent_text ? <p>{press.spent_text}</p> : null}
          {press.form ? (
            <Link
              className="self-start underline underline-offset-4"
              to={`/h/${house}/almanac/yields?form=${encodeURIComponent(press.form)}&way=${press.way}`}
            >
              what this house has learned of it
            </Link>
          ) : null}
        </section>
      )}
      {stage === 'settling' ? <Settling batch={there} /> : null}
      {stage === 'settling' || stage === 'poured' ? <Bottling batch={there} /> : null}
      {works && there.charge && stage !== 'bottled' ? (
        <section aria-labelledby="once-more" className="flex max-w-3xl flex-col items-start gap-3">
          <h2 id="once-more" className="text-2xl">
            Or once more
          </h2>
          <p>
            A second charge of herb makes it stronger. It is planned on the Bench, and all of this oil goes into it, or
            some.
          </p>
          <FreshHerb batch={there} />
        </section>
      ) : null}
      {stage === 'bottled' ? (
        <>
          <section aria-labelledby="labels" className="flex flex-col gap-3">
            <h2 id="labels" className="text-2xl">
              {stands ? 'On its sediment' : 'Bottled'}
            </h2>
            <p>
              {stands
                ? `It is used from the top, and up by ${there.best_before}.`
                : `${there.bottles.length} bottles, best before ${there.best_before}; ${press.left ?? 'nothing'} left over.`}
            </p>
            <div className="flex flex-wrap gap-3">
              <ButtonLink look="strong" to={`/h/${house}/batch/${id}/print`}>
                Labels
              </ButtonLink>
              <FileLink href={`/api/houses/${house}/batches/${id}/labels.pdf`}>Bottle labels, PDF</FileLink>
            </div>
          </section>
          <SmellIt batch={there} />
        </>
      ) : null}
      {stage === 'steeping' ? null : <Cautions batch={there} place="press" />}
    </div>
  )
}
