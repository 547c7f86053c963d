// The service worker: it keeps the application and what was last seen of the band on the device.
import type { WorkboxPlugin } from 'workbox-core/types.js';
import { ExpirationPlugin } from 'workbox-expiration';
import { cleanupOutdatedCaches, createHandlerBoundToURL, type PrecacheEntry, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { isOlder } from '../src/api/kept.ts';
import { ANSWERS, isKeptPath, KEPT_AT } from '../src/api/kept-names.ts';

declare const self: ServiceWorkerGlobalScope & { readonly __WB_MANIFEST: readonly (PrecacheEntry | string)[] };

/** Who stands on a stage with a poor network is not left waiting. */
const WAIT_SECONDS = 4;
const MOST_ANSWERS = 800;
const KEPT_SECONDS = 60 * 24 * 60 * 60;

precacheAndRoute([...self.__WB_MANIFEST]);
cleanupOutdatedCaches();

// one version of the page with the scripts that belong to it, whatever the server has meanwhile
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));

registerRoute(
  ({ url, sameOrigin }) => sameOrigin && isKeptPath(url.pathname),
  new NetworkFirst({
    cacheName: ANSWERS,
    networkTimeoutSeconds: WAIT_SECONDS,
    plugins: [
      new ExpirationPlugin({ maxEntries: MOST_ANSWERS, maxAgeSeconds: KEPT_SECONDS }) as WorkboxPlugin,
      {
        // a server without its database is away like one that does not answer
        fetchDidSucceed: async ({ response }) => {
          if (response.status >= 500) throw new Error(`answered ${response.status}`);
          return response;
        },
        cacheWillUpdate: async ({ request, response }) =>
          (await comesTooLate(request, response)) || response.status !== 200 ? null : response,
        cachedResponseWillBeUsed: async ({ cachedResponse }) => (cachedResponse ? fromDevice(cachedResponse) : null),
      },
    ],
  }),
);

// a newer version waits until the page says that nobody is in the middle of a song
self.addEventListener('message', ({ data }: ExtendableMessageEvent) => {
  if ((data as { readonly type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting();
});

self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

/** Whether the page has kept something newer while this answer was on its way. */
async function comesTooLate(request: Request, response: Response): Promise<boolean> {
  const kept = await caches.match(request, { cacheName: ANSWERS });
  if (kept === undefined) return false;
  const [answer, before]: unknown[] = await Promise.all([response.clone().json(), kept.json()]);
  return isOlder(answer, before);
}

async function fromDevice(kept: Response): Promise<Response> {
  const headers = new Headers(kept.headers);
  headers.set(KEPT_AT, kept.headers.get('date') ?? new Date(0).toUTCString());
  return new Response(await kept.blob(), { status: kept.status, headers });
}
