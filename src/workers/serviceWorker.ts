import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { withFreshNonce } from './freshNonce';

declare const self: ServiceWorkerGlobalScope;
/** Every file of this build with its revision; null where its name says it. Put in when it is built. */
declare const BUILT_FILES: ReadonlyArray<{ readonly url: string; readonly revision: string | null }>;

/** The page of every view. */
const PAGE = '/index.html';
/** Addresses that are no view: the server's own. */
const NOT_VIEWS: ReadonlySet<string> = new Set(['/healthz']);

const nonce = (): string => {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return btoa(String.fromCharCode(...bytes));
};

/** The page as it was kept, with a nonce of its own each time, in its policy as well: as strict as from the server. */
const pageAgain = async (): Promise<Response> => {
  const kept = await matchPrecache(PAGE);
  if (!kept) return fetch(PAGE);
  const { html, headers } = withFreshNonce(await kept.text(), kept.headers, nonce());
  return new Response(html, { headers });
};

self.addEventListener('message', ({ data }: ExtendableMessageEvent) => {
  // A new version is taken when it is asked for, never by itself.
  const asks: unknown = data;
  if (typeof asks === 'object' && asks !== null && 'type' in asks && asks.type === 'SKIP_WAITING')
    void self.skipWaiting();
});

self.addEventListener('fetch', event => {
  const { request } = event;
  const { pathname, origin } = new URL(request.url);
  if (request.mode !== 'navigate' || origin !== self.location.origin || NOT_VIEWS.has(pathname)) return;
  // A file that is opened by its name is no view.
  if (/\.[a-z0-9]+$/i.test(pathname) && pathname !== PAGE) return;
  event.respondWith(pageAgain());
  event.stopImmediatePropagation();
});

precacheAndRoute([...BUILT_FILES], { cleanURLs: false, directoryIndex: '' });
cleanupOutdatedCaches();
