import { useState } from 'react'
import { type Shape, useHouseId, useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Field, Select } from '../parts/Field'
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
  const [form, set] = useState(COOKER)
  const add = useWrite<'POST /houses/{house}/cookers'>(() => set(COOKER))
  const put = (field: string) => (event: { target: { value: string } }) => set({ ...form, [field]: event.target.value })
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
            onSubmit={(event) => {
              event.preventDefault()
              add.mutate({ path: `/houses/${house}/cookers`, body: form })
            }}
          >
            <Field label="Called" required maxLength={60} value={form.called} onChange={put('called')} />
            <Select label="It is a" value={form.method} choices={KINDS} onChange={put('method')} />
            <Select label="Inside it is" value={form.shape} choices={SHAPES} onChange={put('shape')} />
            <div className="grid grid-cols-3 items-start gap-3">
              <Field
                label={form.shape && form.shape !== 'round' ? 'Long' : 'Across'}
                required
                placeholder="21 cm"
                value={form.length}
                fault={add.error?.about('length')}
                onChange={put('length')}
              />
              {form.shape && form.shape !== 'round' ? (
                <Field
                  label="Wide"
                  required
                  placeholder="8 in"
                  value={form.width}
                  fault={add.error?.about('width')}
                  onChange={put('width')}
                />
              ) : null}
              <Field
                label="Deep"
                required
                placeholder="13 cm"
                value={form.height}
                fault={add.error?.about('height')}
                onChange={put('height')}
              />
            </div>
            {add.error && !['length', 'width', 'height'].some((field) => add.error?.about(field)) ? (
              <Trouble problem={add.error} />
            ) : null}
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
  const [called, setCalled] = useState('')
  const [kind, setKind] = useState('simulated')
  const add = useWrite<'POST /houses/{house}/probes'>(() => setCalled(''))
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
            onSubmit={(event) => {
              event.preventDefault()
              add.mutate({ path: `/houses/${house}/probes`, body: { called, kind } })
            }}
          >
            <Field label="Called" required maxLength={60} value={called} onChange={(e) => setCalled(e.target.value)} />
            <Select
              label="It"
              value={kind}
              choices={[
                { id: 'simulated', name: 'is simulated, to try things out' },
                { id: 'sends', name: 'sends by itself, with a key' },
              ]}
              onChange={(e) => setKind(e.target.value)}
            />
            <Trouble problem={add.error} />
            <Button type="submit" disabled={add.isPending} className="self-start">
              Add it
            </Button>
          </form>
        </details>
      ) : null}
    </section>
  )
}
