import { useMutation } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { useParams } from 'react-router'
import { ask, type Problem } from '../api/client'
import { type Shape, useHouseId, useOfHouse } from '../api/hooks'
import { useArrived } from '../parts/arrived'
import { Button, ButtonLink, TextButton } from '../parts/Button'
import { Questions } from '../parts/Check'
import { useKeptDraft } from '../parts/draft'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { JarShape } from '../parts/JarDrawing'
import { lower } from '../parts/letters'
import { Trouble } from '../parts/Notice'
import { type Progress, readProgress } from './progress'

type View = Shape<'PracticeView'>
type Task = Shape<'PracticeTask'>
type Judged = Shape<'PracticeJudged'>

const VERDICT: Record<string, string> = { right: 'Right', near: 'Near', wrong: 'Not so' }
const LOOK: Record<string, string> = { right: 'text-herb', near: 'text-oil-ink', wrong: 'text-warmth' }

/** Learning by doing, on a jar that nobody has. */
export default function Practice() {
  const { jar } = useParams()
  const path = jar === undefined ? '/practice' : (`/practice/${jar}` as const)
  const answer = useOfHouse(path as '/practice', { stale: Infinity })
  const { there, instead } = useArrived(answer, 'a made-up jar')
  if (!there) return instead
  return <AtJar key={there.jar} jar={there} />
}

const whole = (progress: Progress) => progress

function AtJar({ jar }: { jar: View }) {
  const house = useHouseId()
  const ids = jar.tasks.map((task) => task.id)
  const [{ at, done }, change] = useKeptDraft(`kettle.practice.${jar.jar}`, (kept) => readProgress(kept, ids), whole)
  const [moved, setMoved] = useState(false)
  const place = Math.max(0, ids.indexOf(at))
  const task = jar.tasks[place]
  const next = jar.tasks[place + 1]
  const go = (id: string) => {
    setMoved(true)
    change({ at: id })
  }
  const another = `/h/${house}/practice/${jar.next}`
  return (
    <div className="flex flex-col gap-6">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div className="flex max-w-prose flex-col gap-1">
          <h1 className="text-3xl sm:text-4xl">Practice</h1>
          <p>
            A made-up jar: <strong>{lower(jar.name)}</strong>, from the scale to the label. Nothing here touches what is
            in the house.
          </p>
        </div>
        <ButtonLink to={another}>Another jar</ButtonLink>
      </header>
      <div className="border-line grid gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-[15rem_minmax(0,1fr)_auto]">
        <nav aria-label="The work on this jar" className="max-lg:order-last">
          <ol className="flex flex-col">
            {jar.tasks.map((each) => (
              <li key={each.id} className="border-line border-b">
                <button
                  type="button"
                  aria-current={each === task ? 'step' : undefined}
                  className={`flex min-h-11 w-full items-baseline justify-between gap-3 px-2 py-2 text-start ${
                    each === task ? 'bg-rim text-on-rim font-semibold' : ''
                  }`}
                  onClick={() => go(each.id)}
                >
                  <span>{each.title}</span>
                  {done[each.id] ? (
                    <span className={each === task ? '' : (LOOK[done[each.id]?.judged.verdict ?? ''] ?? '')}>
                      {VERDICT[done[each.id]?.judged.verdict ?? '']}
                    </span>
                  ) : null}
                </button>
              </li>
            ))}
          </ol>
        </nav>
        {task ? (
          <AtTask
            key={task.id}
            jar={jar.jar}
            task={task}
            said={done[task.id]}
            here={moved}
            keep={(said) => change({ done: { ...done, [task.id]: said } })}
            again={() => {
              const { [task.id]: _, ...others } = done
              change({ done: others })
            }}
            onward={
              next ? (
                <Button look="strong" className="self-start" onClick={() => go(next.id)}>
                  Next: {lower(next.title)}
                </Button>
              ) : (
                <ButtonLink look="strong" className="self-start" to={another}>
                  Another jar
                </ButtonLink>
              )
            }
          />
        ) : null}
        <figure className="max-lg:hidden">
          <Drawing jar={jar} />
          <figcaption className="text-soft mt-2 text-center">to scale</figcaption>
        </figure>
      </div>
    </div>
  )
}

