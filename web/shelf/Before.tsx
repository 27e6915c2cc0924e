import { useState } from 'react'
import { useNavigate } from 'react-router'
import { type Shape, useBatchWrite, useHouseId, useMaterials } from '../api/hooks'
import { useReading, useSaid } from '../bench/ask'
import { NoteWithWays } from '../bench/Ways'
import { herbsOf, oilsOf, type Wish } from '../bench/wish'
import { usePart } from '../frame/part'
import { useSay } from '../frame/Say'
import { Button, TextButton } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { useKeptDraft } from '../parts/draft'
import { sent } from '../parts/form'
import { Trouble, Waiting } from '../parts/Notice'
import { PictureField } from '../parts/PictureField'
import { useSettled } from '../parts/settled'

const NONE: Wish = { herbs: [{}], oils: [''], finished: { count: '1' }, before: {} }

const drafted = (kept: unknown): Wish => {
  const wish = kept as Wish | null
  return wish && Array.isArray(wish.herbs) && Array.isArray(wish.oils) ? wish : NONE
}

const asItIs = (wish: Wish): Wish => wish

/** What is asked: without what was left blank, so that it is not known, and not something else. */
const asked = (wish: Wish): Wish => ({
  ...wish,
  herbs: herbsOf(wish).filter((herb) => herb.id),
  oils: oilsOf(wish).filter((oil) => oil.id),
})

