import type { Shape } from '../api/hooks'
import { usePart } from '../frame/part'
import { Figure } from '../parts/Figure'
import { Notice } from '../parts/Notice'
import { Row } from '../parts/Row'
import { Head } from './Head'
import { PotToScale } from './PotToScale'

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

/** What it comes to: the pot to scale, the amounts, the days and what to heed. */
export function Told({ view }: { view: Shape<'BoilView'> }) {
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
