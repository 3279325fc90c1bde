import { and, eq, inArray } from 'drizzle-orm';
import type { PageWord } from '#core/materials/document.ts';
import type { Database } from '../db/connect.ts';
import { pictureWords } from '../db/schema.ts';

/** Counts up when reading the same picture would give something else, so that old readings are not taken for new ones. */
const version = 1;

/** A picture to read: a file of its own, or a page of a document. */
export interface Readable {
  original: string;
  /** From 0; 0 of a picture. */
  page: number;
}

/** Remembers what was read in a picture; null: it could not be read, and is not tried again. */
export async function rememberWords(
  db: Database,
  { original, page }: Readable,
  words: PageWord[] | null,
): Promise<void> {
  await db.insert(pictureWords).values({ original, page, version, words }).onConflictDoNothing();
}

/** What was read in pictures, by file and then by page. */
export async function wordsRead(
  db: Database,
  originals: readonly string[],
): Promise<Map<string, Map<number, PageWord[] | null>>> {
  const read = new Map<string, Map<number, PageWord[] | null>>();
  if (originals.length === 0) return read;
  for (const { original, page, words } of await db
    .select()
    .from(pictureWords)
    .where(and(inArray(pictureWords.original, [...originals]), eq(pictureWords.version, version)))) {
    const pages = read.get(original) ?? new Map<number, PageWord[] | null>();
    read.set(original, pages.set(page, words));
  }
  return read;
}
