import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useHouseId, useOfHouse } from '../api/hooks'
import { usePart } from '../frame/part'
import { useDrawnInSlices } from '../frame/slices'
import { Field } from '../parts/Field'
import { Trouble, Waiting } from '../parts/Notice'

const KINDS = [
  { id: 'plant', name: 'Plants' },
  { id: 'oil', name: 'Oils' },
  { id: 'method', name: 'Methods' },
  { id: 'wax', name: 'Waxes' },
  { id: 'scent', name: 'Scents' },
  { id: 'product', name: 'Products' },
  { id: 'caution', name: 'Cautions' },
  { id: 'fault', name: 'Faults' },
  { id: 'measure', name: 'Measures' },
  { id: 'school', name: 'Schools' },
]

/** What a house may enter itself. */
const OWN: Record<string, string> = {
  plant: 'Enter a plant of our own',
  oil: 'Enter an oil of our own',
  wax: 'Enter a wax of our own',
  scent: 'Enter a scent of our own',
  measure: 'Enter a measure of our own',
  school: 'Enter a school of our own',
}

/** What there is of those that only a house can know, where it has none yet. */
const NONE: Record<string, string> = {
  measure: 'A spoon, a scoop, a mug or a packet that was measured once can be written in any amount: “3 blue scoops”.',
  school: 'Hours and warmth that this house goes by can be kept under a name, and chosen like any school.',
}

/** What is known of plants, oils, methods, waxes, scents, products, cautions and faults; and the house's own measures. */
export default function Almanac() {
  const house = useHouseId()
  const { works } = usePart()
  const [query, setQuery] = useSearchParams()
  const kind = KINDS.find((each) => each.id === query.get('kind'))?.id ?? 'plant'
  const [typed, setTyped] = useState('')
  const list = useOfHouse(`/almanac?kind=${kind}`, { stale: 600_000 })
  const there = useDrawnInSlices(list.data)
  const low = typed.trim().toLowerCase()
  const entries = (there?.entries ?? []).filter((entry) => `${entry.name} ${entry.says}`.toLowerCase().includes(low))
  return (
    <div className="flex flex-col gap-5">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-3xl">Almanac</h1>
        <div className="flex flex-wrap gap-x-5 font-semibold">
          {works && OWN[kind] ? (
            <Link className="flex min-h-11 items-center underline" to={`/h/${house}/almanac/own/${kind}`}>
              {OWN[kind]}
            </Link>
          ) : null}
          <Link className="flex min-h-11 items-center underline" to={`/h/${house}/almanac/what-is-wrong`}>
            What is wrong with it?
          </Link>
          <Link className="flex min-h-11 items-center underline" to={`/h/${house}/almanac/which-solvent`}>
            Which solvent?
          </Link>
          <Link className="flex min-h-11 items-center underline" to={`/h/${house}/almanac/yields`}>
            What this house has learned
          </Link>
        </div>
      </header>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <nav aria-label="Kinds" className="border-rim flex flex-wrap gap-1 border-b-[3px]">
          {KINDS.map((each) => (
            <button
              key={each.id}
              type="button"
              aria-current={each.id === kind ? 'page' : undefined}
              className={`min-h-11 px-4 max-sm:px-2.5 ${each.id === kind ? 'bg-rim text-on-rim font-semibold' : 'text-soft'}`}
              onClick={() => setQuery({ kind: each.id }, { replace: true })}
            >
              {each.name}
            </button>
          ))}
        </nav>
        <div className="w-64 max-sm:w-full">
          <Field label="Look for" type="search" value={typed} onChange={(e) => setTyped(e.target.value)} />
        </div>
      </div>
      {list.isError ? <Trouble problem={list.error} /> : null}
      {there ? (
        <ul className="columns-1 gap-x-10 sm:columns-2 lg:columns-3">
          {entries.map((entry) => (
            <li key={entry.key} className="border-line break-inside-avoid border-b">
              <Link to={`/h/${house}/almanac/${entry.kind}/${entry.key}`} className="flex flex-col py-2">
                <strong>{entry.name}</strong>
                <span className="text-soft line-clamp-2">
                  {entry.own ? [entry.says, 'entered by this house'].filter(Boolean).join('; ') : entry.says}
                </span>
              </Link>
            </li>
          ))}
          {entries.length === 0 ? (
            <li>{low === '' && NONE[kind] ? NONE[kind] : 'Nothing here goes by that name.'}</li>
          ) : null}
        </ul>
      ) : list.isError ? null : (
        <Waiting what="the Almanac" />
      )}
    </div>
  )
}
