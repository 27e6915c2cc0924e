import { useState } from 'react'
import { namesOf, whole } from '../offline/whole'
import { Button } from '../parts/Button'
import { Area, Field, Select, TimeField } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { Tick } from '../parts/Tick'
import { SIGNS } from './signs'
import { type Pot, usePotLine } from './line'

/** A look at the four signs: what nobody looks at now is left as it was seen last. */
export function Looks({ pot, open, close }: { pot: Pot; open: boolean; close: () => void }) {
  const [seen, setSeen] = useState<Record<string, string>>({})
  const { write, path } = usePotLine(pot, () => {
    setSeen({})
    close()
  })
  const left = Object.keys(seen).length === 0
  return (
    <Sheet open={open} onOpenChange={(to) => to || close()} title="Look at the signs">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() =>
          write.mutate({
            path: `${path}/signs`,
            body: seen as never,
            says: whole(
              `${pot.name}: a look at its signs`,
              ...SIGNS.map((sign): [string, string] => [`${sign.name}:`, namesOf(sign.seen, [seen[sign.id] ?? ''])]),
            ),
          }),
        )}
      >
        <p className="text-soft">
          The paste in a flame away from the pot: oil burns. What nobody looks at now is left as it is.
        </p>
        {SIGNS.map((sign) => (
          <Select
            key={sign.id}
            label={sign.name}
            choices={[{ id: '', name: 'not looked at' }, ...sign.seen]}
            value={seen[sign.id] ?? ''}
            onChange={(event) => {
              const { [sign.id]: _was, ...rest } = seen
              setSeen(event.target.value === '' ? rest : { ...rest, [sign.id]: event.target.value })
            }}
          />
        ))}
        <Trouble problem={write.error} />
        <Button type="submit" look="strong" disabled={write.isPending || left}>
          That is what is seen
        </Button>
      </form>
    </Sheet>
  )
}

/** What came of it; of an oil what is to be read first. */
export function Strain({ pot, open, close }: { pot: Pot; open: boolean; close: () => void }) {
  const form = useForm({ amount: '', where: '' }, `strain.${pot.id}`)
  const [anyway, setAnyway] = useState(false)
  const [read, setRead] = useState(false)
  const { write, path } = usePotLine(pot, () => {
    form.clear()
    close()
  })
  const { field, rest } = form.beside(write.error)
  const disagree = write.error?.about('anyway')
  // The cautions of an oil that is bottled: read here, where they are told.
  const heed = pot.heed.filter((each) => each.must_read)
  return (
    <Sheet open={open} onOpenChange={(to) => to || close()} title="Strain it">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() =>
          write.mutate({
            path: `${path}/strain`,
            body: {
              amount: form.typed.amount,
              where: form.typed.where,
              anyway,
              acknowledged: read ? heed.map((each) => each.id) : [],
            },
          }),
        )}
      >
        <p className="text-soft">
          {pot.bottled
            ? 'Strained warm through muslin or silk. It is an oil of the house from then on, in its bottles, kept and labelled like any.'
            : `About ${pot.expected} is to come of it.`}
        </p>
        <Field
          label={pot.unit === 'g' ? 'It weighs' : 'There is of it'}
          placeholder={pot.expected}
          maxLength={80}
          required
          {...field('amount')}
        />
        <Field
          label="Where it stands"
          placeholder={pot.kind === 'decoction' ? 'the refrigerator' : 'the larder'}
          maxLength={80}
          {...field('where')}
        />
        {disagree || anyway ? (
          <>
            <Notice rank="stop">{disagree ?? 'The four signs do not agree.'}</Notice>
            <Tick checked={anyway} onChange={setAnyway}>
              Strain it all the same
            </Tick>
          </>
        ) : null}
        {heed.length > 0 ? (
          <Tick checked={read} onChange={setRead}>
            {heed.map((each) => each.says).join(' ')}
          </Tick>
        ) : null}
        <Trouble problem={disagree ? null : rest} />
        <Button type="submit" look="strong" disabled={write.isPending}>
          Strained
        </Button>
      </form>
    </Sheet>
  )
}

/** Its days begin no sooner: somebody is away, or the stove is wanted. */
export function Move({ pot, open, close }: { pot: Pot; open: boolean; close: () => void }) {
  const form = useForm({ until: '', time: '09:00' })
  const { write, path } = usePotLine(pot, close)
  const { field, rest } = form.beside(write.error)
  return (
    <Sheet open={open} onOpenChange={(to) => to || close()} title="Move it to a day">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => write.mutate({ path: `${path}/move`, body: form.typed }))}
      >
        <div className="grid grid-cols-2 items-start gap-4">
          <Field label="Not before" type="date" required {...field('until')} />
          <TimeField label="At" required {...field('time')} onTime={(time) => form.put({ time })} />
        </div>
        <Trouble problem={rest} />
        <Button type="submit" look="strong" disabled={write.isPending}>
          Move it
        </Button>
      </form>
    </Sheet>
  )
}

export function Discard({ pot, open, close }: { pot: Pot; open: boolean; close: () => void }) {
  const form = useForm({ reason: '' })
  const { write, path } = usePotLine(pot, close)
  const { field, rest } = form.beside(write.error)
  return (
    <Sheet open={open} onOpenChange={(to) => to || close()} title="Throw it away">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => write.mutate({ path: `${path}/discard`, body: { reason: form.typed.reason } }))}
      >
        <Area label="Why" placeholder="the paste burnt" {...field('reason')} />
        <Trouble problem={rest} />
        <Button type="submit" look="strong" disabled={write.isPending || form.typed.reason.trim() === ''}>
          Throw it away
        </Button>
      </form>
    </Sheet>
  )
}
