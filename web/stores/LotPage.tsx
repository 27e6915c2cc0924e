import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { useKey } from '../frame/keys'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { useBegun } from '../parts/begun'
import { Button, ButtonLink } from '../parts/Button'
import { Questions } from '../parts/Check'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { LotForm } from './LotForm'
import { Tin } from './Stores'
import { capital } from '../parts/letters'

type Detail = Shape<'LotDetail'>

export default function LotPage() {
  const { lot: id = '' } = useParams()
  const detail = useOfHouse(`/lots/${id}`)
  const { there, instead } = useArrived(detail, 'the lot')
  if (!there) return instead
  return <Page key={there.lot.id} detail={there} />
}

function Page({ detail }: { detail: Detail }) {
  const house = useHouseId()
  const { lot } = detail
  const { works } = usePart()
  const [editing, setEditing] = useState(false)
  const [removing, setRemoving] = useState(false)
  const go = useNavigate()
  const say = useSay()
  const edit = useWrite<'PATCH /houses/{house}/lots/{lot}'>(() => setEditing(false))
  const begun = useBegun(lot.version, editing, edit.error)
  const remove = useWrite(() => {
    say({ text: `${lot.called} is out of Stores. The batches made from it still know it.` })
    void go(`/h/${house}/stores`)
  })
  useKey('E', 'Change what is known of this lot', () => setEditing(true), works)
  const facts = [
    ['Got', [lot.got_text, lot.got].filter(Boolean).join(', ')],
    ['Opened', lot.opened_on],
    ['Best before', lot.best_before],
    ['Price', lot.price_text],
    ['Told as low at', lot.low_text],
    ['Allergens', lot.allergens.join(', ')],
    [
      'Food grade',
      lot.kind === 'jar' || lot.kind === 'bottle' || lot.kind === 'tin' ? '' : lot.food_grade ? 'yes' : 'no',
    ],
    ['Note', detail.fields.note],
  ].filter(([, text]) => text)
  return (
    <div className="flex flex-col gap-6">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div className="flex items-end gap-5">
          <Tin lot={lot} tall={96} />
          <div>
            <p className="text-soft">{lot.what}</p>
            <h1 className="text-3xl sm:text-4xl">{capital(lot.called)}</h1>
            <p className="figures text-2xl font-semibold">
              {lot.left_text} <span className="text-soft text-base font-normal">of {lot.got_text}</span>
            </p>
          </div>
        </div>
        <div className="flex flex-wrap gap-2">
          <ButtonLink to={`/h/${house}/trace/lot/${lot.id}`}>Follow it</ButtonLink>
          {works ? (
            <>
              <Button onClick={() => setEditing(true)} aria-keyshortcuts="Shift+E">
                Change it
              </Button>
              <Button look="stop" onClick={() => setRemoving(true)}>
                Take it out
              </Button>
            </>
          ) : null}
        </div>
      </header>
      {lot.condition === 'sound' ? null : (
        <Notice rank={lot.condition === 'past' ? 'stop' : 'care'}>{lot.why.join(' ')}</Notice>
      )}
      <div className="border-line grid gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-3">
        <section aria-labelledby="check-head" className="flex flex-col gap-3">
          <h2 id="check-head" className="column-head font-text text-base">
            How it smells and looks
          </h2>
          {detail.checks.map((check) => (
            <div key={check.at + check.says} className="border-line border-b pb-2">
              <Notice rank={check.verdict === 'past' ? 'stop' : check.verdict === 'soon' ? 'care' : 'note'}>
                {check.says}
              </Notice>
              <p className="text-soft ps-4">
                {check.at}, {check.by}
              </p>
            </div>
          ))}
          {detail.checks.length === 0 ? <p className="text-soft">Not looked at yet.</p> : null}
          {works && detail.asks.length > 0 ? <Check detail={detail} /> : null}
        </section>
        <section aria-labelledby="count-head" className="border-line flex flex-col gap-3 lg:border-s lg:ps-8">
          <h2 id="count-head" className="column-head font-text text-base">
            What came and went
          </h2>
          {works ? <Count detail={detail} /> : null}
          <ul className="flex flex-col">
            {detail.moves.map((move) => (
              <li key={move.id} className="border-line border-b py-2">
                <strong>{move.text}</strong>
                {move.batch ? (
                  <>
                    {' '}
                    for{' '}
                    <Link className="underline" to={`/h/${house}/batch/${move.batch}`}>
                      {move.batch_name}
                    </Link>
                  </>
                ) : null}
                <span className="text-soft block">{[move.note, move.at, move.by].filter(Boolean).join(' · ')}</span>
              </li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="facts-head" className="border-line flex flex-col gap-3 lg:border-s lg:ps-8">
          <h2 id="facts-head" className="column-head font-text text-base">
            Facts
          </h2>
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
            {facts.map(([name, text]) => (
              <div key={name} className="contents">
                <dt className="text-soft">{name}</dt>
                <dd>{text}</dd>
              </div>
            ))}
          </dl>
          {(lot.kind === 'herb' || lot.kind === 'carrier') && lot.material ? (
            <Link
              className="underline underline-offset-4"
              to={`/h/${house}/almanac/${lot.kind === 'herb' ? 'plant' : 'oil'}/${lot.material}`}
            >
              In the Almanac
            </Link>
          ) : null}
          {lot.kind === 'herb' && lot.material ? (
            <Link className="font-semibold underline" to={`/h/${house}/bench?herb=${lot.material}`}>
              Plan with it
            </Link>
          ) : null}
        </section>
      </div>
      <Sheet open={editing} onOpenChange={setEditing} title={`Change ${lot.called}`}>
        <LotForm
          first={detail.fields}
          fixedKind
          problem={edit.error}
          pending={edit.isPending}
          done="Keep it so"
          onDone={(fields) =>
            edit.mutate({
              method: 'PATCH',
              path: `/houses/${house}/lots/${lot.id}`,
              body: { lot: fields, version: begun },
            })
          }
        />
      </Sheet>
      <Sheet open={removing} onOpenChange={setRemoving} title="Take it out of Stores">
        <p>It is no longer offered to plans. Batches made from it keep knowing it.</p>
        <Trouble problem={remove.error} />
        <Button
          look="stop"
          className="self-start"
          disabled={remove.isPending}
          onClick={() => remove.mutate({ method: 'DELETE', path: `/houses/${house}/lots/${lot.id}` })}
        >
          Take it out
        </Button>
      </Sheet>
    </div>
  )
}

function Count({ detail }: { detail: Detail }) {
  const house = useHouseId()
  const [amount, setAmount] = useState('')
  const say = useSay()
  const before = detail.lot.left
  const path = `/houses/${house}/lots/${detail.lot.id}/count` as const
  const undo = useWrite<'POST /houses/{house}/lots/{lot}/count'>()
  const write = useWrite<'POST /houses/{house}/lots/{lot}/count'>((answer) => {
    setAmount('')
    say({
      text: `Counted: ${answer.lot.left_text} left.`,
      undo: () => undo.mutate({ path, body: { amount: `${before} ${detail.lot.unit}`, note: 'taken back' } }),
    })
  })
  return (
    <form
      className="flex items-end gap-3"
      onSubmit={sent(() => {
        write.mutate({ path, body: { amount } })
      })}
    >
      <div className="flex-1">
        <Field
          label="What is left"
          required
          placeholder={detail.lot.left_text}
          value={amount}
          fault={write.error?.about('amount') ?? write.error?.message}
          onChange={(e) => setAmount(e.target.value)}
        />
      </div>
      <Button type="submit" disabled={write.isPending}>
        Counted
      </Button>
    </form>
  )
}

function Check({ detail }: { detail: Detail }) {
  const house = useHouseId()
  const [answers, setAnswers] = useState<Record<string, string>>({})
  const [open, setOpen] = useState(false)
  const write = useWrite<'POST /houses/{house}/lots/{lot}/checks'>(() => {
    setAnswers({})
    setOpen(false)
  })
  if (!open)
    return (
      <Button className="self-start" onClick={() => setOpen(true)}>
        Look at it now
      </Button>
    )
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={sent(() => {
        write.mutate({ path: `/houses/${house}/lots/${detail.lot.id}/checks`, body: { answers } })
      })}
    >
      <Questions
        asks={detail.asks}
        answers={answers}
        answer={(ask, answer) => setAnswers({ ...answers, [ask]: answer })}
      />
      <Trouble problem={write.error} />
      <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
        What does that mean?
      </Button>
    </form>
  )
}
