import type { Shape } from '../api/hooks'
import { spread } from '../parts/JarDrawing'

const FILL: Record<string, string> = {
  herb: 'var(--herb-pale)',
  paste: 'var(--herb-pale)',
  water: 'var(--water-pale)',
  liquid: 'var(--water-pale)',
  oil: 'var(--oil-pale)',
}

type Drawn = Omit<Shape<'BoilPot'>, 'goes_in_ml'> & { now_mm?: number }

/** A pot to scale, from the core's own millimetres: where it starts, stands now, is done, and would boil over. */
export function PotToScale({ pot, done, liquid }: { pot: Drawn; done: string; liquid: string }) {
  const scale = Math.min(300 / pot.height_mm, 210 / pot.diameter_mm)
  const [width, height] = [pot.diameter_mm * scale, pot.height_mm * scale]
  const [left, foot] = [14, height + 24]
  const y = (mm: number) => foot - mm * scale
  const lines = [
    { mm: pot.over_mm, says: 'would boil over', look: 'var(--warmth)', dash: '7 5' },
    { mm: pot.starts_mm, says: pot.now_mm === undefined ? 'begins' : 'began', look: 'var(--ink)', dash: undefined },
    ...(pot.now_mm === undefined ? [] : [{ mm: pot.now_mm, says: 'now', look: 'var(--ink)', dash: undefined }]),
    { mm: pot.ends_mm, says: done, look: 'var(--oil)', dash: undefined },
  ]
  const ys = spread(
    lines.map((line) => y(line.mm)),
    36,
  )
  // Each layer stands on those under it.
  const tops = pot.layers.map((_, at) => pot.layers.slice(0, at + 1).reduce((sum, layer) => sum + layer.mm, 0))
  const said = lines.map((line) => `${line.says} at ${Math.round(line.mm)} mm`).join(', ')
  return (
    <svg
      viewBox={`0 0 ${left + width + 170} ${Math.max(foot + 10, ...ys.map((each) => each + 22))}`}
      className="w-full max-w-md"
      role="img"
      aria-label={`A pot ${Math.round(pot.diameter_mm)} mm wide and ${Math.round(pot.height_mm)} mm high: ${said}`}
    >
      {pot.layers.map((layer, at) => {
        const stands = tops[at] ?? 0
        const foots = y(stands - layer.mm)
        return (
          <g key={layer.of}>
            <rect
              x={left}
              y={y(stands)}
              width={width}
              height={foots - y(stands)}
              fill={FILL[layer.of] ?? 'var(--glass)'}
            />
            {layer.mm * scale > 18 ? (
              <text x={left + 10} y={y(stands) + 15} fontSize={16} fill="var(--soft)">
                {layer.of === 'liquid' ? liquid : layer.of}
              </text>
            ) : null}
          </g>
        )
      })}
      <path
        d={`M${left} ${foot - height} v${height - 10} q0 10 10 10 h${width - 20} q10 0 10 -10 v${10 - height}`}
        fill="none"
        stroke="var(--rim)"
        strokeWidth={3}
      />
      {lines.map((line, index) => (
        <g key={line.says}>
          <line
            x1={left - 10}
            x2={left + width + 12}
            y1={y(line.mm)}
            y2={y(line.mm)}
            stroke={line.look}
            strokeWidth={2}
            strokeDasharray={line.dash}
          />
          <text x={left + width + 20} y={(ys[index] ?? 0) - 1} fontSize={16} fill={line.look} fontWeight={600}>
            {line.says}
          </text>
          <text x={left + width + 20} y={(ys[index] ?? 0) + 15} fontSize={16} fill="var(--soft)" className="figures">
            {Math.round(line.mm)} mm
          </text>
        </g>
      ))}
    </svg>
  )
}