/** An oil that is there already, made before or bought infused: what is known of it, and what follows. */
export default function Before() {
  const house = useHouseId()
  const materials = useMaterials().data
  const { works } = usePart()
  const [wish, change, setWish] = useKeptDraft(`kettle.before.${house}`, drafted, asItIs)
  const reading = useReading()
  const go = useNavigate()
  const settled = useSettled(wish, 200)
  const begun = herbsOf(settled).some((herb) => herb.id) && oilsOf(settled).some((oil) => oil.id)
  const plan = useSaid('reckon', asked(settled), begun)
  const [photo, setPhoto] = useState('')
  const say = useSay()
  // The oil is there whatever becomes of its picture: that can be put to it in its logbook.
  const page = useBatchWrite()
  const start = useBatchWrite((batch) => {
    setWish(NONE)
    setPhoto('')
    void go(`/h/${house}/batch/${batch.id}`)
    if (photo)
      page.mutate(
        { path: `/houses/${house}/batches/${batch.id}/notes`, body: { note: null, photo } },
        { onError: () => say({ text: 'It is there, but its picture was not kept. Put it to it in its logbook.' }) },
      )
  })
  if (!materials) return <Waiting what="the shelf" />
  const problem = plan.isError && begun ? plan.error : null
  // Each beside its own field only: what is missing of a herb is not said of the herb as well.
  const fault = (field: string) => problem?.faults.find((each) => each.field === field)?.sentence
  const before = (part: NonNullable<Wish['before']>) => change({ before: { ...wish.before, ...part } })
  const finished = (part: NonNullable<Wish['finished']>) => change({ finished: { ...wish.finished, ...part } })
  const herbs = herbsOf(wish)
  const oils = oilsOf(wish)
  const notes = begun && !plan.isPlaceholderData ? (plan.data?.notes ?? []) : []
  const ready = works && begun && plan.isSuccess && !plan.isPlaceholderData && settled === wish
  return (
    <form
      className="grid gap-x-10 gap-y-8 lg:grid-cols-2"
      onSubmit={sent(() =>
        start.mutate({
          path: `/houses/${house}/batches`,
          body: { wish: asked(wish), origin: wish.before?.from ?? '', acknowledged: reading.acknowledged(notes) },
        }),
      )}
    >
      <div className="flex flex-col gap-4">
        <h1 className="text-3xl">An oil there is already</h1>
        <p className="text-soft">
          Made before, or bought infused. Say what is known of it; what you leave blank stays unknown, and is taken for
          what ages it.
        </p>
        {herbs.map((herb, index) => (
          <div key={index} className="grid gap-3 sm:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
            <Select
              label={index === 0 ? 'Herb' : 'And herb'}
              value={herb.id ?? ''}
              fault={fault(`herbs.${index}`) ?? fault('herbs') ?? fault('herb')}
              choices={[{ id: '', name: 'which?' }, ...materials.herbs]}
              onChange={(e) =>
                change({ herbs: herbs.map((old, at) => (at === index ? { ...old, id: e.target.value } : old)) })
              }
            />
            <Select
              label="It went in"
              value={herb.state ?? ''}
              fault={fault(`herbs.${index}.state`)}
              choices={[
                { id: '', name: 'which?' },
                { id: 'dried', name: 'dried' },
                { id: 'wilted', name: 'wilted' },
                { id: 'fresh', name: 'fresh' },
              ]}
              onChange={(e) =>
                change({
                  herbs: herbs.map((old, at) => (at === index ? { ...old, state: e.target.value as 'dried' } : old)),
                })
              }
            />
          </div>
        ))}
        <TextButton className="self-start" onClick={() => change({ herbs: [...herbs, {}] })}>
          Another herb in it
        </TextButton>
        {oils.map((oil, index) => (
          <Select
            key={index}
            label={index === 0 ? 'In which oil' : 'And oil'}
            value={oil.id}
            fault={fault('oils')}
            choices={[{ id: '', name: 'which?' }, ...materials.oils]}
            onChange={(e) =>
              change({ oils: oils.map((old, at) => (at === index ? { ...old, id: e.target.value } : old)) })
            }
          />
        ))}
        <TextButton className="self-start" onClick={() => change({ oils: [...oils, { id: '' }] })}>
          Another oil in it
        </TextButton>
        <div className="grid grid-cols-2 gap-3">
          <Field
            label="How many bottles"
            inputMode="numeric"
            value={String(wish.finished?.count ?? '')}
            fault={fault('finished.count')}
            onChange={(e) => finished({ count: e.target.value })}
          />
          <Field
            label="Each holds yet"
            placeholder="250 mL"
            value={String(wish.finished?.size ?? '')}
            fault={fault('finished.size')}
            onChange={(e) => finished({ size: e.target.value })}
          />
          <Field
            label="Strained on"
            type="date"
            value={wish.before?.made ?? ''}
            fault={fault('before.made')}
            hint="Blank where nobody knows."
            onChange={(e) => before({ made: e.target.value || null })}
          />
          <Field
            label="Best before, as it stands on it"
            type="date"
            value={wish.before?.best_before ?? ''}
            fault={fault('before.best_before')}
            onChange={(e) => before({ best_before: e.target.value || null })}
          />
          <Select
            label="How it was made"
            value={wish.method ?? ''}
            fault={fault('method')}
            choices={[{ id: '', name: 'nobody knows' }, ...materials.methods]}
            onChange={(e) => change({ method: e.target.value || null })}
          />
          <Select
            label="What for"
            value={wish.purpose ?? 'skin'}
            fault={fault('purpose')}
            choices={materials.purposes}
            onChange={(e) => change({ purpose: e.target.value })}
          />
        </div>
        <Field
          label="Bought, or got, from"
          placeholder="blank where it was made here"
          maxLength={80}
          value={wish.before?.from ?? ''}
          fault={fault('before.from')}
          onChange={(e) => before({ from: e.target.value || null })}
        />
        <PictureField label="A picture of its old page, or of its label" photo={photo} onChange={setPhoto} />
      </div>
      <section aria-label="What follows" aria-live="polite" className="flex flex-col gap-4 lg:pt-12">
        {problem ? <Trouble problem={problem} /> : null}
        {begun && plan.data && !problem ? <Follows plan={plan.data} /> : null}
        {begun ? null : <p className="text-soft">The herb and the oil first: the rest follows from them.</p>}
        <ul className="flex flex-col gap-4">
          {notes.map((note) => (
            <NoteWithWays key={note.id} note={note} take={change} read={works ? reading.of(note) : undefined} />
          ))}
        </ul>
        <Trouble problem={start.error} />
        {works ? (
          <Button type="submit" look="strong" className="self-start px-6" disabled={!ready || start.isPending}>
            Put it with the bottles
          </Button>
        ) : (
          <p className="text-soft">You are a reader of this house: a helper or keeper can enter it.</p>
        )}
      </section>
    </form>
  )
}

function Follows({ plan }: { plan: Shape<'Plan'> }) {
  const best = plan.figures.best_before
  return (
    <>
      <p className="text-xl">{plan.sentence.map((piece) => piece.text).join('')}</p>
      {best ? (
        <p>
          Keeps until <strong>{best.text}</strong>
          <span className="text-soft block">{best.reasons.map((reason) => reason.says).join(' ')}</span>
        </p>
      ) : null}
    </>
  )
}
