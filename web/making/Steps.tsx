import { useState } from 'react'
import { useHouseId, useMakingWrite } from '../api/hooks'
import { useKey } from '../frame/keys'
import { useUnsent } from '../offline/here'
import type { Unsent } from '../offline/outbox'
import { unsentStep } from '../offline/later'
import { stands } from '../offline/Unsent'
import { usePart } from '../frame/part'
import { useRighting } from '../offline/righting'
import { whole } from '../offline/whole'
import { Button, TextButton } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { HandsFull } from '../hands/HandsFull'
import { Scale } from '../press/Scale'
import { Leaf } from './Leaf'
import { useLine } from './line'
import type { Making } from './MakingPage'
import { PourIt } from './PourIt'
import { TheSpoon } from './TheSpoon'

type Step = Making['steps'][number]

/** Step by step, with hands full: the one that comes next is large, with what doing it needs; the others are a press away. */
export function Steps({ making }: { making: Making }) {
  const { works } = usePart()
  const [chosen, setChosen] = useState<string | null>(null)
  const unsent = useUnsent(`/makings/${making.id}`)
  const waits = (step: Step) => (step.done ? undefined : unsentStep(unsent, step.id))
  const left = making.steps.filter((step) => !step.done && !waits(step))
  // A leaf that is in comes first: it is watched, and sieved out by the clock.
  const next = (making.leaf ? left.find((step) => step.id === 'sieve') : undefined) ?? left[0]
  const open = making.stage === 'planned' || making.stage === 'making'
  const spoon = making.steps.find((step) => step.does === 'spoon')
  const now = making.steps.find((step) => step.id === chosen && (left.includes(step) || step === spoon)) ?? next
  if (making.stage === 'discarded') return null
  // Poured, only the wiping and labelling is left.
  const shown = open ? making.steps : making.steps.filter((step) => !step.done)
  if (shown.length === 0) return null
  return (
    <>
      <h2 className="column-head font-text text-base">Step by step</h2>
      <span>
        <HandsFull
          name={`making.${making.id}.${making.version}`}
          title={making.name}
          steps={left.map((step) => ({ says: step.says }))}
        />
      </span>
      <ol className="flex flex-col">
        {shown.map((step) => (
          <li key={step.id} className="border-line border-b py-2" aria-current={step === now ? 'step' : undefined}>
            {step === now && works ? (
              <Now step={step} making={making} key={step.id} done={() => setChosen(null)} />
            ) : (
              <Other
                step={step}
                waits={waits(step)}
                choose={works && left.includes(step) ? () => setChosen(step.id) : null}
              />
            )}
          </li>
        ))}
      </ol>
      {open && works && spoon && now !== spoon ? (
        <TextButton className="self-start" onClick={() => setChosen('spoon')}>
          {spoon.done ? 'Try another spoon' : 'Try the cold spoon'}
        </TextButton>
      ) : null}
    </>
  )
}

function Other({ step, waits, choose }: { step: Step; waits: Unsent | undefined; choose: (() => void) | null }) {
  return (
    <span className={`flex items-start gap-3 ${step.done || waits ? 'text-soft' : ''}`}>
      <span aria-hidden className="mt-1 w-5 shrink-0">
        {step.done || waits ? (
          <svg viewBox="0 0 20 20" className="size-5">
            <path d="M3 11 l5 5 L17 4" fill="none" stroke="var(--herb)" strokeWidth={2.5} />
          </svg>
        ) : null}
      </span>
      {choose ? (
        <button type="button" className="min-h-8 text-start" onClick={choose}>
          {step.says}
        </button>
      ) : (
        <span>
          {step.done ? <span className="sr-only">Done: </span> : null}
          {step.says}
          {waits ? <span className="block">{stands(waits)}</span> : null}
        </span>
      )}
    </span>
  )
}

