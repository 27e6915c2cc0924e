import { useQuery } from '@tanstack/react-query'
import { get } from '../api/client'
import type { Shape } from '../api/hooks'
import { BottleShape } from '../batch/BottleRack'
import { JarShape } from '../parts/JarDrawing'

const SCALE = 1.25
const FOOT = 190
const BOTTLE = 96

/** What this is, in a picture and three sentences: one jar, what runs through the cloth, and the bottles, to scale. */
export function Making() {
  const example = useQuery({
    queryKey: ['example'],
    queryFn: () => get('/example'),
    staleTime: Infinity,
  })
  return (
    <section aria-label="What it does" className="flex flex-col gap-5">
      {/* Its room is kept while it is fetched, so that nothing below it jumps. */}
      <div className="aspect-[900/250] w-full max-sm:hidden">{example.data ? <Picture of={example.data} /> : null}</div>
      <ol className="grid gap-x-8 gap-y-4 md:grid-cols-3">
        <li>
          <strong>Say what you want to make.</strong> Herb, oil and jar are measured out, with a reason for every
          figure.
        </li>
        <li>
          <strong>It keeps the days.</strong> Shake, warm, strain, bottle: when, round your own hours, and when to stop.
        </li>
        <li>
          <strong>Every bottle knows what is in it.</strong> From its label back to the plant, and on to whoever has it.
        </li>
      </ol>
    </section>
  )
}

function Picture({ of }: { of: Shape<'DoorExample'> }) {
  const jar = { height_mm: of.height_mm, diameter_mm: of.diameter_mm }
  const wide = of.diameter_mm * SCALE
  const brim = FOOT - of.height_mm * SCALE
  const step = 53
  const said =
    `${of.herb_text} and ${of.oil_text} in a ${of.jar_called}; ${of.days_text}; ${of.out_text}; ` +
    `${of.bottles} bottles of ${of.bottle_text}, ${of.label_text}`
  return (
    <svg viewBox="0 0 900 250" className="w-full" role="img" aria-label={said}>
      <line x1={0} x2={900} y1={FOOT + 2} y2={FOOT + 2} stroke="var(--rim)" strokeWidth={5} />
      <JarShape jar={{ ...jar, bed_mm: of.bed_mm, level_mm: of.level_mm }} scale={SCALE} x={20} foot={FOOT} />
      <text x={20 + wide + 16} y={FOOT - of.level_mm * SCALE + 18} fontSize={16} fill="var(--ink)">
        {of.oil_text}
      </text>
      <text x={20 + wide + 16} y={FOOT - 14} fontSize={16} fill="var(--ink)">
        {of.herb_text}
      </text>
      <text x={20} y={FOOT + 28} fontSize={16} fill="var(--soft)">
        {of.days_text}
      </text>
      <g>
        <JarShape jar={{ ...jar, bed_mm: 0, level_mm: of.out_mm }} scale={SCALE} x={390} foot={FOOT} />
        <path
          d={`M382 ${brim - 8} Q${390 + wide / 2} ${brim + 46} ${398 + wide} ${brim - 8}`}
          fill="var(--herb-pale)"
          stroke="var(--herb)"
          strokeWidth={2}
        />
        <text x={390} y={FOOT + 28} fontSize={16} fill="var(--soft)">
          {of.out_text}
        </text>
      </g>
      {Array.from({ length: of.bottles }, (_, index) => (
        <BottleShape
          key={index}
          bottle={{
            number: index + 1,
            state: 'in',
            left_ml: of.bottle_ml,
            filled_ml: of.bottle_ml,
            left: of.bottle_text,
          }}
          height={BOTTLE}
          x={582 + index * step}
          foot={FOOT - 1}
        />
      ))}
      <text x={560} y={FOOT - BOTTLE - 14} fontSize={16} fill="var(--soft)">
        {of.label_text}
      </text>
    </svg>
  )
}
