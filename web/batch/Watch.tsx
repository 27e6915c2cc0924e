import { Link } from 'react-router'
import { type Shape, useHouseId, useOfHouse } from '../api/hooks'
import { Trouble } from '../parts/Notice'
import { HoursBar, WarmthLine } from '../stove/drawings'
import { Looks } from './Looks'
import { InTheSun } from './InTheSun'

/** A batch as it infuses: its warmth or its sun, its colour and its scent. */
export function Watch({ batch }: { batch: Shape<'BatchView'> }) {
  if (batch.stage === 'discarded' && !batch.plan.method.heated) return null
  const has = (trait: string) => batch.plan.method.traits?.includes(trait) ?? false
  return (
    <div className="border-line order-1 flex flex-col gap-8 border-t pt-5 empty:hidden lg:order-none lg:col-start-1 lg:row-start-2 lg:self-start">
      {batch.plan.method.heated && !batch.plan.before && !has('in-pan') ? <Warmth batch={batch} /> : null}
      {has('in-sun') && !batch.plan.before ? <InTheSun batch={batch.id} /> : null}
      {has('in-pan') && batch.stage === 'steeping' ? null : <Looks batch={batch} />}
    </div>
  )
}

function Warmth({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const warmth = useOfHouse(`/batches/${batch.id}/warmth`)
  if (warmth.isError && !warmth.data) return <Trouble problem={warmth.error} />
  if (!warmth.data) return null
  const { sessions, next_text } = warmth.data
  return (
    <section aria-labelledby="warmth" className="flex flex-col gap-3">
      <h2 id="warmth" className="text-2xl">
        Warmth
      </h2>
      <HoursBar share={warmth.data.share} label={`${warmth.data.had_text} of ${warmth.data.planned_text}`} />
      <p className="text-lg">
        <strong className="figures">{warmth.data.had_text}</strong> of {warmth.data.planned_text} at warmth
        {next_text ? `; ${next_text}` : ''}
      </p>
      {sessions.length === 0 ? (
        <p className="text-soft">
          Its line of warmth is drawn here once it stands at the{' '}
          <Link to={`/h/${house}/stove`} className="underline">
            Stove
          </Link>
          .
        </p>
      ) : null}
      {sessions.map((session) => (
        <article key={session.id}>
          <h3 className="font-semibold">
            <Link to={`/h/${house}/stove/${session.id}`}>{session.text}</Link>
            <span className="text-soft font-normal">, {session.had_text}</span>
          </h3>
          {session.over_text ? <p className="text-warmth font-semibold">{session.over_text}</p> : null}
          <WarmthLine chart={session.chart} scale={session.scale} height={170} />
        </article>
      ))}
    </section>
  )
}
