import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { type Problem, send } from '../api/client'
import { type Shape, useBatchWrite, useHouse, useHouseId, useMaterials } from '../api/hooks'
import { useKey } from '../frame/keys'
import { usePart } from '../frame/part'
import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { Figure } from '../parts/Figure'
import { useKept } from '../parts/kept'
import { JarWithLevels } from '../parts/JarDrawing'
import { Notice, Trouble, Waiting } from '../parts/Notice'
import { PlanDays } from '../parts/PlanDays'
import { Editor } from './Editors'
import { Sentence } from './Sentence'
import { FIRST, useDraft, type Wish } from './wish'

/** Asks a moment after the last keystroke, so that typing is not a storm of questions. */
function useSettled<T>(value: T, ms: number): T {
  const [settled, setSettled] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms)
    return () => clearTimeout(timer)
  }, [value, ms])
  return settled
}

export default function Bench() {
  const house = useHouseId()
  const settings = useHouse()
  const materials = useMaterials()
  const { works, kitchen } = usePart()
  const [wish, change, setWish] = useDraft(house)
  const [open, setOpen] = useState<string | null>(null)
  const [origin, setOrigin] = useKept(`origin.${house}`)
  const [query, setQuery] = useSearchParams()
  const go = useNavigate()
  const asked = useSettled(wish, 60)
  const plan = useQuery<Shape<'Plan'>, Problem>({
    queryKey: ['house', house, 'reckon', asked],
    queryFn: ({ signal }) => send('POST', `/houses/${house}/reckon`, { body: { wish: asked }, signal }),
    placeholderData: keepPreviousData,
    retry: false,
  })
  const [last, setLast] = useState<Shape<'Plan'>>()
  // What was last reckoned stays in sight while a wish cannot be.
  if (plan.isSuccess && !plan.isPlaceholderData && plan.data !== last) setLast(plan.data)

  useEffect(() => {
    const herb = query.get('herb')
    if (herb) {
      setWish({ ...FIRST, herb: { id: herb } })
      setQuery({}, { replace: true })
    }
  }, [query, setQuery, setWish])

  const repeats = sessionStorage.getItem('kettle.repeats')
  const start = useBatchWrite((batch) => {
    sessionStorage.removeItem('kettle.repeats')
    setWish(FIRST)
    setOrigin('')
    void go(`/h/${house}/batch/${batch.id}`)
  })
  const begin = () => start.mutate({ path: `/houses/${house}/batches`, body: { wish, origin, repeats } })
  const ready = works && plan.isSuccess && !start.isPending
  useKey('S', 'Start this batch', begin, ready)
  useKey('e', 'Change the first word of the sentence', () => setOpen('herb'))

  if (!settings.data || !materials.data) return <Waiting what="the bench" />
  const problem = plan.isError ? plan.error : null
  const shown = plan.data ?? last
  return (
    <div className="flex flex-col gap-6 max-sm:pb-16">
      <Sentence
        pieces={shown?.sentence}
        open={open}
        setOpen={setOpen}
        editor={(slot) => (
          <Editor
            slot={slot}
            edit={{
              wish,
              change,
              materials: materials.data,
              jars: settings.data.jars,
              plan: shown,
              fault: (field) => problem?.about(field),
            }}
          />
        )}
      />
      <div aria-live="polite">
        <Trouble problem={problem} />
        {problem && shown ? (
          <p className="text-soft mt-2">The sentence and figures below are as they last could be reckoned.</p>
        ) : null}
      </div>
      {shown ? (
        <div
          className={`border-line grid gap-x-7 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)_minmax(0,1.1fr)] ${problem ? 'opacity-50' : ''}`}
        >
          <JarColumn plan={shown} />
          <Amounts plan={shown} kitchenFirst={kitchen} />
          <section
            className="border-line flex flex-col gap-4 lg:border-l lg:pl-7"
            aria-label="When, and what to watch for"
          >
            <h2 className="column-head font-text text-base">When</h2>
            <PlanDays plan={shown} zone={settings.data.time_zone} />
            {shown.notes.map((note) => (
              <Notice key={note.id} rank={note.rank}>
                {note.says}
              </Notice>
            ))}
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
                <div className="max-sm:bg-enamel max-sm:border-line flex flex-wrap gap-3 max-sm:fixed max-sm:inset-x-0 max-sm:bottom-[51px] max-sm:z-10 max-sm:justify-between max-sm:border-t max-sm:px-4 max-sm:py-2">
                  <Button
                    look="strong"
                    disabled={!ready || problem !== null}
                    onClick={begin}
                    aria-keyshortcuts="Shift+S"
                    className="px-6"
                  >
                    Start this batch
                  </Button>
                  <Button look="quiet" onClick={() => setWish(FIRST satisfies Wish)}>
                    Begin again
                  </Button>
                </div>
              </>
            ) : (
              <p className="text-soft">
                You are a reader of this house: plan as you like; a helper or keeper can start it.
              </p>
            )}
          </section>
        </div>
      ) : null}
    </div>
  )
}

