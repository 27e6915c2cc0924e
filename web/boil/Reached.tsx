import { Notice } from '../parts/Notice'
import { Row } from '../parts/Row'
import { Head } from './Head'
import type { Pot } from './line'

/** How much is still to go off, and when it is done. */
export function HowFar({ pot }: { pot: Pot }) {
  return (
    <div>
      <Head>
        {pot.stage === 'on' ? 'Over the flame' : pot.stage === 'off' ? 'Off the flame, covered' : 'Not begun'}
      </Head>
      {pot.left ? (
        <p className="flex flex-wrap items-baseline gap-x-3">
          <strong className="figures font-display text-6xl font-normal">{pot.left}</strong>
          <span className="text-soft text-2xl">still to go off</span>
        </p>
      ) : (
        <p>How much is to go off is known once it is weighed: write a mark.</p>
      )}
      {pot.more ? (
        <p className="mt-2 text-lg">
          <strong>{pot.more} of flame</strong>
          {pot.done ? `: done about ${pot.done}` : ''}
          {pot.done_between ? <span className="text-soft">, between {pot.done_between}</span> : null}.
        </p>
      ) : null}
    </div>
  )
}

/** The four signs as they were seen last, and whether they agree. */
export function Signs({ pot }: { pot: Pot }) {
  const { verdict } = pot
  return (
    <div>
      <Head>Done when four agree</Head>
      {pot.signs.map((sign) => (
        <Row
          key={sign.id}
          name={sign.says}
          detail={
            sign.is === null || sign.is === undefined
              ? 'not looked at'
              : `${sign.is}, ${sign.when}${sign.stale ? ': look again' : ''}`
          }
        >
          <strong>{sign.agrees ? 'yes' : sign.is && !sign.stale ? 'not yet' : '–'}</strong>
        </Row>
      ))}
      {verdict && pot.signs.some((sign) => sign.is) ? (
        <div role="status" className="mt-3 flex flex-col gap-2">
          <Notice rank={verdict.verdict === 'past' ? 'stop' : 'note'}>
            <strong>{verdict.says}</strong>{' '}
            {verdict.verdict === 'not-yet' ? verdict.why.map((each) => each.says).join(' ') : ''}
          </Notice>
          {verdict.for ? <p>{verdict.for}</p> : null}
        </div>
      ) : null}
    </div>
  )
}
