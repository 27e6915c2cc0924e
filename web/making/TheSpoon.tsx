import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { ask } from '../api/client'
import { useHouseId, useMakingWrite, useOfHouse } from '../api/hooks'
import { Choice } from '../bench/editors/edit'
import { FAR, VERDICTS } from '../melt/Spoon'
import { useRighting } from '../offline/righting'
import { namesOf, whole } from '../offline/whole'
import { Button } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { Figure } from '../parts/Figure'
import { sent } from '../parts/form'
import { Trouble, Waiting } from '../parts/Notice'
import { useSettled } from '../parts/settled'
import type { Making } from './MakingPage'

/** The cold spoon: how it turned out, written down; and where it was not right, what mends it. */
export function TheSpoon({ making, done }: { making: Making; done: () => void }) {
  return making.to_mend ? (
    <MendIt making={making} verdict={making.to_mend} />
  ) : (
    <TryIt making={making} done={(after) => (after.to_mend ? undefined : done())} />
  )
}

type Try = { making: Making; inUse?: boolean; done: (after: Making) => void }

export function TryIt({ making, inUse = false, done }: Try) {
  const house = useHouseId()
  const [verdict, setVerdict] = useState('')
  const [by, setBy] = useState('plainly')
  const [room, setRoom] = useState('')
  const [stuck, setStuck] = useState('')
  const path = `/houses/${house}/makings/${making.id}/spoon` as const
  const righting = useRighting<{ verdict: string; by?: string; room?: string; stuck?: string }>(path, (typed) => {
    setVerdict(typed.verdict)
    setBy(typed.by ?? 'plainly')
    setRoom(typed.room ?? '')
    setStuck(typed.stuck ?? '')
  })
  const write = useMakingWrite((after) => {
    righting.done()
    done(after)
  }, righting.done)
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={sent(() =>
        write.mutate({
          path,
          doneAt: righting.doneAt,
          body: {
            verdict: verdict as 'right',
            by: by as 'plainly',
            room: room.trim() === '' ? null : room,
            stuck: stuck.trim() === '' ? null : stuck,
          },
          says: whole(
            `${making.name}: ${inUse ? 'in use it was' : 'the spoon said'} ${namesOf(VERDICTS, [verdict])}`,
            verdict === 'too-soft' || verdict === 'too-hard' ? namesOf(FAR, [by]) : '',
            ['the room', room],
            ['with the spoon went', stuck],
          ),
        }),
      )}
    >
      {righting.notice}
      <Choice
        legend={inUse ? 'How it turned out in use' : 'The drop on the cold spoon, after a minute'}
        value={verdict}
        choices={VERDICTS}
        onChoose={setVerdict}
      />
      {verdict === 'too-soft' || verdict === 'too-hard' ? (
        <Choice legend="By how much" value={by} choices={FAR} onChoose={setBy} />
      ) : null}
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          label={inUse ? 'How warm it was there' : 'The room'}
          placeholder="not looked at"
          value={room}
          fault={write.error?.about('room')}
          onChange={(event) => setRoom(event.target.value)}
        />
        {inUse ? null : (
          <Field
            label="Went with the spoon"
            placeholder="nothing to speak of"
            value={stuck}
            fault={write.error?.about('stuck')}
            onChange={(event) => setStuck(event.target.value)}
          />
        )}
      </div>
      {write.error && !write.error.about('room') && !write.error.about('stuck') ? (
        <Trouble problem={write.error} />
      ) : null}
      <Button type="submit" look="strong" className="self-start" disabled={verdict === '' || write.isPending}>
        Write it down
      </Button>
    </form>
  )
}

