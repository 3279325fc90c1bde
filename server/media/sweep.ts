import { eq, inArray, sql, TransactionRollbackError } from 'drizzle-orm';
import type { Material } from '#core/materials/material.ts';
import type { FileTree } from '#core/release/manifest.ts';
import { fromStored } from '#core/stored/stored-json.ts';
import { storedManifest, storedManifestDifference, storedMaterial } from '#core/stored/stored-kinds.ts';
import type { Database, Executor } from '../db/connect.ts';
import { forgetOldSteps } from '../db/forget-old-steps.ts';
import {
  accounts,
  derivatives,
  commentAttachments,
  documentContents,
  edits,
  materials,
  passTrees,
  pictureFeatures,
  pictureReadings,
  releasePieces,
  releases,
  renderedPages,
  secondLooks,
} from '../db/schema.ts';
import type { StoredAssets } from '../publish/site-assets.ts';
import { forgetOldDeletions } from './allowance.ts';
import type { BlobStore } from './blob-store.ts';

/** Deleted files are kept for undo this long, in ms: 30 days. */
const deletedKeptMs = 30 * 24 * 60 * 60 * 1000;
/** What was written more lately is left alone: whoever made it may be about to name it. In ms. */
const freshMs = 60 * 60 * 1000;

export interface SweepDeps {
  db: Database;
  blobs: BlobStore;
  assets: StoredAssets;
  limits: { maxTotalBytes: number };
}

interface SweepOptions {
  freshFor?: number;
  keptMs?: number;
  dryRun?: boolean;
}
export interface Swept {
  files: number;
  bytes: number;
}

/** Files a material is made of: its original, and the picture that was fetched along with a link. */
const ofMaterial = ({ original, kind, facts }: Pick<Material, 'original' | 'kind' | 'facts'>): string[] =>
  kind === 'link' && facts.format === 'link' && facts.picture ? [original, facts.picture.hash] : [original];

/** Originals that somebody has, or can bring back by undo or with an old release. */
async function originalsIn(db: Executor): Promise<Set<string>> {
  const named = new Set<string>();
  const name = (list: readonly string[]) => list.forEach((hash) => named.add(hash));
  for (const row of await db
    .select({ original: materials.original, kind: materials.kind, facts: materials.facts })
    .from(materials))
    name(ofMaterial(row));
  for (const { revision } of await db.select({ revision: edits.revision }).from(edits)) {
    const [row] = await db.select({ changes: edits.changes }).from(edits).where(eq(edits.revision, revision));
    // Recorded whole or by its fields, and by whatever version: a hash is a file that a step may bring back.
    name(JSON.stringify(row?.changes ?? []).match(/\b[0-9a-f]{64}\b/g) ?? []);
  }
  const ofReleases = await db
    .select({ material: releasePieces.content })
    .from(releasePieces)
    .where(eq(releasePieces.kind, 'material'));
  for (const { material } of ofReleases) name(ofMaterial(fromStored(storedMaterial, material)));
  for (const { id } of await db.select({ id: releases.id }).from(releases)) {
    const [row] = await db
      .select({ materials: sql<unknown[]>`${releases.source} -> 'materials'` })
      .from(releases)
      .where(eq(releases.id, id));
    // Versions that knew no pieces kept the materials themselves here.
    for (const one of row?.materials ?? [])
      if (typeof one !== 'string') name(ofMaterial(fromStored(storedMaterial, one)));
  }
  return named;
}

/** Files of all releases, and what readers sent with comments. */
async function publishedIn(db: Executor): Promise<Set<string>> {
  const named = new Set<string>();
  const nameTree = (tree: FileTree | null) => {
    for (const { hash, br, gzip } of Object.values(tree ?? {}))
      for (const one of [hash, br, gzip]) if (one) named.add(one);
  };
  for (const { id } of await db.select({ id: releases.id }).from(releases)) {
    const [row] = await db
      .select({ manifest: releases.manifest, against: releases.against })
      .from(releases)
      .where(eq(releases.id, id));
    if (!row) continue;
    if (row.against === null) {
      const whole = fromStored(storedManifest, row.manifest);
      [whole.public, whole.siteLink, ...Object.values(whole.pageLinks)].forEach(nameTree);
    } else {
      // What it has in common with the release it is told against is named there.
      const own = fromStored(storedManifestDifference, row.manifest);
      for (const one of [own.public, own.siteLink, ...Object.values(own.pageLinks)])
        nameTree(one?.otherwise ?? null);
    }
  }
  for (const { tree } of await db.select({ tree: passTrees.tree }).from(passTrees)) nameTree(tree);
  for (const { tree } of await db.select({ tree: secondLooks.tree }).from(secondLooks)) nameTree(tree);
  for (const { stored } of await db.select({ stored: commentAttachments.stored }).from(commentAttachments))
    named.add(stored);
  return named;
}

