import { memo, type ReactNode } from 'react'
import type { Shape } from '../api/hooks'
import { TextButton } from '../parts/Button'
import { Notice } from '../parts/Notice'
import { Why } from '../parts/Why'
import { byMethod, without } from './wish'

export type WayOut = { id: string; says: string; change: Record<string, unknown> }
export type Methods = Shape<'Methods'>
type School = Methods[number]['schools'][number]

/** Ways out of what will not do, each one press. */
export function WaysOut({ ways, take }: { ways: WayOut[]; take: (change: Record<string, unknown>) => void }) {
  if (ways.length === 0) return null
  return (
    <ul className="flex flex-col gap-1.5 ps-4">
      {ways.map((way) => (
        <li key={way.id}>
          <button
            type="button"
            className="border-rim min-h-11 rounded-rim border-2 px-3 py-1.5 text-start font-semibold"
            onClick={() => take(way.change)}
          >
            {way.says}
          </button>
        </li>
      ))}
    </ul>
  )
}

export function NoteWithWays({
  note,
  take,
  read,
}: {
  note: Omit<Shape<'Plan'>['notes'][number], 'about'> & { about?: string }
  take: (change: Record<string, unknown>) => void
  /** Whether it was read, and what to do when that is said; left out where nothing can be begun. */
  read?: { is: boolean; set: (is: boolean) => void } | undefined
}) {
  return (
    <li className="flex flex-col gap-2">
      <Notice rank={note.rank}>
        {note.rank === 'note' ? <span className="sr-only">Note. </span> : null}
        {note.says} {note.why ? <Why about={note.says} why={note.why} source={note.source ?? ''} /> : null}
      </Notice>
      {note.acknowledge && read ? (
        <label className="flex min-h-11 items-center gap-3 ps-4 font-semibold">
          <input
            type="checkbox"
            className="size-5"
            checked={read.is}
            onChange={(event) => read.set(event.target.checked)}
          />
          I have read this
        </label>
      ) : null}
      <WaysOut ways={note.ways as WayOut[]} take={take} />
    </li>
  )
}

const day = (text: string) => new Date(text).getTime()

/** One method's days on the common line: warm hours, weeks on the shelf, settling. */
function Bar({ school, from, to, wanted }: { school: School; from: number; to: number; wanted: number | null }) {
  const at = (moment: number) => Math.max(0, Math.min(400, ((moment - from) / Math.max(1, to - from)) * 400))
  const fill = at(day(school.fill_at))
  const strain = at(day(school.strain_at))
  const ready = at(day(school.ready_on) + 43_200_000)
  return (
    <svg viewBox="0 0 400 18" className="w-full" aria-hidden preserveAspectRatio="none">
      <line x1={0} x2={400} y1={17} y2={17} stroke="var(--line)" />
      {school.sessions.length === 0 ? (
        <rect x={fill} y={4} width={Math.max(2, strain - fill)} height={10} fill="var(--herb-pale)" />
      ) : (
        school.sessions.map((session) => (
          <rect
            key={session.from}
            x={at(day(session.from))}
            y={4}
            width={Math.max(3, at(day(session.to)) - at(day(session.from)))}
            height={10}
            fill="var(--warmth)"
          />
        ))
      )}
      <rect x={strain} y={4} width={Math.max(2, ready - strain)} height={10} fill="var(--water-pale)" />
      {wanted === null ? null : (
        <line x1={at(wanted)} x2={at(wanted)} y1={0} y2={18} stroke="var(--ink)" strokeWidth={2.5} />
      )}
    </svg>
  )
}

type Props = {
  methods: Methods
  wanted: string | null | undefined
  take: (change: Record<string, unknown>) => void
}

