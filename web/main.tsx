import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { setNonce } from 'get-nonce'
import { StrictMode, startTransition, Suspense } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Problem } from './api/client'
import { Frame } from './frame/Frame'
import { KeysProvider } from './frame/keys'
import { SayProvider } from './frame/Say'
import { place } from './frame/place'
import { Waiting } from './parts/Notice'
import { install } from './offline/known'
import { fetchPanels } from './parts/panels'
import './style.css'

const Home = place(async () => ({ default: (await import('./door/Door')).Home }))
const Door = place(async () => ({ default: (await import('./door/Door')).Door }))
const Join = place(() => import('./door/Join'))
const NewPassword = place(() => import('./door/NewPassword'))
const Bench = place(() => import('./bench/Bench'))
const Boil = place(() => import('./boil/Boil'))
const BoilingPot = place(() => import('./boil/BoilingPot'))
const Melt = place(() => import('./melt/Melt'))
const MakingPage = place(() => import('./making/MakingPage'))
const TracePage = place(() => import('./trace/TracePage'))
const Today = place(() => import('./today/Today'))
const Shelf = place(() => import('./shelf/Shelf'))
const Before = place(() => import('./shelf/Before'))
const FirstDay = place(() => import('./today/FirstDay'))
const BatchPage = place(() => import('./batch/BatchPage'))
const WhichSolvent = place(() => import('./almanac/WhichSolvent'))
const Labels = place(() => import('./labels/Labels'))
const Press = place(() => import('./press/Press'))
const Almanac = place(() => import('./almanac/Almanac'))
const AlmanacPage = place(() => import('./almanac/AlmanacPage'))
const NewOwn = place(() => import('./almanac/OwnPage').then((page) => ({ default: page.NewOwn })))
const ChangeOwn = place(() => import('./almanac/OwnPage').then((page) => ({ default: page.ChangeOwn })))
const Yields = place(() => import('./almanac/Yields'))
const FaultFinder = place(() => import('./almanac/FaultFinder'))
const House = place(() => import('./house/House'))
const Card = place(() => import('./bench/Card'))
const BatchCard = place(() => import('./batch/BatchCard'))
const Stove = place(() => import('./stove/Stove'))
const Pot = place(() => import('./stove/Pot'))
const Diary = place(() => import('./diary/Diary'))
const Stores = place(() => import('./stores/Stores'))
const LotPage = place(() => import('./stores/LotPage'))
const NewLot = place(() => import('./stores/NewLot'))
const StoresFile = place(() => import('./stores/StoresFile'))
const Recipes = place(() => import('./recipes/Recipes'))
const ReadRecipe = place(() => import('./recipes/ReadRecipe'))
const RecipePage = place(() => import('./recipes/RecipePage'))

setNonce(document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '')

install()

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

const FIRST: Record<string, ReturnType<typeof place>> = {
  today: Today,
  bench: Bench,
  boil: Boil,
  shelf: Shelf,
  stove: Stove,
  press: Press,
  melt: Melt,
  making: MakingPage,
  trace: TracePage,
  stores: Stores,
  almanac: Almanac,
  diary: Diary,
  recipes: Recipes,
  house: House,
  batch: BatchPage,
}

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
                      <Route path="today" element={<Today />} />
                      <Route path="first" element={<FirstDay />} />
                      <Route path="bench" element={<Bench />} />
                      <Route path="bench/card" element={<Card />} />
                      <Route path="boil" element={<Boil />} />
                      <Route path="recipes" element={<Recipes />} />
                      <Route path="recipes/read" element={<ReadRecipe />} />
                      <Route path="recipes/:recipe" element={<RecipePage />} />
                      <Route path="melt" element={<Melt />} />
                      <Route path="making/:making" element={<MakingPage />} />
                      <Route path="making/:making/print" element={<Labels />} />
                      <Route path="trace/:kind/:thing" element={<TracePage />} />
                      <Route path="stores" element={<Stores />} />
                      <Route path="stores/new" element={<NewLot />} />
                      <Route path="stores/file" element={<StoresFile />} />
                      <Route path="stores/:lot" element={<LotPage />} />
                      <Route path="shelf" element={<Shelf />} />
                      <Route path="shelf/before" element={<Before />} />
                      <Route path="stove" element={<Stove />} />
                      <Route path="stove/:session" element={<Pot />} />
                      <Route path="stove/boil/:boil" element={<BoilingPot />} />
                      <Route path="stove/boil/:boil/print" element={<Labels />} />
                      <Route path="diary" element={<Diary />} />
                      <Route path="press" element={<Press />} />
                      <Route path="press/:batch" element={<Press />} />
                      <Route path="batch/:batch" element={<BatchPage />} />
                      <Route path="batch/:batch/print" element={<Labels />} />
                      <Route path="batch/:batch/card" element={<BatchCard />} />
                      <Route path="almanac" element={<Almanac />} />
                      <Route path="almanac/yields" element={<Yields />} />
                      <Route path="almanac/what-is-wrong" element={<FaultFinder />} />
                      <Route path="almanac/which-solvent" element={<WhichSolvent />} />
                      <Route path="almanac/own/:kind" element={<NewOwn />} />
                      <Route path="almanac/own/:own/change" element={<ChangeOwn />} />
                      <Route path="almanac/:kind/:key" element={<AlmanacPage />} />
                      <Route path="house" element={<House />} />
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

// The place that was asked for comes beside the rest; it is drawn with it, or after half a second without it.
const [, asked, , name = ''] = window.location.pathname.split('/')
const first = (asked === 'h' ? FIRST[name] : asked === 'sign-in' ? Door : Home)?.fetch()
void Promise.race([first, first && new Promise((late) => setTimeout(late, 500))])
  .catch(() => {})
  .then(() => startTransition(draw))
  .then(() => setTimeout(fetchPanels, 3000))
