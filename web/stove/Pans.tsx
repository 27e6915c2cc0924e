import { useState } from 'react'
import { Link } from 'react-router'
import { type Shape, useHouseId, useWrite } from '../api/hooks'
import { namesOf, whole } from '../offline/whole'
import { Button } from '../parts/Button'
import { Trouble } from '../parts/Notice'
import { StoveCautions } from './StoveCautions'

/** Pans on the flame and those that are to go on it: stirred, watched for bubbles, and done by their signs. */
export function Pans({ pans, works }: { pans: Shape<'PanCard'>[]; works: boolean }) {
  return (
    <section aria-labelledby="pans">
      <h2 id="pans" className="text-2xl">
        In the pan
      </h2>
      <ul className={`mt-3 grid gap-6 ${pans.length > 1 ? 'md:grid-cols-2' : ''}`}>
        {pans.map((pan) => (
          <Pan key={pan.batch} pan={pan} works={works} />
        ))}
      </ul>
    </section>
  )
}

function Pan({ pan, works }: { pan: Shape<'PanCard'>; works: boolean }) {
  const house = useHouseId()
  const [seen, setSeen] = useState<string[]>([])
  const done = useWrite<'POST /houses/{house}/batches/{batch}/tasks'>(() => setSeen([]))
  const path = `/houses/${house}/batches/${pan.batch}/tasks` as const
  const does = (task: string, more: { seen?: string[] } = {}) =>
    done.mutate({
      path,
      body: { task, outcome: 'done', ...more },
      says: whole(`${pan.herb}, ${task === pan.stir ? 'stirred' : pan.on ? 'off the flame' : 'on the flame'}`, [
        'seen:',
        namesOf(pan.signs, more.seen ?? []),
      ]),
    })
  const all = pan.signs.every((sign) => seen.includes(sign.id))
  return (
    <li
      className={`flex flex-col gap-3 border-t-[5px] pt-3 ${pan.on ? 'border-warmth' : 'border-rim'}`}
      aria-label={`${pan.herb}, ${pan.pan}`}
    >
      <p className="flex flex-wrap items-baseline justify-between gap-x-4">
        <Link to={`/h/${house}/batch/${pan.batch}`} className="text-xl font-semibold hover:underline">
          {pan.herb} <span className="text-soft font-normal">{pan.code}</span>
        </Link>
        <span className="figures text-lg font-semibold">{pan.state_text}</span>
      </p>
      <p>
        {pan.pan}, {pan.warmth_text}; {pan.when_text}
      </p>
      <p className={pan.on ? 'text-2xl font-semibold' : ''}>{pan.stir_text}</p>
      {pan.on ? null : <StoveCautions batches={[pan.batch]} />}
      {works && pan.on ? (
        <fieldset className="flex flex-col">
          <legend className="font-semibold">Done when</legend>
          {pan.signs.map((sign) => (
            <label key={sign.id} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 shrink-0"
                checked={seen.includes(sign.id)}
                onChange={(event) =>
                  setSeen(event.target.checked ? [...seen, sign.id] : seen.filter((each) => each !== sign.id))
                }
              />
              {sign.name}
            </label>
          ))}
          <p className="text-soft">{pan.after_text}</p>
        </fieldset>
      ) : null}
      <Trouble problem={done.error} />
      {works ? (
        <div className="flex flex-wrap gap-3">
          {pan.on && pan.stir ? (
            <Button disabled={done.isPending} onClick={() => pan.stir && does(pan.stir)}>
              Stirred
            </Button>
          ) : null}
          {pan.task ? (
            <Button
              look={pan.on && !all ? 'plain' : 'strong'}
              disabled={done.isPending}
              onClick={() => pan.task && does(pan.task, pan.on ? { seen } : {})}
            >
              {pan.on ? (all ? 'Off the flame' : 'Off the flame all the same') : 'On the flame'}
            </Button>
          ) : (
            <Link className="flex min-h-11 items-center font-semibold underline" to={`/h/${house}/batch/${pan.batch}`}>
              Fill it first
            </Link>
          )}
        </div>
      ) : null}
    </li>
  )
}
