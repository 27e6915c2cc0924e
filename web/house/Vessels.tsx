import { type Shape, useHouseId, useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Listed } from '../parts/Listed'
import { Trouble } from '../parts/Notice'

const KINDS = [
  { id: 'jar', name: 'jar' },
  { id: 'bowl', name: 'bowl, for the double boiler' },
  { id: 'pan', name: 'pan' },
]

/** The house's jars, bowls, pans and bottles. What is taken off the list stays with the batches made in it. */
export function Vessels({ house, keeps }: { house: Shape<'HouseView'>; keeps: boolean }) {
  const id = useHouseId()
  const remove = useWrite<'DELETE /houses/{house}/jars/{jar}' | 'DELETE /houses/{house}/bottles/{bottle}'>()
  const off = (kind: 'jars' | 'bottles', vessel: string) =>
    remove.mutate({ method: 'DELETE', path: `/houses/${id}/${kind}/${vessel}` })
  return (
    <section className="flex flex-col gap-4" aria-labelledby="vessels">
      <h2 id="vessels" className="text-2xl">
        Jars, bowls, pans and bottles
      </h2>
      <ul>
        {house.jars.map((jar) => (
          <Line
            key={jar.id}
            name={jar.called}
            detail={jar.text}
            onOff={keeps ? () => off('jars', jar.id) : undefined}
          />
        ))}
      </ul>
      {keeps ? (
        <Add
          kind="jars"
          fields={[
            ['called', 'Called'],
            ['brim', 'Holds to the brim'],
            ['height', 'High inside'],
          ]}
          say="Add a jar, a bowl or a pan"
        />
      ) : null}
      <ul>
        {house.bottles.map((bottle) => (
          <Line
            key={bottle.id}
            name={bottle.called}
            detail=""
            onOff={keeps ? () => off('bottles', bottle.id) : undefined}
          />
        ))}
      </ul>
      {keeps ? (
        <Add
          kind="bottles"
          fields={[
            ['called', 'Called'],
            ['capacity', 'Holds'],
          ]}
          say="Add a bottle"
        />
      ) : null}
      <Trouble problem={remove.error} />
    </section>
  )
}

function Line({ name, detail, onOff }: { name: string; detail: string; onOff: (() => void) | undefined }) {
  return (
    <Listed called={`the ${name}`} onOff={onOff}>
      {name} <span className="text-soft block">{detail}</span>
    </Listed>
  )
}

function Add({
  kind,
  fields,
  say,
}: {
  kind: 'jars' | 'bottles'
  fields: ['called' | 'brim' | 'height' | 'capacity', string][]
  say: string
}) {
  const house = useHouseId()
  const form = useForm({ kind: 'jar', called: '', brim: '', height: '', marks: '', capacity: '' })
  const write = useWrite<'POST /houses/{house}/jars' | 'POST /houses/{house}/bottles'>(form.clear)
  const { field, rest } = form.beside(write.error)
  return (
    <details>
      <summary className="min-h-11 py-2 font-semibold">{say}</summary>
      <form
        className="flex flex-col gap-3"
        onSubmit={sent(() => {
          const { capacity, ...jar } = form.typed
          write.mutate(
            kind === 'jars'
              ? { path: `/houses/${house}/jars`, body: jar }
              : { path: `/houses/${house}/bottles`, body: { called: jar.called, capacity } },
          )
        })}
      >
        {kind === 'jars' ? <Select label="It is a" choices={KINDS} {...field('kind')} /> : null}
        {fields.map(([name, label]) => (
          <Field
            key={name}
            label={label}
            required
            placeholder={name === 'called' ? '' : name === 'height' ? '118 mm or 4 5/8 in' : '505 mL or 17 fl oz'}
            {...field(name)}
          />
        ))}
        {kind === 'jars' ? (
          <Field
            label="Marks, where it has shoulders"
            placeholder="100 mL at 32 mm, 300 mL at 80 mm"
            hint="Pour so much water in, and measure how high it stands inside."
            {...field('marks')}
          />
        ) : null}
        <Trouble problem={rest} />
        <Button type="submit" disabled={write.isPending} className="self-start">
          {say}
        </Button>
      </form>
    </details>
  )
}
