import { Dialog } from 'radix-ui'
import { useCallback, useEffect, useState } from 'react'
import { TextButton } from '../parts/Button'
import { useAwake } from './awake'
import { sound } from './sound'

/** One thing to do: what, why, and the figures that are wanted for it. */
export type HandsStep = { says: string; why?: string; figures?: { name: string; is: string }[] }

/** Where somebody was, by the name of the run: a page that is opened again goes on there. */
const place = (name: string) => `kettle.hands.${name}`

/** Minutes a timer is set to by one press, and added to by another. */
const MINUTES = [1, 5, 10]

const clock = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.max(0, Math.floor(seconds % 60))).padStart(2, '0')}`

/** The clock of a second, while it is wanted. */
function useSeconds(): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const each = window.setInterval(() => setNow(Date.now()), 500)
    return () => window.clearInterval(each)
  }, [])
  return now
}

function useTimer(now: number) {
  const [until, setUntil] = useState<number | null>(null)
  const left = until === null ? null : Math.ceil((until - now) / 1000)
  const over = left !== null && left <= 0
  useEffect(() => {
    if (!over) return
    sound()
    const again = window.setInterval(sound, 8000)
    return () => window.clearInterval(again)
  }, [over])
  return {
    left,
    over,
    add: (minutes: number) => setUntil((at) => Math.max(at ?? 0, Date.now()) + minutes * 60_000),
    stop: () => setUntil(null),
  }
}

function speak(words: string) {
  if (!('speechSynthesis' in window)) return
  speechSynthesis.cancel()
  const said = new SpeechSynthesisUtterance(words)
  said.lang = 'en-GB'
  speechSynthesis.speak(said)
}

/** As large as fits: what is long is said in smaller letters. */
function letters(says: string): string {
  if (says.length < 70) return 'text-[clamp(2.5rem,7vw,5.25rem)]'
  return says.length < 150 ? 'text-[clamp(2rem,5vw,4rem)]' : 'text-[clamp(1.6rem,3.6vw,2.9rem)]'
}

/** A figure that is read from afar. */
function Large({ name, is, role }: { name: string; is: string; role?: 'alert' | 'timer' }) {
  return (
    <div role={role}>
      <dt className={`text-xl ${role === 'alert' ? 'text-warmth font-semibold' : 'text-soft'}`}>{name}</dt>
      <dd className="figures text-[clamp(2.25rem,5vw,3.5rem)] font-bold">{is}</dd>
    </div>
  )
}

/** A run of steps, one at a time: on by a tap anywhere, a key, or a pedal that turns pages; back by another. */
export default function Hands({
  name,
  title,
  steps,
  close,
}: {
  name: string
  title: string
  steps: HandsStep[]
  close: () => void
}) {
  const [at, setAt] = useState(() => {
    const kept = Number(sessionStorage.getItem(place(name)) ?? 0)
    return kept > 0 && kept < steps.length ? kept : 0
  })
  const [since, setSince] = useState(() => Date.now())
  const [aloud, setAloud] = useState(false)
  const now = useSeconds()
  const timer = useTimer(now)
  const step = steps[at]
  const words = step ? [step.says, ...(step.figures ?? []).map((each) => `${each.name}: ${each.is}`)].join('. ') : ''
  useAwake()
  useEffect(() => {
    if (aloud) speak(words)
  }, [aloud, words])
  useEffect(() => () => void ('speechSynthesis' in window && speechSynthesis.cancel()), [])

  const go = useCallback(
    (to: number) => {
      if (to < 0) return
      if (to >= steps.length) {
        sessionStorage.removeItem(place(name))
        close()
        return
      }
      sessionStorage.setItem(place(name), String(to))
      setAt(to)
      setSince(Date.now())
    },
    [steps.length, name, close],
  )
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
      if ([' ', 'Enter', 'PageDown', 'ArrowRight'].includes(event.key)) {
        // A press on one of the buttons is that button's.
        if ((event.key === ' ' || event.key === 'Enter') && document.activeElement?.closest('[data-own-press]')) return
        event.preventDefault()
        go(at + 1)
      } else if (['PageUp', 'ArrowLeft', 'Backspace'].includes(event.key)) {
        event.preventDefault()
        go(at - 1)
      }
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [at, go])
  if (!step) return null
  const last = at === steps.length - 1
  const button = 'min-h-20 px-3 text-xl font-semibold disabled:opacity-40'
  return (
    <Dialog.Root open onOpenChange={(open) => (open ? null : close())}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          // Not on a button, whose press the space bar would be.
          onOpenAutoFocus={(event) => {
            event.preventDefault()
            if (event.currentTarget instanceof HTMLElement) event.currentTarget.focus()
          }}
          className="bg-enamel text-ink fixed inset-0 z-40 flex flex-col"
        >
          <div className="flex flex-col gap-3 px-5 pt-5 sm:px-11">
            <div className="text-soft flex items-baseline justify-between gap-4 text-xl">
              <Dialog.Title className="font-text text-xl font-normal">{title}</Dialog.Title>
              <span className="figures whitespace-nowrap">
                step {at + 1} of {steps.length}
              </span>
            </div>
            <progress className="hands-bar h-2 w-full" aria-label="How far" max={steps.length} value={at + 1} />
          </div>
          <div
            role="presentation"
            className="flex flex-1 cursor-pointer flex-col gap-5 overflow-auto px-5 py-8 sm:px-11"
            onClick={() => go(at + 1)}
          >
            <p aria-live="polite" className={`font-display leading-tight ${letters(step.says)}`}>
              {step.says}
            </p>
            {step.why ? <p className="text-soft text-2xl">{step.why}</p> : null}
            <dl className="mt-auto flex flex-wrap items-end gap-x-14 gap-y-4">
              {(step.figures ?? []).map((each) => (
                <Large key={each.name} name={each.name} is={each.is} />
              ))}
              <Large name="at this step for" is={clock((now - since) / 1000)} />
              {timer.left === null ? null : (
                <Large
                  role={timer.over ? 'alert' : 'timer'}
                  name={timer.over ? 'The time is up' : 'left of the timer'}
                  is={clock(Math.max(0, timer.left))}
                />
              )}
            </dl>
          </div>
          <div className="border-line flex flex-wrap gap-x-5 gap-y-1 border-t px-5 py-2 sm:px-11" data-own-press>
            {timer.left === null ? null : (
              <TextButton className="min-h-12" onClick={timer.stop}>
                Stop the timer
              </TextButton>
            )}
            {MINUTES.map((minutes) => (
              <TextButton key={minutes} className="min-h-12" onClick={() => timer.add(minutes)}>
                {timer.left === null ? '' : '+ '}
                {minutes} min
              </TextButton>
            ))}
            <TextButton className="ms-auto min-h-12" onClick={close}>
              Leave
            </TextButton>
          </div>
          <div className="border-rim flex border-t-[3px]" data-own-press>
            <button type="button" className={`${button} basis-1/4`} disabled={at === 0} onClick={() => go(at - 1)}>
              Back
            </button>
            <button type="button" className={`${button} bg-rim text-on-rim grow`} onClick={() => go(at + 1)}>
              {last ? 'Done' : 'Done, next'}
              <span className="font-normal max-sm:hidden"> · tap anywhere, space, or the pedal</span>
            </button>
            <button
              type="button"
              className={`${button} basis-1/4`}
              aria-pressed={aloud}
              onClick={() => setAloud(!aloud)}
            >
              {aloud ? 'Be quiet' : 'Read it out'}
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
