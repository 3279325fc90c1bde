import { and, eq, inArray } from 'drizzle-orm';
import type { DocumentContent } from '#core/content/document.ts';
import type { Executor } from '../db/connect.ts';
import { documentContents } from '../db/schema.ts';

/** Counts up when reading the same file would give something else, so that old readings are not taken for new ones. */
const version = 1;

/** Remembers what was read out of a document, by its file. */
export async function rememberContent(
  db: Executor,
  original: string,
  content: DocumentContent,
): Promise<void> {
  await db.insert(documentContents).values({ original, version, content }).onConflictDoNothing();
}

/** What was read out of documents, by the hash of their files. */
export async function contentsOf(
  db: Executor,
  originals: readonly string[],
): Promise<Map<string, DocumentContent>> {
  if (originals.length === 0) return new Map();
  const rows = await db
    .select()
    .from(documentContents)
    .where(and(inArray(documentContents.original, [...originals]), eq(documentContents.version, version)));
  return new Map(rows.map((row) => [row.original, row.content]));
}
