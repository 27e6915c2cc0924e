import { useState } from 'react'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Tabs } from 'radix-ui'
import { ask } from '../api/client'
import { type Shape, useHouseId, useOfHouse } from '../api/hooks'
import { Sentence } from '../bench/Sentence'
import { Trouble, Waiting } from '../parts/Notice'
import { useSettled } from '../parts/settled'
import { TabList } from '../parts/TabList'
import { Head } from './Head'
import { PotLinks } from './PotLinks'
import { Solvents } from './Solvents'
import { asked, type BoilWish, FIRST, KNOWN, useBoilDraft } from './wish'
import { slotOf, Word } from './Asks'
import { Told } from './Told'
import { Begin } from './Begin'

const KINDS = [
  { id: 'long-oil', name: 'The long oil' },
  { id: 'decoction', name: 'Decoction' },
  { id: 'glycerin', name: 'Glycerin extract' },
  { id: 'solvents', name: 'Which solvent' },
]

/** What is boiled down for hours or days: the long oil, a decoction, a glycerin extract; and which solvent at all. */
export default function Boil() {
  const house = useHouseId()
  const [wish, change] = useBoilDraft(house)
  const [tab, setTab] = useState<string>(wish.what)
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
    setOpen(null)
    if (kind === 'solvents' || kind === wish.what) return
    const what = kind as BoilWish['what']
    const first = KNOWN[what][0]
    change({ what, known: first?.id ?? '', amount: first?.amount ?? '' })
  }
  const fault = (field: string) => answer.error?.about(field)
  const [open, setOpen] = useState<string | null>(null)
  const [before, setBefore] = useState<BoilWish | null>(null)
  const turn = (slot: string | null) => {
    if (slot !== null && open === null) setBefore(wish)
    setOpen(slot)
  }
  const [pieces, setPieces] = useState<Shape<'BoilView'>['sentence']>([])
  // The last sentence stays in sight while another is asked for.
  if (answer.data && answer.data.sentence !== pieces) setPieces(answer.data.sentence)
  const slots = new Set(pieces.map((piece) => piece.slot))
  const more =
    wish.what === 'glycerin' && pieces.length > 0 && !slots.has('pot')
      ? [{ slot: 'pot', text: 'what the pot loses in an hour' }]
      : []
  return (
    <div className="flex flex-col gap-6">
      {/* The sentence is the heading where there is one. */}
      {tab === 'solvents' ? <h1 className="text-3xl sm:text-4xl">Which solvent</h1> : null}
      <Tabs.Root value={tab} onValueChange={to}>
        <TabList label="What is boiled down" tabs={KINDS} />
        <Tabs.Content value={tab} className="pt-5">
          {tab === 'solvents' ? (
            <Solvents
              plant="calendula"
              take={(part) => {
                change({ ...FIRST, ...part })
                setTab(part.what ?? wish.what)
              }}
            />
          ) : (
            <div className="flex flex-col gap-6">
              <Sentence
                pieces={(answer.error?.sentence as typeof pieces | undefined) ?? pieces}
                wrong={new Set((answer.error?.faults ?? []).map((each) => slotOf(each.field, wish.what)))}
                leave={() => before && change(before)}
                open={open}
                setOpen={turn}
                more={more}
                editor={(slot) => <Word slot={slot} wish={wish} change={change} fault={fault} />}
              />
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

/** Pots at the stove, and decoctions and extracts that are here. */
function Here() {
  const boils = useOfHouse('/boils').data
  const all = [...(boils?.open ?? []), ...(boils?.here ?? [])]
  if (all.length === 0) return null
  return (
    <section aria-label="At the stove and here">
      <Head>At the stove, and what is here</Head>
      <PotLinks pots={all} look="grid gap-x-8 sm:grid-cols-2" />
    </section>
  )
}
