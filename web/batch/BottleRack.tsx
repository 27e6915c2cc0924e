import type { Shape } from '../api/hooks'

type Bottle = Shape<'BottleView'>

const TALLEST = 130
const GAP = 18
const ACROSS = 380
/** Of a bottle's height: how wide it is, and where its shoulder and its neck begin. */
const WIDE = 0.42
const SHOULDER = 0.66
const NECK = 0.8

const GONE = { in: '', used: 'used', given: 'given', thrown: 'thrown away' }

/** Where each stands: side by side, a new row when one is full. */
function stood(bottles: Bottle[]) {
  const most = Math.max(...bottles.map((bottle) => bottle.filled_ml))
  const placed: { bottle: Bottle; height: number; x: number; foot: number }[] = []
  let x = 0
  let row = 0
  for (const bottle of bottles) {
    // Bottles of one shape: what they hold goes by the cube of their height.
    const height = TALLEST * Math.cbrt(bottle.filled_ml / most)
    const room = Math.max(height * WIDE, 54) + GAP
    if (x + room > ACROSS) {
      x = 0
      row += 1
    }
    placed.push({ bottle, height, x: x + room / 2, foot: (row + 1) * (TALLEST + 46) - 42 })
    x += room
  }
  return { placed, rows: row + 1 }
}

/** The bottles a batch became, each as large beside the others as it is, and as full as it is. */
export function BottleRack({ bottles }: { bottles: Bottle[] }) {
  const { placed, rows } = stood(bottles)
  return (
    <svg
      viewBox={`0 0 ${ACROSS} ${rows * (TALLEST + 46)}`}
      className="mt-3 w-full max-w-md"
      role="img"
      aria-label={bottles.map((bottle) => `no. ${bottle.number}: ${says(bottle)}`).join('; ')}
    >
      {placed.map((at) => (
        <BottleShape key={at.bottle.number} {...at} />
      ))}
    </svg>
  )
}

function says(bottle: Bottle): string {
  return bottle.state === 'in' ? `${bottle.left} left of ${bottle.filled}` : GONE[bottle.state]
}

export function BottleShape({
  bottle,
  height,
  x,
  foot,
}: {
  bottle: Pick<Bottle, 'number' | 'state' | 'left_ml' | 'filled_ml' | 'left'>
  height: number
  x: number
  foot: number
}) {
  const half = (height * WIDE) / 2
  const neck = half * 0.42
  const here = bottle.state === 'in'
  const outline = [
    `M ${x - half + 4} ${foot}`,
    `Q ${x - half} ${foot} ${x - half} ${foot - 4}`,
    `V ${foot - height * SHOULDER}`,
    `Q ${x - half} ${foot - height * NECK} ${x - neck} ${foot - height * NECK}`,
    `V ${foot - height} H ${x + neck} V ${foot - height * NECK}`,
    `Q ${x + half} ${foot - height * NECK} ${x + half} ${foot - height * SHOULDER}`,
    `V ${foot - 4} Q ${x + half} ${foot} ${x + half - 4} ${foot} Z`,
  ].join(' ')
  // Full stands at the foot of the neck.
  const level = here ? height * NECK * Math.min(1, bottle.left_ml / bottle.filled_ml) : 0
  const clip = `bottle-${bottle.number}`
  return (
    <g>
      <clipPath id={clip}>
        <path d={outline} />
      </clipPath>
      <path d={outline} fill="var(--glass)" />
      <g clipPath={`url(#${clip})`}>
        <rect x={x - half} y={foot - level} width={half * 2} height={level} fill="var(--oil-pale)" />
        {level > 0 ? (
          <line x1={x - half} x2={x + half} y1={foot - level} y2={foot - level} stroke="var(--oil)" strokeWidth={2} />
        ) : null}
      </g>
      <path
        d={outline}
        fill="none"
        stroke={here ? 'var(--rim)' : 'var(--soft)'}
        strokeWidth={here ? 2.5 : 1.5}
        strokeDasharray={here ? undefined : '4 4'}
      />
      <text x={x} y={foot + 18} textAnchor="middle" fontSize="15" fontWeight={600} fill="var(--ink)">
        {bottle.number}
      </text>
      <text x={x} y={foot + 35} textAnchor="middle" fontSize="15" fill="var(--soft)">
        {here ? bottle.left : GONE[bottle.state]}
      </text>
    </g>
  )
}
