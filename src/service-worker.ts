/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { keptPages } from '$lib/browser/kept-pages';
import { build, files, version } from '$service-worker';

/**
 * Keeps the bench usable when the server is away: what the build made comes from the cache, pages come from the
 * server and, failing that, as they were last seen.
 */
const worker = globalThis as unknown as ServiceWorkerGlobalScope;
const ASSETS = `assets-${version}`;
/** Of this build: a page of another asks for scripts that are gone. */
const PAGES = keptPages(version);
/** So many pages and their data are kept, those that were seen last: what a device has of room is for the queue first. */
const PAGES_MOST = 200;
const known = new Set([...build, ...files]);

worker.addEventListener('install', (event) => {
  const keep = async () => {
    await (await caches.open(ASSETS)).addAll([...known]);
    await worker.skipWaiting();
  };
  event.waitUntil(keep());
});

worker.addEventListener('activate', (event) => {
  const tidy = async () => {
    for (const key of await caches.keys()) if (key !== ASSETS && key !== PAGES) await caches.delete(key);
    await worker.clients.claim();
  };
  event.waitUntil(tidy());
});

/** Whether an answer leads to the door: a page that was sent there, or the data of one. */
async function isTurnedAway(answer: Response): Promise<boolean> {
  const path = new URL(answer.url).pathname;
  if (path === '/enter') return true;
  if (!path.endsWith('/__data.json') || !answer.ok) return false;
  return /^\{"type":"redirect","location":"\/enter/.test(await answer.clone().text());
}

/** Keeps a page as it was last seen. Where there is no room, none is kept: what waits to be sent needs it more. */
async function keepPage(request: Request, page: Response): Promise<void> {
  try {
    const pages = await caches.open(PAGES);
    await pages.put(request, page);
    const kept = await pages.keys();
    // Oldest first: what is put anew comes to stand last.
    for (const old of kept.slice(0, Math.max(0, kept.length - PAGES_MOST))) await pages.delete(old);
  } catch {
    await caches.delete(PAGES);
  }
}

async function fromServer(request: Request): Promise<Response> {
  try {
    const fresh = await fetch(request);
    // The session of this device has ended: what it kept is shown no more, with or without a server.
    if (await isTurnedAway(fresh)) await caches.delete(PAGES);
    else if (fresh.ok && !fresh.redirected) await keepPage(request, fresh.clone());
    return fresh;
  } catch (away) {
    const seen = await caches.match(request, { cacheName: PAGES, ignoreVary: true });
    if (seen) return seen;
    throw away;
  }
}

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
  if (known.has(url.pathname)) {
    event.respondWith(caches.match(url.pathname).then((kept) => kept ?? fetch(request)));
  } else if (!url.pathname.startsWith('/api/')) {
    event.respondWith(fromServer(request));
  }
});

/** A notice that is pressed brings its jar: the open window if there is one. */
worker.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const { path } = event.notification.data as { path: string };
  const bring = async () => {
    const [open] = await worker.clients.matchAll({ type: 'window' });
    if (!open) return worker.clients.openWindow(path);
    await open.navigate(path);
    return open.focus();
  };
  event.waitUntil(bring());
});
