import { inArray } from 'drizzle-orm';
import { burntIn } from '#core/materials/fixes.ts';
import type { PictureSource } from '#core/gallery/picture-source.ts';
import type { Database } from '../db/connect.ts';
import { derivatives } from '../db/schema.ts';
import type { Reading } from '../reading/reading.ts';
import type { BlobStore } from './blob-store.ts';

interface LightDeps {
  db: Database;
  blobs: BlobStore;
  reading: Reading;
}

/** Another way of reading lightness gets another number. */
const version = 1;
const recipeOf = ({ original, page, fixes }: PictureSource): string =>
  `light ${version} ${original} ${page === null ? '' : `page ${page} `}${JSON.stringify(burntIn(fixes))}`;

/**
 * How light some pictures are, part by part, as text (see `LightMap`), by their names. Each is read once, when it is first asked for.
 *
 * @param by whose they are
 * @param low nobody waits for it
 */
export async function lightsOf(
  { db, blobs, reading }: LightDeps,
  pictures: readonly { id: string; source: PictureSource }[],
  by: string,
  low = false,
): Promise<Map<string, string>> {
  const lights = new Map<string, string>();
  if (pictures.length === 0) return lights;
  const wanted = pictures.map(({ id, source }) => ({ id, source, recipe: recipeOf(source) }));
  const known = new Map<string, string>();
  for (const { recipe, hash } of await db
    .select({ recipe: derivatives.recipe, hash: derivatives.hash })
    .from(derivatives)
    .where(
      inArray(
        derivatives.recipe,
        wanted.map(({ recipe }) => recipe),
      ),
    ))
    known.set(recipe, hash);
  await Promise.all(
    wanted.map(async ({ id, source, recipe }) => {
      const hash = known.get(recipe);
      if (hash) {
        lights.set(id, (await blobs.read(hash)).toString('latin1'));
        return;
      }
      // One that cannot be read gets the veil that holds over any picture.
      const light = await reading.run('light', { source }, by, low).catch(() => null);
      if (light === null) return;
      lights.set(id, light);
      const contents = Buffer.from(light, 'latin1');
      const { widthPx, heightPx } = source;
      await db
        .insert(derivatives)
        .values({
          ...{ recipe, hash: await blobs.put(contents), bytes: contents.byteLength },
          ...{ widthPx, heightPx },
        })
        .onConflictDoNothing();
    }),
  );
  return lights;
}
