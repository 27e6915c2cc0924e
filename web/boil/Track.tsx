import type { Shape } from '../api/hooks'
import { useWidth } from '../parts/useWidth'

const [HIGH, LEFT, FOOT, TOP] = [240, 62, 26, 14]

type Pot = Shape<'PotView'>

/** What stood in the pot from its first flame on, flat by night, and what is to stand in it until it is done. */
export function Track({ pot }: { pot: Pot }) {
  const [frame, width] = useWidth<HTMLDivElement>(560)
  const { track, ahead, marks } = pot
  const times = [...track.map((each) => each.at), ...ahead.map((each) => each.at), ...marks.map((each) => each.at)]
  if (times.length < 2) return null
  const [from, to] = [Math.min(...times), Math.max(...times)]
  // More went off than was to, or more stood in it than it began with: what was seen is drawn all the same.
  const ends = pot.ends_ml ?? 0
  const floor = Math.min(ends, ...marks.map((each) => each.ml))
  const top = Math.max(...track.map((each) => each.ml), ...marks.map((each) => each.ml), pot.from_ml ?? 0, floor + 1)
  const x = (at: number) => LEFT + ((at - from) / Math.max(1, to - from)) * (width - LEFT - 14)
  const y = (ml: number) => TOP + (1 - (ml - floor) / (top - floor)) * (HIGH - FOOT - TOP)
  // Off the flame nothing goes: what lies between two whiles of flame.
  const turns = [...track, ...ahead]
  const nights = turns
    .map((each, at) => [each.at, turns[at + 1]?.at ?? each.at] as const)
    .filter(([a, b], at) => at % 2 === 1 && b - a > 3600)
  const line = (points: { at: number; ml: number }[]) => points.map((each) => `${x(each.at)},${y(each.ml)}`).join(' ')
  const band = [
    ...ahead.map((each) => `${x(each.at)},${y(each.low)}`),
    ...ahead.toReversed().map((each) => `${x(each.at)},${y(each.high)}`),
  ].join(' ')
  return (
    <div ref={frame} className="max-w-2xl">
      <svg
        viewBox={`0 0 ${width} ${HIGH}`}
        className="block w-full"
        role="img"
        aria-label={`The level, ${marks.length === 1 ? 'one mark' : `${marks.length} marks`}${pot.done ? `; done about ${pot.done}` : ''}`}
      >
        {nights.map(([a, b]) => (
          <g key={a}>
            <rect x={x(a)} y={TOP} width={x(b) - x(a)} height={HIGH - FOOT - TOP} fill="var(--line)" opacity={0.5} />
            {x(b) - x(a) > 34 ? (
              <text x={(x(a) + x(b)) / 2} y={HIGH - FOOT - 8} textAnchor="middle" fontSize={14} fill="var(--soft)">
                off
              </text>
            ) : null}
          </g>
        ))}
        <line x1={LEFT} x2={width - 8} y1={HIGH - FOOT} y2={HIGH - FOOT} stroke="var(--line)" strokeWidth={2} />
        {ahead.length > 0 ? <polygon points={band} fill="var(--water-pale)" /> : null}
        <polyline points={line(track)} fill="none" stroke="var(--water)" strokeWidth={3} />
        <polyline points={line(ahead)} fill="none" stroke="var(--water)" strokeWidth={2} strokeDasharray="2 6" />
        {marks.map((each) => (
          <circle key={`${each.at} ${each.ml}`} cx={x(each.at)} cy={y(each.ml)} r={5} fill="var(--ink)">
            <title>{each.says}</title>
          </circle>
        ))}
        <text
          x={LEFT - 8}
          y={Math.min(y(pot.from_ml ?? top) + 10, y(ends) - 18)}
          textAnchor="end"
          fontSize={14}
          fill="var(--soft)"
        >
          {pot.from_text}
        </text>
        <text x={LEFT - 8} y={y(ends)} textAnchor="end" fontSize={14} fill="var(--soft)">
          {pot.ends_text}
        </text>
        <text x={LEFT} y={HIGH - 8} fontSize={14} fill="var(--soft)">
          {pot.from_at}
        </text>
        <text x={width - 10} y={HIGH - 8} textAnchor="end" fontSize={14} fill="var(--soft)">
          {pot.to_at}
        </text>
      </svg>
    </div>
  )
}
