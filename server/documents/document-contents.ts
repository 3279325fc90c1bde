import { and, eq, inArray } from 'drizzle-orm';
import { type DocumentContent, documentContentSchema } from '#core/materials/document.ts';
import type { Executor } from '../db/connect.ts';
import { documentContents } from '../db/schema.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { piecePictures } from './piece-pictures.ts';
import type { StoredContent } from './stored-content.ts';

/** Counts up when reading the same file would give something else, so that old readings are not taken for new ones. */
const version = 1;

/** Remembers what was read out of a document, by its file. */
export async function rememberContent(
  db: Executor,
  original: string,
  { hash, pictures }: StoredContent,
): Promise<void> {
  await db
    .insert(documentContents)
    .values({ original, version, stored: hash, pictures })
    .onConflictDoUpdate({
      target: [documentContents.original, documentContents.version],
      set: { stored: hash, pictures, content: null },
    });
}

/** What was read out of documents, by the hash of their files. */
export async function contentsOf(
  db: Executor,
  blobs: BlobStore,
  originals: readonly string[],
): Promise<Map<string, DocumentContent>> {
  const contents = new Map<string, DocumentContent>();
  if (originals.length === 0) return contents;
  const rows = await db
    .select()
    .from(documentContents)
    .where(and(inArray(documentContents.original, [...originals]), eq(documentContents.version, version)));
  for (const { original, content, stored } of rows) {
    // Written by us and named by its own hash, so it is read as it was written.
    if (stored !== null)
      contents.set(original, JSON.parse((await blobs.read(stored)).toString('utf8')) as DocumentContent);
    else if (content !== null) contents.set(original, documentContentSchema.parse(content));
  }
  return contents;
}

/** Hashes of the pictures that stand in documents, by the hash of their files; of one that was not read nothing is there. */
export async function picturesIn(db: Executor, originals: readonly string[]): Promise<Map<string, string[]>> {
  if (originals.length === 0) return new Map();
  const rows = await db
    .select({
      original: documentContents.original,
      pictures: documentContents.pictures,
      content: documentContents.content,
    })
    .from(documentContents)
    .where(and(inArray(documentContents.original, [...originals]), eq(documentContents.version, version)));
  return new Map(
    rows.map(({ original, pictures, content }) => [original, content ? piecePictures(content) : pictures]),
  );
}

/** What was read out of one document, as JSON that was written then; null when nothing was. */
export async function contentText(db: Executor, blobs: BlobStore, original: string): Promise<Buffer | null> {
  const [row] = await db
    .select()
    .from(documentContents)
    .where(and(eq(documentContents.original, original), eq(documentContents.version, version)));
  if (!row) return null;
  return row.stored !== null ? blobs.read(row.stored) : Buffer.from(JSON.stringify(row.content));
}
