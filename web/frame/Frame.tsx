import { useIsFetching, useMutationState, useQueryClient } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useRef, useState } from 'react'
import { Link, Navigate, Outlet, useLocation, useNavigate } from 'react-router'
import { useHouseId, useMe } from '../api/hooks'
import { Trouble, Waiting } from '../parts/Notice'
import { FindBox } from './FindBox'
import { KeysHelp } from './KeysHelp'
import { useKnownFrom } from '../offline/known'
import { asOf } from '../parts/moment'
import { useKey } from './keys'

/** It watches over what is not sent yet, and can do so a moment after the page is there. */
const UnsentBar = lazy(() => import('../offline/UnsentBar'))

/** On a phone those at the thumb stand in the bar, the rest one press away. */
const PLACES = [
  { path: 'today', name: 'Today', key: 't', thumb: true },
  { path: 'bench', name: 'Bench', key: 'b', thumb: true },
  { path: 'shelf', name: 'Shelf', key: 's', thumb: true },
  { path: 'stove', name: 'Stove', key: 'w', thumb: true },
  { path: 'press', name: 'Press', key: 'p' },
  { path: 'melt', name: 'Melt', key: 'm' },
  { path: 'stores', name: 'Stores', key: 'c' },
  { path: 'almanac', name: 'Almanac', key: 'a' },
  { path: 'practice', name: 'Practice', key: 'r' },
  { path: 'house', name: 'House', key: 'h' },
]

/** Pages that belong to a place and have a name of their own. */
const ALSO: Record<string, string> = { boil: 'bench', recipes: 'bench', making: 'melt', batch: 'shelf' }

/** The place an address is in: of "/h/skerry/boil" the Bench. */
function placeOf(pathname: string) {
  const name = pathname.split('/')[3] ?? ''
  return PLACES.find((place) => place.path === (ALSO[name] ?? name))
}

function PlaceKey({ place, base }: { place: (typeof PLACES)[number]; base: string }) {
  const go = useNavigate()
  useKey(place.key, `Go to ${place.name}`, () => void go(`${base}/${place.path}`))
  return null
}

/** The places: in one line where there is room; on a phone four of them, and the rest behind one button. */
function Places({ base }: { base: string }) {
  const location = useLocation()
  // Where it was opened: gone somewhere else, there is nothing more to choose.
  const [opened, setOpened] = useState('')
  const more = opened === location.pathname
  const setMore = (is: boolean) => setOpened(is ? location.pathname : '')
  const button = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (!more) return undefined
    const shut = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return
      setOpened('')
      button.current?.focus()
    }
    window.addEventListener('keydown', shut)
    return () => window.removeEventListener('keydown', shut)
  }, [more])
  const at = placeOf(location.pathname)
  const here = at?.thumb ? undefined : at
  return (
    <nav
      aria-label="Places"
      className="bg-plate border-rim fixed inset-x-0 bottom-0 z-20 border-t-[3px] lg:static lg:shrink-0 lg:border-0"
    >
      <div className="flex max-sm:flex-wrap-reverse lg:justify-start">
        {PLACES.map((place) => (
          <Link
            key={place.path}
            to={`${base}/${place.path}`}
            aria-keyshortcuts={place.key}
            aria-current={place === at ? (location.pathname === `${base}/${place.path}` ? 'page' : 'true') : undefined}
            className={[
              'flex min-h-12 shrink-0 items-center max-lg:justify-center max-sm:min-w-0 max-sm:basis-1/5',
              'sm:max-lg:grow lg:px-2.5 2xl:px-3.5',
              place.thumb ? 'max-sm:order-first' : more ? 'max-sm:border-line max-sm:border-b' : 'max-sm:hidden',
              place === at ? 'bg-rim text-on-rim font-semibold' : 'text-soft',
            ].join(' ')}
          >
            {place.name}
          </Link>
        ))}
        <button
          ref={button}
          type="button"
          aria-expanded={more}
          className={`flex min-h-12 min-w-0 basis-1/5 items-center justify-center max-sm:order-first sm:hidden ${here ? 'bg-rim text-on-rim font-semibold' : 'text-soft'}`}
          onClick={() => setMore(!more)}
        >
          {here && !more ? here.name : 'More'}
          {here && !more ? <span className="sr-only">, and more places</span> : null}
        </button>
      </div>
    </nav>
  )
}

function useOnline(): boolean {
  const [online, setOnline] = useState(navigator.onLine)
  useEffect(() => {
    const change = () => setOnline(navigator.onLine)
    window.addEventListener('online', change)
    window.addEventListener('offline', change)
    return () => {
      window.removeEventListener('online', change)
      window.removeEventListener('offline', change)
    }
  }, [])
  return online
}

