import type { WorkboxPlugin } from 'workbox-core/types'
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching'
import { registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'

/*
 * What stands between the pages and the house: the interface itself is here already, a page opens without a network, and what
 * was last answered is given when nobody answers, with the moment it was answered. Nothing is written by it.
 */

type Listed = { url: string; revision: string | null }
type Asked = { request: Request; url: URL }
declare const self: {
  filesOfTheWorker: Listed[]
  skipWaiting: () => void
  clients: { claim: () => Promise<void> }
  addEventListener: (
    what: string,
    done: (event: { data?: unknown; waitUntil: (it: Promise<unknown>) => void }) => void,
  ) => void
}

const PAGE = 'kettle-page'
const KNOWN = 'kettle-known'
const NOBODY = 'kettle-nobody'

async function fetched(cache: string, credentials: RequestCredentials) {
  const page = await fetch('/h/', { credentials }).catch(() => null)
  if (page?.status === 200) await (await caches.open(cache)).put('/h/', page)
}

/** The page as it is for who is in now: it may have been another when it was opened. */
const renew = () => fetched(PAGE, 'same-origin')

/** Who signs out leaves nothing of the house behind on the machine: the page is nobody's, whether or not there is a network just then. */
async function forget() {
  const nobodys = await (await caches.open(NOBODY)).match('/h/')
  await Promise.all([
    caches.delete(KNOWN),
    nobodys ? caches.open(PAGE).then((cache) => cache.put('/h/', nobodys)) : caches.delete(PAGE),
  ])
  await renew()
}

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) =>
  event.waitUntil(self.clients.claim().then(() => Promise.all([renew(), fetched(NOBODY, 'omit')]))),
)
self.addEventListener('message', (event) => {
  if (event.data === 'forget') event.waitUntil(forget())
})

precacheAndRoute(self.filesOfTheWorker)
cleanupOutdatedCaches()

/** Only what was answered in full is kept; that nobody is behind the front counts as no answer. */
const whole = {
  cacheWillUpdate: async ({ response }: { response: Response }) => (response.status === 200 ? response : null),
  fetchDidSucceed: async ({ response }: { response: Response }) => {
    if (response.status === 502 || response.status === 504) throw new Error('nobody answers')
    if (response.status === 401) await forget()
    return response
  },
}

// One page is all of them: which place it shows is in its address.
registerRoute(
  ({ request, url }: Asked) => request.mode === 'navigate' && (url.pathname === '/' || url.pathname.startsWith('/h/')),
  new NetworkFirst({
    cacheName: PAGE,
    networkTimeoutSeconds: 5,
    plugins: [whole, { cacheKeyWillBeUsed: async () => '/h/' }],
  }),
)

registerRoute(
  ({ request, url }: Asked) =>
    request.method === 'GET' &&
    /^\/api\/(me|houses)(\/|$)/.test(url.pathname) &&
    // Files are fetched, and how far something is, is not to be known from yesterday.
    !/\.(pdf|png|csv|ics)$|\/(export|transfers|file)(\/|$)/.test(url.pathname),
  new NetworkFirst({
    cacheName: KNOWN,
    networkTimeoutSeconds: 8,
    plugins: [
      whole,
      new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 30 * 86_400 }) as WorkboxPlugin,
      {
        cachedResponseWillBeUsed: async ({ cachedResponse }: { cachedResponse?: Response | undefined }) => {
          if (!cachedResponse) return null
          const headers = new Headers(cachedResponse.headers)
          headers.set('X-Known-From', headers.get('Date') ?? '')
          return new Response(cachedResponse.body, { status: 200, headers })
        },
      },
    ],
  }),
)