/** Every method for the same wish, on one line of days. Press one to take it. */
export const MethodsSideBySide = memo(function MethodsSideBySide({ methods, wanted, take }: Props) {
  const shown = methods.map((method) => ({
    method,
    school: method.schools.find((each) => each.id === method.school) ?? method.schools[0],
  }))
  const from = Math.min(...shown.map(({ school }) => day(school?.fill_at ?? '')))
  const last = Math.max(...shown.map(({ school }) => day(school?.ready_on ?? '')))
  const due = wanted ? day(wanted) + 43_200_000 : null
  const to = Math.max(last, due ?? 0) + 86_400_000
  return (
    <div>
      <ul className="flex flex-col sm:hidden" aria-label="Ways side by side">
        {shown.map(({ method, school }) =>
          school ? (
            <WayCard key={method.id} method={method} school={school} take={take}>
              <Bar school={school} from={from} to={to} wanted={due} />
            </WayCard>
          ) : null,
        )}
      </ul>
      <div className="overflow-x-auto max-sm:hidden">
        <table className="w-full min-w-[58rem] border-collapse">
          <thead>
            <tr className="text-soft border-line border-b [&_th]:text-start [&_th]:py-1.5 [&_th]:pe-4 [&_th]:font-normal">
              <th scope="col">Way</th>
              <th scope="col">Start by</th>
              <th scope="col">Ready</th>
              <th scope="col" className="w-[22%]">
                {wanted ? 'Up to the day wanted, and after' : 'The days'}
              </th>
              <th scope="col">Hands</th>
              <th scope="col">Warm</th>
              <th scope="col">Out</th>
              <th scope="col">What could go wrong</th>
            </tr>
          </thead>
          <tbody>
            {shown.map(({ method, school }) =>
              school ? (
                <tr
                  key={method.id}
                  className={`border-line border-b align-top [&_td]:py-2 [&_td]:pe-4 ${method.chosen ? 'bg-water-pale' : ''} ${method.refused ? 'text-soft' : ''}`}
                >
                  <th scope="row" className="py-2 pe-3 text-start font-semibold">
                    {method.refused || method.chosen ? (
                      method.name
                    ) : (
                      <TextButton
                        className="!min-h-6"
                        onClick={() => take({ ...without(method.drops), ...byMethod(method.id) })}
                      >
                        {method.name}
                      </TextButton>
                    )}
                    <span className="text-soft block font-normal">{school.span_text}</span>
                  </th>
                  {method.refused ? (
                    <td colSpan={6}>{method.refused}</td>
                  ) : (
                    <>
                      <td className="figures whitespace-nowrap">{school.start_text}</td>
                      <td className="figures whitespace-nowrap">
                        {school.ready_text}
                        {school.late_days > 0 ? (
                          <strong className="text-warmth block">
                            {school.late_days} {school.late_days === 1 ? 'day' : 'days'} late
                          </strong>
                        ) : null}
                      </td>
                      <td>
                        <Bar school={school} from={from} to={to} wanted={due} />
                      </td>
                      <td className="figures whitespace-nowrap">{school.hands_on_text}</td>
                      <td className="figures whitespace-nowrap">
                        {school.warm_text ?? '—'}
                        {school.by_text ? <span className="text-soft block">staying by it</span> : null}
                      </td>
                      <td className="figures whitespace-nowrap">{method.yield_text}</td>
                    </>
                  )}
                  <td>
                    {method.missing.length > 0 ? (
                      <strong className="block">Wants {method.missing.join(', ')}.</strong>
                    ) : null}
                    {method.risks[0]}
                  </td>
                </tr>
              ) : null,
            )}
          </tbody>
        </table>
      </div>
      <Schools methods={methods} take={take} />
    </div>
  )
})

/** A way as it is read on a phone, from its name down: when, how long, how much, and what could go wrong. */
function WayCard({
  method,
  school,
  take,
  children,
}: {
  method: Methods[number]
  school: School
  take: Props['take']
  children: ReactNode
}) {
  return (
    <li className={`border-line flex flex-col gap-1 border-b py-3 ${method.chosen ? 'bg-water-pale -mx-3 px-3' : ''}`}>
      <p className="flex items-baseline justify-between gap-3">
        {method.refused || method.chosen ? (
          <strong className="text-lg">{method.name}</strong>
        ) : (
          <TextButton className="text-lg" onClick={() => take({ ...without(method.drops), ...byMethod(method.id) })}>
            {method.name}
          </TextButton>
        )}
        <span className="text-soft">{method.chosen ? 'chosen' : school.span_text}</span>
      </p>
      {method.refused ? (
        <p className="text-soft">{method.refused}</p>
      ) : (
        <>
          {children}
          <p className="figures">
            Start by <strong>{school.start_text}</strong>, ready <strong>{school.ready_text}</strong>
            {school.late_days > 0 ? (
              <strong className="text-warmth">
                , {school.late_days} {school.late_days === 1 ? 'day' : 'days'} late
              </strong>
            ) : null}
          </p>
          <p className="figures">
            {school.hands_on_text} of work{school.warm_text ? `, ${school.warm_text} warm` : ''}
            {school.by_text ? `, staying by it ${school.by_text}` : ''}; {method.yield_text} out
          </p>
          <p className="text-soft">
            {method.missing.length > 0 ? <strong>Wants {method.missing.join(', ')}. </strong> : null}
            {method.risks[0]}
          </p>
        </>
      )}
    </li>
  )
}

/** The schools of the chosen method, beside one another. */
function Schools({ methods, take }: Pick<Props, 'methods' | 'take'>) {
  const chosen = methods.find((method) => method.chosen)
  if (!chosen || chosen.schools.length < 2) return null
  return (
    <div className="mt-5">
      <h3 className="font-semibold">Schools of {chosen.name}</h3>
      <ul className="mt-1 grid gap-x-8 md:grid-cols-2">
        {chosen.schools.map((school) => (
          <li key={school.id} className="border-line flex items-baseline justify-between gap-4 border-b py-2">
            <span>
              {school.id === chosen.school ? (
                <strong>{school.name}</strong>
              ) : (
                <TextButton onClick={() => take({ school: school.id, hours: null, warmth: null })}>
                  {school.name}
                </TextButton>
              )}
              <span className="text-soft block">{school.why}</span>
            </span>
            <span className="figures text-end whitespace-nowrap">
              {school.span_text}
              <span className="text-soft block">ready {school.ready_text}</span>
            </span>
          </li>
        ))}
      </ul>
      <p className="text-soft mt-2">Each keeps about as long: {chosen.keeps_text} from straining.</p>
    </div>
  )
}
