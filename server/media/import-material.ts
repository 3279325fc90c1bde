import { and, eq } from 'drizzle-orm';
import type { Readable } from 'node:stream';
import type { Material } from '#core/content/material.ts';
import { mine } from '#core/content/provenance.ts';
import type { Database } from '../db/connect.ts';
import { edit, type EditResult } from '../db/edit.ts';
import { newId } from '../db/new-id.ts';
import { materials } from '../db/schema.ts';
import type { BlobStore } from './blob-store.ts';
import type { BoundedQueue } from './bounded-queue.ts';
import { rememberPreviews } from './previews.ts';
import { readPicture } from './read-picture.ts';

export interface ImportDeps {
  db: Database;
  blobs: BlobStore;
  /** Decoding is heavy: all imports of the server share one bounded queue. */
  decoding: BoundedQueue;
  limits: { maxFileBytes: number; maxPixels: number };
}

export interface Imported {
  result: EditResult;
  material: string;
  /** The maker had this very file already; nothing was stored again. */
  duplicate: boolean;
}

/** A title somebody would write: the file's name without its ending, unless a camera made it up. */
export function titleFromFileName(fileName: string): string {
  const base = fileName
    .replace(/\.[a-z0-9]{2,5}$/i, '')
    .replace(/[_-]+/g, ' ')
    .trim();
  const byCamera =
    /^(img|dsc[fn]?|pxl|p|photo|image|screenshot|whatsapp image|mvimg|signal)?[\s\d()]*([a-z]{0,2}\d{3,})?[\s\d.()at]*$/i;
  if (base === '' || byCamera.test(base)) return '';
  const words = base.replace(/^\d{1,3}[\s.]+/, '');
  return (words.charAt(0).toUpperCase() + words.slice(1)).slice(0, 160);
}

/**
 * Takes one file in: stores its bytes, reads it, and adds it to the maker's materials. Nothing is left behind when
 * any step fails, and nothing else is touched.
 *
 * @throws Problem with a sentence when the file is not a picture the product takes, too large or broken
 */
export async function importMaterial(
  { db, blobs, decoding, limits }: ImportDeps,
  scope: { site: string; account: string },
  file: { name: string; stream: Readable },
): Promise<Imported> {
  const arrival = await blobs.receive(file.stream, limits.maxFileBytes);
  try {
    const [known] = await db
      .select({ id: materials.id })
      .from(materials)
      .where(and(eq(materials.accountId, scope.account), eq(materials.original, arrival.hash)));
    if (known) return { result: { revision: 0, changes: [] }, material: known.id, duplicate: true };

    const read = await decoding.run(() => readPicture(arrival.path, arrival.bytes, limits.maxPixels));
    // Blobs first, rows second: a row never points at bytes that are not there.
    await rememberPreviews(db, blobs, arrival.hash, read.previews);
    await blobs.keep(arrival);
    const material: Material = {
      id: newId(),
      kind: 'picture',
      original: arrival.hash,
      fileName: file.name.slice(0, 255),
      bytes: arrival.bytes,
      title: titleFromFileName(file.name),
      caption: '',
      alt: '',
      takenOn: read.takenOn,
      tags: [],
      provenance: mine,
      project: null,
      facts: read.facts,
      fixes: {},
    };
    const result = await edit(db, scope, { label: `Add ${material.title || 'picture'}` }, (running) =>
      running.insert('material', material),
    );
    return { result, material: material.id, duplicate: false };
  } finally {
    await blobs.discard(arrival);
  }
}
