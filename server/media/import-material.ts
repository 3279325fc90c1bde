import { and, eq, sum } from 'drizzle-orm';
import type { Readable } from 'node:stream';
import type { DocumentContent } from '#core/content/document.ts';
import type { Material, MaterialKind } from '#core/content/material.ts';
import { mine } from '#core/content/provenance.ts';
import type { Database } from '../db/connect.ts';
import { edit, type EditResult } from '../db/edit.ts';
import { newId } from '../db/new-id.ts';
import { materials } from '../db/schema.ts';
import { rememberContent } from '../documents/document-contents.ts';
import { readDocument } from '../documents/read-document.ts';
import { Problem } from '../http/problem.ts';
import type { Arrival, BlobStore } from './blob-store.ts';
import type { BoundedQueue } from './bounded-queue.ts';
import { kindOfFile } from './kind-of-file.ts';
import { type Preview, previewFrom } from './preview-from.ts';
import { rememberPreviews } from './previews.ts';
import { readPicture } from './read-picture.ts';
import { readRecording } from './read-recording.ts';
import { titleFromFileName } from './title-from-file-name.ts';

export interface ImportDeps {
  db: Database;
  blobs: BlobStore;
  /** Decoding is heavy: all imports of the server share one bounded queue. */
  decoding: BoundedQueue;
  limits: { maxFileBytes: number; maxPixels: number; maxTotalBytes: number };
}

export interface Imported {
  result: EditResult;
  material: string;
  /** The maker had this very file already; nothing was stored again. */
  duplicate: boolean;
}

type KindAndFacts = {
  [K in MaterialKind]: Pick<Extract<Material, { kind: K }>, 'kind' | 'facts'>;
}[MaterialKind];

interface Read {
  of: KindAndFacts;
  takenOn: string | null;
  previews: readonly Preview[];
  content: DocumentContent | null;
}

/** Reads a file that has arrived, whatever kind it is. */
async function read({ blobs, limits }: ImportDeps, arrival: Arrival, name: string): Promise<Read> {
  const { path, hash, bytes } = arrival;
  const file = await kindOfFile(path, bytes, name);
  const nothing = { takenOn: null, previews: [], content: null };
  switch (file.kind) {
    case 'picture': {
      const { facts, takenOn, previews } = await readPicture(path, file.format, limits.maxPixels);
      return { of: { kind: 'picture', facts }, takenOn, previews, content: null };
    }
    case 'document': {
      const { facts, content, cover } = await readDocument(path, hash, file.format, blobs);
      const previews = cover ? await Promise.all([previewFrom(cover, 480), previewFrom(cover, 1400)]) : [];
      return { of: { kind: 'document', facts }, takenOn: null, previews, content };
    }
    case 'recording':
      return { of: await readRecording(path), ...nothing };
  }
}

const inMegabytes = (bytes: number): string => `${Math.ceil(bytes / 1024 / 1024)} MB`;

/** @throws Problem when what a maker has and this file together are more than one maker may keep */
async function makeRoom({ db, limits }: ImportDeps, account: string, bytes: number): Promise<void> {
  const [row] = await db
    .select({ bytes: sum(materials.bytes) })
    .from(materials)
    .where(eq(materials.accountId, account));
  const used = Number(row?.bytes ?? 0);
  if (used + bytes > limits.maxTotalBytes)
    throw new Problem(
      413,
      'full',
      `Your materials take ${inMegabytes(used)} of ${inMegabytes(limits.maxTotalBytes)}, and this file has ${inMegabytes(bytes)}. Delete something in Gather, or save the file smaller.`,
    );
}

/**
 * Takes one file in: stores its bytes, reads it, and adds it to the maker's materials. Nothing is left behind when
 * any step fails, and nothing else is touched.
 *
 * @throws Problem with a sentence when the file is of no kind the product takes, too large or broken
 */
export async function importMaterial(
  deps: ImportDeps,
  scope: { site: string; account: string },
  file: { name: string; stream: Readable },
): Promise<Imported> {
  const { db, blobs, decoding, limits } = deps;
  const arrival = await blobs.receive(file.stream, limits.maxFileBytes);
  try {
    const [known] = await db
      .select({ id: materials.id })
      .from(materials)
      .where(and(eq(materials.accountId, scope.account), eq(materials.original, arrival.hash)));
    if (known) return { result: { revision: 0, changes: [] }, material: known.id, duplicate: true };
    await makeRoom(deps, scope.account, arrival.bytes);

    const { of, takenOn, previews, content } = await decoding.run(() => read(deps, arrival, file.name));
    // Blobs first, rows second: a row never points at bytes that are not there.
    await rememberPreviews(db, blobs, arrival.hash, previews);
    if (content) await rememberContent(db, arrival.hash, content);
    await blobs.keep(arrival);
    const title = titleFromFileName(file.name);
    const material: Material = {
      id: newId(),
      original: arrival.hash,
      fileName: file.name.slice(0, 255),
      bytes: arrival.bytes,
      title,
      caption: '',
      alt: '',
      takenOn,
      tags: [],
      provenance: mine,
      project: null,
      fixes: {},
      transcript: '',
      shownBy: null,
      ...of,
    };
    const result = await edit(db, scope, { label: `Add ${title || of.kind}` }, (running) =>
      running.insert('material', material),
    );
    return { result, material: material.id, duplicate: false };
  } finally {
    await blobs.discard(arrival);
  }
}
