import { eq } from 'drizzle-orm';
import type { PreviewSize } from '#contract/material-paths.ts';
import { burntIn, type Fixes, hasBurntIn } from '#core/materials/fixes.ts';
import type { PictureSource } from '#core/gallery/picture-source.ts';
import type { Database } from '../db/connect.ts';
import { derivatives } from '../db/schema.ts';
import type { BlobStore } from './blob-store.ts';
import type { Reading } from '../reading/reading.ts';
import type { StoredPreview } from '../reading/read-file.ts';

const keyOf = (original: string, size: PreviewSize): string => `preview ${original} ${size}`;

/** Remembers the pictures the studio shows of an original. */
export async function rememberPreviews(
  db: Database,
  original: string,
  previews: readonly StoredPreview[],
): Promise<void> {
  if (previews.length === 0) return;
  await db
    .insert(derivatives)
    .values(previews.map(({ size, ...made }) => ({ recipe: keyOf(original, size), ...made })))
    .onConflictDoNothing();
}

/** Hash of a preview without fixes, or null when the original was never imported. */
export async function previewHash(db: Database, original: string, size: PreviewSize): Promise<string | null> {
  const [row] = await db
    .select({ hash: derivatives.hash })
    .from(derivatives)
    .where(eq(derivatives.recipe, keyOf(original, size)));
  return row?.hash ?? null;
}

/**
 * The preview of a picture or page with the fixes asked for. Only those the material really has are stored: while a
 * maker tries settings, what they try is made and forgotten.
 *
 * @param kept the fixes the material has
 * @param by whose it is
 */
export async function previewWithFixes(
  { db, blobs, reading }: { db: Database; blobs: BlobStore; reading: Reading },
  source: PictureSource,
  kept: Fixes,
  size: PreviewSize,
  by: string,
): Promise<Buffer | null> {
  const { original, page, fixes } = source;
  const ready = hasBurntIn(fixes) || page ? null : await previewHash(db, original, size);
  if (ready) return blobs.read(ready);
  const recipe = `${keyOf(original, size)} ${page ? `page ${page} ` : ''}${JSON.stringify(burntIn(fixes))}`;
  const [known] = await db
    .select({ hash: derivatives.hash })
    .from(derivatives)
    .where(eq(derivatives.recipe, recipe));
  if (known) return blobs.read(known.hash);
  const made = await reading.run('preview', { source, size }, by);
  const contents = Buffer.from(made.contents);
  if (JSON.stringify(burntIn(fixes)) === JSON.stringify(burntIn(kept)))
    await db
      .insert(derivatives)
      .values({
        recipe,
        hash: await blobs.put(contents),
        bytes: contents.byteLength,
        widthPx: made.widthPx,
        heightPx: made.heightPx,
      })
      .onConflictDoNothing();
  return contents;
}
