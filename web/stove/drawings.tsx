import type { Shape } from '../api/hooks'
import { useWidth } from '../parts/useWidth'

type Scale = Shape<'WarmthScale'>
type Bath = Shape<'BathView'>
type Chart = Shape<'WarmthChart'>

/** A thermometer to scale: the band, the ceiling, and what it reads just now. */
export function Thermometer({ scale, reads, text }: { scale: Scale; reads: number | null; text: string }) {
  const top = 24
  const foot = 500
  const y = (c: number) => top + ((scale.high_c - c) / (scale.high_c - scale.low_c)) * (foot - top)
  const x = 74
  const level = reads === null ? foot : y(Math.max(scale.low_c, Math.min(scale.high_c, reads)))
  return (
    <svg viewBox="0 0 236 560" className="h-full max-h-[560px] w-full" role="img" aria-label={text}>
      <rect x={x} y={top - 16} width={34} height={foot - top + 30} rx={17} fill="var(--glass)" />
      <rect
        x={x}
        y={y(scale.band_high_c)}
        width={34}
        height={y(scale.band_low_c) - y(scale.band_high_c)}
        fill="var(--warmth-pale)"
      />
      {reads === null ? null : <rect x={x + 11} y={level} width={12} height={foot - level + 14} fill="var(--warmth)" />}
      <circle cx={x + 17} cy={foot + 24} r={27} fill={reads === null ? 'var(--line)' : 'var(--warmth)'} />
      <path
        d={`M${x} ${foot + 3} V${top + 1} a17 17 0 0 1 34 0 V${foot + 3}`}
        fill="none"
        stroke="var(--rim)"
        strokeWidth={2.5}
      />
      {scale.ticks.map((tick) => (
        <g key={tick.c}>
          <line x1={x - 14} x2={x - 3} y1={y(tick.c)} y2={y(tick.c)} stroke="var(--soft)" />
          <text x={x - 20} y={y(tick.c) + 6} textAnchor="end" fontSize={17} fill="var(--soft)" className="figures">
            {tick.text}
          </text>
        </g>
      ))}
      <line
        x1={x - 8}
        x2={x + 50}
        y1={y(scale.ceiling_c)}
        y2={y(scale.ceiling_c)}
        stroke="var(--warmth)"
        strokeWidth={3}
        strokeDasharray="7 4"
      />
      <text x={x + 56} y={y(scale.ceiling_c) + 6} fontSize={17} fontWeight={700} fill="var(--warmth)">
        {scale.ceiling_text}
      </text>
      <text x={x + 46} y={(y(scale.band_low_c) + y(scale.band_high_c)) / 2 - 3} fontSize={17} fill="var(--ink)">
        band
      </text>
      <text x={x + 46} y={(y(scale.band_low_c) + y(scale.band_high_c)) / 2 + 18} fontSize={17} fill="var(--soft)">
        {scale.band_text}
      </text>
    </svg>
  )
}

