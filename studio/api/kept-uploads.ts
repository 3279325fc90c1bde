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

const open = () =>
  openDB<Shelf>('kite-wall', 1, {
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

/** Files that were on their way to a site when their tab was closed. Each is given out once and forgotten here. */
export async function leftUploads(site: string): Promise<KeptUpload[]> {
  const db = await open();
  const left: KeptUpload[] = [];
  for (const one of await db.getAllFromIndex('uploads', 'site', site)) {
    const free =
      !navigator.locks ||
      (await navigator.locks.request(lockOf(one.id), { ifAvailable: true }, (lock) =>
        Promise.resolve(lock !== null),
      ));
    if (!free) continue;
    left.push(one);
    await db.delete('uploads', one.id);
  }
  db.close();
  return left;
}
