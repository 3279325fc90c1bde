import { eq } from 'drizzle-orm';
import type { PreviewSize } from '#contract/material-paths.ts';
import { burntIn, type Fixes, hasBurntIn } from '#core/content/fixes.ts';
import type { PictureSource } from '#core/gallery/picture-source.ts';
import type { Database } from '../db/connect.ts';
import { derivatives } from '../db/schema.ts';
import type { BlobStore } from './blob-store.ts';
import { type Preview, previewFrom } from './preview-from.ts';
import { pixelsOf } from './pixels-of.ts';

const keyOf = (original: string, size: PreviewSize): string => `preview ${original} ${size}`;

/** Stores the pictures the studio shows of an original. */
export async function rememberPreviews(
  db: Database,
  blobs: BlobStore,
  original: string,
  previews: readonly Preview[],
): Promise<void> {
  if (previews.length === 0) return;
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
 */
export async function previewWithFixes(
  { db, blobs }: { db: Database; blobs: BlobStore },
  source: PictureSource,
  kept: Fixes,
  size: PreviewSize,
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
  const made = await previewFrom(await pixelsOf(blobs, source, size), size);
  if (JSON.stringify(burntIn(fixes)) === JSON.stringify(burntIn(kept)))
    await db
      .insert(derivatives)
      .values({
        recipe,
        hash: await blobs.put(made.contents),
        bytes: made.contents.byteLength,
        widthPx: made.widthPx,
        heightPx: made.heightPx,
      })
      .onConflictDoNothing();
  return made.contents;
}
