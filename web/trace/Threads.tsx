import type { Trace } from './TracePage'

const KINDS = ['lot', 'pot', 'batch', 'bottle', 'product', 'tin', 'person']
const LINE: Record<string, string> = {
  lot: 'var(--herb)',
  pot: 'var(--water)',
  batch: 'var(--oil)',
  bottle: 'var(--oil)',
  product: 'var(--wax)',
  tin: 'var(--rim)',
  person: 'var(--water)',
}
const COLUMN = 200
const ROW = 44
const TOP = 10
const MOST = 24

const short = (name: string) => (name.length > MOST ? `${name.slice(0, MOST - 1)}…` : name)

/** A code stands over the name. */
function linesOf(name: string): string[] {
  const at = name.indexOf(', ')
  return at < 0 ? [name] : [name.slice(0, at), name.slice(at + 2)]
}

/**
 * The columns from the plant to the person, each of one kind. What goes on from a later kind to an earlier one, as an oil on
 * fresh herb, begins them anew, so that no thread runs back.
 */
export function columnsOf({ things, arrows }: Pick<Trace, 'things' | 'arrows'>): Trace['things'][] {
  const kinds = new Map(things.map((thing) => [thing.id, KINDS.indexOf(thing.kind)]))
  const known = new Map<string, number>()
  const order = (id: string): number => {
    const kind = kinds.get(id) ?? 0
    const there = known.get(id)
    if (there !== undefined) return there
    known.set(id, kind)
    const froms = arrows.filter((arrow) => arrow.into === id && kinds.has(arrow.from)).map((arrow) => order(arrow.from))
    const after = Math.max(-1, ...froms)
    const found = kind + KINDS.length * Math.ceil(Math.max(0, after + 1 - kind) / KINDS.length)
    known.set(id, found)
    return found
  }
  const columns = new Map<number, Trace['things']>()
  for (const thing of things) columns.set(order(thing.id), [...(columns.get(order(thing.id)) ?? []), thing])
  return [...columns].sort(([a], [b]) => a - b).map(([, each]) => each)
}

/**
 * At what height a thread passes the columns between its ends: where nothing stands, nearest to a straight way, or under
 * them all. Drawn through a box it would be told as going into it.
 */
export function passing(from: number, into: number, between: number[], height: number): number {
  const free = (y: number) => between.every((stands) => Math.abs(stands - y) >= ROW / 2)
  const straight = (from + into) / 2
  const ways = [from, into, ...between.flatMap((stands) => [stands - ROW / 2, stands + ROW / 2])]
    .filter((y) => y > 0 && y < height && free(y))
    .sort((a, b) => Math.abs(a - straight) - Math.abs(b - straight))
  return ways[0] ?? height
}

/** From the plant to the person, left to right: a thread for all that went into something. */
export function Threads({ trace }: { trace: Trace }) {
  const columns = columnsOf(trace)
  const rows = Math.max(1, ...columns.map((things) => things.length))
  const height = TOP * 2 + rows * ROW
  const at = new Map(
    columns.flatMap((things, column) =>
      things.map((thing, row) => [
        thing.id,
        { column, x: column * COLUMN, y: TOP + (row + 0.5) * ROW * (rows / things.length) },
      ]),
    ),
  )
  const places = [...at.values()]
  return (
    <svg
      viewBox={`-2 0 ${columns.length * COLUMN + 2} ${height}`}
      className="max-w-full"
      style={{ width: columns.length * COLUMN }}
      role="img"
      aria-label={`${trace.name}, with ${trace.things.length - 1} things that touch it; they are listed below.`}
    >
      {trace.arrows.map((arrow) => {
        const from = at.get(arrow.from)
        const into = at.get(arrow.into)
        if (!from || !into) return null
        const [x1, x2] = [from.x + COLUMN - 22, into.x]
        const between = places
          .filter((place) => place.column > from.column && place.column < into.column)
          .map((place) => place.y)
        const y = passing(from.y, into.y, between, height - 4)
        const turn = (x: number, a: number, b: number) => `C${x + 11} ${a} ${x + 11} ${b} ${x + 22} ${b}`
        return (
          <path
            key={`${arrow.from} ${arrow.into}`}
            d={
              between.length === 0
                ? `M${x1} ${from.y} C${x1 + 26} ${from.y} ${x2 - 26} ${into.y} ${x2} ${into.y}`
                : `M${x1} ${from.y} ${turn(x1, from.y, y)} H${x2 - 22} ${turn(x2 - 22, y, into.y)}`
            }
            fill="none"
            stroke="var(--soft)"
            strokeWidth={1.5}
          />
        )
      })}
      {trace.things.map((thing) => {
        const place = at.get(thing.id)
        if (!place) return null
        const self = thing.side === 'self'
        return (
          <g key={thing.id}>
            <rect
              x={place.x}
              y={place.y - 18}
              width={COLUMN - 22}
              height={36}
              rx={4}
              fill={self ? 'var(--rim)' : 'var(--plate)'}
              stroke={LINE[thing.kind] ?? 'var(--rim)'}
              strokeWidth={2}
            />
            {linesOf(thing.name).map((line, index, all) => (
              <text
                key={line}
                x={place.x + 9}
                y={place.y + (all.length === 1 ? 5 : index * 15 - 3)}
                fontSize={13}
                fill={self ? 'var(--on-rim)' : 'var(--ink)'}
                fontWeight={thing.do === 'nothing' || index > 0 ? 400 : 600}
              >
                {short(line)}
              </text>
            ))}
          </g>
        )
      })}
    </svg>
  )
}
