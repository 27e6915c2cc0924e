/** A jar to scale, from the core's own millimetres. Every length here is mm times the scale. */
type Levels = {
  height_mm: number
  diameter_mm: number
  bed_mm: number
  level_mm: number
  dry_fill_mm?: number
  kind?: string
  marks?: { mm: number; text: string }[]
}

const WALL = 2

/** The glass and what stands in it, drawn from its foot upward at (x, foot). */
export function JarShape({ jar, scale, x, foot }: { jar: Levels; scale: number; x: number; foot: number }) {
  const width = jar.diameter_mm * scale
  const height = jar.height_mm * scale
  const level = Math.min(jar.level_mm, jar.height_mm) * scale
  const bed = Math.min(jar.bed_mm, jar.height_mm) * scale
  return (
    <g>
      {jar.kind === 'pan' ? (
        // Its handle.
        <line
          x1={x + width}
          x2={x + width + Math.min(46, width / 3)}
          y1={foot - height + 4}
          y2={foot - height - 2}
          stroke="var(--rim)"
          strokeWidth={6}
          strokeLinecap="round"
        />
      ) : null}
      <rect x={x} y={foot - height} width={width} height={height} rx={7} fill="var(--glass)" />
      <rect
        x={x + WALL}
        y={foot - level}
        width={width - 2 * WALL}
        height={Math.max(0, level - WALL)}
        rx={4}
        fill="var(--oil-pale)"
      />
      {bed > 0 ? (
        <>
          <rect
            x={x + WALL}
            y={foot - bed}
            width={width - 2 * WALL}
            height={Math.max(0, bed - WALL)}
            rx={4}
            fill="var(--herb-pale)"
          />
          <line x1={x} x2={x + width} y1={foot - bed} y2={foot - bed} stroke="var(--herb)" strokeWidth={2} />
        </>
      ) : null}
      {level > 0 ? (
        <line x1={x} x2={x + width} y1={foot - level} y2={foot - level} stroke="var(--oil)" strokeWidth={2} />
      ) : null}
      <rect
        x={x}
        y={foot - height}
        width={width}
        height={height}
        rx={7}
        fill="none"
        stroke="var(--rim)"
        strokeWidth={2.5}
      />
    </g>
  )
}

/** Words beside a drawing are pushed apart so that they never lie on one another. */
export function spread(wanted: number[], gap: number): number[] {
  const placed = [...wanted]
  const order = placed.map((_, index) => index).toSorted((a, b) => (placed[a] ?? 0) - (placed[b] ?? 0))
  for (let i = 1; i < order.length; i++) {
    const above = order[i - 1] as number
    const below = order[i] as number
    placed[below] = Math.max(placed[below] as number, (placed[above] as number) + gap)
  }
  return placed
}

export function JarWithLevels({ jar, words }: { jar: Levels & { called: string }; words: Record<string, string> }) {
  const scale = Math.min(330 / jar.height_mm, 200 / jar.diameter_mm)
  const width = jar.diameter_mm * scale
  const height = jar.height_mm * scale
  const left = 62
  const foot = height + 22
  const all = [
    { y: foot - ((jar.height_mm + jar.level_mm) / 2) * scale, text: words.headspace, look: 'var(--soft)' },
    { y: foot - jar.level_mm * scale, text: words.level, look: 'var(--ink)' },
    { y: foot - ((jar.level_mm + jar.bed_mm) / 2) * scale, text: words.cover, look: 'var(--soft)' },
    { y: foot - jar.bed_mm * scale, text: words.bed, look: 'var(--ink)' },
  ]
  // A line with nothing to say is not drawn.
  const labels = all.filter((label) => label.text)
  const ys = spread(
    labels.map((label) => label.y),
    20,
  )
  return (
    <svg
      viewBox={`0 0 ${left + width + 162} ${foot + 8}`}
      className="w-full max-w-md"
      role="img"
      aria-label={`${jar.called}: ${Object.values(words).join(', ')}`}
    >
      <JarShape jar={jar} scale={scale} x={left} foot={foot} />
      {jar.marks?.map((mark) => (
        <g key={mark.mm}>
          <line
            x1={left - 10}
            x2={left - 2}
            y1={foot - mark.mm * scale}
            y2={foot - mark.mm * scale}
            stroke="var(--soft)"
          />
          <text x={left - 14} y={foot - mark.mm * scale + 5} textAnchor="end" fontSize="16" fill="var(--soft)">
            {mark.text}
          </text>
        </g>
      ))}
      {jar.dry_fill_mm && jar.dry_fill_mm < jar.height_mm ? (
        <line
          x1={left + 3}
          x2={left + width - 3}
          y1={foot - jar.dry_fill_mm * scale}
          y2={foot - jar.dry_fill_mm * scale}
          stroke="var(--herb)"
          strokeWidth={1.5}
          strokeDasharray="5 4"
        />
      ) : null}
      {labels.map((label, index) => (
        <g key={label.text}>
          <line
            x1={left + width + 3}
            x2={left + width + 14}
            y1={label.y}
            y2={(ys[index] ?? 0) - 1}
            stroke="var(--soft)"
          />
          <text x={left + width + 18} y={(ys[index] ?? 0) + 4} fontSize="16.5" fill={label.look}>
            {label.text}
          </text>
        </g>
      ))}
    </svg>
  )
}
