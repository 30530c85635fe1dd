import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, createHandlerBoundToURL, type PrecacheEntry, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'
import { KEPT_SINCE } from '../shared/keptAnswer.ts'

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: PrecacheEntry[] }

/** A server that does not answer in this time counts as away, s. */
const PATIENCE_S = 10
/** So many answers are kept: some weeks of trips. */
const MAX_ANSWERS = 800

// The application itself: every file of one version, so that a screen that was never opened comes up without a network.
precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }))

// What the server said last, for when it cannot be asked. Backups, streams and its own state are asked of it alone.
registerRoute(
  ({ url, request }) => request.method === 'GET' && /^\/api\/(?!health|backup|scale|demo)/.test(url.pathname),
  new NetworkFirst({
    cacheName: 'answers',
    networkTimeoutSeconds: PATIENCE_S,
    plugins: [
      { cachedResponseWillBeUsed: async ({ cachedResponse }) => cachedResponse && asKept(cachedResponse) },
      { cacheWillUpdate: async ({ response }) => (response.status === 200 ? response : null) },
      new ExpirationPlugin({ maxEntries: MAX_ANSWERS, purgeOnQuotaError: true }) as { cacheWillUpdate?: never },
    ],
  }),
)

/** A new version waits until the page asks for it. */
self.addEventListener('message', (event) => {
  if ((event.data as { type?: unknown } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

/** An answer with the time at which the server gave it. */
function asKept(response: Response): Response {
  const headers = new Headers(response.headers)
  headers.set(KEPT_SINCE, response.headers.get('Date') ?? '')
  return new Response(response.body, { status: response.status, statusText: response.statusText, headers })
}
