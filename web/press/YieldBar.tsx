import type { Shape } from '../api/hooks'

/** Expected with its range against what came out, on the scale of what went in. */
export function YieldBar({ press }: { press: Shape<'PressView'> }) {
  const x = (ml: number) => 4 + (ml / press.oil_in_ml) * 592
  const said = press.strained ? `, ${press.strained} came out` : ''
  return (
    <div>
      <svg
        viewBox="0 0 600 34"
        className="w-full"
        role="img"
        aria-label={`Expected ${press.expected}, ${press.expected_range}${said}`}
      >
        <rect x={4} y={8} width={592} height={18} fill="var(--glass)" stroke="var(--rim)" />
        <rect x={x(press.low_ml)} y={8} width={x(press.high_ml) - x(press.low_ml)} height={18} fill="var(--oil-pale)" />
        <line x1={x(press.expected_ml)} x2={x(press.expected_ml)} y1={8} y2={26} stroke="var(--oil)" strokeWidth={3} />
        {press.strained_ml === null ? null : (
          <path
            d={`M${Math.min(596, x(press.strained_ml))} 8l-6 -8h12z M${Math.min(596, x(press.strained_ml))} 26l-6 8h12z`}
            fill="var(--ink)"
          />
        )}
      </svg>
      <p className="flex flex-wrap gap-x-6">
        <span>
          Expect <strong className="text-2xl">{press.expected}</strong>{' '}
          <span className="text-soft">({press.expected_range}, nine times in ten)</span>
        </span>
        {press.strained ? (
          <span>
            Came out <strong className="text-2xl">{press.strained}</strong>{' '}
            {press.typed && press.typed !== press.strained ? <span className="text-soft">({press.typed})</span> : null}
          </span>
        ) : null}
      </p>
    </div>
  )
}
