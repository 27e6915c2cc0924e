import type { ReactNode } from 'react'
import type { Shape } from '../api/hooks'
import { Figure } from '../parts/Figure'
import { JarWithLevels } from '../parts/JarDrawing'
import { Row } from '../parts/Row'
import { FatPicture } from './WhichOil'
import { capital } from '../parts/letters'

export function JarColumn({ plan, notes }: { plan: Shape<'Plan'>; notes: ReactNode }) {
  const said = (id: string, name: string) => (plan.figures[id] ? `${plan.figures[id].text} ${name}` : '')
  return (
    <section aria-label={`The ${plan.jar.kind ?? 'jar'}`}>
      <h2 className="column-head font-text text-base">
        {plan.jar.count > 1 ? `One of ${plan.jar.count}: the ${plan.jar.called}` : `The ${plan.jar.called}`}, to scale
      </h2>
      <JarWithLevels
        jar={plan.jar}
        words={{
          headspace: said('headspace', 'headspace'),
          level: said('level_height', 'oil'),
          cover: said('cover', 'cover'),
          bed: said('bed_height', 'herb'),
        }}
      />
      {plan.jar.each ? <p className="mt-1 font-semibold">{plan.jar.each}.</p> : null}
      <ul className="text-soft mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {(
          [
            ['dry_fill_height', 'as it lies, fill to'],
            ['bed_height', 'herb bed'],
            ['cover', 'cover'],
            ['level_height', 'oil at'],
            ['headspace', 'headspace'],
          ] as const
        ).map(([id, name]) =>
          plan.figures[id] ? (
            <li key={id}>
              {name} <Figure name={name} figure={plan.figures[id]} size="text-base" />
            </li>
          ) : null,
        )}
      </ul>
      {notes}
      <AsAnOil plan={plan} />
    </section>
  )
}

/** What the blend is, as an oil. */
function AsAnOil({ plan }: { plan: Shape<'Plan'> }) {
  const figure = (id: string) => plan.figures[id]
  return (
    <div className="border-line mt-4 border-t pt-3">
      <p className="font-medium">As an oil</p>
      <FatPicture picture={plan.picture} name="Its fats" />
      <ul className="text-soft mt-1 flex flex-wrap gap-x-4">
        {(
          [
            ['density', ''],
            ['iodine_value', 'iodine value'],
            ['oxidisability', 'takes up oxygen'],
            ['sets_below', 'sets under'],
          ] as const
        ).map(([id, name]) =>
          figure(id) ? (
            <li key={id}>
              {name} <Figure name={name || 'density'} figure={figure(id)} size="text-base" />
            </li>
          ) : null,
        )}
      </ul>
    </div>
  )
}

export function Amounts({
  plan,
  kitchenFirst,
  cold,
  oilNotes,
  keepingNotes,
}: {
  plan: Shape<'Plan'>
  kitchenFirst: boolean
  /** How cold the cold kind is kept. */
  cold: string
  oilNotes: ReactNode
  keepingNotes: ReactNode
}) {
  const figure = (id: string) => plan.figures[id]
  const other = (id: string) => (kitchenFirst ? figure(id)?.text : figure(id)?.kitchen?.text) ?? ''
  const lot = (kind: string, index: number) => {
    const need = plan.stores.filter((each) => each.kind === kind)[index]
    const take = need?.takes[0]
    if (need && need.takes.length > 1) return ` · from ${need.takes.length} lots`
    return take ? ` · ${take.left_text} left after` : ''
  }
  // Never strained, it is used from the top.
  const clear = plan.strained === false
  return (
    <section className="border-line lg:border-s lg:ps-7" aria-label="Weigh and pour">
      <h2 className="column-head font-text text-base">Weigh and pour</h2>
      {plan.herbs.map((herb, index) => {
        const id = plan.herbs.length > 1 ? `herb_mass.${index}` : 'herb_mass'
        return (
          <Row
            key={herb.name + herb.state + herb.form}
            name={capital(herb.name)}
            detail={`${herb.form_name} · ${other(id)}${lot('herb', index)}`}
            mark="var(--herb)"
          >
            <Figure name={capital(herb.name)} figure={figure(id)} kitchenFirst={kitchenFirst} />
          </Row>
        )
      })}
      {figure('dry_equivalent') ? (
        <Row name="Worth, as dry herb" detail="its water reckoned off">
          <Figure name="Worth, as dry herb" figure={figure('dry_equivalent')} size="text-xl" />
        </Row>
      ) : null}
      {plan.oils.map((oil, index) => (
        <Row
          key={oil.id}
          name={capital(oil.name)}
          detail={
            figure(`oil_melted.${oil.id}`) ? (
              <>
                weighed hard; melted{' '}
                <Figure name={`${oil.name}, melted`} figure={figure(`oil_melted.${oil.id}`)} size="text-base" />
                {lot('carrier', index)}
              </>
            ) : (
              `${other(`oil_volume.${oil.id}`)} · ${figure(`oil_mass.${oil.id}`)?.text ?? ''}${lot('carrier', index)}`
            )
          }
          mark={index === 0 ? 'var(--oil)' : 'var(--oil-pale)'}
        >
          <Figure
            name={capital(oil.name)}
            figure={figure(figure(`oil_melted.${oil.id}`) ? `oil_mass.${oil.id}` : `oil_volume.${oil.id}`)}
            kitchenFirst={kitchenFirst}
          />
        </Row>
      ))}
      {oilNotes}
      <h2 className="column-head font-text mt-6 text-base">What comes of it</h2>
      <Row
        name={clear ? 'Clear, above its sediment' : `Out of the cloth, ${plan.way}`}
        detail={`${figure('yield_volume')?.range_text ?? ''}, nine times in ten`}
      >
        <Figure
          name={clear ? 'Clear, above its sediment' : 'Out of the cloth'}
          figure={figure('yield_volume')}
          kitchenFirst={kitchenFirst}
        />
      </Row>
      <Row
        name={plan.kept === 'fridge' ? 'Use by' : 'Keeps until'}
        detail={
          plan.kept === 'fridge'
            ? `at ${cold}, from the hour it is cool`
            : clear
              ? 'cool and dark, on its powder'
              : 'cool and dark, in a full dark bottle'
        }
      >
        <Figure name="Keeps until" figure={figure('best_before')} size="text-xl" />
      </Row>
      {plan.method.heated ? (
        <Row
          name="At warmth"
          detail={
            figure('warm_up') ? (
              <>
                after <Figure name="Getting warm" figure={figure('warm_up')} size="text-base" /> getting warm
              </>
            ) : (
              (figure('warm_hours')?.range_text ?? '')
            )
          }
        >
          <Figure name="At warmth" figure={figure('warm_hours')} size="text-xl" />
        </Row>
      ) : null}
      <Row name="Hands-on" detail={clear ? 'weighing to pouring' : 'weighing to bottling'}>
        <Figure name="Hands-on" figure={figure('hands_on')} size="text-xl" />
      </Row>
      {figure('strain_within') ? (
        <Row name="Strain within" detail="of the heat, before it sets">
          <Figure name="Strain within" figure={figure('strain_within')} size="text-xl" />
        </Row>
      ) : null}
      {figure('cost') ? (
        <Row
          name="Costs"
          detail={
            <>
              for 100 mL <Figure name="Costs for 100 mL" figure={figure('cost_per_100')} size="text-base" />
            </>
          }
        >
          <Figure name="Costs" figure={figure('cost')} size="text-xl" />
        </Row>
      ) : null}
      {keepingNotes}
    </section>
  )
}
