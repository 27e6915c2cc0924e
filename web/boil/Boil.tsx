import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Tabs } from 'radix-ui'
import { type ReactNode, useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { ask } from '../api/client'
import { type Shape, useHouseId, useMaterials, useOfHouse, usePotWrite } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button, TextButton } from '../parts/Button'
import { Select } from '../parts/Field'
import { Figure } from '../parts/Figure'
import { Notice, Trouble, Waiting } from '../parts/Notice'
import { Row } from '../parts/Row'
import { useSettled } from '../parts/settled'
import { Tick } from '../parts/Tick'
import { TabList } from '../parts/TabList'
import { PotToScale } from './PotToScale'
import { Solvents } from './Solvents'
import { PotSize, Typed } from './Typed'
import { asked, begun, type BoilWish, itsDecoction, KNOWN, POT, useBoilDraft } from './wish'

const KINDS = [
  { id: 'long-oil', name: 'The long oil' },
  { id: 'decoction', name: 'Decoction' },
  { id: 'glycerin', name: 'Glycerin extract' },
  { id: 'solvents', name: 'Which solvent' },
]

const STAGES = [
  { id: 'whole', name: 'decoction, cleansing and cooking' },
  { id: 'cleanse', name: 'cleansing the oil' },
  { id: 'cook', name: 'cooking the oil' },
]

const HARDNESS = [
  { id: 'soft', name: 'soft: leaf, flower, soft herb' },
  { id: 'medium', name: 'medium: stem, seed, soft root' },
  { id: 'very-hard', name: 'very hard: hard root, outer bark' },
]

const LIQUIDS = [
  { id: 'decoction', name: 'a decoction' },
  { id: 'milk', name: 'milk' },
  { id: 'curd-water', name: 'curd water' },
  { id: 'juice', name: 'fresh juice' },
]

const CALLED: Record<string, string> = {
  oil_volume: 'Oil',
  paste_mass: 'Herb paste',
  water_volume: 'Water',
  decoction_volume: 'Decoction',
  herb_mass: 'Herb',
  end_volume: 'Boiled down to',
  boil_off: 'To go off',
  hours: 'Hours of flame',
  days: 'Days',
  pot_volume_least: 'A pot of at least',
  extract_mass: 'Strained extract',
  glycerin_mass: 'Glycerin',
  glycerin_volume: 'Glycerin, measured',
  evaporate_mass: 'Still to go off',
  add_water: 'Distilled water to add',
  keeps_days: 'Keeps',
  water_activity: 'How free its water is',
}

const STAGE: Record<string, string> = {
  decoction: 'The decoction',
  cleanse: 'The oil is cleansed',
  cook: 'The oil is cooked',
}

const DONE: Record<string, string> = { decoction: 'done', cleanse: 'water gone', cook: 'liquid gone' }

/** What is boiled down for hours or days: the long oil, a decoction, a glycerin extract; and which solvent at all. */
export default function Boil() {
  const house = useHouseId()
  const [wish, change] = useBoilDraft(house)
  const [query] = useSearchParams()
  // A plant's page asks which solvent.
  const plant = query.get('plant')
  const [tab, setTab] = useState<string>(plant ? 'solvents' : wish.what)
  const settled = useSettled(wish, 150)
  const answer = useQuery({
    queryKey: ['house', house, 'boil', settled],
    queryFn: ({ signal }) => ask(`/houses/${house}/boil`, asked(settled), signal),
    placeholderData: keepPreviousData,
    retry: false,
    enabled: tab === wish.what,
  })
  const to = (kind: string) => {
    setTab(kind)
    if (kind === 'solvents' || kind === wish.what) return
    const what = kind as BoilWish['what']
    const first = KNOWN[what][0]
    change({ what, known: first?.id ?? '', amount: first?.amount ?? '' })
  }
  const fault = (field: string) => answer.error?.about(field)
  return (
    <div className="flex flex-col gap-6">
      <h1 className="text-3xl sm:text-4xl">Boiled down</h1>
      <Tabs.Root value={tab} onValueChange={to}>
        <TabList label="What is boiled down" tabs={KINDS} />
        <Tabs.Content value={tab} className="pt-5">
          {tab === 'solvents' ? (
            <Solvents plant={plant ?? 'calendula'} />
          ) : (
            <div className="flex flex-col gap-6">
              <Asks wish={wish} change={change} fault={fault} />
              <Trouble problem={answer.error} />
              {answer.data && !answer.isError && answer.data.what === wish.what ? (
                <>
                  <Begin wish={wish} view={answer.data} />
                  <Told view={answer.data} />
                </>
              ) : answer.isError ? null : (
                <Waiting what="the amounts" />
              )}
            </div>
          )}
        </Tabs.Content>
      </Tabs.Root>
      <Here />
    </div>
  )
}

