import type { Shape } from '../api/hooks'

/** The plan on one page, to stand by the stove and be ticked off. Prints on A4. */
export function KitchenCard({ plan, corner }: { plan: Shape<'Plan'>; corner: string }) {
  const text = (id: string) => plan.figures[id]?.text ?? ''
  const herbs = plan.herbs ?? [plan.herb]
  return (
    <article className="mx-auto flex w-full max-w-[178mm] flex-col gap-4 border border-gray-400 bg-white p-[9mm] text-black print:border-0 print:p-0">
      <header className="flex items-start justify-between gap-6">
        <h1 className="text-3xl">{plan.name}</h1>
        <p className="figures whitespace-nowrap">{corner}</p>
      </header>
      <p>{plan.sentence_text}</p>
      <dl className="grid grid-cols-[1fr_auto] border-t border-gray-400">
        {herbs.map((herb, index) => (
          <div key={herb.name + herb.form_name} className="contents [&>*]:border-b [&>*]:border-gray-300 [&>*]:py-1.5">
            <dt>
              {herb.name}, {herb.form_name}
            </dt>
            <dd className="figures text-right text-xl font-semibold">
              {text(herbs.length > 1 ? `herb_mass.${index}` : 'herb_mass')}
            </dd>
          </div>
        ))}
        {plan.oils.map((oil) => (
          <div key={oil.id} className="contents [&>*]:border-b [&>*]:border-gray-300 [&>*]:py-1.5">
            <dt>{oil.name}</dt>
            <dd className="figures text-right text-xl font-semibold">
              {text(`oil_volume.${oil.id}`)} <span className="text-base font-normal">{text(`oil_mass.${oil.id}`)}</span>
            </dd>
          </div>
        ))}
      </dl>
      <ol className="flex flex-col gap-2">
        {(plan.steps ?? []).map((step) => (
          <li key={step.id} className="flex break-inside-avoid items-start gap-3">
            <label className="flex items-start gap-3">
              <input type="checkbox" className="mt-1 size-5 shrink-0 accent-black" />
              <span>{step.says}</span>
            </label>
          </li>
        ))}
      </ol>
      <ul className="flex flex-col gap-1 border-t border-gray-400 pt-2">
        {plan.notes.map((note) => (
          <li key={note.id}>
            {note.rank === 'note' ? null : <strong>Care. </strong>}
            {note.says}
          </li>
        ))}
      </ul>
    </article>
  )
}
