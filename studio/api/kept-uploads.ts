import { type DBSchema, openDB } from 'idb';
import type { Outgoing } from './upload-file.ts';

/** A file that was to be sent and had not arrived. */
export interface KeptUpload {
  id: string;
  site: string;
  name: string;
  /** Missing where an older studio kept it. */
  madeOn?: string | null;
  /** Null where the browser would not keep it: then only its name is known. */
  file: File | null;
}

interface Shelf extends DBSchema {
  uploads: { key: string; value: KeptUpload; indexes: { site: string } };
}

const shelf = 'kite-wall';
const open = () =>
  openDB<Shelf>(shelf, 1, {
    upgrade: (db) => {
      db.createObjectStore('uploads', { keyPath: 'id' }).createIndex('site', 'site');
    },
  });

/** Held by the tab that sends a file, for as long as it lives: what nobody holds was left behind. */
const lockOf = (id: string): string => `kite-wall upload ${id}`;

/**
 * Keeps a file in this browser until it has arrived, so that a closed tab loses nothing.
 *
 * @returns what forgets it again
 */
export async function keepUpload(site: string, { file, madeOn }: Outgoing): Promise<() => Promise<void>> {
  const id = crypto.randomUUID();
  let release = () => {};
  const held = new Promise<void>((resolve) => (release = resolve));
  void navigator.locks?.request(lockOf(id), () => held);
  const db = await open();
  const kept = { id, site, name: file.name, madeOn, file };
  // A browser with little room keeps the name at least.
  await db.put('uploads', kept).catch(() => db.put('uploads', { ...kept, file: null }));
  return async () => {
    await db.delete('uploads', id);
    db.close();
    release();
  };
}

/** How long after the first of some files the others of its tab are waited for, so that they are told of together, in ms. */
const togetherMs = 1000;

/** Takes a file over once nobody holds it any more; null where it has arrived meanwhile. */
async function takeOver(id: string): Promise<KeptUpload | null> {
  const take = async () => {
    const db = await open();
    try {
      const kept = (await db.get('uploads', id)) ?? null;
      if (kept) await db.delete('uploads', id);
      return kept;
    } finally {
      db.close();
    }
  };
  return navigator.locks ? navigator.locks.request(lockOf(id), take) : take();
}

/**
 * Files that were on their way to a site when their tab was closed, each given out once and forgotten here. A tab that is
 * just being closed, or reloaded, may hold its files for a moment yet: they are waited for, and so are those of a tab that
 * is still sending and may be closed before they have arrived.
 *
 * @param onLeft called with the files that are left at about the same time together
 */
export async function leftUploads(site: string, onLeft: (left: KeptUpload[]) => void): Promise<void> {
  // Looking must not make the shelf: a page that is left while it makes one, and laid aside by the browser for its Back
  // button, keeps every later visit from opening it.
  const shelves = await indexedDB.databases?.();
  if (shelves && !shelves.some(({ name }) => name === shelf)) return;
  const db = await open();
  const ids = await db.getAllKeysFromIndex('uploads', 'site', site);
  db.close();
  let left: KeptUpload[] = [];
  let telling: ReturnType<typeof setTimeout> | undefined;
  const tell = () => {
    clearTimeout(telling);
    telling = undefined;
    const together = left;
    left = [];
    if (together.length > 0) onLeft(together);
  };
  const all = ids.map(async (id) => {
    const one = await takeOver(id);
    if (!one) return;
    left.push(one);
    telling ??= setTimeout(tell, togetherMs);
  });
  await Promise.all(all);
  tell();
}
