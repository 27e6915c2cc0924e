import { Tabs } from 'radix-ui'
import { useCallback, useDeferredValue, useEffect, useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { type Shape, useBatchWrite, useHouse, useHouseId, useMaterials, useOfHouse } from '../api/hooks'
import { useKey } from '../frame/keys'
import { usePart } from '../frame/part'
import { useDrawnInSlices } from '../frame/slices'
import { useFor } from '../melt/wanted'
import { Button, ButtonLink, TextButton } from '../parts/Button'
import { Field } from '../parts/Field'
import { InParts } from '../parts/InParts'
import { useKept } from '../parts/kept'
import { Notice, Trouble, Waiting } from '../parts/Notice'
import { PlanDays } from '../parts/PlanDays'
import { useSettled } from '../parts/settled'
import { TabList } from '../parts/TabList'
import { UnderThumb } from '../parts/UnderThumb'
import { AllAtOnce } from './AllAtOnce'
import { useReading, useSaid } from './ask'
import { Amounts, JarColumn } from './Columns'
import { Editor } from './editors/Editor'
import { FromStores } from './FromStores'
import { KeepAsRecipe } from './KeepAsRecipe'
import { saidSentence } from './said'
import { Sentence } from './Sentence'
import { MethodsSideBySide, NoteWithWays, type WayOut, WaysOut } from './Ways'
import { WhichOil } from './WhichOil'
import { FIRST, jarLetGo, useDraft, type Wish } from './wish'

export default function Bench() {
  const house = useHouseId()
  const settings = useHouse().data
  const materials = useMaterials().data
  const { works, kitchen } = usePart()
  const [wish, put, setWish] = useDraft(house)
  const [open, setOpened] = useState<string | null>(null)
  // As it was before a word was opened, to go back to.
  const [before, setBefore] = useState<Wish | null>(null)
  const setOpen = (slot: string | null) => {
    if (slot !== null && open === null) setBefore(wish)
    setOpened(slot)
  }
  const [origin, setOrigin] = useKept(`origin.${house}`)
  const [query, setQuery] = useSearchParams()
  const [tab, setTab] = useState('ways')
  const [keeping, setKeeping] = useState(false)
  const [typing, setTyping] = useState(false)
  const [unsaid, setUnsaid] = useState<string[]>([])
  const reading = useReading()
  const go = useNavigate()
  // At each keystroke: what was asked before it is called off, and its sentence stays till the next one comes.
  const plan = useSaid('reckon', wish)
  const [last, setLast] = useState<Shape<'Plan'>>()
  // Every other way comes after, once it is looked at and the typing has come to rest: the sentence does not wait for it.
  const rested = useSettled(wish, 200)
  const looked = tab === 'ways' || open === 'method'
  const sideBySide = useSaid('ways', rested, looked && rested === wish && plan.isSuccess && !plan.isPlaceholderData)
  // What was last reckoned stays in sight while a wish cannot be.
  if (plan.isSuccess && !plan.isPlaceholderData && plan.data !== last) setLast(plan.data)

  useEffect(() => {
    const herb = query.get('herb')
    if (herb) {
      setWish({ ...FIRST, herbs: [{ id: herb }] })
      setQuery({}, { replace: true })
    }
  }, [query, setQuery, setWish])

  const shown = plan.data ?? last
  // Not before there is a sentence, or why there is none: words that stand elsewhere a moment later are pressed in vain.
  const there = useDrawnInSlices(settings && materials && (shown || plan.isError) ? true : undefined)
  // The sentence and its figures first; what lies below the fold may come a moment after.
  const below = useDeferredValue(shown)
  const compared = useDeferredValue(sideBySide.data)
  const [wanted, notFor] = useFor('bench')
  const start = useBatchWrite((batch) => {
    sessionStorage.removeItem('kettle.repeats')
    notFor()
    setWish(FIRST)
    setOrigin('')
    reading.forget()
    void go(`/h/${house}/batch/${batch.id}`)
  })
  const begin = () =>
    start.mutate({
      path: `/houses/${house}/batches`,
      body: {
        wish,
        origin,
        repeats: sessionStorage.getItem('kettle.repeats'),
        wanted: wanted?.id ?? null,
        wanted_oil: wanted?.oil ?? null,
        acknowledged: reading.acknowledged(plan.data?.notes ?? []),
      },
    })
  const ready = works && plan.isSuccess && !start.isPending
  // However a way is chosen: in its word, in the table of ways, or as a way out that says what else goes with it.
  const change = useCallback(
    (part: Partial<Wish>) => {
      const to = materials?.methods.find((each) => each.id === part.method)
      put({
        ...(to ? jarLetGo(wish, to.vessels, settings?.jars ?? []) : {}),
        // Other oils are no longer those of the batch it was to be made in.
        ...(part.oils ? { in_oil: null } : {}),
        ...part,
      })
    },
    [put, wish, materials, settings],
  )
  const take = useCallback((part: Record<string, unknown>) => change(part as Partial<Wish>), [change])
  useKey('S', 'Start this batch', begin, ready)
  useKey('e', 'Change the first word of the sentence', () => setOpen('herb'))
  useKey('y', 'Set the ways side by side', () => setTab('ways'))
  useKey('o', 'Set the oils in order', () => setTab('oils'))
  useKey('l', 'See the lots it takes', () => setTab('stores'))
  useKey('t', 'Type it all at once', () => setTyping(true))
  useKey('K', 'Keep it as a recipe', () => setKeeping(true), works && plan.isSuccess)

  if (!there || !settings || !materials) return <Waiting what="the bench" />
  const problem = plan.isError ? plan.error : null
  const ways = (problem?.faults ?? []).flatMap((fault) => (fault.ways ?? []) as WayOut[])
  const said = problem
    ? saidSentence(
        wish,
        materials,
        settings.jars,
        problem.faults.map((fault) => fault.field),
      )
    : null
  // Each caution beside what it is about; what must be read first stands over the button that begins it.
  const beside = (called: string, about: string[], andRead = false) => {
    const notes = (shown?.notes ?? []).filter((note) =>
      note.acknowledge || note.rank === 'stop' ? andRead : about.includes(note.about ?? 'days'),
    )
    if (notes.length === 0) return null
    return (
      <ul aria-label={called} className="mt-4 flex flex-col gap-4">
        {notes.map((note) => (
          <NoteWithWays
            key={note.id}
            note={problem ? { ...note, ways: [] } : note}
            take={take}
            read={works ? reading.of(note) : undefined}
          />
        ))}
      </ul>
    )
  }
  return (
    <div className="flex flex-col gap-6 max-sm:pb-16">
      <Sentence
        pieces={said?.pieces ?? shown?.sentence ?? []}
        {...(said ? { wrong: said.wrong } : {})}
        leave={() => before && setWish(before)}
        open={open}
        setOpen={setOpen}
        editor={(slot) => (
          <Editor
            slot={slot}
            edit={{
              wish,
              change,
              materials: materials,
              jars: settings.jars,
              plan: shown,
              ways: sideBySide.data?.methods,
              fault: (field) => problem?.about(field),
              done: () => setOpen(null),
            }}
          />
        )}
      />
      <div className="flex flex-col gap-2">
        <TextButton className="self-start" onClick={() => setTyping(true)}>
          Type it all at once
        </TextButton>
        {unsaid.length > 0 ? (
          <Notice rank="care">
            {unsaid.join(' ')} <TextButton onClick={() => setUnsaid([])}>I have seen it</TextButton>
          </Notice>
        ) : null}
      </div>
      <AllAtOnce
        open={typing}
        onOpenChange={setTyping}
        onRead={(heard) => {
          setWish(heard.wish)
          setUnsaid([
            ...(heard.unread.length > 0 ? [`Not understood, and left out: ${heard.unread.join('; ')}.`] : []),
            ...heard.guesses,
          ])
        }}
      />
      {wanted ? (
        <p className="border-rim border-s-4 ps-4">
          An oil for the {wanted.name.toLowerCase()} that is wanted by a day.{' '}
          <TextButton onClick={notFor}>Not for that</TextButton>
        </p>
      ) : null}
      <div aria-live="polite" className="flex flex-col gap-3 empty:hidden">
        {problem ? (
          <>
            <Trouble problem={problem} />
            <WaysOut ways={ways} take={take} />
            {shown ? <p className="text-soft">The figures below are of the last wish that could be reckoned.</p> : null}
          </>
        ) : null}
      </div>
      {shown ? (
        <InParts>
          <div
            className={`border-line grid gap-x-7 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)_minmax(0,1.1fr)] ${problem ? 'opacity-50' : ''}`}
          >
            <JarColumn plan={shown} notes={beside('What to heed of jar and herb', ['jar', 'herb'])} />
            <Amounts
              plan={shown}
              kitchenFirst={kitchen}
              cold={materials.cold_text}
              oilNotes={beside('What to heed of the oil', ['oil'])}
              keepingNotes={beside('What to heed of its keeping', ['keeping'])}
            />
            <section
              className="border-line flex flex-col gap-4 lg:border-s lg:ps-7"
              aria-label="When, and what to watch for"
            >
              <h2 className="column-head font-text text-base">When</h2>
              <PlanDays plan={shown} />
              {shown.method.traits?.includes('in-sun') ? <WorthOfSun /> : null}
              {beside('What to heed of its days and its warmth', ['days', 'warmth', 'use'], true)}
              {works ? (
                <>
                  <Field
                    label="Where the plant came from"
                    placeholder="the walled garden, July"
                    maxLength={160}
                    value={origin}
                    onChange={(e) => setOrigin(e.target.value)}
                  />
                  <Trouble problem={start.error} />
                  <UnderThumb>
                    <Button
                      look="strong"
                      disabled={!ready || problem !== null}
                      onClick={begin}
                      aria-keyshortcuts="Shift+S"
                      className="px-6"
                    >
                      {wish.begun ? 'It stands: put it on the Shelf' : 'Start this batch'}
                    </Button>
                    <ButtonLink to={`/h/${house}/bench/card`}>Kitchen card</ButtonLink>
                  </UnderThumb>
                  <div className="flex flex-wrap gap-x-4">
                    <TextButton
                      disabled={problem !== null}
                      onClick={() => setKeeping(true)}
                      aria-keyshortcuts="Shift+K"
                    >
                      Keep as a recipe
                    </TextButton>
                    <Link className="flex min-h-11 items-center font-semibold underline" to={`/h/${house}/recipes`}>
                      Recipes
                    </Link>
                    <Link className="flex min-h-11 items-center font-semibold underline" to={`/h/${house}/boil`}>
                      Boil it down
                    </Link>
                    <TextButton onClick={() => setWish(FIRST)}>Begin again</TextButton>
                  </div>
                </>
              ) : (
                <>
                  <p className="text-soft">
                    You are a reader of this house: plan as you like; a helper or keeper can start it.
                  </p>
                  <div className="flex flex-wrap items-center gap-4">
                    <ButtonLink to={`/h/${house}/bench/card`}>Kitchen card</ButtonLink>
                    <Link className="font-semibold underline" to={`/h/${house}/recipes`}>
                      Recipes
                    </Link>
                  </div>
                </>
              )}
            </section>
          </div>
          <Tabs.Root value={tab} onValueChange={setTab} className={`mt-2 ${problem ? 'opacity-50' : ''}`}>
            <TabList
              label="More about this wish"
              tabs={[
                { id: 'ways', name: 'Ways side by side' },
                { id: 'oils', name: 'Which oil' },
                { id: 'stores', name: 'From Stores' },
              ]}
            />
            <Tabs.Content value="ways" className="pt-4">
              {compared ? (
                <MethodsSideBySide methods={compared.methods} wanted={wish.ready_by} take={take} />
              ) : sideBySide.isError ? (
                <Trouble problem={sideBySide.error} />
              ) : (
                <Waiting what="the ways" />
              )}
            </Tabs.Content>
            <Tabs.Content value="oils" className="pt-4">
              <WhichOil wish={wish} purpose={(below ?? shown).purpose} change={change} />
            </Tabs.Content>
            <Tabs.Content value="stores" className="pt-4">
              <FromStores plan={below ?? shown} wish={wish} change={change} />
            </Tabs.Content>
          </Tabs.Root>
        </InParts>
      ) : null}
      <KeepAsRecipe open={keeping} onOpenChange={setKeeping} wish={wish} suggested={shown?.name ?? ''} />
    </div>
  )
}

/** What a day in the sun of this house is worth just now, against the shelf. */
function WorthOfSun() {
  const sun = useOfHouse('/sun', { stale: 600_000 })
  return sun.data ? <Notice rank={sun.data.better ? 'note' : 'care'}>{sun.data.says}</Notice> : null
}
