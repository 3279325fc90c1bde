import { eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { derivatives } from '../db/schema.ts';
import type { BlobStore } from './blob-store.ts';
import type { PreviewSize, ReadPicture } from './read-picture.ts';

const keyOf = (original: string, size: PreviewSize): string => `preview ${original} ${size}`;

/** Stores the pictures the studio shows of an original. */
export async function rememberPreviews(
  db: Database,
  blobs: BlobStore,
  original: string,
  previews: ReadPicture['previews'],
): Promise<void> {
  const rows = [];
  for (const { size, contents, widthPx, heightPx } of previews)
    rows.push({
      recipe: keyOf(original, size),
      hash: await blobs.put(contents),
      bytes: contents.byteLength,
      widthPx,
      heightPx,
    });
  await db.insert(derivatives).values(rows).onConflictDoNothing();
}

/** Hash of a preview, or null when the original was never imported. */
export async function previewHash(db: Database, original: string, size: PreviewSize): Promise<string | null> {
  const [row] = await db
    .select({ hash: derivatives.hash })
    .from(derivatives)
    .where(eq(derivatives.recipe, keyOf(original, size)));
  return row?.hash ?? null;
}
