import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { get } from '../api/client'
import { type Shape, useHouseId } from '../api/hooks'
import { Select } from '../parts/Field'
import { Trouble } from '../parts/Notice'

/** A batch or a product beside another of its kind: what differed, the largest first. */
export function Beside({ kind, thing }: { kind: 'batch' | 'product'; thing: string }) {
  const [other, setOther] = useState('')
  const house = useHouseId()
  const path = `/houses/${house}/${kind === 'batch' ? 'batches' : 'makings'}/${thing}/beside?other=${other}`
  const beside = useQuery({
    queryKey: ['house', house, path],
    // Either is answered alike; what the address asks stands after it.
    queryFn: ({ signal }) => get(path as `/houses/${string}/batches/${string}/beside`, signal),
  })
  const [last, setLast] = useState<Shape<'BesideView'>>()
  // The list stays while another is fetched.
  if (beside.data && beside.data !== last) setLast(beside.data)
  const there = beside.data ?? last
  if (!there || there.others.length === 0) return null
  return (
    <section aria-labelledby="beside-head" className="border-line flex flex-col gap-4 border-t pt-5">
      <h2 id="beside-head" className="column-head font-text text-base">
        Side by side
      </h2>
      <div className="max-w-md">
        <Select
          label="Beside"
          value={other}
          choices={[{ id: '', name: 'choose another' }, ...there.others]}
          onChange={(event) => setOther(event.target.value)}
        />
      </div>
      <Trouble problem={beside.isError ? beside.error : null} />
      {other !== '' && there.other !== '' ? (
        <div className="overflow-x-auto">
          <table className="w-full max-w-[60rem] text-start">
            <thead>
              <tr>
                <th scope="col" className="border-rim border-b-2 py-2 pe-4 text-start">
                  What differed
                </th>
                <th scope="col" className="border-rim border-b-2 py-2 pe-4 text-start">
                  {there.one}
                </th>
                <th scope="col" className="border-rim border-b-2 py-2 text-start">
                  {there.other}
                </th>
              </tr>
            </thead>
            <tbody>
              {there.rows.map((row) => (
                <tr key={row.id} className="border-line border-b">
                  <th scope="row" className="py-2 pe-4 text-start font-semibold">
                    {row.name}
                    <span
                      aria-hidden
                      className="bg-warmth mt-1 block h-1"
                      style={{ width: `${Math.max(2, row.by * 100)}%` }}
                    />
                  </th>
                  <td className="py-2 pe-4">{row.one || 'none'}</td>
                  <td className="py-2">{row.other || 'none'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-soft mt-2">
            {there.rows.length === 0 ? 'Nothing differed. ' : ''}
            {there.same} more {there.same === 1 ? 'thing was' : 'things were'} the same.
          </p>
        </div>
      ) : null}
    </section>
  )
}
