import { and, eq, notInArray } from 'drizzle-orm';
import type { Readable } from 'node:stream';
import { cut } from '#core/words/cut.ts';
import { shortened } from '#core/words/shortened.ts';
import type { MaterialKind } from '#core/materials/material.ts';
import type { Database } from '../db/connect.ts';
import type { Material } from '#core/materials/material.ts';
import type { Commands } from '../commands/commands.ts';
import { type EditResult, noEdit } from '../db/edit.ts';
import { materials } from '../db/schema.ts';
import { rememberContent } from '../documents/document-contents.ts';
import { Problem } from '../http/problem.ts';
import { isNotUnique } from '../db/not-unique.ts';
import { expectRoom, takeRoom } from './allowance.ts';
import type { BlobStore } from './blob-store.ts';
import type { Reading } from '../reading/reading.ts';
import { type KindAndFacts, newMaterial } from './new-material.ts';
import { rememberPreviews } from './previews.ts';
import { titleFromFileName } from './title-from-file-name.ts';

export interface ImportDeps {
  db: Database;
  commands: Commands;
  blobs: BlobStore;
  /** Where files from outside are looked into. */
  reading: Reading;
  limits: { maxFileBytes: number; maxPixels: number; maxTotalBytes: number };
}

export interface Imported {
  result: EditResult;
  material: string;
  /** The maker had this very file already; nothing was stored again. */
  duplicate: boolean;
}

/** A file as it comes. */
export interface ComingFile {
  name: string;
  stream: Readable;
  /** Everything else is refused. */
  only?: MaterialKind;
  /** When it was made, where its own bytes do not say. */
  madeOn?: string | undefined;
  /** Asked when it has been read: where its maker has stopped it, nothing of it is kept. */
  mayKeep?: () => boolean;
}

/** A file that was taken in: its bytes are stored and read, and no row points at them yet. */
interface TakenIn {
  hash: string;
  bytes: number;
  of: KindAndFacts;
  takenOn: string | null;
}

/**
 * Stores and reads a file and hands it to `use`, which makes rows of it; nothing is left behind when any step fails.
 *
 * @param known called when the maker has this very file already
 */
async function takeIn<T>(
  deps: ImportDeps,
  account: string,
  file: ComingFile,
  known: (material: string) => T,
  use: (taken: TakenIn) => Promise<T>,
): Promise<T> {
  const { db, blobs, reading, limits } = deps;
  const arrival = await blobs.receive(file.stream, limits.maxFileBytes);
  try {
    const there = await knownMaterial(db, account, arrival.hash);
    if (there !== null) return known(there);
    await expectRoom(db, account, arrival.bytes, limits.maxTotalBytes);

    const { of, takenOn, previews, content } = await reading.run(
      'file',
      { ...arrival, name: file.name, maxPixels: limits.maxPixels },
      account,
    );
    if (file.only && of.kind !== file.only) throw new Problem(415, 'other-kind', `This is no ${file.only}.`);
    if (file.mayKeep && !file.mayKeep())
      throw new Problem(408, 'stopped', 'This file was stopped. Nothing of it was stored.');
    // Blobs first, rows second: a row never points at bytes that are not there.
    await rememberPreviews(db, arrival.hash, previews);
    if (content) await rememberContent(db, arrival.hash, content);
    await blobs.keep(arrival);
    try {
      return await use({ hash: arrival.hash, bytes: arrival.bytes, of, takenOn });
    } catch (error) {
      // The same file came twice at the same moment, and the other one was first.
      const first = isNotUnique(error) ? await knownMaterial(db, account, arrival.hash) : null;
      if (first === null) throw error;
      return known(first);
    }
  } finally {
    await blobs.discard(arrival);
  }
}

/** The material that is this very file, if its maker has it. */
async function knownMaterial(db: Database, account: string, hash: string): Promise<string | null> {
  const [row] = await db
    .select({ id: materials.id })
    .from(materials)
    .where(
      and(
        eq(materials.accountId, account),
        eq(materials.original, hash),
        notInArray(materials.kind, ['link', 'note']),
      ),
    );
  return row?.id ?? null;
}

/**
 * Takes one file in: stores its bytes, reads it, and adds it to the maker's materials. Nothing is left behind when
 * any step fails, and nothing else is touched.
 *
 * @param said what is known of it beyond what its bytes tell
 * @throws Problem with a sentence when the file is of no kind the product takes, too large or broken
 */
export async function importMaterial(
  deps: ImportDeps,
  scope: { site: string; account: string },
  file: ComingFile,
  said: Partial<Pick<Material, 'alt' | 'provenance'>> = {},
): Promise<Imported> {
  return takeIn<Imported>(
    deps,
    scope.account,
    file,
    (material) => ({ result: noEdit, material, duplicate: true }),
    async ({ hash, bytes, of, takenOn }) => {
      const title = titleFromFileName(file.name);
      const fileName = cut(file.name, 255);
      const known = { original: hash, fileName, bytes, title, takenOn: takenOn ?? file.madeOn ?? null };
      const material = newMaterial({ ...known, ...said }, of);
      const result = await deps.commands.run(scope, { label: `Add ${title || of.kind}` }, async (running) => {
        await takeRoom(running.tx, scope.account, bytes, deps.limits.maxTotalBytes);
        await running.insert('material', material);
      });
      return { result, material: material.id, duplicate: false };
    },
  );
}

/**
 * Puts another file in the place of a material's own: its words, facts, fixes and places stay. Undo brings the old file
 * back, whose bytes are kept.
 *
 * @throws Problem 409 when the file is of another kind, or is a material of its own already
 */
export async function replaceFile(
  deps: ImportDeps,
  scope: { site: string; account: string },
  material: { id: string; kind: MaterialKind; title: string },
  file: ComingFile,
): Promise<EditResult> {
  const label = shortened(`Another file for ${material.title || material.kind}`, 120);
  return takeIn(
    deps,
    scope.account,
    file,
    (known) => {
      throw new Problem(
        409,
        'known',
        known === material.id
          ? 'This is the file it has already.'
          : 'You have this file already, as a material of its own. Use that one instead.',
      );
    },
    async ({ hash, bytes, of }) => {
      if (of.kind !== material.kind)
        throw new Problem(
          409,
          'other-kind',
          `This is a ${of.kind}, and only a ${material.kind} can stand in the place of a ${material.kind}. Add it as a new one.`,
        );
      return deps.commands.run(scope, { label }, async (running) => {
        await takeRoom(running.tx, scope.account, bytes, deps.limits.maxTotalBytes);
        await running.update('material', material.id, {
          original: hash,
          bytes,
          fileName: cut(file.name, 255),
          ...of,
        });
      });
    },
  );
}
