import type { Shape } from '../api/hooks'

const [WIDE, HIGH, LEFT, FOOT] = [560, 220, 54, 24]

/** The marks by hours of flame, the line through them, and where it comes down to the end, with its range. */
export function LevelLine({ view }: { view: Shape<'LevelView'> }) {
  const end = view.end_h ?? null
  const endMl = view.end_ml ?? 0
  const last = view.points.at(-1)?.h ?? 0
  const most = Math.max(last, end ?? 0, view.end_high_h ?? 0, 0.1)
  const top = Math.max(view.from_ml, ...view.points.map((point) => point.ml), 1)
  const x = (h: number) => LEFT + (h / most) * (WIDE - LEFT - 12)
  const y = (ml: number) => 12 + (1 - (ml - endMl) / Math.max(1, top - endMl)) * (HIGH - FOOT - 12)
  const [low, high] = [view.end_low_h ?? null, view.end_high_h ?? null]
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="mt-3 w-full max-w-2xl"
      role="img"
      aria-label={`The level by hours of flame, ${view.points.length} marks${view.more ? `; ${view.more} more` : ''}`}
    >
      <line x1={LEFT} x2={WIDE - 8} y1={HIGH - FOOT} y2={HIGH - FOOT} stroke="var(--line)" strokeWidth={2} />
      {end !== null && low !== null && high !== null ? (
        <polygon
          points={`${x(last)},${y(view.now_ml)} ${x(low)},${y(endMl)} ${x(high)},${y(endMl)}`}
          fill="var(--water-pale)"
        />
      ) : null}
      <line x1={x(0)} y1={y(view.from_ml)} x2={x(last)} y2={y(view.now_ml)} stroke="var(--water)" strokeWidth={3} />
      {end === null ? null : (
        <line
          x1={x(last)}
          y1={y(view.now_ml)}
          x2={x(end)}
          y2={y(endMl)}
          stroke="var(--water)"
          strokeWidth={2}
          strokeDasharray="2 6"
        />
      )}
      {view.points.map((point) => (
        <circle key={`${point.h} ${point.ml}`} cx={x(point.h)} cy={y(point.ml)} r={5} fill="var(--ink)" />
      ))}
      <text x={LEFT - 8} y={20} textAnchor="end" fontSize={13} fill="var(--soft)">
        {view.from_text}
      </text>
      <text x={LEFT} y={HIGH - 6} fontSize={13} fill="var(--soft)">
        0
      </text>
      <text x={x(end ?? last)} y={HIGH - 6} textAnchor="middle" fontSize={13} fill="var(--soft)">
        {view.end_text}
      </text>
    </svg>
  )
}
