import { useState } from 'react'
import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { Button } from '../parts/Button'
import { Questions } from '../parts/Check'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'

/** What is bottled, smelled and held to the light. What does not pass closes the batch. */
export function SmellIt({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const say = useSay()
  const [answers, setAnswers] = useState<Record<string, string>>({})
  const [open, setOpen] = useState(false)
  const task = batch.tasks.find((each) => each.step === 'smell' || each.step === 'use_up')
  const write = useBatchWrite((after) => {
    setAnswers({})
    setOpen(false)
    say({ text: after.stage === 'discarded' ? 'It did not pass. The batch is closed.' : 'Written down.' })
  })
  if (batch.press.asks.length === 0) return null
  return (
    <section aria-labelledby="smell" className="flex max-w-2xl flex-col gap-3">
      <h2 id="smell" className="text-2xl">
        Smell it
      </h2>
      <p>
        {task
          ? `Next asked for ${task.due_text}. ${task.detail}.`
          : 'Smell it every time it is opened; strong plants fool the nose, so look as well.'}
      </p>
      {!works ? null : open ? (
        <form
          className="flex flex-col gap-4"
          onSubmit={sent(() => {
            write.mutate({ path: `/houses/${house}/batches/${batch.id}/check`, body: { answers } })
          })}
        >
          <Questions
            asks={batch.press.asks}
            answers={answers}
            answer={(ask, answer) => setAnswers({ ...answers, [ask]: answer })}
          />
          <Trouble problem={write.error} />
          <div className="flex gap-3">
            <Button type="submit" look="strong" disabled={write.isPending}>
              What does that mean?
            </Button>
            <Button look="quiet" onClick={() => setOpen(false)}>
              Leave it
            </Button>
          </div>
        </form>
      ) : (
        <Button className="self-start" onClick={() => setOpen(true)}>
          Smell it now
        </Button>
      )}
    </section>
  )
}
