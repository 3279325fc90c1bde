import { and, desc, eq, isNull, ne } from 'drizzle-orm';
import type { Manifest } from '#core/release/manifest.ts';
import { manifestAfter, manifestDifference } from '#core/release/manifest-difference.ts';
import { fromStored, stored } from '#core/stored/stored-json.ts';
import { storedManifest, storedManifestDifference } from '#core/stored/stored-kinds.ts';
import type { Executor, Transaction } from './connect.ts';
import { releases } from './schema.ts';

/** So many whole ones are told anew at a time; versions that told none left every release's whole. */
const mostAtOnce = 3;

/**
 * The manifest of any release of a site, put together where it is told against that of another.
 *
 * @throws Unreadable where a newer version kept it
 */
export async function manifestOf(db: Executor, release: number): Promise<Manifest> {
  const differences: object[] = [];
  for (let id: number | null = release; ;) {
    const [row]: Pick<typeof releases.$inferSelect, 'manifest' | 'against'>[] = await db
      .select({ manifest: releases.manifest, against: releases.against })
      .from(releases)
      .where(eq(releases.id, id));
    if (!row) throw new Error(`Release ${id} is not there.`);
    if (row.against === null)
      return differences.reduceRight<Manifest>(
        (whole, one) => manifestAfter(whole, fromStored(storedManifestDifference, one)),
        fromStored(storedManifest, row.manifest),
      );
    differences.push(row.manifest);
    id = row.against;
  }
}

/**
 * Tells those manifests of a site that are whole against the one of a release that is about to be live: two releases have
 * most of their files in common. Called with the site's row held.
 *
 * @param manifest of that release, which stays whole as long as it is live
 */
export async function tellAgainst(
  tx: Transaction,
  site: string,
  release: number,
  manifest: Manifest,
): Promise<void> {
  const whole = await tx
    .select({ id: releases.id, manifest: releases.manifest })
    .from(releases)
    .where(and(eq(releases.siteId, site), isNull(releases.against), ne(releases.id, release)))
    .orderBy(desc(releases.number))
    .limit(mostAtOnce);
  for (const { id, manifest: before } of whole) {
    const difference = manifestDifference(manifest, fromStored(storedManifest, before));
    await tx
      .update(releases)
      .set({ manifest: stored(storedManifestDifference, difference), against: release })
      .where(eq(releases.id, id));
  }
}

/** Makes the manifest of a release whole again, as it has to be before it is live. Called with the site's row held. */
export async function makeWhole(tx: Transaction, site: string, release: number): Promise<void> {
  const manifest = await manifestOf(tx, release);
  await tx
    .update(releases)
    .set({ manifest: stored(storedManifest, manifest), against: null })
    .where(eq(releases.id, release));
  await tellAgainst(tx, site, release, manifest);
}
