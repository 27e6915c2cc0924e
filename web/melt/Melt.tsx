import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Tabs } from 'radix-ui'
import { type ReactNode, useEffect, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { ask } from '../api/client'
import { useHouseId, useMakingWrite, useOfHouse, useWrite } from '../api/hooks'
import { useReading } from '../bench/ask'
import { KeepAsRecipe } from '../bench/KeepAsRecipe'
import { Sentence } from '../bench/Sentence'
import { NoteWithWays, type WayOut, WaysOut } from '../bench/Ways'
import { useKey } from '../frame/keys'
import { usePart } from '../frame/part'
import { useSay } from '../frame/Say'
import { useDrawnInSlices } from '../frame/slices'
import { Button, TextButton } from '../parts/Button'
import { Trouble, Waiting } from '../parts/Notice'
import { TabList } from '../parts/TabList'
import { Days } from './Days'
import { Editor } from './editors/Editor'
import { Made } from './Made'
import { Pot, Tins } from './Pot'
import { ReadIn } from './ReadIn'
import { Firmness } from './Rule'
import { Spoon } from './Spoon'
import { useFor } from './wanted'
import { Wanted } from './Wanted'
import { Weigh } from './Weigh'
import { FIRST, offered, type Product, type ProductWish, useDraft } from './wish'

/** What a product may have that this one has not, as words to put it there. */
const MORE = [
  { slot: 'butters', text: 'a butter' },
  { slot: 'essential_oils', text: 'a scent' },
  { slot: 'others', text: 'something else' },
  { slot: 'leaf', text: 'fresh leaf stirred in' },
  { slot: 'for', text: 'somebody it is for, or something it is without' },
  { slot: 'ready_by', text: 'a day it is wanted by' },
]

const HERE = ['jar', 'oil', 'waxes', 'tins', 'warmth', 'leaf']

export default function Melt() {
  const house = useHouseId()
  const choices = useOfHouse('/melt', { stale: 60_000 }).data
  const { kitchen, works } = usePart()
  const go = useNavigate()
  const reading = useReading()
  const [wish, change, setWish] = useDraft(house)
  const [open, setOpened] = useState<string | null>(null)
  const [before, setBefore] = useState<ProductWish | null>(null)
  const setOpen = (slot: string | null) => {
    if (slot !== null && open === null) setBefore(wish)
    setOpened(slot)
  }
  const [tab, setTab] = useState('steps')
  const [query, setQuery] = useSearchParams()
  // A bottle's page sends its oil here.
  useEffect(() => {
    const batch = query.get('batch')
    if (batch) {
      setWish({ ...FIRST, oils: [{ batch }] })
      setQuery({}, { replace: true })
    }
  }, [query, setQuery, setWish])
  const plan = useQuery({
    queryKey: ['house', house, 'melt', wish],
    queryFn: ({ signal }) => ask(`/houses/${house}/melt/reckon`, { wish }, signal),
    placeholderData: keepPreviousData,
    retry: false,
  })
  const [last, setLast] = useState<Product>()
  // What was last reckoned stays in sight while a wish cannot be.
  if (plan.isSuccess && !plan.isPlaceholderData && plan.data !== last) setLast(plan.data)
  const shown = plan.data ?? last
  const say = useSay()
  const [wanted, notFor, forThat] = useFor('melt')
  // Begun anew, it is for nothing that was wanted.
  const anew = () => {
    setWish(FIRST)
    notFor()
  }
  const keep = useWrite<'POST /houses/{house}/wanted' | 'PUT /houses/{house}/wanted/{wanted}'>(() => {
    anew()
    reading.forget()
    say({ text: 'Kept for its day. What is to be done for it is in the diary, and on Today when it is time.' })
  })
  const want = () =>
    wanted
      ? keep.mutate({ method: 'PUT', path: `/houses/${house}/wanted/${wanted.id}`, body: { wish } })
      : keep.mutate({ path: `/houses/${house}/wanted`, body: { wish } })
  const start = useMakingWrite((making) => {
    anew()
    reading.forget()
    void go(`/h/${house}/making/${making.id}`)
  })
  const begin = () =>
    start.mutate({
      path: `/houses/${house}/makings`,
      body: {
        wish,
        wanted: wanted?.id ?? null,
        acknowledged: reading.acknowledged(plan.data?.cautions ?? []),
      },
    })
  const stopped = (plan.data?.cautions ?? []).some((note) => note.rank === 'stop')
  const settled = works && plan.isSuccess && !plan.isPlaceholderData && !stopped
  const waits = (plan.data?.days?.oils.length ?? 0) > 0
  const ready = settled && !start.isPending && !waits
  const keepable = settled && !keep.isPending && plan.data?.days?.ready_by != null
  useKey('S', 'Begin this product', begin, ready)
  const [keeping, setKeeping] = useState(false)
  useKey('K', 'Keep it as a recipe', () => setKeeping(true), works && plan.isSuccess)
  const there = useDrawnInSlices(choices && (shown || plan.isError) ? true : undefined)
  useKey('e', 'Change the first word of the sentence', () => setOpen('tins'))
  useKey('f', 'Change how firm it is', () => setOpen('firmness'))
  useKey('y', 'See it step by step', () => setTab('steps'))
  useKey('o', 'Try the cold spoon', () => setTab('spoon'))
  useKey('l', 'See what is in it', () => setTab('inside'))
  useKey('N', 'Read a recipe in', () => setTab('read'))
  useKey('W', 'Keep it for its day', want, keepable)
  if (!there || !choices) return <Waiting what="the melt" />
  const problem = plan.isError ? plan.error : null
  const take = (part: Record<string, unknown>) => change(part)
  const pieces = problem?.sentence ?? shown?.sentence ?? []
  const takesLeaf = choices.products.some((each) => each.id === (wish.product ?? 'salve') && each.takes_leaf)
  const slots = new Set(pieces.map((piece) => piece.slot))
  const notes = (called: string, some: (note: Product['cautions'][number]) => boolean): ReactNode => {
    const these = (shown?.cautions ?? []).filter(some)
    return these.length === 0 ? null : (
      <ul aria-label={called} className="mt-4 flex flex-col gap-4">
        {these.map((note) => (
          <NoteWithWays
            key={note.id}
            note={{ ...note, why: note.why ?? '' }}
            take={take}
            read={works ? reading.of(note) : undefined}
          />
        ))}
      </ul>
    )
  }
  return (
    <div className="flex flex-col gap-6">
      <Sentence
        pieces={pieces}
        wrong={new Set((problem?.faults ?? []).map((fault) => fault.field.split('.')[0] ?? ''))}
        leave={() => before && setWish(before)}
        open={open}
        setOpen={setOpen}
        more={
          pieces.length > 0 ? MORE.filter((each) => !slots.has(each.slot) && (each.slot !== 'leaf' || takesLeaf)) : []
        }
        editor={(slot) => (
          <Editor
            slot={slot}
            edit={{ wish, change, choices: offered(choices, wish), plan: shown, problem, done: () => setOpen(null) }}
          />
        )}
      />
      {wanted ? (
        <p className="border-rim border-s-4 ps-4">
          This is the {wanted.name.toLowerCase()} that is wanted by a day.{' '}
          <TextButton onClick={notFor}>It is another</TextButton>
        </p>
      ) : null}
      {shown?.days ? <Days days={shown.days} /> : null}
      <div aria-live="polite" className="flex flex-col gap-3 empty:hidden">
        {problem ? (
          <>
            <Trouble problem={problem} />
            <WaysOut ways={problem.faults.flatMap((fault) => (fault.ways ?? []) as WayOut[])} take={take} />
            <p className="text-soft">
              {shown ? 'The figures below are of the last wish that could be reckoned. ' : ''}
              <TextButton onClick={anew}>Begin again</TextButton>
            </p>
          </>
        ) : null}
      </div>
      {shown ? (
        <>
          <div
            className={`border-line grid gap-x-7 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,0.95fr)_minmax(0,1.05fr)_minmax(0,1.1fr)] ${problem ? 'opacity-50' : ''}`}
          >
            <section aria-label="In the pot">
              <h2 className="column-head font-text text-base">In the pot, by weight</h2>
              <Pot parts={shown.pot} />
              <Tins plan={shown} />
              {notes('What to heed at the pot', (note) => note.rank !== 'stop' && HERE.includes(note.about))}
            </section>
            <Weigh plan={shown} kitchenFirst={kitchen} />
            <section className="border-line lg:border-s lg:ps-7" aria-label="How firm, and what to watch for">
              {shown.rule.by_wax || shown.figures.melts_at ? (
                <>
                  <h2 className="column-head font-text text-base">How firm</h2>
                  <Firmness plan={shown} />
                </>
              ) : (
                <h2 className="column-head font-text text-base">What to watch for</h2>
              )}
              {notes('What must not be', (note) => note.rank === 'stop')}
              {notes('What to heed', (note) => note.rank !== 'stop' && !HERE.includes(note.about))}
              <div className="mt-4 flex flex-col gap-3">
                <Trouble problem={start.error} />
                <Trouble problem={keep.error} />
                <div className="flex flex-wrap items-center gap-4">
                  {works && shown.days?.ready_by ? (
                    <Button
                      look={waits ? 'strong' : 'plain'}
                      className="px-6"
                      disabled={!keepable || problem !== null}
                      onClick={want}
                      aria-keyshortcuts="Shift+W"
                    >
                      Keep it for its day
                    </Button>
                  ) : null}
                  {works && !waits ? (
                    <Button
                      look="strong"
                      className="px-6"
                      disabled={!ready || problem !== null}
                      onClick={begin}
                      aria-keyshortcuts="Shift+S"
                    >
                      Begin this {shown.product.name}
                    </Button>
                  ) : null}
                  {works ? (
                    <TextButton
                      disabled={problem !== null}
                      onClick={() => setKeeping(true)}
                      aria-keyshortcuts="Shift+K"
                    >
                      Keep as a recipe
                    </TextButton>
                  ) : null}
                  <TextButton onClick={anew}>Begin again</TextButton>
                </div>
                {works && waits ? (
                  <p className="text-soft">
                    {shown.days?.ready_by
                      ? 'It is begun when its oil is in its bottles.'
                      : 'It is begun when its oil is in its bottles. Say the day it is wanted by, and it is kept for it.'}
                  </p>
                ) : null}
                {works && stopped ? <p className="text-soft">What must not be is changed first.</p> : null}
              </div>
            </section>
          </div>
          <Tabs.Root value={tab} onValueChange={setTab} className={`mt-2 ${problem ? 'opacity-50' : ''}`}>
            <TabList
              label="More about this product"
              tabs={[
                { id: 'steps', name: 'Step by step' },
                ...(shown.rule.by_wax ? [{ id: 'spoon', name: 'The cold spoon' }] : []),
                { id: 'inside', name: 'What is in it' },
                { id: 'read', name: 'From a recipe' },
              ]}
            />
            <Tabs.Content value="steps" className="pt-4">
              <ol className="ms-6 flex max-w-[60rem] list-decimal flex-col gap-2">
                {shown.steps.map((step) => (
                  <li key={step.id}>{step.says}</li>
                ))}
              </ol>
            </Tabs.Content>
            <Tabs.Content value="spoon" className="pt-4">
              <Spoon plan={shown} choices={choices} />
            </Tabs.Content>
            <Tabs.Content value="read" className="pt-4">
              <ReadIn put={setWish} />
            </Tabs.Content>
            <Tabs.Content value="inside" className="pt-4">
              <Inside plan={shown} />
            </Tabs.Content>
          </Tabs.Root>
        </>
      ) : null}
      <Wanted
        look={(its, card) => {
          forThat({ id: card.id, name: card.name })
          setWish(its)
          window.scrollTo({ top: 0 })
        }}
      />
      <Made />
      <KeepAsRecipe open={keeping} onOpenChange={setKeeping} wish={wish} suggested={shown?.product.name ?? ''} />
    </div>
  )
}

/** The ingredients as a cook says them and as a label of a care product names them. */
function Inside({ plan }: { plan: Product }) {
  const { cook, inci, allergens, fragrance } = plan.ingredients
  return (
    <dl className="grid max-w-[60rem] gap-x-7 gap-y-3 sm:grid-cols-[12rem_1fr]">
      <dt className="font-semibold">In falling order</dt>
      <dd>{cook.join(', ')}</dd>
      <dt className="font-semibold">As a label names it</dt>
      <dd>{inci.join(', ')}</dd>
      <dt className="font-semibold">Contains</dt>
      <dd>{allergens.length > 0 ? allergens.join(', ') : 'nothing that must be told'}</dd>
      {fragrance.length > 0 ? (
        <>
          <dt className="font-semibold">Of its scent must be named</dt>
          <dd>{fragrance.join(', ')}</dd>
        </>
      ) : null}
    </dl>
  )
}