function MendIt({ making, verdict }: { making: Making; verdict: NonNullable<Making['to_mend']> }) {
  const house = useHouseId()
  const choices = useOfHouse('/melt', { stale: 60_000 }).data
  const oils = making.pot.filter((part) => part.kind === 'oil')
  const waxes = making.pot.filter((part) => part.kind === 'wax')
  const softer = verdict.verdict === 'too-hard'
  const [wax, setWax] = useState(waxes[0]?.id ?? 'beeswax')
  const [oil, setOil] = useState(oils[0]?.id ?? 'olive')
  const [room, setRoom] = useState('')
  const [amount, setAmount] = useState('')
  const asked = useSettled(
    {
      mass: `${making.in_pot_g} g`,
      share: making.in_pot_firmness,
      verdict: verdict.verdict,
      by: verdict.by,
      with: wax,
      ...(room.trim() === '' ? {} : { room }),
    },
    120,
  )
  const mend = useQuery({
    queryKey: ['house', house, 'mend', asked],
    queryFn: ({ signal }) => ask(`/houses/${house}/melt/mend`, asked as never, signal),
    placeholderData: keepPreviousData,
    retry: false,
  })
  const write = useMakingWrite()
  const leave = useMakingWrite()
  const figures = mend.data?.figures as Making['plan']['figures'] | undefined
  const value = (id: string) => Number(figures?.[id]?.value ?? 0)
  const adds = softer ? 'add_oil' : 'add_wax'
  const some = (list: { id: string; name: string }[], more: { id: string; name: string }[]) => [
    ...list.map(({ id, name }) => ({ id, name })),
    ...more.filter((each) => !list.some((one) => one.id === each.id)),
  ]
  const isIn = () =>
    write.mutate({
      path: `/houses/${house}/makings/${making.id}/mend`,
      body: {
        part: softer ? oil : wax,
        amount: amount.trim() === '' ? `${value(adds)} g` : amount,
        out: value('take_out') > 0.005 ? `${value('take_out')} g` : null,
      },
    })
  return (
    <div className="flex flex-col gap-3" aria-live="polite">
      <p className="font-display text-2xl">
        {softer ? 'Too hard' : 'Too soft'}
        {': '}
        {figures && !mend.isError ? (
          <>
            {value('take_out') > 0.005 ? (
              <>
                take out <Figure name="Take out" figure={figures.take_out} size="text-2xl" /> first, then{' '}
              </>
            ) : null}
            put in <Figure name={softer ? 'More oil' : 'More wax'} figure={figures[adds]} size="text-2xl" />.
          </>
        ) : null}
      </p>
      {mend.isLoading ? <Waiting what="the mending" /> : null}
      <Trouble problem={mend.isError ? mend.error : null} />
      <div className="grid gap-3 sm:grid-cols-2">
        {softer ? (
          <Select
            label="Of which oil"
            value={oil}
            choices={some(oils, choices?.oils ?? [])}
            onChange={(e) => setOil(e.target.value)}
          />
        ) : (
          <Select
            label="Of which wax"
            value={wax}
            choices={some(waxes, choices?.waxes ?? [])}
            onChange={(e) => setWax(e.target.value)}
          />
        )}
        <Field
          label="Room left in the pot"
          placeholder="enough"
          value={room}
          fault={mend.error?.about('room')}
          onChange={(event) => setRoom(event.target.value)}
        />
        <Field
          label="What went in"
          placeholder="as it says"
          value={amount}
          fault={write.error?.about('amount') ?? write.error?.about('part')}
          onChange={(event) => setAmount(event.target.value)}
        />
      </div>
      {write.error && !write.error.about('amount') && !write.error.about('part') ? (
        <Trouble problem={write.error} />
      ) : null}
      <div className="flex flex-wrap gap-3">
        <Button
          look="strong"
          disabled={write.isPending || mend.isPlaceholderData || !figures || mend.isError}
          onClick={isIn}
        >
          That is in
        </Button>
        <Button
          disabled={leave.isPending}
          onClick={() =>
            leave.mutate({
              path: `/houses/${house}/makings/${making.id}/steps`,
              body: { step: 'spoon', warmth: null },
            })
          }
        >
          It will do as it is
        </Button>
      </div>
      <p className="text-soft">Melt it again, stir, and try another spoon.</p>
    </div>
  )
}