/** Begins the pot as it is planned; of the whole long oil each stage is a pot of its own. */
function Begin({ wish, view }: { wish: BoilWish; view: Shape<'BoilView'> }) {
  const house = useHouseId()
  const go = useNavigate()
  const { works } = usePart()
  const write = usePotWrite((pot) => void go(`/h/${house}/stove/boil/${pot.id}`))
  const [read, setRead] = useState('')
  if (!works) return null
  // Read is what stands there now: another herb has other cautions.
  const heed = view.notes.filter((note) => note.must_read)
  const says = heed.map((note) => note.says).join(' ')
  const wanted = view.figures['decoction.end_volume']?.value
  const whole = wish.what === 'long-oil' && wish.stage === 'whole'
  const pots = whole
    ? [
        ...(typeof wanted === 'number' ? [{ says: 'Begin the decoction', body: itsDecoction(wish, wanted) }] : []),
        { says: 'Begin the cleansing', body: begun(wish, 'cleanse') },
        { says: 'Begin the cooking', body: begun(wish, 'cook') },
      ]
    : [{ says: 'Begin it', body: begun(wish) }]
  return (
    <div className="flex flex-col gap-2">
      {heed.length > 0 ? (
        <Tick checked={read === says} onChange={(to) => setRead(to ? says : '')}>
          I have read this: {says}
        </Tick>
      ) : null}
      <div className="flex flex-wrap gap-2">
        {pots.map((pot) => (
          <Button
            key={pot.says}
            look={whole ? 'plain' : 'strong'}
            disabled={write.isPending}
            onClick={() =>
              write.mutate({
                path: `/houses/${house}/boils`,
                body: { ...pot.body, acknowledged: read === says ? heed.map((note) => note.id) : [] } as never,
              })
            }
          >
            {pot.says}
          </Button>
        ))}
      </div>
      <Trouble problem={write.error} />
    </div>
  )
}

