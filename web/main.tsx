import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { setNonce } from 'get-nonce'
import { lazy, StrictMode, Suspense } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Problem } from './api/client'
import { Door, Home } from './door/Door'
import { Frame } from './frame/Frame'
import { KeysProvider } from './frame/keys'
import { SayProvider } from './frame/Say'
import { Waiting } from './parts/Notice'
import './style.css'

const Join = lazy(() => import('./door/Join'))
const NewPassword = lazy(() => import('./door/NewPassword'))
const Bench = lazy(() => import('./bench/Bench'))
const Today = lazy(() => import('./today/Today'))
const Shelf = lazy(() => import('./shelf/Shelf'))
const BatchPage = lazy(() => import('./batch/BatchPage'))
const Labels = lazy(() => import('./labels/Labels'))
const Press = lazy(() => import('./press/Press'))
const Almanac = lazy(() => import('./almanac/Almanac'))
const AlmanacPage = lazy(() => import('./almanac/AlmanacPage'))
const Yields = lazy(() => import('./almanac/Yields'))
const FaultFinder = lazy(() => import('./almanac/FaultFinder'))
const House = lazy(() => import('./house/House'))
const Card = lazy(() => import('./bench/Card'))
const BatchCard = lazy(() => import('./batch/BatchCard'))
const Stove = lazy(() => import('./stove/Stove'))
const Pot = lazy(() => import('./stove/Pot'))
const Diary = lazy(() => import('./diary/Diary'))
const Stores = lazy(() => import('./stores/Stores'))
const LotPage = lazy(() => import('./stores/LotPage'))
const NewLot = lazy(() => import('./stores/NewLot'))
const StoresFile = lazy(() => import('./stores/StoresFile'))
const Recipes = lazy(() => import('./recipes/Recipes'))
const ReadRecipe = lazy(() => import('./recipes/ReadRecipe'))
const RecipePage = lazy(() => import('./recipes/RecipePage'))

setNonce(document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '')

const client = new QueryClient({
  defaultOptions: {
    queries: {
      // A sentence from the server will not change by asking again; a lost connection may.
      retry: (count, error) => count < 2 && (!(error instanceof Problem) || error.status === 0 || error.status >= 500),
      refetchOnWindowFocus: true,
    },
  },
})

const root = document.getElementById('kettle')
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
                    <Route path="bench" element={<Bench />} />
                    <Route path="bench/card" element={<Card />} />
                    <Route path="recipes" element={<Recipes />} />
                    <Route path="recipes/read" element={<ReadRecipe />} />
                    <Route path="recipes/:recipe" element={<RecipePage />} />
                    <Route path="stores" element={<Stores />} />
                    <Route path="stores/new" element={<NewLot />} />
                    <Route path="stores/file" element={<StoresFile />} />
                    <Route path="stores/:lot" element={<LotPage />} />
                    <Route path="shelf" element={<Shelf />} />
                    <Route path="stove" element={<Stove />} />
                    <Route path="stove/:session" element={<Pot />} />
                    <Route path="diary" element={<Diary />} />
                    <Route path="press" element={<Press />} />
                    <Route path="press/:batch" element={<Press />} />
                    <Route path="batch/:batch" element={<BatchPage />} />
                    <Route path="batch/:batch/print" element={<Labels />} />
                    <Route path="batch/:batch/card" element={<BatchCard />} />
                    <Route path="almanac" element={<Almanac />} />
                    <Route path="almanac/yields" element={<Yields />} />
                    <Route path="almanac/what-is-wrong" element={<FaultFinder />} />
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
