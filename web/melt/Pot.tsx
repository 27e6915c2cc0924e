import type { Product } from './wish'

const TOP = 26
const HEIGHT = 292
const LEFT = 40
const WIDTH = 186
const LINE = 17
/** So many letters stand beside the pot in one line. */
const LETTERS = 20

/** Colour by what a part is: oil amber, wax straw, herb and scent green, water slate. */
const FILL: Record<string, string> = {
  oil: 'var(--oil-pale)',
  butter: 'color-mix(in srgb, var(--wax) 40%, var(--plate))',
  wax: 'var(--wax)',
  scent: 'var(--herb-pale)',
  additive: 'var(--herb-pale)',
  'spent-herb': 'var(--herb)',
  emulsifier: 'color-mix(in srgb, var(--wax) 65%, var(--water-pale))',
  water: 'var(--water-pale)',
}
const EDGE: Record<string, string> = { oil: 'var(--oil)', water: 'var(--water)', scent: 'var(--herb)' }

export const fillOf = (kind: string) => FILL[kind] ?? 'var(--line)'

/** A long name in as many lines as it takes, broken between words. */
function lines(name: string): string[] {
  const at = name.lastIndexOf(' ', LETTERS)
  return name.length <= LETTERS || at < 1 ? [name] : [name.slice(0, at), ...lines(name.slice(at + 1))]
}

/** Where names stand beside their layers: each at its own height, and none over another, however many lines it has. */
function spread(wanted: number[], high: number[]): number[] {
  const at: number[] = []
  wanted.forEach((y, index) => at.push(Math.min(y, (at.at(-1) ?? Infinity) - 4 - (high[index] ?? 1) * LINE)))
  const under = TOP + 6 - (at.at(-1) ?? TOP + 6)
  return under > 0 ? at.map((y) => y + under) : at
}

type Layer = Pick<Product['pot'][number], 'id' | 'kind' | 'name' | 'share' | 'share_text'>

/** The pot with what goes in as layers, each as high as its share by weight; what goes in first lies lowest. */
export function Pot({ parts }: { parts: Layer[] }) {
  const layers = parts.reduce<{ part: Layer; from: number }[]>((before, part) => {
    const last = before.at(-1)
    return [...before, { part, from: last ? last.from + last.part.share : 0 }]
  }, [])
  const foot = TOP + HEIGHT
  const names = spread(
    layers.map(({ part, from }) => foot - (from + part.share / 2) * HEIGHT + 5),
    layers.map(({ part }) => lines(part.name).length),
  )
  return (
    <svg
      viewBox={`0 0 400 ${foot + 12}`}
      className="w-full max-w-[26rem]"
      role="img"
      aria-label={`The pot, by weight: ${parts.map((part) => `${part.name} ${part.share_text}`).join(', ')}`}
    >
      {layers.map(({ part, from }, index) => {
        const y = foot - (from + part.share) * HEIGHT
        return (
          <g key={`${part.kind}.${part.id}`}>
            <rect
              x={LEFT + 2}
              y={y}
              width={WIDTH - 4}
              height={Math.max(1, part.share * HEIGHT)}
              fill={fillOf(part.kind)}
            />
            <line
              x1={LEFT}
              x2={LEFT + WIDTH}
              y1={y}
              y2={y}
              stroke={EDGE[part.kind] ?? 'var(--soft)'}
              strokeWidth={1.5}
            />
            <polyline
              points={[
                [LEFT + WIDTH, y + (part.share * HEIGHT) / 2],
                [LEFT + WIDTH + 14, (names[index] ?? y) - 5],
                [LEFT + WIDTH + 20, (names[index] ?? y) - 5],
              ].join(' ')}
              fill="none"
              stroke="var(--soft)"
            />
            {lines(part.name).map((line, at) => (
              <text
                key={line}
                x={LEFT + WIDTH + 26}
                y={(names[index] ?? y) + at * LINE}
                fontSize={16.5}
                fill="var(--ink)"
              >
                {line}
              </text>
            ))}
          </g>
        )
      })}
      <path
        d={`M${LEFT} ${TOP - 16} V${foot - 14} q0 14 14 14 H${LEFT + WIDTH - 14} q14 0 14 -14 V${TOP - 16}`}
        fill="none"
        stroke="var(--rim)"
        strokeWidth={3.5}
      />
    </svg>
  )
}

/** The tins as they are filled, to scale among each other. */
export function Tins({ plan }: { plan: Product }) {
  const tins = plan.tins.sizes.flatMap((size) => Array.from({ length: size.count }, () => size))
  const shown = tins.slice(0, 24)
  const largest = Math.max(...tins.map((tin) => tin.ml), 1)
  const side = (ml: number) => 24 + 20 * Math.cbrt(ml / largest)
  if (tins.length === 0) return null
  return (
    <ul className="mt-2 flex flex-wrap items-end gap-1.5" aria-label={`${tins.length} filled`}>
      {shown.map((tin, index) => (
        <li
          // eslint-disable-next-line react/no-array-index-key -- a tin is known by its number
          key={index}
          className="border-rim figures flex items-center justify-center rounded-rim border-2 text-sm"
          style={{
            width: side(tin.ml),
            height: side(tin.ml) * 0.62,
            background: `linear-gradient(to top, var(--wax) ${(tin.holds_ml / tin.ml) * 82}%, transparent 0)`,
            color: '#17263a',
          }}
        >
          {index + 1}
        </li>
      ))}
      {tins.length > shown.length ? <li className="text-soft">and {tins.length - shown.length} more</li> : null}
    </ul>
  )
}