/** Pots at the stove, and decoctions and extracts that are here. */
function Here() {
  const house = useHouseId()
  const boils = useOfHouse('/boils').data
  const all = [...(boils?.open ?? []), ...(boils?.here ?? [])]
  if (all.length === 0) return null
  return (
    <section aria-label="At the stove and here">
      <Head>At the stove, and what is here</Head>
      <ul className="grid gap-x-8 sm:grid-cols-2">
        {all.map((each) => (
          <li key={each.id} className="border-line border-b py-2">
            <Link to={`/h/${house}/stove/boil/${each.id}`}>
              <strong>{each.name}</strong> <span className="text-soft figures">{each.code}</span>
              <span className={`block ${each.urgent && each.stage === 'made' ? 'text-warmth font-semibold' : ''}`}>
                {each.says}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

type Its = {
  wish: BoilWish
  change: (part: Partial<BoilWish>) => void
  fault: (field: string) => string | undefined
}

function Asks({ wish, change, fault }: Its) {
  const { what } = wish
  const cooks = what === 'decoction' || (wish.stage !== 'cleanse' && wish.liquid === 'decoction')
  const known = KNOWN[what]
  const its = { draft: wish, change, fault }
  return (
    <form className="grid gap-x-6 gap-y-4 sm:grid-cols-2 lg:grid-cols-4" onSubmit={(event) => event.preventDefault()}>
      {what === 'long-oil' ? (
        <Select
          label="What is done"
          choices={STAGES}
          value={wish.stage}
          onChange={(e) => change({ stage: e.target.value })}
        />
      ) : null}
      {wish.known === POT ? null : (
        <Typed {...its} name="amount" about={wish.known} label="There is, or is wanted" max={80} />
      )}
      {known.length > 1 ? (
        <Select
          label="That is so much"
          choices={known}
          value={wish.known}
          onChange={(e) =>
            change({
              known: e.target.value,
              amount: known.find((each) => each.id === e.target.value)?.amount ?? wish.amount,
            })
          }
        />
      ) : null}
      {what === 'long-oil' && wish.stage !== 'cleanse' ? (
        <Select
          label="Cooked with"
          choices={LIQUIDS}
          value={wish.liquid}
          onChange={(e) => change({ liquid: e.target.value })}
        />
      ) : null}
      {what !== 'glycerin' && cooks ? <Herbs wish={wish} change={change} fault={fault} /> : null}
      {what === 'glycerin' ? (
        <>
          <Listed
            label="Of which herb"
            none="not said"
            ids={wish.herbs}
            set={(herbs) => change({ herbs })}
            fault={fault('herbs')}
          />
          <Typed {...its} name="share" label="Glycerin, per cent" max={20} />
          <Typed
            {...its}
            name="now"
            about="extract_now"
            label="The strained extract weighs"
            placeholder="blank before it is made"
            max={80}
          />
        </>
      ) : (
        <PotSize {...its} />
      )}
      <Typed
        {...its}
        name="rate"
        label="It loses in an hour"
        placeholder={wish.width && what !== 'glycerin' ? 'by its width' : '450 mL'}
      />
      {what === 'glycerin' ? null : <Learned take={(rate) => change({ rate })} />}
      {what === 'long-oil' ? (
        <>
          <Carrier wish={wish} change={change} />
          <Listed
            label="Herb of the paste"
            none="not said"
            ids={wish.paste}
            set={(paste) => change({ paste })}
            fault={fault('paste_herbs')}
          />
          <Typed {...its} name="hours" about="hours_a_day" label="Hours a day" placeholder="6 to 10" max={20} />
          <Select
            label="For"
            choices={[
              { id: 'skin', name: 'the skin' },
              { id: 'kitchen', name: 'the kitchen' },
            ]}
            value={wish.purpose}
            onChange={(e) => change({ purpose: e.target.value })}
          />
        </>
      ) : null}
    </form>
  )
}

/** What pots of this house lost in an hour by their own marks, to be taken for the next. */
function Learned({ take }: { take: (rate: string) => void }) {
  const learned = useOfHouse('/boils').data?.learned ?? []
  if (learned.length === 0) return null
  return (
    <ul className="self-end pb-2">
      {learned.map((each) => (
        <li key={each.of} className="text-soft">
          {each.of} lost {each.rate}.{' '}
          <TextButton onClick={() => take(each.rate)} aria-label={`Take ${each.rate} an hour, as ${each.of} lost`}>
            Take that
          </TextButton>
        </li>
      ))}
    </ul>
  )
}

function Carrier({ wish, change }: { wish: BoilWish; change: (part: Partial<BoilWish>) => void }) {
  const oils = useMaterials().data?.oils ?? []
  return (
    <Select
      label="In which oil"
      value={wish.carrier}
      choices={
        oils.length === 0
          ? [{ id: wish.carrier, name: wish.carrier }]
          : oils.map((each) => ({ id: each.id, name: each.name }))
      }
      onChange={(event) => change({ carrier: event.target.value })}
    />
  )
}

/** The herbs of the decoction, or how hard they are where none is named. */
function Herbs({ wish, change, fault }: Its) {
  const long = wish.what === 'long-oil'
  return (
    <div className="contents">
      <Listed
        label={long ? 'Herb of the decoction' : 'Herb'}
        none="by how hard it is"
        ids={wish.herbs}
        set={(herbs) => change({ herbs })}
        fault={fault('herbs') ?? fault('decoct.herbs')}
      />
      {wish.herbs.length === 0 ? (
        <Select
          label="How hard"
          choices={HARDNESS}
          value={wish.hardness}
          onChange={(e) => change({ hardness: e.target.value })}
        />
      ) : null}
    </div>
  )
}

/** Herbs that are named one after the other. */
function Listed({
  label,
  none,
  ids,
  set,
  fault,
}: {
  label: string
  none: string
  ids: string[]
  set: (ids: string[]) => void
  fault: string | undefined
}) {
  const herbs = useMaterials().data?.herbs ?? []
  const name = (id: string) => herbs.find((each) => each.id === id)?.name ?? id
  return (
    <div className="flex flex-col gap-2">
      <Select
        label={ids.length === 0 ? label : `${label}, and another`}
        value=""
        choices={[
          { id: '', name: ids.length === 0 ? none : 'no other' },
          ...herbs.filter((each) => !ids.includes(each.id)).map((each) => ({ id: each.id, name: each.name })),
        ]}
        onChange={(e) => (e.target.value ? set([...ids, e.target.value]) : undefined)}
      />
      {ids.length > 0 ? (
        <ul>
          {ids.map((id) => (
            <li key={id} className="flex items-center justify-between gap-3">
              {name(id)}
              <TextButton aria-label={`Take ${name(id)} out`} onClick={() => set(ids.filter((each) => each !== id))}>
                Out
              </TextButton>
            </li>
          ))}
        </ul>
      ) : null}
      {fault ? <p className="text-warmth">{fault}</p> : null}
    </div>
  )
}

function Told({ view }: { view: Shape<'BoilView'> }) {
  const { kitchen } = usePart()
  // "cleanse.hours" stands under its stage, and what has none is of the whole.
  const groups = new Map<string, string[]>()
  for (const id of Object.keys(view.figures)) {
    const stage = /^(decoction|cleanse|cook)\./.exec(id)?.[1] ?? ''
    groups.set(stage, [...(groups.get(stage) ?? []), id])
  }
  const order = ['', 'decoction', 'cleanse', 'cook']
  const drawn = view.stages.filter((each) => each.pot)
  return (
    <div className="border-line grid gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)_minmax(0,1fr)]">
      <section aria-label="The pot">
        <Head>The pot, to scale</Head>
        {drawn.length === 0 ? (
          <p className="text-soft">
            {view.what === 'glycerin'
              ? 'It is brought to its weight on a scale, in a wide pan.'
              : 'Say how wide and how high the pot is, and it is drawn with every level marked.'}
          </p>
        ) : null}
        {drawn.map((each) => (
          <div key={each.stage} className="mb-5">
            {drawn.length > 1 ? <h3 className="font-text mb-2 text-base font-semibold">{STAGE[each.stage]}</h3> : null}
            {each.pot ? (
              <PotToScale pot={each.pot} done={DONE[each.stage] ?? 'done'} liquid={each.liquid.replace('-', ' ')} />
            ) : null}
          </div>
        ))}
      </section>
      <section aria-label="Amounts" className="border-line lg:border-s lg:ps-8">
        {order
          .filter((stage) => groups.has(stage))
          .map((stage) => (
            <div key={stage} className="mb-5">
              <Head>{STAGE[stage] ?? 'Weigh and pour'}</Head>
              {(groups.get(stage) ?? []).map((id) => {
                const short = id.replace(/^(decoction|cleanse|cook)\./, '').replace(/\.\d+$/, '')
                const name = CALLED[short] ?? short
                const figure = view.figures[id]
                return (
                  <Row key={id} name={name} detail={figure?.range_text ?? ''}>
                    <Figure name={name} figure={figure} kitchenFirst={kitchen} size="text-xl" />
                  </Row>
                )
              })}
            </div>
          ))}
      </section>
      <section aria-label="Days and what to heed" className="border-line flex flex-col gap-4 lg:border-s lg:ps-8">
        {view.notes.map((note) => (
          <Notice key={note.id} rank={note.rank}>
            {note.says}
          </Notice>
        ))}
        {view.days.length > 0 ? (
          <div>
            <Head>The days</Head>
            <ol className="figures">
              {view.days.slice(0, 14).map((day) => (
                <li key={day.from} className="border-line flex justify-between gap-4 border-b py-1.5">
                  <span>{day.says}</span>
                </li>
              ))}
            </ol>
            {view.days.length > 14 ? <p className="text-soft">and {view.days.length - 14} days after that.</p> : null}
            <p className="text-soft mt-2">Covered and off at night; stirred from the bottom every half hour.</p>
          </div>
        ) : null}
        {view.signs.length > 0 ? (
          <div>
            <Head>Done when four agree</Head>
            <ul>
              {view.signs.map((sign) => (
                <li key={sign.id} className="border-line border-b py-1.5">
                  {sign.says}
                </li>
              ))}
            </ul>
          </div>
        ) : null}
      </section>
    </div>
  )
}

const Head = ({ children }: { children: ReactNode }) => (
  <h2 className="column-head font-text mb-2 text-base">{children}</h2>
)
