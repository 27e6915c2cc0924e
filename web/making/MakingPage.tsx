import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { type Shape, useHouseId, useMakingWrite, useOfHouse } from '../api/hooks'
import { MakingLogbook } from '../batch/Logbook'
import { get, type Problem } from '../api/client'
import { useKey } from '../frame/keys'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { putOnMelt } from '../melt/wish'
import { Pot } from '../melt/Pot'
import { Rule } from '../melt/Rule'
import { useArrived } from '../parts/arrived'
import { Button, ButtonLink, FileLink, TextButton } from '../parts/Button'
import { FaultSheet } from '../parts/FaultSheet'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { From } from '../parts/From'
import { Notice, Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { Steps } from './Steps'
import { Tins } from './Tins'

export type Making = Shape<'MakingView'>

export default function MakingPage() {
  const { making: id = '' } = useParams()
  const making = useOfHouse(`/makings/${id}`)
  const { there, instead } = useArrived(making, 'the product')
  if (!there) return instead
  return <Page key={there.id} making={there} />
}

function Page({ making }: { making: Making }) {
  const house = useHouseId()
  const { works } = usePart()
  const go = useNavigate()
  const [discarding, setDiscarding] = useState(false)
  const [wrong, setWrong] = useState(false)
  useKey('f', 'Find what is wrong with this product', () => setWrong(true))
  const open = making.stage === 'planned' || making.stage === 'making'
  const say = useSay()
  const again = (times: number) =>
    void get(`/houses/${house}/makings/${making.id}/again?times=${times}`).then(
      (answer) => {
        putOnMelt(house, answer.wish)
        void go(`/h/${house}/melt`)
      },
      (problem: Problem) => say({ text: problem.message, wrong: true }),
    )
  useKey('R', 'Make this product again', () => again(1), works)
  return (
    <div className="flex flex-col gap-6">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <p className="text-soft figures">{making.code}</p>
          <h1 className="text-3xl sm:text-4xl">{making.name}</h1>
          <p className="text-lg">
            {making.stage_text}
            {making.tins_left > 0 && making.stands ? ` · ${making.stands}` : ''}
          </p>
        </div>
        <div className="no-print flex flex-wrap gap-2">
          <ButtonLink to={`/h/${house}/making/${making.id}/print`}>Labels</ButtonLink>
          <FileLink href={`/api/houses/${house}/makings/${making.id}/card.pdf`}>Kitchen card, PDF</FileLink>
          <ButtonLink to={`/h/${house}/trace/product/${making.id}`}>Follow it</ButtonLink>
          {works ? (
            <>
              <Button onClick={() => again(1)} aria-keyshortcuts="Shift+R">
                Make it again
              </Button>
              <Button onClick={() => again(2)}>Twice as much</Button>
            </>
          ) : null}
        </div>
      </header>
      {making.warnings.length > 0 ? (
        <ul className="flex flex-col gap-2">
          {making.warnings.map((says) => (
            <li key={says}>
              <Notice rank="stop">{says}</Notice>
            </li>
          ))}
        </ul>
      ) : null}
      <div className="border-line grid gap-x-7 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,0.9fr)_minmax(0,1fr)]">
        <section aria-label={open ? 'What to do' : 'What it became'} className="flex flex-col gap-4">
          {making.tins.length > 0 ? <Tins making={making} /> : null}
          <Steps making={making} />
        </section>
        <section aria-label="In the pot" className="border-line flex flex-col gap-3 lg:border-s lg:ps-7">
          <h2 className="column-head font-text text-base">{open ? 'In the pot' : 'What was in the pot'}</h2>
          <Pot parts={making.pot} />
          <p>
            {making.mass_text}, {making.volume_text}.{' '}
            {making.mends > 0 ? `Mended ${making.mends === 1 ? 'once' : `${making.mends} times`}.` : ''}
          </p>
          {making.by_wax ? (
            <>
              <h2 className="column-head font-text text-base">How firm</h2>
              <Rule
                rule={{
                  ...making.plan.rule,
                  firmness: making.firmness,
                  text: making.firmness_text,
                  band: making.band,
                }}
              />
            </>
          ) : null}
        </section>
        <section aria-label="What is in it" className="border-line flex flex-col gap-4 lg:border-s lg:ps-7">
          <Inside making={making} />
          {making.plan.cautions.filter((note) => note.rank !== 'note').length > 0 ? (
            <>
              <h2 className="column-head font-text text-base">What to heed</h2>
              <ul className="flex flex-col gap-3">
                {making.plan.cautions
                  .filter((note) => note.rank !== 'note')
                  .map((note) => (
                    <li key={note.id}>
                      <Notice rank={note.rank}>{note.says}</Notice>
                    </li>
                  ))}
              </ul>
            </>
          ) : null}
          <TextButton className="self-start" onClick={() => setWrong(true)} aria-keyshortcuts="f">
            Something is wrong with it
          </TextButton>
          {works && making.stage !== 'discarded' ? (
            <TextButton className="self-start" onClick={() => setDiscarding(true)}>
              Throw it away
            </TextButton>
          ) : null}
        </section>
      </div>
      <MakingLogbook making={making} />
      <Discard making={making} open={discarding} close={() => setDiscarding(false)} />
      <FaultSheet
        of="making"
        id={making.id}
        title={`What is wrong with the ${making.name.toLowerCase()}?`}
        open={wrong}
        setOpen={setWrong}
        discard={() => setDiscarding(true)}
      />
    </div>
  )
}

/** What it is made of, and from which bottles and lots it came. */
function Inside({ making }: { making: Making }) {
  return (
    <>
      <h2 className="column-head font-text text-base">What is in it</h2>
      <p>{making.ingredients.join(', ')}.</p>
      <p className="text-soft">As a label names it: {making.inci.join(', ')}.</p>
      {making.allergens.length > 0 ? (
        <p>
          <strong>Contains {making.allergens.join(', ')}.</strong>
        </p>
      ) : null}
      <p>
        Keeps until <strong>{making.best_before}</strong>, as its weakest part.
      </p>
      <From from={making.from} />
    </>
  )
}

function Discard({ making, open, close }: { making: Making; open: boolean; close: () => void }) {
  const house = useHouseId()
  const [reason, setReason] = useState('')
  const write = useMakingWrite(close)
  return (
    <Sheet open={open} onOpenChange={(is) => (is ? undefined : close())} title="Throw it away">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => write.mutate({ path: `/houses/${house}/makings/${making.id}/discard`, body: { reason } }))}
      >
        <p>
          It stays in the records, with its reason.{' '}
          {making.stage === 'planned' ? 'What was taken for it goes back into its bottles and lots.' : ''}
          {making.tins_left > 0 ? `${making.tins_left} of it stand somewhere yet: throw each of them away.` : ''}
        </p>
        <Field
          label="Why"
          placeholder="grained; burnt; smells of paint"
          maxLength={500}
          value={reason}
          fault={write.error?.about('reason')}
          onChange={(event) => setReason(event.target.value)}
        />
        {write.error && !write.error.about('reason') ? <Trouble problem={write.error} /> : null}
        <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
          Throw it away
        </Button>
      </form>
    </Sheet>
  )
}
