import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { useKeptForm } from '../parts/kept'
import { Trouble } from '../parts/Notice'
import { TaskRow } from '../today/TaskRow'

/** A day of standing, then off the mud, perhaps through paper once more. */
export function Settling({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const {
    typed: { amount, again },
    put,
    set,
  } = useKeptForm(`settle.${batch.id}`, { amount: '', again: false })
  const write = useBatchWrite(() => set({}))
  const { press } = batch
  return (
    <section aria-labelledby="settle" className="flex max-w-3xl flex-col gap-3">
      <h2 id="settle" className="text-2xl">
        Let it settle
      </h2>
      <p>
        {press.settled
          ? 'It has settled its day. Pour it off the sediment, and throw the last murky spoonful away.'
          : `Covered and still till ${press.settled_at ?? ''}.`}
      </p>
      <ul>
        {batch.tasks
          .filter((task) => task.step === 'settle' && task.open)
          .map((task) => (
            <TaskRow key={task.key} task={task} />
          ))}
      </ul>
      {works ? (
        <form
          className="flex flex-col gap-3"
          onSubmit={sent(() => {
            write.mutate({
              path: `/houses/${house}/batches/${batch.id}/decant`,
              body: { amount: amount || null, again },
            })
          })}
        >
          <Field
            label="What is left, poured off"
            placeholder={`leave it empty for all of ${press.strained ?? ''}`}
            value={amount}
            fault={write.error?.about('amount')}
            onChange={(e) => put({ amount: e.target.value })}
          />
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-5"
              checked={again}
              onChange={(event) => put({ again: event.target.checked })}
            />
            Filtered once more, through paper
          </label>
          {write.error && !write.error.about('amount') ? <Trouble problem={write.error} /> : null}
          <Button type="submit" className="self-start" disabled={write.isPending}>
            It is poured off
          </Button>
        </form>
      ) : null}
    </section>
  )
}