/** The warmth of a session: least to most as a ribbon, the mean as a line, what the model foretold as dots. */
export function WarmthLine({ chart, scale, height = 210 }: { chart: Chart; scale: Scale; height?: number }) {
  const [frame, width] = useWidth<HTMLDivElement>(640)
  const foot = height - 26
  const roomy = Math.max(1, Math.ceil(chart.hours.length / Math.max(1, width / 74)))
  const span = Math.max(1, chart.to - chart.from)
  const x = (at: number) => ((at - chart.from) / span) * width
  const y = (c: number) => 6 + ((scale.high_c - c) / (scale.high_c - scale.low_c)) * (foot - 6)
  const path = (points: [number, number][]) =>
    points.map(([at, c], index) => `${index === 0 ? 'M' : 'L'}${x(at).toFixed(1)} ${y(c).toFixed(1)}`).join(' ')
  // A line is not drawn over a while in which nothing was measured.
  const gap = Math.max(900, (span / 240) * 4)
  const runs: number[][][] = []
  for (const point of chart.points) {
    const last = runs.at(-1)?.at(-1)
    if (last && (point[0] ?? 0) - (last[0] ?? 0) < gap) runs.at(-1)?.push(point)
    else runs.push([point])
  }
  const end = chart.points.at(-1)
  const at = (point: number[], part: number): [number, number] => [point[0] ?? 0, point[part] ?? 0]
  return (
    <div ref={frame}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="block w-full"
        role="img"
        aria-label="The warmth of this session"
      >
        <rect
          x={0}
          y={y(scale.band_high_c)}
          width={width}
          height={y(scale.band_low_c) - y(scale.band_high_c)}
          fill="var(--warmth-pale)"
        />
        <line
          x1={0}
          x2={width}
          y1={y(scale.ceiling_c)}
          y2={y(scale.ceiling_c)}
          stroke="var(--warmth)"
          strokeWidth={2}
          strokeDasharray="7 4"
        />
        <line x1={0} x2={width} y1={foot} y2={foot} stroke="var(--line)" />
        {chart.model.length > 1 ? (
          <path
            d={path(chart.model.map((point) => [point[0] ?? 0, point[1] ?? 0]))}
            fill="none"
            stroke="var(--soft)"
            strokeWidth={2}
            strokeDasharray="1 6"
            strokeLinecap="round"
          />
        ) : null}
        {runs.map((run) => (
          <g key={run[0]?.[0]}>
            <path
              d={`${path(run.map((point) => at(point, 1)))} ${path(run.toReversed().map((point) => at(point, 2))).replace('M', 'L')} Z`}
              fill="var(--warmth)"
              fillOpacity={0.28}
              stroke="var(--warmth)"
              strokeWidth={0.8}
            />
            <path d={path(run.map((point) => at(point, 3)))} fill="none" stroke="var(--warmth)" strokeWidth={2.6} />
          </g>
        ))}
        {end ? <circle cx={x(end[0] ?? 0)} cy={y(end[3] ?? 0)} r={6} fill="var(--warmth)" /> : null}
        {chart.marks.map((mark) => (
          <g key={`${mark.at} ${mark.text}`}>
            <path d={`M${x(mark.at)} ${foot} l-5 -9 h10 z`} fill="var(--water)" />
            <title>{mark.text}</title>
          </g>
        ))}
        {chart.hours.map((mark, index) => (
          <g key={mark.at}>
            <line x1={x(mark.at)} x2={x(mark.at)} y1={foot} y2={foot + 6} stroke="var(--soft)" />
            {index % roomy === 0 ? (
              <text
                x={Math.max(20, Math.min(width - 22, x(mark.at)))}
                y={height - 3}
                textAnchor="middle"
                fontSize={15}
                fill="var(--soft)"
                className="figures"
              >
                {mark.text}
              </text>
            ) : null}
          </g>
        ))}
      </svg>
    </div>
  )
}

