import { Figure } from '../parts/Figure'
import type { Product } from './wish'

const WIDTH = 420
/** The rule is drawn to here; what is harder stands at its end. */
const END = 0.5
const TINT = [8, 18, 30, 46, 64, 82, 100]

/** Wider where it is soft: a little more wax is felt there, and every word has its room. */
const at = (firmness: number) => (Math.min(END, firmness) / END) ** 0.6 * WIDTH

/** The rule of firmness from "pours" to "hard", where this stands on it, and what the word has come to mean here. */
export function Rule({ rule }: { rule: Product['rule'] }) {
  const x = at(rule.firmness)
  const learned = rule.learned
  const says = `this, ${rule.text}`
  const anchor = x < 50 ? 'start' : x > WIDTH - 50 ? 'end' : 'middle'
  return (
    <svg
      viewBox={`-2 0 ${WIDTH + 4} 96`}
      className="w-full max-w-[30rem]"
      role="img"
      aria-label={`How firm: ${rule.text}, ${rule.bands.find((band) => band.id === rule.band)?.name ?? ''}`}
    >
      <text x={x} y={16} fontSize={16.5} fontWeight={600} textAnchor={anchor} fill="var(--ink)">
        {says}
      </text>
      <path d={`M${x - 8} 22 h16 l-8 12 z`} fill="var(--ink)" />
      {rule.bands.map((band, index) => (
        <rect
          key={band.id}
          x={at(band.from)}
          y={37}
          width={Math.max(0, at(band.to) - at(band.from))}
          height={24}
          fill={`color-mix(in srgb, var(--wax) ${TINT[index] ?? 100}%, var(--oil-pale))`}
        />
      ))}
      <rect x={0} y={37} width={WIDTH} height={24} fill="none" stroke="var(--rim)" strokeWidth={2} />
      {rule.bands.map((band) => (
        <g key={band.id}>
          <line x1={at(band.from)} x2={at(band.from)} y1={37} y2={61} stroke="var(--rim)" />
          <text
            x={(at(band.from) + at(band.to)) / 2}
            y={78}
            fontSize={16}
            textAnchor="middle"
            fill={band.id === rule.band ? 'var(--ink)' : 'var(--soft)'}
            fontWeight={band.id === rule.band ? 600 : 400}
          >
            {SHORT[band.id] ?? band.name}
          </text>
        </g>
      ))}
      {learned ? (
        <path
          d={`M${at(learned.low)} 84 v8 M${at(learned.low)} 88 H${at(learned.high)} M${at(learned.high)} 84 v8`}
          stroke="var(--rim)"
          strokeWidth={2}
          fill="none"
        />
      ) : null}
    </svg>
  )
}

const SHORT: Record<string, string> = {
  pours: 'pours',
  barely: 'thick',
  soft: 'soft',
  salve: 'salve',
  firm: 'firm',
  stick: 'stick',
  hard: 'hard',
}

/** In words: how firm it stands, here and in the warm, where it runs, and where a little more of each would take it. */
export function Firmness({ plan }: { plan: Product }) {
  const figure = (id: string) => plan.figures[id]
  const seen = plan.rule.learned
  return (
    <>
      <Rule rule={plan.rule} />
      <ul className="mt-1 flex flex-col gap-1">
        <li>
          It stands at <Figure name="How firm" figure={figure('firmness')} size="text-base" />
          {figure('firmness_warm') ? (
            <>
              , and where it is warm at{' '}
              <Figure name="How firm where it is warm" figure={figure('firmness_warm')} size="text-base" />
            </>
          ) : null}
          .
        </li>
        {figure('melts_at') ? (
          <li>
            It begins to run at about <Figure name="Begins to run" figure={figure('melts_at')} size="text-base" />.
          </li>
        ) : null}
        {seen && seen.verdicts > 0 ? (
          <li className="text-soft">
            In this house the word has come to mean{' '}
            <Figure name="What the word means here" figure={figure('firmness_here')} size="text-base" />.
          </li>
        ) : null}
      </ul>
      {plan.rule.moves.length > 0 ? (
        <ul className="text-soft mt-2 list-inside list-['·__']" aria-label="Where a little more would take it">
          {plan.rule.moves.map((move) => (
            <li key={move.id}>{move.says}</li>
          ))}
        </ul>
      ) : null}
    </>
  )
}
