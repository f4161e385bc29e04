/// <reference lib="webworker" />
/**
 * Stands between page and server where there is no network: the application's own files, one page to draw it on, and what was told of lessons last.
 * All else goes to the server as ever. What is kept of a person goes when somebody signs in or out, or the server knows the person no more.
 */
import type { WorkboxPlugin } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { KEPT_AT } from './kept-at';

declare const self: ServiceWorkerGlobalScope;

const FILES = 'files';
const PERSONAL = ['page', 'told'] as const;
const [PAGE, TOLD] = PERSONAL;
/** Where no answer comes for so long, what is kept stands in for it [s]. */
const PATIENCE = 8;
/** Lessons that are kept, and for how long [s]. */
const LESSONS = { maxEntries: 60, maxAgeSeconds: 14 * 24 * 3600 };
const LIST = '/static/files.json';
/** What lies here has its content's mark in its name. */
const NEVER_CHANGES = '/static/assets/';
/** Under this one name, whatever the address: every page is drawn on the same. */
const ONE_PAGE = '/';

/** Counts how often all was forgotten: what was asked before that and comes after it is not kept. */
let forgotten = 0;
async function forget(): Promise<void> {
  forgotten += 1;
  await Promise.all(PERSONAL.map((name) => caches.delete(name)));
}

/** What only a proxy says is no answer; a person whom the server does not know has nothing kept, nor what is there no more for who asks. */
const honest: WorkboxPlugin = {
  handlerWillStart: async ({ state }) => {
    if (state) state.asked = forgotten;
  },
  fetchDidSucceed: async ({ request, response }) => {
    if (response.status >= 502) throw new Error('no server behind it');
    if (response.status === 403 || response.status === 404) await (await caches.open(TOLD)).delete(request);
    if (response.status === 401 || response.type === 'opaqueredirect') await forget();
    return response;
  },
  cacheWillUpdate: async ({ response, state }) =>
    response.status === 200 && !response.redirected && state?.asked === forgotten ? response : null,
  // it was being put away while all was forgotten
  cacheDidUpdate: async ({ cacheName, request, state }) => {
    if (state?.asked !== forgotten) await (await caches.open(cacheName)).delete(request);
  },
};

/** Says of what is kept when the server told it. */
const dated: WorkboxPlugin = {
  cachedResponseWillBeUsed: async ({ cachedResponse }) => {
    if (!cachedResponse) return cachedResponse;
    const headers = new Headers(cachedResponse.headers);
    headers.set(KEPT_AT, headers.get('Date') ?? '');
    return new Response(cachedResponse.body, { status: cachedResponse.status, headers });
  },
};

const files = new CacheFirst({ cacheName: FILES });
const page = new NetworkFirst({
  cacheName: PAGE,
  networkTimeoutSeconds: PATIENCE,
  plugins: [
    honest,
    {
      cacheKeyWillBeUsed: async () => ONE_PAGE,
      // a page that names a set-up brings it along, and it may be old when it is wanted
      cacheWillUpdate: async ({ request, response }) => (request.url.includes('/bench/') ? null : response),
    },
  ],
});
const told = new NetworkFirst({
  cacheName: TOLD,
  networkTimeoutSeconds: PATIENCE,
  plugins: [honest, dated, new ExpirationPlugin(LESSONS)],
});

/** Brings the application's files to what the server has now; what it has no more goes. */
async function renew(): Promise<void> {
  const listed = await fetch(LIST, { cache: 'no-cache' });
  if (!listed.ok) return;
  const wanted = ((await listed.json()) as string[]).map(
    (name) => new URL(`/static/${name}`, self.location.origin).href,
  );
  const cache = await caches.open(FILES);
  const there = new Set((await cache.keys()).map((one) => one.url));
  await cache.addAll(wanted.filter((url) => !there.has(url) || !url.includes(NEVER_CHANGES)));
  await Promise.all([...there].filter((url) => !wanted.includes(url)).map((url) => cache.delete(url)));
}

registerRoute(({ url }) => url.pathname.startsWith('/static/') && url.pathname !== LIST, files);
registerRoute(({ url }) => /^\/api\/departments\/[\w-]+\/(lessons(\/\d+)?|courses)$/.test(url.pathname), told);

const drawn = ({ request, url }: { request: Request; url: URL }): boolean =>
  request.mode === 'navigate' && !/^\/(api|static|accounts)\//.test(url.pathname);

registerRoute(drawn, ({ event, request }) => {
  const [answer, done] = page.handleAll({ event, request });
  event.waitUntil(done.then(renew).catch(() => undefined));
  return answer;
});

/** Whoever signs in or out: what was kept of the one before goes first. */
async function another({ request }: { request: Request }): Promise<Response> {
  await forget();
  return fetch(request);
}
const signing = ({ request, url }: { request: Request; url: URL }): boolean =>
  request.mode === 'navigate' && /^\/accounts\/log(in|out)\//.test(url.pathname);
registerRoute(signing, another, 'GET');
registerRoute(signing, another, 'POST');

self.addEventListener('install', (event) => {
  void self.skipWaiting();
  const [, drawn] = page.handleAll({ event, request: new Request(ONE_PAGE) });
  event.waitUntil(Promise.all([renew(), drawn]));
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
