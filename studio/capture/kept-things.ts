import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { CapturePlace } from '#contract/capture.ts';
import type { CapturedWordsKind } from '#core/capture/captured.ts';
import { type LastKept, runningCapture } from '#core/capture/running-capture.ts';
import type { Id } from '#core/id.ts';

/** Where something goes; the site is known with the page. */
export type Place = Pick<CapturePlace, 'site' | 'page' | 'title'>;

type What =
  | { kind: 'file'; file: Blob; name: string; /** Once the file itself has arrived. */ material: Id | null }
  | { kind: 'words'; as: CapturedWordsKind; words: string };

/** One thing that is kept on this device until it has arrived. */
export interface KeptThing {
  id: Id;
  /** Whose it is; null where nobody has signed in here yet. */
  account: Id | null;
  /** Null where it came before any page was known. */
  place: Place | null;
  capture: Id;
  /** ms since 1970. */
  at: number;
  /** The date and time where the device is, as ISO 8601 writes them, without a zone. */
  local: string;
  what: What;
  /** Why the server would not take it; it waits for its maker then. */
  trouble: string | null;
}

/** What is known here without a network: who works on this device, and on which pages. */
export interface KnownPlaces {
  account: Id;
  pages: CapturePlace[];
}

/** The moment that is being kept. */
export interface Running extends LastKept {
  count: number;
}

interface Shelf extends DBSchema {
  things: { key: string; value: KeptThing; indexes: { at: number } };
  known: { key: 'places'; value: KnownPlaces };
  running: { key: 'last'; value: Running };
}

const shelfName = 'kite-wall-capture';
let shelf: Promise<IDBPDatabase<Shelf>> | null = null;
/** The database of this device; opened once for each page or worker. */
const open = (): Promise<IDBPDatabase<Shelf>> =>
  (shelf ??= openDB<Shelf>(shelfName, 1, {
    upgrade: (db) => {
      db.createObjectStore('things', { keyPath: 'id' }).createIndex('at', 'at');
      db.createObjectStore('known');
      db.createObjectStore('running');
    },
    // A newer version of this page wants to open it.
    blocking: (_, __, event) => (event.target as IDBDatabase).close(),
    terminated: () => (shelf = null),
  }));

const channel = 'kite-wall capture';
const tell = (): void => {
  const speaker = new BroadcastChannel(channel);
  speaker.postMessage('changed');
  speaker.close();
};
/** Calls back whenever something is kept or has arrived, here, in another tab or in the background. */
export function onKeptChange(changed: () => void): () => void {
  const listener = new BroadcastChannel(channel);
  listener.onmessage = changed;
  return () => listener.close();
}

const twoDigits = (n: number): string => `${n}`.padStart(2, '0');
/** A time as it is where the device is. */
const localTime = (at: Date): string =>
  `${at.getFullYear()}-${twoDigits(at.getMonth() + 1)}-${twoDigits(at.getDate())}T${twoDigits(at.getHours())}:${twoDigits(at.getMinutes())}:${twoDigits(at.getSeconds())}`;

/** What is kept: a file as it may leave the device, or words. */
export type ToKeep = { file: Blob; name: string } | { as: CapturedWordsKind; words: string };

/**
 * Keeps something on this device, before anything is sent. Resolves once it is written down: it is there after a power cut, too.
 *
 * @param now ms since 1970
 * @throws where the device has no room left
 */
export async function keep(wanted: ToKeep, place: Place | null, now = Date.now()): Promise<KeptThing> {
  const db = await open();
  const change = db.transaction(['things', 'known', 'running'], 'readwrite', { durability: 'strict' });
  const known = await change.objectStore('known').get('places');
  const last = (await change.objectStore('running').get('last')) ?? null;
  const page = place?.page ?? '';
  const going = runningCapture(last, page, now);
  const capture = going ?? crypto.randomUUID();
  const thing: KeptThing = {
    ...{ id: crypto.randomUUID(), account: known?.account ?? null, place, capture, at: now, trouble: null },
    local: localTime(new Date(now)),
    what: 'words' in wanted ? { kind: 'words', ...wanted } : { kind: 'file', material: null, ...wanted },
  };
  await change.objectStore('things').put(thing);
  const count = going !== null && last ? last.count + 1 : 1;
  await change.objectStore('running').put({ page, capture, at: now, count }, 'last');
  await change.done;
  tell();
  return thing;
}

/** All that has not arrived yet, the oldest first. */
export const keptThings = async (): Promise<KeptThing[]> => (await open()).getAllFromIndex('things', 'at');

/** The moment that is being kept; null before the first one. */
export const runningNow = async (): Promise<Running | null> =>
  (await (await open()).get('running', 'last')) ?? null;

/** Writes down how far a thing has come; nothing where it was taken off meanwhile. */
export async function changeKept(id: Id, change: (thing: KeptThing) => KeptThing): Promise<void> {
  const db = await open();
  const writing = db.transaction('things', 'readwrite');
  const thing = await writing.store.get(id);
  if (thing) await writing.store.put(change(thing));
  await writing.done;
  tell();
}

/** Forgets what has arrived, or what its maker does not want. */
export async function forgetKept(id: Id): Promise<void> {
  await (await open()).delete('things', id);
  tell();
}

export const knownPlaces = async (): Promise<KnownPlaces | null> =>
  (await (await open()).get('known', 'places')) ?? null;

/** Remembers who works here and on what, and gives what was kept before that to them. */
export async function knowPlaces(known: KnownPlaces): Promise<void> {
  const db = await open();
  const writing = db.transaction(['known', 'things'], 'readwrite');
  await writing.objectStore('known').put(known, 'places');
  for (const thing of await writing.objectStore('things').getAll())
    if (thing.account === null) await writing.objectStore('things').put({ ...thing, account: known.account });
  await writing.done;
  tell();
}

/** Names of pages stay on no device that somebody has signed out of; what was not sent yet does, until they are back. */
export async function forgetPlaces(): Promise<void> {
  // Forgetting must not make the shelf.
  const shelves = await indexedDB.databases?.();
  if (shelves && !shelves.some(({ name }) => name === shelfName)) return;
  const db = await open();
  await db.clear('known');
  await db.clear('running');
  tell();
}
