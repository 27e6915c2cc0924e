import { useState } from 'react'
import { useMaterials, useOfHouse } from '../api/hooks'
import { TextButton } from '../parts/Button'
import { Trouble, Waiting } from '../parts/Notice'
import { barred, type OilWish, oilsOf, type Wish } from './wish'

type Picture = Record<string, number> | null

/** Each fat by pattern and word as well as by tone, so that none is told by colour alone. */
const FATS = [
  { id: 'saturated', name: 'saturated', fill: 'var(--wax)' },
  { id: 'mono', name: 'oleic kind', fill: 'var(--oil)' },
  { id: 'di', name: 'linoleic', fill: 'var(--oil-pale)' },
  { id: 'tri', name: 'linolenic', fill: 'var(--warmth)' },
  { id: 'wax', name: 'liquid wax', fill: 'var(--water)' },
] as const

export function FatPicture({ picture, name }: { picture: Picture; name: string }) {
  const parts = picture ?? { wax: 100 }
  const widths = FATS.map((fat) => ((parts[fat.id] ?? 0) / 100) * 200)
  const said = FATS.filter((fat) => (parts[fat.id] ?? 0) >= 1)
    .map((fat) => `${Math.round(parts[fat.id] ?? 0)} % ${fat.name}`)
    .join(', ')
  return (
    <svg
      viewBox="0 0 200 12"
      className="h-3 w-full"
      role="img"
      aria-label={`${name}: ${said}`}
      preserveAspectRatio="none"
    >
      {FATS.map((fat, index) => (
        <rect
          key={fat.id}
          x={widths.slice(0, index).reduce((sum, width) => sum + width, 0)}
          width={widths[index]}
          height={12}
          fill={fat.fill}
        />
      ))}
      <rect width={200} height={12} fill="none" stroke="var(--rim)" strokeWidth={1} />
    </svg>
  )
}

function Key() {
  return (
    <ul className="text-soft flex flex-wrap gap-x-5 gap-y-1">
      {FATS.map((fat) => (
        <li key={fat.id} className="flex items-center gap-2">
          <span className="border-rim inline-block size-3.5 border" style={{ background: fat.fill }} aria-hidden />
          {fat.name}
        </li>
      ))}
      <li>The more to the right of oleic, the sooner it goes rancid.</li>
    </ul>
  )
}

const FIRST_FEW = 8

/** Oils in order for what it is for, with the reasons. */
export function WhichOil({
  wish,
  purpose,
  change,
}: {
  wish: Wish
  purpose: string
  change: (change: Partial<Wish>) => void
}) {
  const list = useOfHouse(`/oils?purpose=${encodeURIComponent(purpose)}`, { stale: 20_000 })
  const materials = useMaterials().data
  const [all, setAll] = useState(false)
  const oils = oilsOf(wish)
  if (list.isError) return <Trouble problem={list.error} />
  if (!list.data) return <Waiting what="the oils" />
  const set = (next: OilWish[]) => change({ oils: next as Wish['oils'] })
  const out = materials ? barred(wish, materials).oils : new Set()
  const offered = list.data.oils.filter((oil) => !out.has(oil.id) || oils.some((each) => each.id === oil.id))
  const shown = offered.filter((oil, index) => all || index < FIRST_FEW || oils.some((each) => each.id === oil.id))
  return (
    <div className="flex flex-col gap-3">
      <p>{list.data.why}</p>
      <Key />
      <ol className="grid gap-x-10 lg:grid-cols-2">
        {shown.map((oil) => {
          const taken = oils.some((each) => each.id === oil.id)
          return (
            <li
              key={oil.id}
              className={`border-line grid grid-cols-[3rem_1fr_auto] items-start gap-x-3 gap-y-1 border-b py-3 ${taken ? 'bg-water-pale' : ''}`}
            >
              <span className="figures ps-1 text-2xl font-semibold" title="out of a hundred">
                {oil.score}
              </span>
              <div className="min-w-0">
                <p className="font-semibold">
                  {oil.name}
                  <span className="text-soft font-normal">
                    {oil.stock_text ? ` · ${oil.stock_text} in Stores` : ''}
                    {oil.price_text ? ` · ${oil.price_text} for 100 mL` : ''}
                  </span>
                </p>
                <FatPicture picture={oil.picture} name={oil.name} />
                <p>{oil.reasons.filter((reason) => reason !== 'In Stores.').join(' ')}</p>
                <p className="text-soft">
                  {[
                    oil.iodine_value === null ? '' : `iodine value ${oil.iodine_value}`,
                    oil.oxidisability === null
                      ? ''
                      : `takes up oxygen ${oil.oxidisability} times as fast as pure olein`,
                    `sets under ${oil.sets_text}`,
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </p>
              </div>
              <span className="flex flex-col items-end pe-1">
                {taken ? (
                  <span className="py-1">in it</span>
                ) : (
                  <>
                    <TextButton onClick={() => set([{ id: oil.id }])} aria-label={`Use ${oil.name} instead`}>
                      Use it
                    </TextButton>
                    <TextButton
                      disabled={oils.length >= 6}
                      onClick={() =>
                        set([
                          ...oils.map((each) => ({ ...each, parts: each.parts ?? '1' })),
                          { id: oil.id, parts: '1' },
                        ])
                      }
                      aria-label={`Blend in ${oil.name}`}
                    >
                      Blend it in
                    </TextButton>
                  </>
                )}
              </span>
            </li>
          )
        })}
      </ol>
      {all ? null : (
        <TextButton className="self-start" onClick={() => setAll(true)}>
          All {list.data.oils.length} oils
        </TextButton>
      )}
    </div>
  )
}
