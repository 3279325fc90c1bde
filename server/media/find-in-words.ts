import { and, eq, ne, or, isNull, sql } from 'drizzle-orm';
import { emptyDocument } from '#core/materials/document.ts';
import type { Material } from '#core/materials/material.ts';
import { searchableText } from '#core/materials/uncovered-words.ts';
import { captionLines } from '#core/words/web-vtt.ts';
import { queryWords } from '#core/words/plain-words.ts';
import { wellFormed } from '#core/words/well-formed.ts';
import type { Database } from '../db/connect.ts';
import { materialOf } from '../db/rows/material-row.ts';
import { materials, materialWords } from '../db/schema.ts';
import type { BlobStore } from './blob-store.ts';
import { contentsOf } from '../documents/document-contents.ts';

interface Deps {
  db: Database;
  blobs: BlobStore;
}

/** PostgreSQL's tsvector holds less than a megabyte; a document of more different words is found by the first of them. */
const mostWords = 30_000;
const longestWord = 100;
/** Materials whose words are written in one go. */
const atATime = 20;

/** Everything a material is found by: its words first, its document's after them. */
function wordsOf(material: Material, document: string): string {
  const { title, caption, alt, tags, fileName, provenance, transcript } = material;
  // Split into words here, by one rule for what is stored and what is asked: PostgreSQL's own parser takes the second
  // half of "555-0142" for a negative number.
  const all = queryWords(
    [
      title,
      caption,
      alt,
      ...tags,
      fileName,
      provenance.title,
      provenance.maker,
      ...captionLines(transcript),
      document,
    ].join(' '),
  )
    .map(wellFormed)
    .filter((word) => word.length <= longestWord);
  return [...new Set(all)].slice(0, mostWords).join(' ');
}

/** Brings what is found up to date with what was changed since somebody last looked. */
async function refresh({ db, blobs }: Deps, account: string): Promise<void> {
  for (;;) {
    const rows = await db
      .select({ material: materials })
      .from(materials)
      .leftJoin(materialWords, eq(materialWords.material, materials.id))
      .where(
        and(
          eq(materials.accountId, account),
          or(isNull(materialWords.material), ne(materialWords.revision, materials.revision)),
        ),
      )
      .limit(atATime);
    if (rows.length === 0) return;
    const contents = await contentsOf(
      db,
      blobs,
      rows.flatMap(({ material }) => (material.kind === 'document' ? [material.original] : [])),
    );
    const values = rows.map(({ material: row }) => {
      const material = materialOf(row);
      const content = contents.get(material.original) ?? emptyDocument;
      const words = wordsOf(material, searchableText(content, material.fixes.blackOut));
      return {
        material: row.id,
        accountId: account,
        revision: row.revision,
        words: sql`to_tsvector('simple', ${words})`,
      };
    });
    await db
      .insert(materialWords)
      .values(values)
      .onConflictDoUpdate({
        target: materialWords.material,
        set: { revision: sql`excluded.revision`, words: sql`excluded.words` },
      });
  }
}

/**
 * Ids of a maker's materials in which every word of the query begins some word: in their titles, captions, alt texts,
 * tags, makers, transcripts and documents. Words under a black-out are in no document's words.
 */
export async function findInWords(deps: Deps, account: string, query: string): Promise<string[]> {
  const wanted = queryWords(query);
  if (wanted.length === 0) return [];
  await refresh(deps, account);
  const rows = await deps.db
    .select({ id: materialWords.material })
    .from(materialWords)
    .innerJoin(materials, eq(materials.id, materialWords.material))
    .where(
      and(
        eq(materialWords.accountId, account),
        sql`${materialWords.words} @@ to_tsquery('simple', ${wanted.map((word) => `${word}:*`).join(' & ')})`,
      ),
    );
  return rows.map(({ id }) => id);
}
