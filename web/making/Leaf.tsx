import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { type Shape, useHouseId, useMakingWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { useRighting } from '../offline/righting'
import { whole } from '../offline/whole'
import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { capital } from '../parts/letters'

/** A leaf in the pot: how long it has been in, what to do next, and how warm it is. */
export function Leaf({ leaf, making, works }: { leaf: Shape<'LeafView'>; making: string; works: boolean }) {
  const house = useHouseId()
  const [warmth, setWarmth] = useState('')
  const say = useSay()
  const client = useQueryClient()
  // It is stirred by the clock: what is due is asked again every minute.
  useEffect(() => {
    const asking = setInterval(() => void client.invalidateQueries({ queryKey: ['house', house] }), 60_000)
    return () => clearInterval(asking)
  }, [client, house])
  const path = `/houses/${house}/makings/${making}/stir` as const
  const righting = useRighting<{ warmth?: string }>(path, (typed) => setWarmth(typed.warmth ?? ''))
  const put = () => {
    setWarmth('')
    righting.done()
  }
  const stir = useMakingWrite((after) => {
    put()
    say({ text: `${after.entries[0]?.title ?? 'Written down'}.` })
  }, put)
  return (
    <div className="flex flex-col gap-3">
      <svg
        viewBox="0 0 400 26"
        className="w-full max-w-[36rem]"
        role="img"
        aria-label={`The leaf is ${leaf.since_text}; ${leaf.sieve_text}`}
      >
        <rect x={1} y={8} width={398} height={12} fill="var(--plate)" stroke="var(--rim)" strokeWidth={2} />
        <rect x={1} y={8} width={398 * leaf.had} height={12} fill={leaf.over ? 'var(--warmth)' : 'var(--herb)'} />
        <line x1={398 * leaf.least} x2={398 * leaf.least} y1={1} y2={26} stroke="var(--ink)" strokeWidth={2} />
      </svg>
      <p className="text-soft">
        {leaf.since_text}; {leaf.sieve_text}
      </p>
      <p className={`text-2xl font-semibold ${leaf.over ? 'text-warmth' : ''}`} aria-live="polite">
        {leaf.says}
      </p>
      <p>
        {capital(leaf.band_text)}
        {leaf.warmth_text ? `; it was at ${leaf.warmth_text}` : ''}. Never leave it.
      </p>
      {leaf.warmth_says ? <Notice rank="care">{leaf.warmth_says}</Notice> : null}
      {works ? (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={sent(() =>
            stir.mutate({
              path,
              doneAt: righting.doneAt,
              body: { warmth: warmth.trim() === '' ? null : warmth },
              says: whole('The leaf in the warm oil: stirred', ['at', warmth]),
            }),
          )}
        >
          {righting.notice ? <div className="basis-full">{righting.notice}</div> : null}
          <Field
            label="How warm it is"
            placeholder="not looked at"
            value={warmth}
            fault={stir.error?.about('warmth')}
            onChange={(event) => setWarmth(event.target.value)}
          />
          <Button type="submit" disabled={stir.isPending}>
            Stirred
          </Button>
          {stir.error?.about('warmth') ? null : <Trouble problem={stir.error} />}
        </form>
      ) : null}
    </div>
  )
}

/** At the stove: every pot that has a leaf in it. */
export function Leaves({ pots, works }: { pots: Shape<'LeafPot'>[]; works: boolean }) {
  const house = useHouseId()
  return (
    <section aria-labelledby="leaves">
      <h2 id="leaves" className="text-2xl">
        Fresh leaf in the ointment
      </h2>
      <ul className={`mt-3 grid gap-6 ${pots.length > 1 ? 'md:grid-cols-2' : ''}`}>
        {pots.map((pot) => (
          <li
            key={pot.making}
            aria-label={pot.name}
            className={`flex flex-col gap-3 border-t-[5px] pt-3 ${pot.leaf.due ? 'border-warmth' : 'border-rim'}`}
          >
            <Link to={`/h/${house}/making/${pot.making}`} className="text-xl font-semibold hover:underline">
              {pot.name} <span className="text-soft font-normal">{pot.code}</span>
            </Link>
            <Leaf leaf={pot.leaf} making={pot.making} works={works} />
          </li>
        ))}
      </ul>
    </section>
  )
}