/** The cooker from the side, cut open: jars in their water, full and low. */
export function BathSide({ bath }: { bath: Bath }) {
  const scale = Math.min(330 / bath.length_mm, 190 / bath.height_mm)
  const left = 8
  const tallest = Math.max(bath.height_mm, ...bath.jars.map((jar) => jar.height))
  const foot = tallest * scale + 12
  const y = (mm: number) => foot - mm * scale
  const wide = bath.length_mm * scale
  const middle = left + wide / 2
  const jars = bath.jars.toSorted((a, b) => a.y - b.y)
  const levels =
    bath.full_mm > 0
      ? [
          { mm: bath.full_mm, text: 'full', look: 'var(--water)', ink: 'var(--soft)' },
          { mm: bath.low_mm, text: 'low', look: 'var(--warmth)', ink: 'var(--warmth)' },
        ]
      : []
  return (
    <svg
      viewBox={`0 0 ${wide + 112} ${foot + 12}`}
      className="w-full max-w-md"
      role="img"
      aria-label={
        bath.full_mm > 0
          ? `From the side: water at ${Math.round(bath.now_mm)} mm; ` +
            `full at ${Math.round(bath.full_mm)}, low at ${Math.round(bath.low_mm)} mm`
          : 'From the side: no water in it'
      }
    >
      <rect
        x={left}
        y={y(bath.now_mm)}
        width={wide}
        height={Math.max(0, bath.now_mm * scale)}
        rx={8}
        fill="var(--water-pale)"
      />
      {jars.map((jar) => {
        const w = jar.d * scale
        const x = middle + jar.x * scale - w / 2
        return (
          <g key={`${jar.x} ${jar.y}`}>
            <rect x={x} y={y(jar.height)} width={w} height={jar.height * scale} rx={6} fill="var(--glass)" />
            <rect x={x + 2} y={y(jar.level)} width={w - 4} height={jar.level * scale - 2} fill="var(--oil-pale)" />
            <rect x={x + 2} y={y(jar.bed)} width={w - 4} height={jar.bed * scale - 2} fill="var(--herb-pale)" />
            <rect
              x={x}
              y={y(jar.height)}
              width={w}
              height={jar.height * scale}
              rx={6}
              fill="none"
              stroke="var(--rim)"
              strokeWidth={2}
            />
          </g>
        )
      })}
      <rect
        x={left}
        y={y(bath.now_mm)}
        width={wide}
        height={Math.max(0, bath.now_mm * scale)}
        rx={8}
        fill="var(--water)"
        fillOpacity={0.18}
      />
      <path
        d={`M${left} ${y(bath.height_mm)} V${foot - 14} a14 14 0 0 0 14 14 H${left + wide - 14} a14 14 0 0 0 14 -14 V${y(bath.height_mm)}`}
        fill="none"
        stroke="var(--rim)"
        strokeWidth={4}
      />
      {levels.map((line) => (
        <g key={line.text}>
          <line
            x1={left - 4}
            x2={left + wide + 12}
            y1={y(line.mm)}
            y2={y(line.mm)}
            stroke={line.look}
            strokeWidth={1.8}
            strokeDasharray="6 4"
          />
          <text x={left + wide + 16} y={y(line.mm) + (line.text === 'low' ? 14 : 2)} fontSize={16.5} fill={line.ink}>
            {line.text} {Math.round(line.mm)} mm
          </text>
        </g>
      ))}
    </svg>
  )
}

/** The cooker from above: where each jar stands. */
export function BathTop({ bath }: { bath: Bath }) {
  const scale = 150 / bath.length_mm
  const wide = bath.length_mm * scale
  const deep = bath.width_mm * scale
  const [cx, cy] = [wide / 2 + 4, deep / 2 + 4]
  return (
    <svg
      viewBox={`0 0 ${wide + 8} ${deep + 8}`}
      className="w-36"
      role="img"
      aria-label={`From above: ${bath.jars.length} jars standing in it`}
    >
      {bath.shape === 'square' ? (
        <rect
          x={4}
          y={4}
          width={wide}
          height={deep}
          rx={6}
          fill="var(--water-pale)"
          stroke="var(--rim)"
          strokeWidth={3}
        />
      ) : (
        <ellipse
          cx={cx}
          cy={cy}
          rx={wide / 2}
          ry={deep / 2}
          fill="var(--water-pale)"
          stroke="var(--rim)"
          strokeWidth={3}
        />
      )}
      {bath.jars.map((jar) => (
        <circle
          key={`${jar.x} ${jar.y}`}
          cx={cx + jar.x * scale}
          cy={cy + jar.y * scale}
          r={(jar.d / 2) * scale - 1}
          fill="var(--oil-pale)"
          stroke="var(--rim)"
          strokeWidth={1.8}
        />
      ))}
    </svg>
  )
}

/** Hours gathered of hours planned. */
export function HoursBar({ share, label }: { share: number; label: string }) {
  return (
    <svg viewBox="0 0 600 24" className="h-6 w-full" preserveAspectRatio="none" role="img" aria-label={label}>
      <rect x={1} y={1} width={598} height={22} fill="var(--plate)" stroke="var(--rim)" strokeWidth={2} />
      <rect x={2} y={2} width={596 * Math.min(1, share)} height={20} fill="var(--warmth)" />
      {[0.25, 0.5, 0.75].map((mark) => (
        <line key={mark} x1={600 * mark} x2={600 * mark} y1={16} y2={23} stroke="var(--soft)" />
      ))}
    </svg>
  )
}
