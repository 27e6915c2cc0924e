import { Figure } from '../parts/Figure'
import { Row } from '../parts/Row'
import { fillOf } from './Pot'
import type { Product } from './wish'
import { capital } from '../parts/letters'

/** What is weighed, in the order of the scale, and what comes of it. */
export function Weigh({ plan, kitchenFirst }: { plan: Product; kitchenFirst: boolean }) {
  const figure = (id: string) => plan.figures[id]
  const short = plan.tins.wished > plan.tins.count
  return (
    <section className="border-line lg:border-s lg:ps-7" aria-label="Weigh, onto one scale">
      <h2 className="column-head font-text text-base">Weigh, onto one scale</h2>
      {plan.pot.map((part) => (
        <Row
          key={`${part.kind}.${part.id}`}
          name={capital(part.name)}
          mark={fillOf(part.kind)}
          detail={
            part.cool
              ? `${part.share_text} · off the heat, last`
              : `${part.share_text} · the scale then reads ${part.reads_text ?? ''}`
          }
        >
          <Figure
            name={capital(part.name)}
            figure={figure(part.drops === null ? `mass.${part.id}` : `drops.${part.id}`)}
            kitchenFirst={kitchenFirst && part.kind === 'oil'}
          />
        </Row>
      ))}
      <h2 className="column-head font-text mt-6 text-base">What comes of it</h2>
      <Row
        name={`${capital(plan.tins.vessel)}s`}
        detail={
          figure('net_mass') ? (
            <>
              <Figure name="Net weight of each" figure={figure('net_mass')} size="text-base" /> in each ·{' '}
              <Figure name="Left over" figure={figure('left_over')} size="text-base" /> over
            </>
          ) : (
            <>
              <Figure name="Left over" figure={figure('left_over')} size="text-base" /> over
            </>
          )
        }
      >
        <Figure name="Filled" figure={figure('tins')} />
        {short ? <span className="text-soft"> of {plan.tins.wished}</span> : null}
      </Row>
      <Row name="In all" detail={plan.figures.total_volume?.text ?? ''}>
        <Figure name="In all" figure={figure('total_mass')} size="text-xl" />
      </Row>
      <Row name="Keeps until" detail="as its weakest part">
        <Figure name="Keeps until" figure={figure('best_before')} size="text-xl" />
      </Row>
      {figure('melt_to') ? (
        <Row
          name="Melt to"
          detail={
            <>
              pour at <Figure name="Pour at" figure={figure('pour_at')} size="text-base" />
            </>
          }
        >
          <Figure name="Melt to" figure={figure('melt_to')} size="text-xl" />
        </Row>
      ) : null}
      {figure('scent_percent') ? (
        <Row name="Scent in all" detail="of the whole, by weight">
          <Figure name="Scent in all" figure={figure('scent_percent')} size="text-xl" />
        </Row>
      ) : null}
      {figure('cost') ? (
        <Row
          name="Costs"
          detail={
            figure('cost_per_tin') ? (
              <>
                each <Figure name="Costs each" figure={figure('cost_per_tin')} size="text-base" />
              </>
            ) : (
              'of what is in Stores'
            )
          }
        >
          <Figure name="Costs" figure={figure('cost')} size="text-xl" />
        </Row>
      ) : null}
      <Row name="Hands-on" detail="weighing to labelling">
        <Figure name="Hands-on" figure={figure('hands_min')} size="text-xl" />
      </Row>
    </section>
  )
}
