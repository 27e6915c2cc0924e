import { useState } from 'react'
import { get, type Problem } from '../api/client'
import { type Shape, useHouseId } from '../api/hooks'
import { Button } from '../parts/Button'
import { Trouble } from '../parts/Notice'

/** What happened to accounts and to who may do what: asked for when somebody looks. */
export function Trail() {
  const house = useHouseId()
  const [told, setTold] = useState<Shape<'TrailEvent'>[] | null>(null)
  const [before, setBefore] = useState<number | null>(null)
  const [problem, setProblem] = useState<Problem | null>(null)
  const ask = (from: number | null, already: Shape<'TrailEvent'>[]) => {
    setProblem(null)
    get(`/houses/${house}/trail?before=${from ?? ''}`)
      .then((page) => {
        setTold([...already, ...page.events])
        setBefore(page.before)
      })
      .catch(setProblem)
  }
  return (
    <details onToggle={(event) => (event.currentTarget.open ? ask(null, []) : null)}>
      <summary className="min-h-11 py-2 font-semibold">What happened to accounts</summary>
      <Trouble problem={problem} />
      {told?.length === 0 ? <p className="text-soft">Nothing yet.</p> : null}
      <ul className="divide-line divide-y">
        {(told ?? []).map((event) => (
          <li key={event.id} className="py-2">
            {event.says}
            <span className="text-soft block">
              {event.at}
              {event.from === '' ? ', on the machine itself' : `, from ${event.from}`}
            </span>
          </li>
        ))}
      </ul>
      {before === null ? null : <Button onClick={() => ask(before, told ?? [])}>More</Button>}
    </details>
  )
}