function Drawing({ jar }: { jar: View }) {
  const scale = 2
  const { height_mm, diameter_mm } = jar.drawing
  return (
    <svg
      viewBox={`0 0 ${diameter_mm * scale + 6} ${height_mm * scale + 8}`}
      style={{ width: diameter_mm * scale + 6 }}
      role="img"
      aria-label={`A jar of ${jar.name}, filled`}
    >
      <JarShape jar={jar.drawing} scale={scale} x={3} foot={height_mm * scale + 4} />
    </svg>
  )
}

function AtTask({
  jar,
  task,
  said,
  here,
  keep,
  again,
  onward,
}: {
  jar: number
  task: Task
  said: Progress['done'][string] | undefined
  /** Whether somebody came to it by a press, so that it is read out and typed into at once. */
  here: boolean
  keep: (said: Progress['done'][string]) => void
  again: () => void
  onward: React.ReactNode
}) {
  const house = useHouseId()
  const [typed, setTyped] = useState(said?.answer ?? '')
  const head = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    if (here) head.current?.focus()
  }, [here])
  // It is asked and nothing is written, so that nothing else of the house is asked for anew.
  const judge = useMutation<Judged, Problem, string>({
    networkMode: 'always',
    mutationFn: (text) => ask(`/houses/${house}/practice/${jar}/${task.id}`, { answer: text }),
  })
  const chosen = task.choices.length > 0
  // Another answer is not judged yet, nor by what is still on its way.
  const answer = (text: string) => {
    setTyped(text)
    judge.reset()
    if (said) again()
  }
  return (
    <section aria-labelledby="practice-task" className="flex max-w-2xl flex-col gap-4">
      <h2 id="practice-task" ref={head} tabIndex={-1} className="text-2xl outline-none">
        {task.title}
      </h2>
      <p className="text-lg">{task.tells}</p>
      {task.readings.length > 0 ? (
        <ul aria-label="Readings" className="figures grid max-w-lg grid-cols-2 gap-x-8 sm:grid-cols-3">
          {task.readings.map((reading) => (
            <li key={reading.at} className="border-line flex justify-between gap-4 border-b py-1">
              <span className="text-soft">{reading.at}</span>
              <span>{reading.warmth}</span>
            </li>
          ))}
        </ul>
      ) : null}
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => judge.mutate(typed, { onSuccess: (judged) => keep({ answer: typed, judged }) }))}
      >
        {chosen ? (
          <Questions
            asks={[
              {
                id: task.id,
                asks: task.asks,
                answers: task.choices.map((choice) => ({ id: choice.id, says: choice.name })),
              },
            ]}
            answers={{ [task.id]: typed }}
            answer={(_, id) => answer(id)}
          />
        ) : (
          <div className="max-w-xs">
            <Field
              label={task.asks}
              hint={`A number alone is in ${task.unit}.`}
              maxLength={80}
              required
              autoComplete="off"
              value={typed}
              fault={judge.error?.about('answer')}
              onChange={(event) => answer(event.target.value)}
            />
          </div>
        )}
        {chosen || !judge.error?.about('answer') ? <Trouble problem={judge.error} /> : null}
        {said ? null : (
          <Button type="submit" look="strong" className="self-start" disabled={judge.isPending || typed === ''}>
            Say so
          </Button>
        )}
      </form>
      <div role="status">{said ? <Verdict judged={said.judged} /> : null}</div>
      {said ? (
        <div className="flex flex-wrap items-center gap-4">
          {onward}
          {said.judged.verdict === 'right' ? null : <TextButton onClick={again}>Try it again</TextButton>}
        </div>
      ) : null}
    </section>
  )
}

function Verdict({ judged }: { judged: Judged }) {
  return (
    <div className="flex flex-col gap-3">
      <p className={`font-display text-3xl ${LOOK[judged.verdict] ?? ''}`}>{VERDICT[judged.verdict]}.</p>
      {judged.slip ? <p>{judged.slip}</p> : null}
      <p className="text-lg font-semibold">{judged.is}</p>
      {judged.why.length > 0 ? (
        <ul className="border-line flex flex-col gap-2 border-s ps-4">
          {judged.why.map((reason) => (
            <li key={reason.says}>
              {reason.says} {reason.source ? <span className="text-soft">{reason.source}.</span> : null}
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  )
}
