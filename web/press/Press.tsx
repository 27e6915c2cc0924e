import { Link, useParams } from 'react-router'
import { type Shape, useBatch, useBatchWrite, useHouseId, useOfHouse } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button, ButtonLink, FileLink } from '../parts/Button'
import { Area, Field } from '../parts/Field'
import { useKept } from '../parts/kept'
import { Trouble, Waiting } from '../parts/Notice'
import { TaskRow } from '../today/TaskRow'
import { Bottling } from './Bottling'
import { YieldBar } from './YieldBar'

export default function Press() {
  const { batch } = useParams()
  const list = useOfHouse<Shape<'PressList'>>('/press')
  if (list.isError && !list.data) return <Trouble problem={list.error} />
  if (!list.data) return <Waiting what="the press" />
  const { to_strain, resting, bottled } = list.data
  const groups = [
    { name: 'To strain', jars: to_strain },
    { name: 'Resting', jars: resting },
    { name: 'Bottled lately', jars: bottled },
  ].filter((group) => group.jars.length > 0)
  return (
    <div className="grid gap-x-8 gap-y-8 lg:grid-cols-[17rem_1fr]">
      <nav aria-label="At the press" className={`flex flex-col gap-5 ${batch ? 'max-lg:order-last' : ''}`}>
        {groups.map((group) => (
          <section key={group.name}>
            <h2 className="column-head font-text text-base">{group.name}</h2>
            <ul>
              {group.jars.map((jar) => (
                <PressLink key={jar.id} jar={jar} current={jar.id === batch} />
              ))}
            </ul>
          </section>
        ))}
      </nav>
      {batch ? (
        <AtPress id={batch} />
      ) : (
        <div className="flex flex-col gap-3">
          <h1 className="text-3xl">Press</h1>
          <p>
            {groups.length > 0
              ? 'Choose what you have in hand: strain it, let it settle, bottle it, label it.'
              : 'Nothing wants the press. Jars come here when they are ready to strain.'}
          </p>
        </div>
      )}
    </div>
  )
}

function PressLink({ jar, current }: { jar: Shape<'ShelfJar'>; current: boolean }) {
  const house = useHouseId()
  return (
    <li className="border-line border-b">
      <Link
        to={`/h/${house}/press/${jar.id}`}
        aria-current={current ? 'page' : undefined}
        className={`flex flex-col px-2 py-2 ${current ? 'bg-rim text-on-rim' : ''}`}
      >
        <strong>{jar.herb}</strong>
        <span className={current ? '' : 'text-soft'}>
          {jar.oils}, {jar.days}
        </span>
        {jar.alert ? <strong className={current ? '' : 'text-warmth'}>{jar.alert}</strong> : null}
      </Link>
    </li>
  )
}

function AtPress({ id }: { id: string }) {
  const house = useHouseId()
  const batch = useBatch(id)
  if (batch.isError && !batch.data) return <Trouble problem={batch.error} />
  if (!batch.data) return <Waiting what="the batch" />
  const { stage, press, tasks, name, code } = batch.data
  const rest = tasks.filter((task) => task.step === 'settle' || task.step === 'decant')
  return (
    <div className="flex max-w-3xl flex-col gap-7" key={id}>
      <header>
        <p className="text-soft figures">{code}</p>
        <h1 className="text-3xl">{name}</h1>
        <Link to={`/h/${house}/batch/${id}`} className="underline underline-offset-4">
          its page and logbook
        </Link>
      </header>
      <section aria-labelledby="strain" className="flex flex-col gap-4">
        <h2 id="strain" className="text-2xl">
          Strain
        </h2>
        <YieldBar press={press} />
        {press.says ? <p className="text-lg">{press.says}</p> : <p>{press.advice}</p>}
        {stage === 'steeping' ? <StrainForm batch={batch.data} /> : null}
        {stage === 'planned' ? <p>It has not been filled yet.</p> : null}
      </section>
      {stage === 'settling' ? (
        <section aria-labelledby="settle" className="flex flex-col gap-3">
          <h2 id="settle" className="text-2xl">
            Let it settle
          </h2>
          <p>
            {press.settled
              ? 'It has settled its day. Pour it off the sediment.'
              : `Covered and still till ${press.settled_at ?? ''}.`}
          </p>
          <ul>
            {rest
              .filter((task) => task.open)
              .map((task) => (
                <TaskRow key={task.key} task={task} />
              ))}
          </ul>
        </section>
      ) : null}
      {stage === 'settling' || stage === 'poured' ? <Bottling batch={batch.data} /> : null}
      {stage === 'bottled' ? (
        <section aria-labelledby="labels" className="flex flex-col gap-3">
          <h2 id="labels" className="text-2xl">
            Bottled and labelled
          </h2>
          <p>
            {batch.data.bottles.length} bottles, best before {batch.data.best_before}; {press.left ?? 'nothing'} left
            over.
          </p>
          <div className="flex flex-wrap gap-3">
            <FileLink look="strong" href={`/api/houses/${house}/batches/${id}/labels.pdf`}>
              Bottle labels, PDF
            </FileLink>
            <ButtonLink to={`/h/${house}/batch/${id}/print`}>Print view</ButtonLink>
          </div>
        </section>
      ) : null}
    </div>
  )
}

function StrainForm({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const [amount, setAmount] = useKept(`strain.${batch.id}`)
  const [note, setNote] = useKept(`strain-note.${batch.id}`)
  const write = useBatchWrite(() => {
    setAmount('')
    setNote('')
  })
  if (!works) return null
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        write.mutate({ path: `/houses/${house}/batches/${batch.id}/strain`, body: { amount, note: note || null } })
      }}
    >
      <Field
        label="What came out"
        placeholder="260 mL, 1 cup + 2 tbsp, or 238 g without the jar"
        hint="Measured or weighed; a weight is turned into a volume by the oil’s own density."
        required
        value={amount}
        fault={write.error?.about('amount')}
        onChange={(e) => setAmount(e.target.value)}
      />
      <Area label="Anything to remember" maxLength={5000} value={note} onChange={(e) => setNote(e.target.value)} />
      {write.error && !write.error.about('amount') ? <Trouble problem={write.error} /> : null}
      <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
        Write it down
      </Button>
    </form>
  )
}
