import { eq } from 'drizzle-orm';
import type { PreviewSize } from '#contract/preview-path.ts';
import { burntIn, type Fixes, hasBurntIn } from '#core/content/fixes.ts';
import type { Database } from '../db/connect.ts';
import { derivatives } from '../db/schema.ts';
import type { BlobStore } from './blob-store.ts';
import { fixedPixels, fromRaw } from './fixed-pixels.ts';
import type { ReadPicture } from './read-picture.ts';

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

/** Hash of a preview without fixes, or null when the original was never imported. */
export async function previewHash(db: Database, original: string, size: PreviewSize): Promise<string | null> {
  const [row] = await db
    .select({ hash: derivatives.hash })
    .from(derivatives)
    .where(eq(derivatives.recipe, keyOf(original, size)));
  return row?.hash ?? null;
}

/** The preview as a maker sees it: WebP, longest side of the wanted size, fixes burnt in. */
export async function fixedPreview(
  source: string | Buffer,
  fixes: Fixes,
  size: PreviewSize,
): Promise<{ contents: Buffer; widthPx: number; heightPx: number }> {
  const made = await fromRaw(await fixedPixels(source, fixes, size))
    .resize({ width: size, height: size, fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 76, effort: 2 })
    .toBuffer({ resolveWithObject: true });
  return { contents: made.data, widthPx: made.info.width, heightPx: made.info.height };
}

/**
 * The preview of a picture with the fixes asked for. Only those the material really has are stored: while a maker
 * tries settings, what they try is made and forgotten.
 */
export async function pictureWithFixes(
  { db, blobs }: { db: Database; blobs: BlobStore },
  material: { original: string; fixes: Fixes },
  wanted: Fixes,
  size: PreviewSize,
): Promise<Buffer | null> {
  const { original } = material;
  if (!hasBurntIn(wanted)) {
    const hash = await previewHash(db, original, size);
    return hash ? blobs.read(hash) : null;
  }
  const recipe = `${keyOf(original, size)} ${JSON.stringify(burntIn(wanted))}`;
  const [known] = await db
    .select({ hash: derivatives.hash })
    .from(derivatives)
    .where(eq(derivatives.recipe, recipe));
  if (known) return blobs.read(known.hash);
  const { contents, widthPx, heightPx } = await fixedPreview(blobs.pathOf(original), wanted, size);
  if (JSON.stringify(burntIn(wanted)) === JSON.stringify(burntIn(material.fixes)))
    await db
      .insert(derivatives)
      .values({ recipe, hash: await blobs.put(contents), bytes: contents.byteLength, widthPx, heightPx })
      .onConflictDoNothing();
  return contents;
}
