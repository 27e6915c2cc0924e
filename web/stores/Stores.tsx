import { useDeferredValue, useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { type Shape, useHouseId, useOfHouse } from '../api/hooks'
import { useKey } from '../frame/keys'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { Button, ButtonLink } from '../parts/Button'
import { Field } from '../parts/Field'
import { capital } from '../parts/letters'

type Lot = Shape<'LotView'>

const FILL: Record<string, string> = {
  herb: 'var(--herb)',
  carrier: 'var(--oil)',
  wax: 'var(--wax)',
  jar: 'var(--water)',
  bottle: 'var(--water)',
  scent: 'var(--herb-pale)',
  addition: 'var(--wax)',
  tin: 'var(--water)',
}

/** How full it still is, as a small upright tin drawn from the share that is left. */
export function Tin({ lot, tall = 44 }: { lot: Lot; tall?: number }) {
  const wide = tall * 0.6
  const high = (tall - 4) * lot.share_left
  return (
    <svg width={wide} height={tall} aria-hidden className="shrink-0">
      <rect x={2} y={tall - 2 - high} width={wide - 4} height={high} fill={FILL[lot.kind]} />
      <rect x={1} y={1} width={wide - 2} height={tall - 2} rx={3} fill="none" stroke="var(--rim)" strokeWidth={2} />
    </svg>
  )
}

/** The boards of an empty cupboard. */
const BOARDS = [
  { name: 'Herbs', says: 'each lot with its day, where it came from, and how it smelled' },
  { name: 'Oils', says: 'how much is left, when it was opened, how long it keeps' },
  { name: 'The rest', says: 'wax, scents, jars, bottles and tins, counted' },
]

export default function Stores() {
  const house = useHouseId()
  const { works } = usePart()
  const go = useNavigate()
  const [query, setQuery] = useSearchParams()
  const [typed, setTyped] = useState('')
  const asked = useDeferredValue(typed.trim())
  const kind = query.get('kind') ?? ''
  const used = query.get('used') === '1'
  const page = Number(query.get('page') ?? '1')
  const stores = useOfHouse(`/stores?kind=${kind}&q=${encodeURIComponent(asked)}&page=${page}&used=${used ? 1 : 0}`)
  useKey('n', 'Enter a lot', () => void go(`/h/${house}/stores/new`), works)
  const { there, instead } = useArrived(stores, 'the stores')
  if (!there) return instead
  const { kinds, lots, total, pages } = there
  const put = (change: Record<string, string>) => {
    const next = new URLSearchParams(query)
    for (const [key, value] of Object.entries({ page: '', ...change })) {
      if (value) next.set(key, value)
      else next.delete(key)
    }
    setQuery(next, { replace: true })
  }
  const bare = kinds.every((each) => each.count === 0)
  const files = (
    <>
      <ButtonLink to={`/h/${house}/stores/file`}>From and to a file</ButtonLink>
      {works ? (
        <ButtonLink look="strong" to={`/h/${house}/stores/new${kind ? `?kind=${kind}` : ''}`} aria-keyshortcuts="n">
          Enter a lot
        </ButtonLink>
      ) : null}
    </>
  )
  if (bare && !used && asked === '')
    return (
      <div className="flex flex-col items-start gap-5">
        <h1 className="text-4xl">The cupboard is bare.</h1>
        <ul className="border-rim w-full max-w-3xl border-x-[5px] border-t-[5px]" aria-label="What will stand in it">
          {BOARDS.map((board) => (
            <li key={board.name} className="border-rim flex min-h-24 items-end gap-4 border-b-[5px] px-4 pt-3">
              <strong className="w-24 shrink-0 pb-2">{board.name}</strong>
              <span className="border-soft text-soft mb-0 flex-1 border-2 border-b-0 border-dashed px-3 py-3">
                {board.says}
              </span>
            </li>
          ))}
        </ul>
        <p>Enter what you have, lot by lot: plans then take from it, and tell you before it runs out or goes off.</p>
        <div className="flex flex-wrap gap-3">{files}</div>
      </div>
    )
  return (
    <div className="flex flex-col gap-5">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-4xl">Stores</h1>
        <div className="flex flex-wrap gap-2">{files}</div>
      </header>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <ul className="flex flex-wrap gap-1">
          {[{ kind: '', name: 'All', count: kinds.reduce((sum, each) => sum + each.count, 0) }, ...kinds].map(
            (each) => (
              <li key={each.kind}>
                <button
                  type="button"
                  aria-pressed={kind === each.kind}
                  className={`min-h-11 rounded-rim px-3 ${kind === each.kind ? 'bg-rim text-on-rim font-semibold' : ''}`}
                  onClick={() => put({ kind: each.kind })}
                >
                  {each.name} <span className="figures">{each.count}</span>
                </button>
              </li>
            ),
          )}
        </ul>
        <div className="w-60">
          <Field
            label="Find in Stores"
            value={typed}
            onChange={(e) => {
              setTyped(e.target.value)
              put({})
            }}
          />
        </div>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5"
            checked={used}
            onChange={(e) => put({ used: e.target.checked ? '1' : '' })}
          />
          Also what is used up
        </label>
      </div>
      <ul className="border-rim grid border-t-[3px] lg:grid-cols-2 lg:gap-x-10">
        {lots.map((lot) => (
          <Row key={lot.id} lot={lot} />
        ))}
      </ul>
      {lots.length === 0 ? <p>Nothing of that here.</p> : null}
      {pages > 1 ? (
        <nav aria-label="Pages" className="flex items-center gap-4">
          <Button disabled={page <= 1} onClick={() => put({ page: String(page - 1) })}>
            Before
          </Button>
          <span className="figures">
            {page} of {pages}, {total} lots
          </span>
          <Button disabled={page >= pages} onClick={() => put({ page: String(page + 1) })}>
            Further
          </Button>
        </nav>
      ) : null}
    </div>
  )
}

function Row({ lot }: { lot: Lot }) {
  const house = useHouseId()
  return (
    <li className="border-line border-b">
      <Link to={`/h/${house}/stores/${lot.id}`} className="group flex items-center gap-4 py-2.5">
        <Tin lot={lot} />
        <span className="min-w-0 flex-1">
          <strong className="block group-hover:underline">{capital(lot.called)}</strong>
          <span className="text-soft block">
            {[lot.what === lot.called ? '' : lot.what, lot.got].filter(Boolean).join(' · ')}
          </span>
          {lot.condition === 'sound' ? null : (
            <span className="block">
              <strong className={lot.condition === 'past' ? 'text-warmth' : ''}>
                {lot.condition === 'past' ? 'Past.' : 'Ageing.'}
              </strong>{' '}
              {lot.why[0]}
            </span>
          )}
        </span>
        <span className="figures text-end whitespace-nowrap">
          <span className="text-xl font-semibold">{lot.left_text}</span>
          <span className="text-soft block">
            {lot.low ? <strong className="text-ink">Low</strong> : `of ${lot.got_text}`}
          </span>
        </span>
      </Link>
    </li>
  )
}