/**
 * Takes away what nothing names any more: files of materials that were deleted and cannot be brought back, what was made
 * of them, pages that are in no release, and what a stopped upload or publish has left.
 *
 * @param freshFor what was written within this time is left alone, in ms
 * @param dryRun only says what would go: nothing is taken away or forgotten
 * @returns how many files and bytes went, or would
 */
export async function sweep(deps: SweepDeps, { dryRun = false, ...how }: SweepOptions = {}): Promise<Swept> {
  if (!dryRun) return sweepIn(deps.db, deps, how);
  let swept: Swept = { files: 0, bytes: 0 };
  const blobs = {
    all: () => deps.blobs.all(),
    removeIfOlder: (hash: string, than: number) => deps.blobs.sizeIfOlder(hash, than),
  };
  // Done as it would be, and then taken back.
  await deps.db
    .transaction(async (tx) => {
      swept = await sweepIn(tx, { ...deps, blobs }, how);
      tx.rollback();
    })
    .catch((error: unknown) => {
      if (!(error instanceof TransactionRollbackError)) throw error;
    });
  return swept;
}

async function sweepIn(
  db: Executor,
  { blobs, assets, limits }: Omit<SweepDeps, 'blobs'> & { blobs: Pick<BlobStore, 'all' | 'removeIfOlder'> },
  { freshFor = freshMs, keptMs = deletedKeptMs }: Omit<SweepOptions, 'dryRun'>,
): Promise<Swept> {
  const before = Date.now() - freshFor;
  await forgetOldSteps(db, { keptMs });
  for (const { id } of await db.select({ id: accounts.id }).from(accounts))
    await forgetOldDeletions(db, id, { keptMs, mostBytes: limits.maxTotalBytes });

  const originals = await originalsIn(db);
  const named = await publishedIn(db);
  for (const { hash, br, gzip } of Object.values(assets.files))
    for (const one of [hash, br, gzip]) if (one) named.add(one);
  for (const row of await db.select().from(documentContents)) {
    const pictures = row.content
      ? row.content.pieces.flatMap((piece) => (piece.type === 'picture' ? [piece.picture] : []))
      : row.pictures;
    if (!originals.has(row.original)) continue;
    for (const picture of pictures) originals.add(picture);
    if (row.stored) named.add(row.stored);
  }
  for (const hash of originals) named.add(hash);

  // A recipe holds the hash of what it is made from.
  const stale: string[] = [];
  for (const { recipe, hash } of await db
    .select({ recipe: derivatives.recipe, hash: derivatives.hash })
    .from(derivatives)) {
    const from = /[0-9a-f]{64}/.exec(recipe)?.[0];
    if (named.has(hash) || (from && originals.has(from))) named.add(hash);
    else stale.push(recipe);
  }
  const old = new Set<string>();
  let [files, bytes] = [0, 0];
  for await (const blob of blobs.all()) {
    if (named.has(blob.hash) || blob.changedAt > before) continue;
    old.add(blob.hash);
  }
  // Rows first: nothing may be found by them that is not there.
  for (let from = 0; from < stale.length; from += 500)
    await db.delete(derivatives).where(inArray(derivatives.recipe, stale.slice(from, from + 500)));
  for (const { input, file } of await db.select().from(renderedPages))
    if (old.has(file.hash)) await db.delete(renderedPages).where(eq(renderedPages.input, input));
  for (const { original } of await db.select({ original: documentContents.original }).from(documentContents))
    if (!originals.has(original))
      await db.delete(documentContents).where(eq(documentContents.original, original));
  for (const { original } of await db.select({ original: pictureFeatures.original }).from(pictureFeatures))
    if (!originals.has(original))
      await db.delete(pictureFeatures).where(eq(pictureFeatures.original, original));
  for (const { original } of await db
    .selectDistinct({ original: pictureReadings.original })
    .from(pictureReadings))
    if (!originals.has(original))
      await db.delete(pictureReadings).where(eq(pictureReadings.original, original));
  for (const hash of old) {
    const size = await blobs.removeIfOlder(hash, before);
    if (size === null) continue;
    files++;
    bytes += size;
  }
  return { files, bytes };
}