function Now({ step, making, done: close }: { step: Step; making: Making; done: () => void }) {
  const [amount, setAmount] = useState('')
  const [warmth, setWarmth] = useState('')
  const [mass, setMass] = useState('')
  const house = useHouseId()
  const part = step.does === 'weigh' ? step.id.replace(/^weigh\./, '') : ''
  const righting = useRighting<{ part?: string; step?: string; amount?: string; warmth?: string; mass?: string }>(
    `/houses/${house}/makings/${making.id}/${step.does === 'weigh' ? 'weigh' : 'steps'}`,
    (typed) => {
      setAmount(typed.amount ?? '')
      setWarmth(typed.warmth ?? '')
      setMass(typed.mass ?? '')
    },
    (typed) => (step.does === 'weigh' ? typed.part === part : typed.step === step.id),
  )
  const { write, path } = useLine(
    making,
    () => {
      righting.done()
      close()
    },
    righting.done,
  )
  const warm = ['melt', 'drops', 'water', 'leaf'].includes(step.id)
  const cool = ['drops', 'drops-cold'].includes(step.id) ? making.pot.filter((each) => each.cool && !each.in) : []
  const done = () =>
    step.does === 'weigh'
      ? write.mutate({
          path: `${path}/weigh`,
          doneAt: righting.doneAt,
          body: { part, amount: amount.trim() === '' ? null : amount },
          says: whole(`${making.name}: ${step.says}`, ['in went', amount]),
        })
      : write.mutate({
          path: `${path}/steps`,
          doneAt: righting.doneAt,
          body: {
            step: step.id,
            warmth: warmth.trim() === '' ? null : warmth,
            mass: mass.trim() === '' ? null : mass,
          },
          says: whole(`${making.name}: ${step.says}`, ['it was at', warmth], ['it weighs', mass]),
        })
  useKey('D', 'Do the next step', done, (step.does === 'weigh' || step.does === 'step') && !write.isPending)
  return (
    <div className="flex flex-col gap-3 py-1">
      <p className="font-display text-2xl">{step.says}</p>
      {righting.notice}
      {making.leaf && step.id === 'sieve' ? <Leaf leaf={making.leaf} making={making.id} works /> : null}
      {step.does === 'spoon' ? (
        <TheSpoon making={making} done={close} />
      ) : step.does === 'pour' ? (
        <PourIt making={making} />
      ) : (
        <form className="flex flex-wrap items-end gap-3" onSubmit={sent(done)}>
          {step.does === 'weigh' ? (
            <Field
              label="What went in"
              placeholder="as it says"
              value={amount}
              fault={write.error?.about('amount')}
              onChange={(event) => setAmount(event.target.value)}
            />
          ) : null}
          {warm ? (
            <Field
              label="How warm it was"
              placeholder="not looked at"
              value={warmth}
              fault={write.error?.about('warmth')}
              onChange={(event) => setWarmth(event.target.value)}
            />
          ) : null}
          {step.id === 'sieve' ? (
            <Field
              label="What came through weighs"
              placeholder="not weighed"
              value={mass}
              fault={write.error?.about('mass')}
              onChange={(event) => setMass(event.target.value)}
            />
          ) : null}
          <Button type="submit" look="strong" disabled={write.isPending} aria-keyshortcuts="Shift+D" className="px-6">
            {step.does === 'weigh' ? 'It is in' : step.id === 'sieve' ? 'Sieved' : 'Done'}
          </Button>
        </form>
      )}
      {step.does === 'weigh' ? (
        <Scale
          put={[
            { says: 'Empty jug on', does: { do: 'jug' } },
            { says: `Pour it in`, does: { do: 'part', making: making.id, part } },
          ]}
          is={[{ says: 'It is what went in', take: setAmount }]}
        />
      ) : null}
      {cool.length > 1 || (cool.length === 1 && step.does === 'step') ? (
        <ul>
          {cool.map((each) => (
            <Drop key={each.id} part={each} making={making} />
          ))}
        </ul>
      ) : null}
      {write.error && !write.error.about('amount') && !write.error.about('warmth') && !write.error.about('mass') ? (
        <Trouble problem={write.error} />
      ) : null}
    </div>
  )
}

/** One of what goes in last, where another amount of it went in than was planned. */
function Drop({ part, making }: { part: Making['pot'][number]; making: Making }) {
  const house = useHouseId()
  const [amount, setAmount] = useState('')
  const path = `/houses/${house}/makings/${making.id}/weigh` as const
  const righting = useRighting<{ part: string; amount?: string }>(
    path,
    (typed) => setAmount(typed.amount ?? ''),
    (typed) => typed.part === part.id,
  )
  const write = useMakingWrite(righting.done, righting.done)
  return (
    <li>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={sent(() =>
          write.mutate({
            path,
            doneAt: righting.doneAt,
            body: { part: part.id, amount: amount.trim() === '' ? null : amount },
            says: whole(`${making.name}: ${part.name} went in`, amount.trim() === '' ? part.text : amount),
          }),
        )}
      >
        {righting.notice ? <div className="basis-full">{righting.notice}</div> : null}
        <Field
          label={`Of ${part.name}`}
          placeholder={part.text}
          value={amount}
          fault={write.error?.about('amount') ?? write.error?.about('part')}
          onChange={(event) => setAmount(event.target.value)}
        />
        <Button type="submit" disabled={write.isPending}>
          It is in
        </Button>
      </form>
    </li>
  )
}
