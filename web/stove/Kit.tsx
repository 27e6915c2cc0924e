import { type Shape, useHouseId, useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Listed } from '../parts/Listed'
import { Trouble } from '../parts/Notice'

const KINDS = [
  { id: 'slow-cooker', name: 'slow cooker' },
  { id: 'water-bath', name: 'pot for a water bath or a double boiler' },
  { id: 'incubator', name: 'jar incubator' },
]
const SHAPES = [
  { id: 'round', name: 'round' },
  { id: 'oval', name: 'oval' },
  { id: 'square', name: 'square' },
]

const COOKER = { called: '', shape: 'round', length: '', width: '', height: '', method: 'slow-cooker' }

/** The house's cookers, measured inside. */
export function Cookers({ cookers, keeps }: { cookers: Shape<'CookerView'>[]; keeps: boolean }) {
  const house = useHouseId()
  const remove = useWrite()
  const form = useForm(COOKER)
  const add = useWrite<'POST /houses/{house}/cookers'>(form.clear)
  const { field, rest } = form.beside(add.error)
  const round = form.typed.shape === 'round'
  return (
    <section aria-labelledby="cookers" className="flex flex-col gap-3">
      <h2 id="cookers" className="text-2xl">
        Cookers
      </h2>
      <ul>
        {cookers.map((cooker) => (
          <Listed
            key={cooker.id}
            called={cooker.called}
            onOff={
              keeps
                ? () => remove.mutate({ method: 'DELETE', path: `/houses/${house}/cookers/${cooker.id}` })
                : undefined
            }
          >
            <strong>{cooker.called}</strong>
            {cooker.in_use ? ', in use' : ''}
            <span className="text-soft block">
              {cooker.size_text}; {cooker.methods_text}
            </span>
            <span className="text-soft block">
              {cooker.settings.map((each) => `${each.name} ${each.text}`).join(', ')}; {cooker.loss_text};{' '}
              {cooker.learned_text ?? 'a common pot’s figures, not learned yet'}
            </span>
          </Listed>
        ))}
      </ul>
      <Trouble problem={remove.error} />
      {keeps ? (
        <details>
          <summary className="min-h-11 py-2 font-semibold">Add a cooker</summary>
          <form
            className="flex flex-col gap-3"
            onSubmit={sent(() => add.mutate({ path: `/houses/${house}/cookers`, body: form.typed }))}
          >
            <Field label="Called" required maxLength={60} {...field('called')} />
            <Select label="It is a" choices={KINDS} {...field('method')} />
            <Select label="Inside it is" choices={SHAPES} {...field('shape')} />
            <div className="grid grid-cols-3 items-start gap-3">
              <Field label={round ? 'Across' : 'Long'} required placeholder="21 cm" {...field('length')} />
              {round ? null : <Field label="Wide" required placeholder="8 in" {...field('width')} />}
              <Field label="Deep" required placeholder="13 cm" {...field('height')} />
            </div>
            <Trouble problem={rest} />
            <Button type="submit" disabled={add.isPending} className="self-start">
              Add it
            </Button>
          </form>
        </details>
      ) : null}
    </section>
  )
}

/** Thermometers that send by themselves, and simulated ones. A key is shown once. */
export function Thermometers({ probes, keeps }: { probes: Shape<'ProbeView'>[]; keeps: boolean }) {
  const house = useHouseId()
  const remove = useWrite()
  const form = useForm({ called: '', kind: 'simulated' })
  const add = useWrite<'POST /houses/{house}/probes'>(() => form.put({ called: '' }))
  const { field, rest } = form.beside(add.error)
  const made = add.data
  return (
    <section aria-labelledby="thermometers" className="flex flex-col gap-3">
      <h2 id="thermometers" className="text-2xl">
        Thermometers
      </h2>
      {probes.length === 0 ? (
        <p>
          None that sends by itself. A reading can be written down by eye, taken from a file, or made up for a trial.
        </p>
      ) : (
        <ul>
          {probes.map((probe) => (
            <Listed
              key={probe.id}
              called={probe.called}
              onOff={
                keeps
                  ? () => remove.mutate({ method: 'DELETE', path: `/houses/${house}/probes/${probe.id}` })
                  : undefined
              }
            >
              <strong>{probe.called}</strong>{' '}
              <span className="text-soft">
                {probe.kind_text}
                {probe.busy ? ', in a pot' : ''}
              </span>
            </Listed>
          ))}
        </ul>
      )}
      <Trouble problem={remove.error} />
      {made?.key ? (
        <div role="status" className="border-rim flex flex-col gap-2 border-s-4 ps-4">
          <p>
            The key of {made.called}, shown this once: <code className="break-all select-all">{made.key}</code>
          </p>
          <p>It sends its readings, as many at once as it has, each once or oftener:</p>
          <pre className="text-sm whitespace-pre-wrap break-all select-all">
            {`curl ${made.address} -H 'Authorization: Bearer ${made.key}' -H 'Content-Type: application/json' ` +
              `-d '{"readings":[{"at":"2026-12-12T14:05:00Z","c":49.5}]}'`}
          </pre>
        </div>
      ) : null}
      {keeps ? (
        <details>
          <summary className="min-h-11 py-2 font-semibold">Add a thermometer</summary>
          <form
            className="flex flex-col gap-3"
            onSubmit={sent(() => add.mutate({ path: `/houses/${house}/probes`, body: form.typed }))}
          >
            <Field label="Called" required maxLength={60} {...field('called')} />
            <Select
              label="It"
              {...field('kind')}
              choices={[
                { id: 'simulated', name: 'is simulated, to try things out' },
                { id: 'sends', name: 'sends by itself, with a key' },
              ]}
            />
            <Trouble problem={rest} />
            <Button type="submit" disabled={add.isPending} className="self-start">
              Add it
            </Button>
          </form>
        </details>
      ) : null}
    </section>
  )
}
