import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { ask } from '../api/client'
import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { useReading, useReadWish, useSaid } from '../bench/ask'
import { NoteWithWays } from '../bench/Ways'
import { putOnBench, type Wish } from '../bench/wish'
import { usePart } from '../frame/part'
import { Button, TextButton } from '../parts/Button'
import { Area } from '../parts/Field'
import { sent } from '../parts/form'
import { useKept } from '../parts/kept'
import { without } from '../parts/lines'
import { Trouble } from '../parts/Notice'
import { useSettled } from '../parts/settled'
import { LotLines } from '../stores/LotLines'

/** Three questions that fill a house: what is steeping, what is in the cupboard, and what is wanted. */
export default function FirstDay() {
  const house = useHouseId()
  const { works } = usePart()
  const go = useNavigate()
  if (!works) return <p>You are a reader of this house: a helper or keeper can say what is in it.</p>
  return (
    <div className="flex flex-col gap-10">
      <header className="max-w-prose">
        <h1 className="text-4xl">What is here already</h1>
        <p className="text-lg">
          Three questions. Answer in lines, as you would say it; leave out what nobody knows. What was understood stands
          below each, and nothing is kept before you say so.
        </p>
      </header>
      <Steeping />
      <section aria-labelledby="cupboard" className="border-line flex flex-col gap-3 border-t pt-5">
        <h2 id="cupboard" className="text-2xl">
          What is in the cupboard?
        </h2>
        <LotLines stays onLong={() => void go(`/h/${house}/stores/new`)} />
      </section>
      <Wanted />
    </div>
  )
}

function Steeping() {
  const house = useHouseId()
  const [typed, setTyped] = useKept(`first.jars.${house}`)
  const [there, setThere] = useState<{ id: string; says: string }[]>([])
  const lines = typed.split('\n').map((line) => line.trim())
  const put = (line: string, batch: Shape<'BatchView'>) => {
    setThere((before) => [...before, { id: batch.id, says: `${batch.code} ${batch.name}` }])
    // By what it says, and not by its place: other lines may have been written meanwhile.
    setTyped(without(typed, [line]))
  }
  return (
    <section aria-labelledby="steeping" className="border-line flex flex-col gap-3 border-t pt-5">
      <h2 id="steeping" className="text-2xl">
        What is steeping now?
      </h2>
      <div className="max-w-3xl">
        <Area
          label="A line for each jar, and since when"
          placeholder={
            'a pint of calendula in olive, begun 3 November\nhalf a litre of yarrow, dried, in sunflower, since last Sunday'
          }
          rows={Math.min(14, Math.max(4, lines.length))}
          maxLength={8000}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </div>
      <ul aria-label="The jars" className="flex max-w-3xl flex-col">
        {lines.map((line, index) =>
          line === '' ? null : (
            <JarLine
              // Of two jars alike each is one.
              key={`${line} ${lines.slice(0, index).filter((before) => before === line).length}`}
              line={line}
              done={(batch) => put(line, batch)}
            />
          ),
        )}
      </ul>
      {there.length > 0 ? (
        <p role="status">
          On the Shelf:{' '}
          {there.map((each, index) => (
            <span key={each.id}>
              {index > 0 ? ', ' : ''}
              <Link className="underline" to={`/h/${house}/batch/${each.id}`}>
                {each.says}
              </Link>
            </span>
          ))}
          .
        </p>
      ) : null}
      <Link className="flex min-h-11 items-center self-start font-semibold underline" to={`/h/${house}/shelf/before`}>
        An oil that is strained and in bottles already
      </Link>
    </section>
  )
}

