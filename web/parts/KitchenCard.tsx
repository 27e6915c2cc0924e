import type { Shape } from '../api/hooks'

/** The plan on one page, to stand by the stove and be ticked off. Prints on A4. */
export function KitchenCard({ card }: { card: Shape<'CardView'> }) {
  return (
    <article className="mx-auto flex w-full max-w-[178mm] flex-col gap-4 border border-gray-400 bg-white p-[9mm] text-black print:border-0 print:p-0">
      <header className="flex flex-wrap items-start justify-between gap-x-6">
        <h1 className="text-3xl">{card.name}</h1>
        <p className="figures whitespace-nowrap">{card.corner}</p>
      </header>
      <p>{card.sentence}</p>
      <dl className="grid grid-cols-[1fr_auto] border-t border-gray-400">
        {card.amounts.map((row) => (
          <div key={row.name} className="contents [&>*]:border-b [&>*]:border-gray-300 [&>*]:py-1.5">
            <dt>{row.name}</dt>
            <dd className="figures text-end text-xl font-semibold">
              {row.amount} <span className="text-base font-normal">{row.also}</span>
            </dd>
          </div>
        ))}
      </dl>
      <ol className="flex flex-col gap-2">
        {card.steps.map((says) => (
          <li key={says} className="flex break-inside-avoid items-start gap-3">
            <label className="flex items-start gap-3">
              <input type="checkbox" className="mt-1 size-5 shrink-0 accent-black" />
              <span>{says}</span>
            </label>
          </li>
        ))}
      </ol>
      <ul className="flex flex-col gap-1 border-t border-gray-400 pt-2">
        {card.notes.map((note) => (
          <li key={note.says}>
            {note.care ? <strong>Care. </strong> : null}
            {note.says}
          </li>
        ))}
      </ul>
    </article>
  )
}
