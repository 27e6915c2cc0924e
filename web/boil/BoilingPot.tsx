import { useQueryClient } from '@tanstack/react-query'
import { type ReactNode, useEffect, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { type Shape, useHouseId, useOfHouse, usePotWrite } from '../api/hooks'
import { PotLogbook } from '../batch/Logbook'
import { useKey } from '../frame/keys'
import { usePart } from '../frame/part'
import { useSay } from '../frame/Say'
import { useArrived } from '../parts/arrived'
import { Button, TextButton } from '../parts/Button'
import { Area, Field, Select } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { useKept } from '../parts/kept'
import { Notice, Trouble } from '../parts/Notice'
import { Row } from '../parts/Row'
import { Sheet } from '../parts/Sheet'
import { Tick } from '../parts/Tick'
import { putOnMelt } from '../melt/wish'
import { PotToScale } from './PotToScale'
import { SIGNS } from './signs'
import { Track } from './Track'
import { putOnBoil } from './wish'

type Pot = Shape<'PotView'>

const BY = [
  { id: 'stick', name: 'by a stick' },
  { id: 'jug', name: 'by the pot’s marks' },
  { id: 'scale', name: 'by weight' },
]

const TYPED: Record<string, { label: string; hint: string }> = {
  stick: { label: 'It stands', hint: '142 mm' },
  jug: { label: 'There is', hint: '9.6 L' },
  scale: { label: 'It weighs', hint: '9600 g' },
}

/** A pot that is boiled down for hours or days: how far it is, what is next, and whether it is done. */
export default function BoilingPot() {
  const { boil = '' } = useParams()
  const house = useHouseId()
  const client = useQueryClient()
  const pot = useOfHouse(`/boils/${boil}`)
  const { there, instead } = useArrived(pot, 'the pot')
  const on = there?.stage === 'on'
  // Over the flame it goes down by the clock: how far it is is asked again every minute.
  useEffect(() => {
    if (!on) return
    const asking = setInterval(() => void client.invalidateQueries({ queryKey: ['house', house] }), 60_000)
    return () => clearInterval(asking)
  }, [client, house, on])
  if (!there) return instead
  return <Page key={there.id} pot={there} />
}

/** Writes a line of the pot's logbook, and says what was written, with the way back beside it. */
function usePotLine(pot: Pot, done?: (after: Pot) => void) {
  const say = useSay()
  const path = `/houses/${useHouseId()}/boils/${pot.id}` as const
  const undo = usePotWrite(() => say({ text: 'Undone.' }))
  const write = usePotWrite((after) => {
    done?.(after)
    const entry = after.entries[0]
    say({
      text: `${entry?.title ?? 'Written down'}.`,
      undo: entry?.can_undo ? () => undo.mutate({ path: `${path}/undo`, body: { entry: entry.id } }) : undefined,
    })
  })
  return { write, path }
}

function Page({ pot }: { pot: Pot }) {
  const { works } = usePart()
  return (
    <div className="flex flex-col gap-6">
      <header>
        <p className="text-soft figures">{pot.code}</p>
        <h1 className="text-3xl sm:text-4xl">{pot.name}</h1>
      </header>
      <div className="border-line grid gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.35fr)_minmax(0,1fr)] lg:grid-rows-[auto_1fr]">
        <section aria-label="The pot" className="lg:row-span-2 flex flex-col gap-3">
          <Head>{pot.pot ? 'The pot, to scale' : pot.open ? 'In the pot' : 'What came of it'}</Head>
          {pot.pot ? (
            <PotToScale pot={pot.pot} done={pot.kind === 'decoction' ? 'done' : 'water gone'} liquid="water" />
          ) : pot.open ? (
            <p className="text-soft">
              {pot.from_text ? `${pot.from_text} at first, ` : ''}done at {pot.ends_text}.
              {pot.unit === 'mL'
                ? ' Where the pot was measured before it was begun it is drawn, and a stick is read.'
                : ''}
            </p>
          ) : (
            <Came pot={pot} works={works} />
          )}
          {works && pot.open ? (
            <div className="border-line mt-2 flex flex-col gap-4 border-t pt-4">
              <Mark pot={pot} />
              <Warmth pot={pot} />
            </div>
          ) : null}
        </section>
        <section
          aria-label="How far it is"
          className="lg:row-span-2 border-line flex flex-col gap-3 lg:border-s lg:ps-8"
        >
          {pot.open ? <HowFar pot={pot} /> : <Head>How it went</Head>}
          {pot.open || pot.marks.length > 0 ? <Track pot={pot} /> : <p>No mark of its level was written down.</p>}
          {pot.learned || pot.open ? (
            <p>
              {pot.learned ? 'This pot loses ' : 'It is taken to lose '}
              <strong>{pot.rate}</strong>. {pot.learned ? 'The usual is 450 mL.' : 'Two marks tell what it does lose.'}
            </p>
          ) : null}
          {pot.open ? <PotLogbook pot={pot} /> : null}
        </section>
        <section
          aria-label={pot.open ? 'Now' : 'Written down'}
          className="max-lg:order-first border-line flex flex-col gap-4 lg:border-s lg:ps-8"
        >
          {pot.open ? <Now pot={pot} works={works} /> : <PotLogbook pot={pot} />}
        </section>
        <section
          aria-label="Signs and what to heed"
          className="border-line flex flex-col gap-4 lg:col-start-3 lg:border-s lg:ps-8"
        >
          {pot.signs.length > 0 ? <Signs pot={pot} /> : null}
          {[...pot.heed, ...pot.notes].map((note) => (
            <Notice key={note.id} rank={note.rank}>
              {note.says}
            </Notice>
          ))}
        </section>
      </div>
    </div>
  )
}

function HowFar({ pot }: { pot: Pot }) {
  return (
    <div>
      <Head>
        {pot.stage === 'on' ? 'Over the flame' : pot.stage === 'off' ? 'Off the flame, covered' : 'Not begun'}
      </Head>
      {pot.left ? (
        <p className="flex flex-wrap items-baseline gap-x-3">
          <strong className="figures font-display text-6xl font-normal">{pot.left}</strong>
          <span className="text-soft text-2xl">still to go off</span>
        </p>
      ) : (
        <p>How much is to go off is known once it is weighed: write a mark.</p>
      )}
      {pot.more ? (
        <p className="mt-2 text-lg">
          <strong>{pot.more} of flame</strong>
          {pot.done ? `: done about ${pot.done}` : ''}
          {pot.done_between ? <span className="text-soft">, between {pot.done_between}</span> : null}.
        </p>
      ) : null}
    </div>
  )
}

function Now({ pot, works }: { pot: Pot; works: boolean }) {
  const [looking, setLooking] = useState(false)
  const [straining, setStraining] = useState(false)
  const [discarding, setDiscarding] = useState(false)
  const { write, path } = usePotLine(pot)
  const on = pot.stage === 'on'
  const flame = () => write.mutate({ path: `${path}/flame`, body: { on: !on } })
  useKey('o', on ? 'Off the flame, and covered' : 'Over the flame', flame, works)
  useKey('l', 'Look at the signs', () => setLooking(true), works && pot.signs.length > 0)
  return (
    <>
      <Head>Now</Head>
      <p className="text-xl font-semibold" aria-live="polite">
        {pot.next}
      </p>
      {pot.watch ? <Notice rank={pot.watch.rank}>{pot.watch.says}</Notice> : null}
      {works ? (
        <>
          <div className="flex flex-wrap gap-2">
            <Button look={on ? 'plain' : 'strong'} onClick={flame} disabled={write.isPending} aria-keyshortcuts="o">
              {on ? 'Off, covered' : pot.stage === 'off' ? 'On again' : 'Over the flame'}
            </Button>
            {pot.signs.length > 0 && pot.stage !== 'planned' ? (
              <Button onClick={() => setLooking(true)} aria-keyshortcuts="l">
                Look at the signs
              </Button>
            ) : null}
            {pot.stage !== 'planned' ? <Button onClick={() => setStraining(true)}>Strain it</Button> : null}
          </div>
          <Trouble problem={write.error} />
          <TextButton className="self-start" onClick={() => setDiscarding(true)}>
            Throw it away
          </TextButton>
          <Looks pot={pot} open={looking} close={() => setLooking(false)} />
          <Strain pot={pot} open={straining} close={() => setStraining(false)} />
          <Discard pot={pot} open={discarding} close={() => setDiscarding(false)} />
        </>
      ) : null}
    </>
  )
}

function Mark({ pot }: { pot: Pot }) {
  const house = useHouseId()
  const [kept, setBy] = useKept(`by.${house}`)
  const by = pot.unit === 'g' ? 'scale' : kept === 'jug' || kept === 'scale' ? kept : pot.pot ? 'stick' : 'jug'
  const [anew, setAnew] = useState(false)
  const form = useForm({ level: '', at: '' })
  const { write, path } = usePotLine(pot, () => {
    form.clear()
    setAnew(false)
  })
  const { field, rest } = form.beside(write.error)
  return (
    <form
      className="grid grid-cols-2 items-start gap-3"
      onSubmit={sent(() =>
        write.mutate({
          path: `${path}/marks`,
          body: { level: form.typed.level, by, anew, at: form.typed.at.trim() === '' ? null : form.typed.at },
        }),
      )}
    >
      <Field
        label={TYPED[by]?.label ?? ''}
        placeholder={TYPED[by]?.hint ?? ''}
        maxLength={40}
        required
        {...field('level')}
      />
      <Field label="At" placeholder="now" maxLength={20} {...field('at')} />
      {pot.unit === 'g' ? null : (
        <Select
          label="Read"
          choices={BY.filter((each) => each.id !== 'stick' || pot.pot)}
          value={by}
          onChange={(event) => setBy(event.target.value)}
        />
      )}
      <Button type="submit" look="strong" className="self-end" disabled={write.isPending}>
        Write a mark
      </Button>
      {pot.marks.length > 0 ? (
        <div className="col-span-2">
          <Tick checked={anew} onChange={setAnew}>
            More was poured in before it
          </Tick>
        </div>
      ) : null}
      <div className="col-span-2">
        <Trouble problem={rest} />
      </div>
    </form>
  )
}

function Warmth({ pot }: { pot: Pot }) {
  const form = useForm({ warmth: '' })
  const { write, path } = usePotLine(pot, () => form.clear())
  const { field, rest } = form.beside(write.error)
  return (
    <form
      className="grid grid-cols-2 items-end gap-3"
      onSubmit={sent(() => write.mutate({ path: `${path}/warmth`, body: { warmth: form.typed.warmth } }))}
    >
      <Field label="How warm it is" placeholder={pot.warm} maxLength={20} required {...field('warmth')} />
      <Button type="submit" disabled={write.isPending}>
        Write it down
      </Button>
      <div className="col-span-2">
        <Trouble problem={rest} />
      </div>
    </form>
  )
}

function Signs({ pot }: { pot: Pot }) {
  const { verdict } = pot
  return (
    <div>
      <Head>Done when four agree</Head>
      {pot.signs.map((sign) => (
        <Row
          key={sign.id}
          name={sign.says}
          detail={
            sign.is === null || sign.is === undefined
              ? 'not looked at'
              : `${sign.is}, ${sign.when}${sign.stale ? ': look again' : ''}`
          }
        >
          <strong>{sign.agrees ? 'yes' : sign.is && !sign.stale ? 'not yet' : '–'}</strong>
        </Row>
      ))}
      {verdict && pot.signs.some((sign) => sign.is) ? (
        <div role="status" className="mt-3 flex flex-col gap-2">
          <Notice rank={verdict.verdict === 'past' ? 'stop' : 'note'}>
            <strong>{verdict.says}</strong>{' '}
            {verdict.verdict === 'not-yet' ? verdict.why.map((each) => each.says).join(' ') : ''}
          </Notice>
          {verdict.for ? <p>{verdict.for}</p> : null}
        </div>
      ) : null}
    </div>
  )
}

function Looks({ pot, open, close }: { pot: Pot; open: boolean; close: () => void }) {
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
        onSubmit={sent(() => write.mutate({ path: `${path}/signs`, body: seen as never }))}
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

function Strain({ pot, open, close }: { pot: Pot; open: boolean; close: () => void }) {
  const form = useForm({ amount: '', where: '' })
  const [anyway, setAnyway] = useState(false)
  const [read, setRead] = useState(false)
  const { write, path } = usePotLine(pot, close)
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

function Discard({ pot, open, close }: { pot: Pot; open: boolean; close: () => void }) {
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

/** What came of it: how much there is, until when, and where it goes on. */
function Came({ pot, works }: { pot: Pot; works: boolean }) {
  const house = useHouseId()
  const go = useNavigate()
  const form = useForm({ amount: '', to: '' })
  const { write, path } = usePotLine(pot, () => form.clear())
  const { field, rest } = form.beside(write.error)
  const { made } = pot
  const [discarding, setDiscarding] = useState(false)
  if (pot.stage === 'discarded') return <p>Thrown away.</p>
  if (!made) return null
  return (
    <div className="flex flex-col gap-3">
      <p>
        <strong className="figures font-display text-4xl font-normal">{made.left}</strong>{' '}
        <span className="text-soft">
          of {made.amount}, strained {made.when}
          {made.where ? `, ${made.where}` : ''}
        </span>
      </p>
      {made.best_before ? (
        <p className={made.past ? 'text-warmth font-semibold' : ''}>
          {made.past ? 'Past its day: ' : 'Good until '}
          {made.best_before}
          {made.past ? '. Throw it away.' : '.'}
        </p>
      ) : null}
      {made.batch ? (
        <p>
          It is an oil of the house: <Link to={`/h/${house}/batch/${made.batch}`}>its bottles and labels</Link>.
        </p>
      ) : null}
      {pot.kind === 'cleanse' && works ? (
        <Button
          look="strong"
          className="self-start"
          onClick={() => {
            putOnBoil(house, { stage: 'cook', known: 'oil', amount: made.left })
            void go(`/h/${house}/boil`)
          }}
        >
          Cook the oil with it
        </Button>
      ) : null}
      {made.goes_in && pot.stage === 'made' && !made.past && works ? (
        <Button
          className="self-start"
          onClick={() => {
            const part = { id: made.goes_in ?? '' }
            putOnMelt(house, {
              product: 'cream',
              ...(made.percent == null ? { water: part } : { others: [{ ...part, percent: made.percent }] }),
            })
            void go(`/h/${house}/melt`)
          }}
        >
          Make a cream with it
        </Button>
      ) : null}
      {pot.stage === 'made' && works && !made.past ? (
        <form
          className="flex flex-col gap-3"
          onSubmit={sent(() =>
            write.mutate({ path: `${path}/take`, body: { amount: form.typed.amount, to: form.typed.to } }),
          )}
        >
          <Field label="Take of it" placeholder={made.left} maxLength={80} required {...field('amount')} />
          <Field label="For" placeholder="a cream" maxLength={160} {...field('to')} />
          <Trouble problem={rest} />
          <Button type="submit" className="self-start" disabled={write.isPending}>
            Taken
          </Button>
        </form>
      ) : null}
      {pot.stage === 'made' && works ? (
        <>
          <TextButton className="self-start" onClick={() => setDiscarding(true)}>
            Throw it away
          </TextButton>
          <Discard pot={pot} open={discarding} close={() => setDiscarding(false)} />
        </>
      ) : null}
    </div>
  )
}

const Head = ({ children }: { children: ReactNode }) => (
  <h2 className="column-head font-text mb-1 text-base">{children}</h2>
)
