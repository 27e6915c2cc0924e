import { useState } from 'react'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { Notice, Trouble } from '../parts/Notice'
import { useWidth } from '../parts/useWidth'
import { TakenFromCsv } from '../parts/TakenFromCsv'

const SKIES: Record<string, string> = {
  clear: 'Under clear skies',
  mixed: 'Sun and cloud in turn',
  dull: 'Under dull skies',
}

/** A jar on the sill: each day's warmth from its mean to its peak, what it was worth, and when it may be ready. */
export function InTheSun({ batch }: { batch: string }) {
  const [bag, setBag] = useState(true)
  const [outdoors, setOutdoors] = useState(false)
  const sun = useOfHouse(`/batches/${batch}/sun?bag=${bag ? 1 : 0}&outdoors=${outdoors ? 1 : 0}`)
  if (sun.isError && !sun.data) return <Trouble problem={sun.error} />
  if (!sun.data) return null
  const view = sun.data
  return (
    <section aria-labelledby="sun" className="flex flex-col gap-3">
      <h2 id="sun" className="text-2xl">
        In the sun
      </h2>
      <Notice rank={view.better ? 'note' : 'care'}>{view.says}</Notice>
      <p className="text-lg">
        <strong className="figures">{view.gathered_text}</strong> <span className="text-soft">({view.range_text})</span>
        , {view.warm_text}
      </p>
      <SunDays view={view} />
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        {view.ready.map((each) =>
          each.text === '' ? null : (
            <div key={each.sky} className="contents">
              <dt>{SKIES[each.sky] ?? each.sky}</dt>
              <dd>
                ready <strong>{each.text}</strong>
                <span className="text-soft block">{each.warm_text}</span>
              </dd>
            </div>
          ),
        )}
      </dl>
      <div className="flex flex-wrap gap-x-6">
        <label className="flex min-h-11 items-center gap-3">
          <input type="checkbox" className="size-5" checked={bag} onChange={(e) => setBag(e.target.checked)} />
          in a paper bag, out of the light
        </label>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5"
            checked={outdoors}
            onChange={(e) => setOutdoors(e.target.checked)}
          />
          out of doors by day
        </label>
      </div>
      <p className="text-soft">{view.model}</p>
      <Weather />
    </section>
  )
}

function SunDays({ view }: { view: Shape<'SunView'> }) {
  const [frame, width] = useWidth<HTMLDivElement>(360)
  const height = 180
  const foot = 150
  const step = width / Math.max(1, view.days.length)
  const low = Math.min(0, ...view.days.map((day) => day.mean_c)) + 5
  const y = (c: number) => 8 + ((view.scale_c - c) / (view.scale_c - low)) * (foot - 8)
  return (
    <div ref={frame}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="block w-full"
        role="img"
        aria-label={`The jar’s warmth on ${view.days.length} days`}
      >
        <line x1={0} x2={width} y1={y(view.warm_c)} y2={y(view.warm_c)} stroke="var(--warmth)" strokeDasharray="7 4" />
        <text x={width - 2} y={y(view.warm_c) - 4} textAnchor="end" fontSize={14} fill="var(--warmth)">
          warm to the hand
        </text>
        <line x1={0} x2={width} y1={y(view.room_c)} y2={y(view.room_c)} stroke="var(--soft)" strokeDasharray="2 5" />
        {view.days.map((day, index) => (
          <g key={day.day}>
            <title>
              {`${day.text}: peak ${day.peak_text}, ${day.warm_h} h warm, worth ${day.worth} days of the shelf; ` +
                `${day.daylight_text}${day.measured ? '' : ', weather simulated'}`}
            </title>
            <rect
              x={index * step + step * 0.2}
              width={Math.max(2, step * 0.6)}
              y={y(day.peak_c)}
              height={Math.max(2, y(day.mean_c) - y(day.peak_c))}
              fill="var(--warmth)"
              fillOpacity={day.measured ? 1 : 0.65}
            />
            <rect
              x={index * step + step * 0.2}
              width={Math.max(2, step * 0.6)}
              y={foot + 4}
              height={9}
              fill="var(--water-pale)"
            />
            <rect
              x={index * step + step * 0.2}
              width={Math.max(2, step * 0.6)}
              y={foot + 4}
              height={9 * (1 - day.cloud)}
              fill="var(--wax)"
            />
            {index % Math.max(1, Math.ceil((view.days.length * 88) / width)) === 0 ? (
              <text x={index * step + 2} y={height - 2} fontSize={14} fill="var(--soft)">
                {day.text}
              </text>
            ) : null}
          </g>
        ))}
      </svg>
    </div>
  )
}

function Weather() {
  const house = useHouseId()
  const write = useWrite<'POST /houses/{house}/weather'>()
  return (
    <TakenFromCsv
      summary="Real days from a file"
      label="CSV with day and cloud (0 to 1, per cent, or eighths as in 5/8), and low and high if you have them"
      what={['day', 'days']}
      taken={write.data}
      error={write.error}
      busy={write.isPending}
      send={(csv, go) => write.mutate({ path: `/houses/${house}/weather`, body: { csv, do: go } })}
    />
  )
}
