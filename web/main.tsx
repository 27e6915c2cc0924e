import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { setNonce } from 'get-nonce'
import { StrictMode, startTransition, Suspense } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, matchPath, Navigate, Route, Routes } from 'react-router'
import { Problem } from './api/client'
import { Frame } from './frame/Frame'
import { KeysProvider } from './frame/keys'
import { SayProvider } from './frame/Say'
import { place } from './frame/place'
import { Waiting } from './parts/Notice'
import { install } from './offline/known'
import { fetchPanels } from './parts/panels'
import { holdPresses } from './parts/press'
import places from './places.json'
import './style.css'

const Home = place(async () => ({ default: (await import('./door/Door')).Home }))
const Door = place(async () => ({ default: (await import('./door/Door')).Door }))
const Join = place(() => import('./door/Join'))
const NewPassword = place(() => import('./door/NewPassword'))
/** Each place's code, by its file: which address is which place, and what it asks for first, is said in places.json. */
const SCRIPTS: Record<string, ReturnType<typeof place>> = {
  'today/Today': place(() => import('./today/Today')),
  'today/FirstDay': place(() => import('./today/FirstDay')),
  'bench/Bench': place(() => import('./bench/Bench')),
  'bench/Card': place(() => import('./bench/Card')),
  'boil/Boil': place(() => import('./boil/Boil')),
  'recipes/Recipes': place(() => import('./recipes/Recipes')),
  'recipes/ReadRecipe': place(() => import('./recipes/ReadRecipe')),
  'recipes/RecipePage': place(() => import('./recipes/RecipePage')),
  'melt/Melt': place(() => import('./melt/Melt')),
  'making/MakingPage': place(() => import('./making/MakingPage')),
  'labels/Labels': place(() => import('./labels/Labels')),
  'trace/TracePage': place(() => import('./trace/TracePage')),
  'stores/Stores': place(() => import('./stores/Stores')),
  'stores/NewLot': place(() => import('./stores/NewLot')),
  'stores/StoresFile': place(() => import('./stores/StoresFile')),
  'stores/LotPage': place(() => import('./stores/LotPage')),
  'shelf/Shelf': place(() => import('./shelf/Shelf')),
  'shelf/Before': place(() => import('./shelf/Before')),
  'stove/Stove': place(() => import('./stove/Stove')),
  'stove/Pot': place(() => import('./stove/Pot')),
  'boil/BoilingPot': place(() => import('./boil/BoilingPot')),
  'diary/Diary': place(() => import('./diary/Diary')),
  'press/Press': place(() => import('./press/Press')),
  'batch/BatchPage': place(() => import('./batch/BatchPage')),
  'batch/BatchCard': place(() => import('./batch/BatchCard')),
  'almanac/Almanac': place(() => import('./almanac/Almanac')),
  'almanac/Yields': place(() => import('./almanac/Yields')),
  'almanac/FaultFinder': place(() => import('./almanac/FaultFinder')),
  'almanac/WhichSolvent': place(() => import('./almanac/WhichSolvent')),
  'almanac/OwnPage': place(() => import('./almanac/OwnPage')),
  'almanac/AlmanacPage': place(() => import('./almanac/AlmanacPage')),
  'practice/Practice': place(() => import('./practice/Practice')),
  'house/House': place(() => import('./house/House')),
}

setNonce(document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '')

install()
holdPresses()

const client = new QueryClient({
  defaultOptions: {
    queries: {
      // A sentence from the server will not change by asking again; a lost connection may.
      retry: (count, error) => count < 2 && (!(error instanceof Problem) || error.status === 0 || error.status >= 500),
      refetchOnWindowFocus: true,
      // Offline is found out by trying: what was known last is answered then.
      networkMode: 'always',
    },
  },
})

// Who is signed in came with the page.
const me = document.getElementById('me')?.textContent
if (me) client.setQueryData(['me'], JSON.parse(me))

const root = document.getElementById('kettle')
const draw = () => {
  if (root)
    createRoot(root).render(
      <StrictMode>
        <QueryClientProvider client={client}>
          <KeysProvider>
            <SayProvider>
              <BrowserRouter>
                <Suspense fallback={<Waiting what="the place" />}>
                  <Routes>
                    <Route path="/" element={<Home />} />
                    <Route path="/sign-in" element={<Door />} />
                    <Route path="/join/:token" element={<Join />} />
                    <Route path="/new-password/:token" element={<NewPassword />} />
                    <Route path="/h/:house" element={<Frame />}>
                      <Route index element={<Navigate to="today" replace />} />
                      {places.map(({ address, script }) => {
                        const Place = SCRIPTS[script]
                        return Place && <Route key={address} path={address} element={<Place />} />
                      })}
                      <Route path="*" element={<p>There is no such place. The bar has those there are.</p>} />
                    </Route>
                    <Route path="*" element={<Navigate to="/" replace />} />
                  </Routes>
                </Suspense>
              </BrowserRouter>
            </SayProvider>
          </KeysProvider>
        </QueryClientProvider>
      </StrictMode>,
    )
}

// The place that was asked for comes beside the rest; it is drawn with it, or after half a second without it. The door says all
// that it says at once, and waits for its letters too, so that no line breaks anew; a place's words come after, with its answers.
const at = (address: string) => matchPath(address, window.location.pathname)
const asked = places.find(({ address }) => at(`/h/:house/${address}`))
const first = (asked ? SCRIPTS[asked.script] : at('/h/*') ? undefined : at('/sign-in') ? Door : Home)?.fetch()
const style = getComputedStyle(document.documentElement)
const letters = (asked ? [] : ['--font-text', '--font-display']).map((family) =>
  document.fonts.load(`1em ${style.getPropertyValue(family)}`),
)
void Promise.race([Promise.all([first, ...letters]), new Promise((late) => setTimeout(late, 500))])
  .catch(() => {})
  .then(() => startTransition(draw))
  .then(() => setTimeout(fetchPanels, 3000))