function JarLine({ line, done }: { line: string; done: (batch: Shape<'BatchView'>) => void }) {
  const house = useHouseId()
  const asked = useSettled(line, 300)
  const read = useQuery({
    queryKey: ['house', house, 'wishes', 'read', asked],
    queryFn: ({ signal }) => ask(`/houses/${house}/wishes/read`, { text: asked }, signal),
    placeholderData: keepPreviousData,
    retry: false,
  })
  const [changed, setChanged] = useState<{ line: string; by: Partial<Wish> }>()
  const wish: Wish | undefined = read.data && {
    ...(read.data.wish as Wish),
    ...(changed?.line === asked ? changed.by : {}),
  }
  const begun = Boolean(wish?.begun)
  const plan = useSaid('reckon', wish ?? { herbs: [], oils: [] }, wish !== undefined && begun)
  const reading = useReading()
  const write = useBatchWrite(done)
  const notes =
    plan.data && !plan.isError ? plan.data.notes.filter((note) => note.acknowledge || note.rank === 'stop') : []
  const fresh = asked === line && !read.isPlaceholderData && !plan.isPlaceholderData
  const take = (by: Partial<Wish>) =>
    setChanged((before) => ({ line: asked, by: { ...(before?.line === asked ? before.by : {}), ...by } }))
  const problem = read.error ?? (begun ? plan.error : null)
  const go = useNavigate()
  const toBench = () => {
    if (!wish) return
    putOnBench(house, wish)
    void go(`/h/${house}/bench`)
  }
  return (
    <li className="border-line flex flex-col gap-2 border-b py-3" aria-label={line}>
      {problem ? (
        <>
          <p className="font-semibold">“{line}”</p>
          <Trouble problem={problem} />
        </>
      ) : null}
      {read.data && !begun ? (
        <p className="text-warmth font-semibold">“{line}”: since when? Write it behind, such as “begun 3 November”.</p>
      ) : null}
      {plan.data && begun && !problem ? (
        <p className="text-lg">
          {plan.data.sentence.map((piece, index) => (
            // What nobody said is lighter, as it is at the bench.
            <span key={index} className={piece.slot !== null && !piece.chosen ? 'text-soft' : ''}>
              {piece.text}
            </span>
          ))}
        </p>
      ) : null}
      {read.data && read.data.unread.length > 0 ? (
        <p className="text-warmth font-semibold">Not understood, and left out: {read.data.unread.join('; ')}.</p>
      ) : null}
      {read.data?.guesses.map((guess) => (
        <p key={guess} className="text-soft">
          {guess}
        </p>
      ))}
      {notes.length > 0 ? (
        <ul className="flex flex-col gap-2">
          {notes.map((note) => (
            <NoteWithWays key={note.id} note={note} take={take} read={reading.of(note)} />
          ))}
        </ul>
      ) : null}
      <Trouble problem={write.error} />
      {/* There what stops it can be chosen otherwise, piece by piece. */}
      {wish && fresh && (!begun || plan.error) ? (
        <TextButton className="self-start" onClick={toBench}>
          Go on with it at the bench
        </TextButton>
      ) : null}
      {plan.data && begun && !problem ? (
        <Button
          className="self-start"
          disabled={!fresh || write.isPending}
          onClick={() => {
            if (!wish || !fresh || write.isPending) return
            write.mutate({
              path: `/houses/${house}/batches`,
              body: { wish, acknowledged: reading.acknowledged(notes) },
            })
          }}
        >
          Put it on the Shelf
        </Button>
      ) : null}
    </li>
  )
}

function Wanted() {
  const house = useHouseId()
  const go = useNavigate()
  const [text, setText] = useKept(`first.wanted.${house}`)
  const plan = (answer: Shape<'ReadWishView'>) => {
    setText('')
    putOnBench(house, answer.wish as Wish)
    void go(`/h/${house}/bench`)
  }
  const { reading, read, fault } = useReadWish(text, (answer) => {
    // What was taken for something is seen before it is planned.
    if (answer.unread.length === 0 && answer.guesses.length === 0) plan(answer)
  })
  const unread = reading.data?.unread ?? []
  const guesses = reading.data?.guesses ?? []
  return (
    <section aria-labelledby="wanted" className="border-line flex flex-col gap-3 border-t pt-5">
      <h2 id="wanted" className="text-2xl">
        What do you want, by when?
      </h2>
      <form className="flex max-w-3xl flex-col gap-3" onSubmit={sent(read)}>
        <Area
          label="As you would say it"
          placeholder="a pint of calendula and yarrow in olive, slow cooker, for a salve, by 12 December"
          rows={2}
          maxLength={1000}
          value={text}
          fault={fault}
          onChange={(event) => {
            setText(event.target.value)
            reading.reset()
          }}
        />
        {reading.data && unread.length + guesses.length > 0 ? (
          <div className="flex flex-col gap-2" role="alert">
            {unread.length > 0 ? (
              <p className="text-warmth font-semibold">Not understood: {unread.join('; ')}.</p>
            ) : null}
            {guesses.map((guess) => (
              <p key={guess}>{guess}</p>
            ))}
            <Button className="self-start" onClick={() => plan(reading.data)}>
              {unread.length > 0 ? 'Plan it without that' : 'Plan it so'}
            </Button>
          </div>
        ) : null}
        <Button
          type="submit"
          look="strong"
          className="self-start px-6"
          disabled={reading.isPending || text.trim() === ''}
        >
          Plan it at the bench
        </Button>
      </form>
    </section>
  )
}