/** The bar, the place, and what is everywhere: find, keys, the house. */
export function Frame() {
  const me = useMe()
  const house = useHouseId()
  const location = useLocation()
  const [finding, setFinding] = useState(false)
  const [helping, setHelping] = useState(false)
  const online = useOnline()
  const knownFrom = useKnownFrom()
  const busy = useIsFetching() > 0
  const again = useMutationState({ filters: { status: 'pending', predicate: (each) => each.state.failureCount > 0 } })
  const client = useQueryClient()
  const go = useNavigate()
  useKey('d', 'Go to the days to come', () => void go(`/h/${house}/diary`))
  useKey('/', 'Find a jar, a plant or a place', () => setFinding(true))
  useKey('?', 'Show the keys', () => setHelping(true))
  useEffect(() => {
    const place = placeOf(location.pathname)
    document.title = `${place ? `${place.name} · ` : ''}Warm Kettle`
  }, [location.pathname])

  useEffect(() => {
    // Not for the first screen.
    const begun = import('./keepFocus').then(({ keepFocus }) => keepFocus())
    return () => void begun.then((end) => end())
  }, [])

  if (me.isPending) return <Waiting what="the house" />
  if (me.isError)
    return (
      <main className="p-10">
        <Trouble problem={me.error} />
      </main>
    )
  if (!me.data.signed_in) return <Navigate to="/sign-in" state={{ to: location.pathname }} replace />
  const current = me.data.houses.find((each) => each.id === house)
  if (!current) return <Navigate to="/" replace />
  const base = `/h/${house}`
  return (
    <div className="flex min-h-screen flex-col pb-16 lg:pb-0">
      <a href="#main" className="bg-plate sr-only focus:not-sr-only focus:absolute focus:z-50 focus:p-3">
        Skip to the place itself
      </a>
      {PLACES.map((place) => (
        <PlaceKey key={place.path} place={place} base={base} />
      ))}
      <header className="no-print bg-plate border-rim flex items-stretch border-b-[3px] px-4 sm:px-6">
        <Link to={`${base}/today`} className="font-display my-auto py-2 text-xl sm:shrink-0 font-semibold lg:me-5">
          Warm Kettle
        </Link>
        <Places base={base} />
        <div className="ms-auto flex min-w-0 items-center gap-1">
          <button
            type="button"
            className="min-h-11 shrink-0 px-3"
            onClick={() => setFinding(true)}
            aria-keyshortcuts="/"
          >
            Find<span className="text-soft max-sm:hidden"> /</span>
          </button>
          <Link to={`${base}/house`} className="text-soft flex min-h-11 min-w-0 items-center px-2">
            <span className="max-w-36 truncate sm:max-lg:max-w-80 xl:max-w-60">{current.name}</span>
          </Link>
        </div>
      </header>
      {online && !knownFrom ? null : (
        <p role="alert" className="bg-warmth-pale px-6 py-2">
          {knownFrom
            ? `The kettle does not answer. This is as it was known ${asOf(knownFrom)}; ` +
              'work that you write down is kept on this device, and sent when it is back. '
            : 'The connection is lost. Work that you write down is kept on this device, and sent when it is back. '}
          <button type="button" className="underline" onClick={() => void client.invalidateQueries()}>
            Try now
          </button>
        </p>
      )}
      <Suspense>
        <UnsentBar who={me.data.id} online={online} />
      </Suspense>
      {current.goes ? (
        <p role="status" className="bg-warmth-pale px-6 py-2">
          {current.name} is deleted on {current.goes}. A keeper can still{' '}
          <Link className="underline" to={`${base}/house`}>
            keep it
          </Link>
          .
        </p>
      ) : null}
      {again.length > 0 ? (
        <p role="status" className="bg-oil-pale px-6 py-2">
          The kettle did not answer. It is being tried again by itself; what you entered is done once.
        </p>
      ) : null}
      <main
        id="main"
        tabIndex={-1}
        aria-busy={busy}
        className="mx-auto w-full max-w-[1280px] flex-1 px-4 py-6 outline-none sm:px-10"
      >
        <Outlet context={{ role: current.role, kitchen: me.data.amounts === 'kitchen' }} />
      </main>
      <FindBox open={finding} onOpenChange={setFinding} base={base} />
      <KeysHelp open={helping} onOpenChange={setHelping} />
    </div>
  )
}
