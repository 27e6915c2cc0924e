import type { Shape } from '../api/hooks'
import { Figure } from './Figure'

/** The days of a plan on one line, drawn to scale from begin to bottle. */
export function PlanDays({ plan }: { plan: Shape<'Plan'> }) {
  const { schedule, figures } = plan
  const moment = (text: string) => new Date(text).getTime()
  const from = moment(schedule.fill_at)
  const length = Math.max(1, moment(schedule.settled_at) - from)
  const at = (text: string) => ((moment(text) - from) / length) * 400
  const strain = at(schedule.strain_at)
  return (
    <div>
      <svg
        viewBox="0 0 400 26"
        className="w-full"
        role="img"
        aria-label={`From ${schedule.says?.begin} to ${schedule.says?.settled}`}
      >
        <rect
          x={0}
          y={6}
          width={strain}
          height={14}
          fill={plan.method.heated ? 'var(--glass)' : 'var(--herb-pale)'}
          stroke="var(--rim)"
        />
        {schedule.sessions.map((session) => (
          <rect
            key={session.from}
            x={at(session.from)}
            y={6}
            width={Math.max(2, at(session.to) - at(session.from))}
            height={14}
            fill="var(--warmth)"
          />
        ))}
        <rect x={strain} y={6} width={400 - strain} height={14} fill="var(--water-pale)" stroke="var(--rim)" />
        <line x1={strain} x2={strain} y1={0} y2={26} stroke="var(--ink)" strokeWidth={2.5} />
      </svg>
      <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1">
        <dt>Start by</dt>
        <dd>
          <Figure name="Start by" figure={figures.start_by} size="text-lg" />
        </dd>
        {plan.method.heated
          ? schedule.says?.warm.map((says) => (
              <div key={says} className="contents">
                <dt className="text-warmth">Warm</dt>
                <dd>{says}</dd>
              </div>
            ))
          : null}
        <dt>{plan.strained === false ? 'Ready' : 'Strain by'}</dt>
        <dd>
          <Figure name={plan.strained === false ? 'Ready' : 'Strain by'} figure={figures.strain_by} size="text-lg" />
        </dd>
        {plan.strained === false ? null : (
          <>
            <dt>{plan.method.settles === false ? 'In its jars' : 'Settled'}</dt>
            <dd>{schedule.says?.settled}</dd>
          </>
        )}
      </dl>
    </div>
  )
}
