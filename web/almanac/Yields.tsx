import { Link, useSearchParams } from 'react-router'
import { type Shape, useHouseId, useOfHouse } from '../api/hooks'
import { useArrived } from '../parts/arrived'
import { useWidth } from '../parts/useWidth'

/** What the house's own batches have taught it of the oil that stays in each gram. */
export default function Yields() {
  const house = useHouseId()
  const [query] = useSearchParams()
  const list = useOfHouse('/yields')
  const form = query.get('form') ?? list.data?.lines[0]?.form
  const way = query.get('way') ?? list.data?.lines[0]?.way
  const { there, instead } = useArrived(list, 'what was learned')
  if (!there) return instead
  return (
    <div className="flex flex-col gap-6">
      <header>
        <h1 className="text-3xl">What this house has learned of its yields</h1>
        <p>
          Oil that stays in each gram of dry herb. Each batch that is strained draws the usual figure to this house’s
          own; a plan reckons with it.
        </p>
      </header>
      {there.lines.length === 0 ? (
        <p>Nothing yet. Strain a batch and write down what came out.</p>
      ) : (
        <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[18rem_1fr]">
          <ul>
            {there.lines.map((line) => {
              const current = line.form === form && line.way === way
              return (
                <li key={line.form + line.way} className="border-line border-b">
                  <Link
                    to={`/h/${house}/almanac/yields?form=${encodeURIComponent(line.form)}&way=${line.way}`}
                    aria-current={current ? 'page' : undefined}
                    className={`flex flex-col px-2 py-2 ${current ? 'bg-rim text-on-rim' : ''}`}
                  >
                    <strong>
                      {line.form_name}, {line.way}
                    </strong>
                    <span className={current ? '' : 'text-soft'}>
                      {line.mean.toFixed(2)} mL a gram, {line.batches} {line.batches === 1 ? 'batch' : 'batches'}
                    </span>
                  </Link>
                </li>
              )
            })}
          </ul>
          {form && way ? <One form={form} way={way} /> : null}
        </div>
      )}
    </div>
  )
}

function One({ form, way }: { form: string; way: string }) {
  const house = useHouseId()
  const view = useOfHouse(`/yields/one?form=${encodeURIComponent(form)}&way=${way}`)
  const { there, instead } = useArrived(view, 'its batches')
  if (!there) return instead
  const { line, steps } = there
  const odd = steps.filter((step) => step.odd)
  return (
    <section aria-label={`${line.form_name}, ${line.way}`} className="flex flex-col gap-4">
      <p className="text-lg">{line.says}</p>
      <Narrowing line={line} steps={steps} />
      {odd.length > 0 ? (
        <p>
          Odd beside the others:{' '}
          {odd.map((step, index) => (
            <span key={step.batch}>
              {index > 0 ? ', ' : ''}
              <Link className="underline" to={`/h/${house}/batch/${step.batch}`}>
                {step.code}
              </Link>{' '}
              ({step.uptake.toFixed(2)} mL)
            </span>
          ))}
          . A spill, a wet herb or a slip of the pen is likelier than a new law of nature.
        </p>
      ) : null}
      <details>
        <summary className="min-h-11 py-2 font-semibold">Batch by batch</summary>
        <table className="figures w-full">
          <thead>
            <tr className="text-soft border-line border-b [&_th]:text-start">
              <th className="py-1 pe-4 font-normal">Batch</th>
              <th className="pe-4 font-normal">stayed in a gram</th>
              <th className="pe-4 font-normal">the house’s figure then</th>
              <th className="font-normal">nine in ten between</th>
            </tr>
          </thead>
          <tbody>
            {steps.map((step) => (
              <tr key={step.batch} className="border-line border-b">
                <td className="py-1 pe-4">
                  <Link className="underline" to={`/h/${house}/batch/${step.batch}`}>
                    {step.code}
                  </Link>
                </td>
                <td className="pe-4">
                  {step.uptake.toFixed(2)} mL{step.odd ? ', odd' : ''}
                </td>
                <td className="pe-4">{step.mean.toFixed(2)} mL</td>
                <td>
                  {step.low.toFixed(2)} to {step.high.toFixed(2)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </section>
  )
}

/** The figure and its range after each batch, with what each batch kept. */
function Narrowing({ line, steps }: { line: Shape<'YieldLine'>; steps: Shape<'YieldStep'>[] }) {
  const [frame, width] = useWidth<HTMLDivElement>(800)
  const top = Math.max(2.5, line.prior_high, ...steps.map((step) => Math.max(step.uptake, step.high))) * 1.05
  const [left, right, foot, head] = [44, width - 8, 236, 12]
  const y = (mlPerG: number) => foot - (mlPerG / top) * (foot - head)
  const x = (index: number) => left + 14 + (index / Math.max(1, steps.length)) * (right - left - 28)
  // Before any batch it is the table's.
  const points = [
    { mean: line.prior, low: line.prior_low, high: line.prior_high },
    ...steps.map(({ mean, low, high }) => ({ mean, low, high })),
  ]
  const band = `M${points.map((point, i) => `${x(i)} ${y(point.high)}`).join('L')}L${points
    .map((point, i) => `${x(i)} ${y(point.low)}`)
    .reverse()
    .join('L')}Z`
  const ticks = [0, 0.5, 1, 1.5, 2, 2.5, 3].filter((tick) => tick <= top)
  return (
    <div ref={frame}>
      <p className="text-soft">mL left in a gram, batch after batch</p>
      <svg
        viewBox={`0 0 ${width} 262`}
        className="block w-full"
        role="img"
        aria-label={`From the usual ${line.prior} mL a gram to ${line.mean.toFixed(2)} mL after ${line.batches} batches`}
      >
        {ticks.map((tick) => (
          <g key={tick}>
            <line x1={left} x2={right} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
            <text x={left - 8} y={y(tick) + 5} textAnchor="end" fontSize={15} fill="var(--soft)">
              {tick}
            </text>
          </g>
        ))}
        <path d={band} fill="var(--oil-pale)" opacity={0.6} />
        <polyline
          points={points.map((point, i) => `${x(i)},${y(point.mean)}`).join(' ')}
          fill="none"
          stroke="var(--oil)"
          strokeWidth={3}
        />
        {steps.map((step, i) =>
          step.odd ? (
            <path
              key={step.batch}
              d={`M${x(i + 1) - 6} ${y(step.uptake) - 6}l12 12m0 -12l-12 12`}
              stroke="var(--warmth)"
              strokeWidth={3}
            />
          ) : (
            <circle key={step.batch} cx={x(i + 1)} cy={y(step.uptake)} r={5} fill="var(--ink)" />
          ),
        )}
        <text x={x(0)} y={256} fontSize={15} fill="var(--soft)">
          the usual
        </text>
      </svg>
    </div>
  )
}