function JarColumn({ plan }: { plan: Shape<'Plan'> }) {
  const text = (id: string) => plan.figures[id]?.text ?? ''
  return (
    <section aria-label="The jar">
      <h2 className="column-head font-text text-base">The {plan.jar.called}, to scale</h2>
      <JarWithLevels
        jar={plan.jar}
        words={{
          headspace: `${text('headspace')} headspace`,
          level: `${text('level_height')} oil`,
          cover: `${text('cover')} cover`,
          bed: `${text('bed_height')} herb`,
        }}
      />
      <ul className="text-soft mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {(
          [
            ['dry_fill_height', 'dry, fill to'],
            ['bed_height', 'herb bed'],
            ['cover', 'cover'],
            ['level_height', 'oil at'],
            ['headspace', 'headspace'],
          ] as const
        ).map(([id, name]) => (
          <li key={id}>
            {name} <Figure name={name} figure={plan.figures[id]} size="text-base" />
          </li>
        ))}
      </ul>
    </section>
  )
}

function Row({
  name,
  detail,
  children,
  mark,
}: {
  name: string
  detail: string
  children: React.ReactNode
  mark?: string
}) {
  return (
    <div className="border-line flex items-end justify-between gap-4 border-b py-2.5">
      <div>
        <p className="flex items-center gap-2 font-medium">
          {mark ? <span className="inline-block size-3.5 rounded-sm" style={{ background: mark }} aria-hidden /> : null}
          {name}
        </p>
        <p className="text-soft">{detail}</p>
      </div>
      <div className="text-right whitespace-nowrap">{children}</div>
    </div>
  )
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

function Amounts({ plan, kitchenFirst }: { plan: Shape<'Plan'>; kitchenFirst: boolean }) {
  const figure = (id: string) => plan.figures[id]
  const other = (id: string) => (kitchenFirst ? figure(id)?.text : figure(id)?.kitchen?.text) ?? ''
  return (
    <section className="border-line lg:border-l lg:pl-7" aria-label="Weigh and pour">
      <h2 className="column-head font-text text-base">Weigh and pour</h2>
      <Row name={capital(plan.herb.name)} detail={`${plan.herb.form_name} · ${other('herb_mass')}`} mark="var(--herb)">
        <Figure name={capital(plan.herb.name)} figure={figure('herb_mass')} kitchenFirst={kitchenFirst} />
      </Row>
      {plan.oils.map((oil, index) => (
        <Row
          key={oil.id}
          name={capital(oil.name)}
          detail={`${other(`oil_volume.${oil.id}`)} · ${figure(`oil_mass.${oil.id}`)?.text ?? ''}`}
          mark={index === 0 ? 'var(--oil)' : 'var(--oil-pale)'}
        >
          <Figure name={capital(oil.name)} figure={figure(`oil_volume.${oil.id}`)} kitchenFirst={kitchenFirst} />
        </Row>
      ))}
      <h2 className="column-head font-text mt-6 text-base">What comes of it</h2>
      <Row name="Out of the cloth, squeezed" detail={`${figure('yield_volume')?.range_text ?? ''}, nine times in ten`}>
        <Figure name="Out of the cloth" figure={figure('yield_volume')} kitchenFirst={kitchenFirst} />
      </Row>
      <Row name="Keeps until" detail="cool and dark, in a full dark bottle">
        <Figure name="Keeps until" figure={figure('best_before')} size="text-xl" />
      </Row>
      {plan.method.heated ? (
        <Row name="At warmth" detail={figure('warm_hours')?.range_text ?? ''}>
          <Figure name="At warmth" figure={figure('warm_hours')} size="text-xl" />
        </Row>
      ) : null}
    </section>
  )
}
