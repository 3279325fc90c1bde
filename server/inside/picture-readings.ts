import { and, eq, inArray } from 'drizzle-orm';
import type { PageWord } from '#core/materials/document.ts';
import type { SeenFace } from '#core/personal/faces-in.ts';
import type { Database } from '../db/connect.ts';
import { pictureReadings } from '../db/schema.ts';

/** Counts up when reading the same picture would give something else, so that old readings are not taken for new ones. */
const version = 1;

/** A picture to read: a file of its own, or a page of a document. */
export interface Readable {
  original: string;
  /** From 0; 0 of a picture. */
  page: number;
}

/** What was seen in it; null: it could not be looked through, and that is not tried again. */
export interface PictureReading {
  words: PageWord[] | null;
  faces: SeenFace[] | null;
}

export async function rememberReading(
  db: Database,
  { original, page }: Readable,
  { words, faces }: PictureReading,
): Promise<void> {
  await db.insert(pictureReadings).values({ original, page, version, words, faces }).onConflictDoNothing();
}

/** What was seen in pictures, by file and then by page. */
export async function readingsOf(
  db: Database,
  originals: readonly string[],
): Promise<Map<string, Map<number, PictureReading>>> {
  const known = new Map<string, Map<number, PictureReading>>();
  if (originals.length === 0) return known;
  for (const { original, page, words, faces } of await db
    .select()
    .from(pictureReadings)
    .where(and(inArray(pictureReadings.original, [...originals]), eq(pictureReadings.version, version)))) {
    const pages = known.get(original) ?? new Map<number, PictureReading>();
    known.set(original, pages.set(page, { words, faces }));
  }
  return known;
}
