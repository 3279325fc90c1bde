/// <reference lib="webworker" />
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { keep, knownPlaces, type Place } from '../capture/kept-things.ts';
import { placeTakenOut } from '../capture/place-taken-out.ts';
import { sendKept } from '../capture/send-kept.ts';

declare const self: ServiceWorkerGlobalScope;
/** Everything the screen needs, with a hash of each; the build writes it in. */
declare const files: { url: string; revision: string | null }[];

precacheAndRoute(files);
cleanupOutdatedCaches();
// The one screen, whatever is behind its address, with or without a network.
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/studio/capture/'), {
    allowlist: [/^\/studio\/capture\/(?:\?.*)?$/],
  }),
);
self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

/** Where something that is shared from another app goes: to what was worked on last; the screen lets its maker change that. */
async function lastPlace(): Promise<Place | null> {
  const [first] = (await knownPlaces())?.pages ?? [];
  return first ? { site: first.site, page: first.page, title: first.title } : null;
}

/** Keeps what another app shares; it is sent like all else. */
async function keepShared(shared: FormData): Promise<void> {
  const place = await lastPlace();
  for (const file of shared.getAll('files')) {
    if (!(file instanceof File)) continue;
    const clean = await placeTakenOut(file);
    await keep({ file: clean.file, name: file.name }, place);
  }
  const words = ['title', 'text', 'url'].flatMap((name) => {
    const said = shared.get(name);
    return typeof said === 'string' && said.trim() !== '' ? [said.trim()] : [];
  });
  if (words.length > 0) await keep({ as: 'happened', words: words.join('\n').slice(0, 2000) }, place);
}

self.addEventListener('fetch', (event) => {
  if (event.request.method !== 'POST' || new URL(event.request.url).pathname !== '/studio/capture/share')
    return;
  event.respondWith(
    event.request
      .formData()
      .then(keepShared)
      .then(
        () => Response.redirect('/studio/capture/', 303),
        () => Response.redirect('/studio/capture/?not-kept', 303),
      ),
  );
});

// Where the browser has it, what is kept goes out once there is a network, though the screen has been closed.
self.addEventListener('sync', (event) => {
  const { tag, waitUntil } = event as ExtendableEvent & { tag: string };
  if (tag === 'send-captured')
    waitUntil.call(
      event,
      sendKept().then((went) => {
        if (went === 'no-line') throw new Error('Later.');
      }),
    );
});
