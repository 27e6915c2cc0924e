import type { Product } from './wish'

/** Its days in a row, from the first oil that is to be begun to the day it is wanted. */
export function Days({ days }: { days: NonNullable<Product['days']> }) {
  const steps = [
    ...days.oils.flatMap((oil) => [
      ...(oil.start_text ? [{ when: oil.start_text, what: `begin the ${oil.name}`, strong: true }] : []),
      {
        when: oil.pourable_text,
        what: oil.start_text ? 'it is in its bottles' : `${oil.name}: in its bottles`,
        strong: false,
      },
    ]),
    {
      when: days.make_text,
      what: days.ready_by === null || days.late ? 'it can be made from then on' : 'make it, from then on at the latest',
      strong: true,
    },
    ...(days.ready_text
      ? [{ when: days.ready_text, what: days.late ? 'ready: too late for its day' : 'ready', strong: false }]
      : []),
  ]
  return (
    <section aria-label="Its days">
      <ol className="flex flex-col sm:flex-row">
        {steps.map((step, at) => (
          <li
            key={step.what}
            className="border-rim relative flex-1 border-s-2 ps-4 pb-3 last:pb-0 sm:border-s-0 sm:border-t-2 sm:ps-0 sm:pe-4 sm:pt-3 sm:pb-0 max-sm:last:border-transparent"
          >
            <span
              aria-hidden
              className={`absolute -start-[7px] top-1 size-3 rounded-full border-2 sm:start-0 sm:-top-[7px] ${
                days.late && at === steps.length - 1
                  ? 'border-warmth bg-warmth'
                  : step.strong
                    ? 'border-ink bg-ink'
                    : 'border-ink bg-plate'
              }`}
            />
            <strong className="block">{step.when}</strong>
            <span className="text-soft">{step.what}</span>
          </li>
        ))}
      </ol>
    </section>
  )
}
