import { useState } from 'react'
import { useHouseId } from '../api/hooks'
import { useKey } from '../frame/keys'
import type { WriteOf } from '../api/typed'
import { useRighting } from '../offline/righting'
import { namesOf, whole } from '../offline/whole'
import { Button, TextButton } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { useForm } from '../parts/form'
import { useKept } from '../parts/kept'
import { Notice, Trouble } from '../parts/Notice'
import { Tick } from '../parts/Tick'
import { Head } from './Head'
import { type Pot, usePotLine } from './line'
import { Discard, Looks, Move, Strain } from './Sheets'

type Sent<Does extends 'marks' | 'warmth'> = WriteOf<`POST /houses/{house}/boils/{boil}/${Does}`>['body']

const BY = [
  { id: 'stick', name: 'by a stick' },
  { id: 'jug', name: 'by the pot’s marks' },
  { id: 'scale', name: 'by weight' },
]

const TYPED: Record<string, { label: string; hint: string }> = {
  stick: { label: 'It stands', hint: '142 mm' },
  jug: { label: 'There is', hint: '9.6 L' },
  scale: { label: 'It weighs', hint: '9600 g' },
}

/** What is to be done at the pot next, and what can be. */
export function Now({ pot, works }: { pot: Pot; works: boolean }) {
  const [looking, setLooking] = useState(false)
  const [straining, setStraining] = useState(false)
  const [discarding, setDiscarding] = useState(false)
  const [moving, setMoving] = useState(false)
  const { write, path } = usePotLine(pot)
  const on = pot.stage === 'on'
  const flame = () =>
    write.mutate({
      path: `${path}/flame`,
      body: { on: !on },
      says: `${pot.name}: ${on ? 'off the flame, and covered' : 'over the flame'}`,
    })
  useKey('o', on ? 'Off the flame, and covered' : 'Over the flame', flame, works)
  useKey('l', 'Look at the signs', () => setLooking(true), works && pot.signs.length > 0)
  return (
    <>
      <Head>Now</Head>
      <p className="text-xl font-semibold" aria-live="polite">
        {pot.next}
      </p>
      {pot.watch ? <Notice rank={pot.watch.rank}>{pot.watch.says}</Notice> : null}
      {works ? (
        <>
          <div className="flex flex-wrap gap-2">
            <Button look={on ? 'plain' : 'strong'} onClick={flame} disabled={write.isPending} aria-keyshortcuts="o">
              {on ? 'Off, covered' : pot.stage === 'off' ? 'On again' : 'Over the flame'}
            </Button>
            {pot.signs.length > 0 && pot.stage !== 'planned' ? (
              <Button onClick={() => setLooking(true)} aria-keyshortcuts="l">
                Look at the signs
              </Button>
            ) : null}
            {pot.stage !== 'planned' ? <Button onClick={() => setStraining(true)}>Strain it</Button> : null}
          </div>
          <Trouble problem={write.error} />
          <div className="flex flex-wrap gap-x-6">
            {on ? null : <TextButton onClick={() => setMoving(true)}>Move it to a day</TextButton>}
            <TextButton onClick={() => setDiscarding(true)}>Throw it away</TextButton>
          </div>
          <Looks pot={pot} open={looking} close={() => setLooking(false)} />
          <Strain pot={pot} open={straining} close={() => setStraining(false)} />
          <Move pot={pot} open={moving} close={() => setMoving(false)} />
          <Discard pot={pot} open={discarding} close={() => setDiscarding(false)} />
        </>
      ) : null}
    </>
  )
}

/** How much stands in it, by a stick, by its marks or by weight. */
export function Mark({ pot }: { pot: Pot }) {
  const house = useHouseId()
  const [kept, setBy] = useKept(`by.${house}`)
  const by = pot.unit === 'g' ? 'scale' : kept === 'jug' || kept === 'scale' ? kept : pot.pot ? 'stick' : 'jug'
  const [anew, setAnew] = useState(false)
  const form = useForm({ level: '', at: '' })
  const righting = useRighting<NonNullable<Sent<'marks'>>>(
    `/houses/${house}/boils/${pot.id}/marks`,
    ({ level, at, by: read, anew: poured }) => {
      form.put({ level, at: at ?? '' })
      setBy(read)
      setAnew(poured ?? false)
    },
  )
  const { write, path } = usePotLine(pot, () => {
    form.clear()
    setAnew(false)
    righting.done()
  })
  const { field, rest } = form.beside(write.error)
  return (
    <form
      className="grid grid-cols-2 items-start gap-3"
      onSubmit={form.sent(() =>
        write.mutate({
          path: `${path}/marks`,
          doneAt: righting.doneAt,
          body: { level: form.typed.level, by, anew, at: form.typed.at.trim() === '' ? null : form.typed.at },
          says: whole(
            `${pot.name}: ${form.typed.level} ${namesOf(BY, [by])}`,
            ['at', form.typed.at],
            anew ? 'more was poured in before it, or some taken out' : '',
          ),
        }),
      )}
    >
      {righting.notice ? <div className="col-span-2">{righting.notice}</div> : null}
      <Field
        label={TYPED[by]?.label ?? ''}
        placeholder={TYPED[by]?.hint ?? ''}
        maxLength={40}
        required
        {...field('level')}
      />
      <Field label="At" placeholder="now" maxLength={20} {...field('at')} />
      {pot.unit === 'g' ? null : (
        <Select
          label="Read"
          choices={BY.filter((each) => each.id !== 'stick' || pot.pot)}
          value={by}
          onChange={(event) => setBy(event.target.value)}
        />
      )}
      <Button type="submit" look="strong" className="self-end" disabled={write.isPending}>
        Write a mark
      </Button>
      {pot.marks.length > 0 ? (
        <div className="col-span-2">
          <Tick checked={anew} onChange={setAnew}>
            More was poured in before it, or some taken out
          </Tick>
        </div>
      ) : null}
      <div className="col-span-2">
        <Trouble problem={rest} />
      </div>
    </form>
  )
}

export function Warmth({ pot }: { pot: Pot }) {
  const house = useHouseId()
  const form = useForm({ warmth: '' })
  const righting = useRighting<NonNullable<Sent<'warmth'>>>(`/houses/${house}/boils/${pot.id}/warmth`, form.put)
  const { write, path } = usePotLine(pot, () => {
    form.clear()
    righting.done()
  })
  const { field, rest } = form.beside(write.error)
  return (
    <form
      className="grid grid-cols-2 items-end gap-3"
      onSubmit={form.sent(() =>
        write.mutate({
          path: `${path}/warmth`,
          doneAt: righting.doneAt,
          body: { warmth: form.typed.warmth },
          says: `${pot.name}: it was at ${form.typed.warmth}`,
        }),
      )}
    >
      {righting.notice ? <div className="col-span-2">{righting.notice}</div> : null}
      <Field label="How warm it is" placeholder={pot.warm} maxLength={20} required {...field('warmth')} />
      <Button type="submit" disabled={write.isPending}>
        Write it down
      </Button>
      <div className="col-span-2">
        <Trouble problem={rest} />
      </div>
    </form>
  )
}
