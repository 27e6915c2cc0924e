import { useState } from 'react'
import { Link } from 'react-router'
import { useHouseId, useMaterials, useOfHouse } from '../api/hooks'
import { Select } from '../parts/Field'
import { type BoilWish, KNOWN, putOnBoil } from './wish'
import { Notice, Trouble, Waiting } from '../parts/Notice'

/** What is boiled down for a solvent. */
const PLANS: Record<string, 'decoction' | 'glycerin'> = { water: 'decoction', glycerin: 'glycerin' }

const HOW_WELL = ['nothing', 'a little', 'well', 'best']

/** For a plant and a use: what each solvent takes from it, how long it keeps, and whether it should be an oil at all. */
export function Solvents({ plant, take }: { plant: string; take?: (part: Partial<BoilWish>) => void }) {
  const house = useHouseId()
  const materials = useMaterials().data
  const [herb, setHerb] = useState(plant)
  const [use, setUse] = useState('')
  const answer = useOfHouse(`/solvents?herb=${encodeURIComponent(herb)}&use=${encodeURIComponent(use)}`, {
    stale: 60_000,
  })
  const told = answer.data
  /** Puts it beside what is boiled down, to be planned there. */
  const plan = (solvent: string) => {
    const what = PLANS[solvent]
    const first = what ? KNOWN[what][0] : undefined
    if (!what || !first) return
    const part = { what, known: first.id, amount: first.amount, herbs: [herb] }
    putOnBoil(house, part)
    take?.(part)
  }
  return (
    <div className="flex flex-col gap-6">
      <div className="grid gap-6 sm:grid-cols-2 lg:grid-cols-4">
        <Select
          label="Plant"
          value={herb}
          choices={(materials?.herbs ?? [{ id: herb, name: herb }]).map((each) => ({ id: each.id, name: each.name }))}
          onChange={(e) => setHerb(e.target.value)}
        />
        <Select
          label="For"
          value={use}
          choices={[{ id: '', name: 'anything' }, ...(told?.uses ?? [])]}
          onChange={(e) => setUse(e.target.value)}
        />
      </div>
      {answer.isError ? <Trouble problem={answer.error} /> : null}
      {told ? (
        <>
          <Notice rank={told.oil === false ? 'care' : 'note'}>
            {told.says} {told.why}
          </Notice>
          <div className="overflow-x-auto">
            <table className="w-full text-start">
              <caption className="text-soft pb-2 text-start">
                What each takes of {told.name}: coarse, common practice without a source, and which plant has what from
                memory.
              </caption>
              <thead>
                <tr className="border-rim border-b-2 text-start">
                  {['Solvent', 'Takes', 'Keeps', 'How', ''].map((head) => (
                    <th key={head} scope="col" className="py-2 pe-4 text-start font-semibold">
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {told.solvents.map((row) => (
                  <tr key={row.id} className={`border-line border-b align-top ${row.fits ? '' : 'text-soft'}`}>
                    <th scope="row" className="py-2 pe-4 text-start font-semibold">
                      {row.name}
                      {row.fits ? null : <span className="block font-normal">not into that</span>}
                    </th>
                    <td className="py-2 pe-4">
                      {row.takes.length === 0
                        ? 'not in the tables'
                        : row.takes.map((each) => `${each.name}: ${HOW_WELL[each.takes] ?? ''}`).join('; ')}
                    </td>
                    <td className="py-2 pe-4">{row.keeps}</td>
                    <td className="py-2 pe-4">{row.how}</td>
                    <td className="py-2">
                      {row.planned && row.fits ? (
                        <Link
                          className="underline"
                          aria-label={`Plan it in ${row.name}`}
                          to={
                            PLANS[row.id]
                              ? `/h/${house}/boil`
                              : `/h/${house}/bench?herb=${encodeURIComponent(told.herb)}`
                          }
                          onClick={() => plan(row.id)}
                        >
                          Plan it
                        </Link>
                      ) : null}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      ) : answer.isError ? null : (
        <Waiting what="the solvents" />
      )}
    </div>
  )
}
