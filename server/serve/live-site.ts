import { sql } from 'drizzle-orm';
import { reachOf, type Viewer } from '#core/access/viewer.ts';
import { type Height, lowest, reaches } from '#core/access/height.ts';
import type { Draft, Site } from '#core/sites/site.ts';
import { narrowed, siteReach } from '#core/release/narrowed.ts';
import type { FileTree, Manifest } from '#core/release/manifest.ts';
import type { KeptDraft } from '#core/stored/draft-pieces.ts';
import { fromStored } from '#core/stored/stored-json.ts';
import { storedManifest, storedSite } from '#core/stored/stored-kinds.ts';
import { isSwitch, linkPictures, searchEngines } from '../db/ceilings.ts';
import type { Database } from '../db/connect.ts';
import { sourceOf } from '../db/release-source.ts';
import { ceilings, releases, sites } from '../db/schema.ts';
import { writePath } from '#site/render/site-paths.ts';
import { stillOpen } from './still-open.ts';

/** The live release of a site, and what of it lies above its ceiling now. */
export interface LiveSite {
  id: string;
  address: string | null;
  /** As it was released. */
  site: Site;
  /** How high the site itself is open. */
  reach: Height;
  indexable: boolean;
  /** Unlisted links are passed on with a picture. */
  linkPictures: boolean;
  manifest: Manifest;
  /** The release's copy as it is, and the same without what is closed; null when nothing is. */
  closed: { source: Draft; lower: Draft } | null;
}

/** What a release is served by, read in one statement, so that no publish or closing can come in between. */
export const liveColumns = {
  site: sites,
  release: releases.id,
  manifest: releases.manifest,
  source: releases.source,
  ceilings: sql<Record<string, Height>>`coalesce(
    (select jsonb_object_agg(${ceilings.thing}, ${ceilings.height}) from ${ceilings} where ${ceilings.siteId} = ${sites.id}),
    '{}'::jsonb)`,
};
export interface LiveRow {
  site: typeof sites.$inferSelect;
  release: number;
  manifest: object;
  source: KeptDraft;
  ceilings: Record<string, Height>;
}

/** Whether some ceilings are of something inside a site, and not of all of it. */
export const reachInside = (site: string, written: Readonly<Record<string, Height>>): boolean =>
  Object.keys(written).some((thing) => thing !== site && !isSwitch(thing));

/**
 * What of a site is open and what is closed. What is closed stands in the database before its maker is told so, whatever
 * has been made since. What the release is made of is read only where something inside it may be closed.
 */
export async function liveSite(db: Database, row: LiveRow): Promise<LiveSite> {
  return { ...(await openOf(db, row)), manifest: fromStored(storedManifest, row.manifest) };
}

/** The same of any release, as if it were live, without the files of its own ways in. */
export async function openOf(
  db: Database,
  { site, source: kept, ceilings: written }: Omit<LiveRow, 'manifest'>,
): Promise<Omit<LiveSite, 'manifest'>> {
  const all = new Map(Object.entries(written));
  const released = fromStored(storedSite, kept.site);
  const source = reachInside(site.id, written) ? await sourceOf(db, site.id, kept) : null;
  const lower = source && narrowed(source, all);
  return {
    id: site.id,
    address: site.address,
    site: released,
    reach: lowest([siteReach({ site: released }, all), site.height]),
    indexable: released.searchEngines && site.searchEngines && !all.has(searchEngines),
    linkPictures: released.linkPictures && !all.has(linkPictures),
    closed: source && lower && { source, lower },
  };
}

/** The files of a way in that is part of the release; null where there is none. */
export function treeOf({ manifest }: Pick<LiveSite, 'manifest'>, viewer: Viewer): FileTree | null {
  if (viewer.kind === 'stranger') return manifest.public;
  if (viewer.kind === 'site-link') return manifest.siteLink;
  return viewer.kind === 'page-link' ? (manifest.pageLinks[viewer.page] ?? null) : null;
}

/**
 * The files of one way in, as far as they are open now.
 *
 * @param tree all of them, as the release has them
 */
export function openTree(
  { reach, closed }: Pick<LiveSite, 'reach' | 'closed'>,
  viewer: Viewer,
  tree: FileTree | null,
): FileTree | null {
  if (!reaches(reach, reachOf(viewer))) return null;
  return tree && closed ? stillOpen(tree, closed.source, closed.lower, viewer) : tree;
}

/** Paths of the pages among some files, below the entrance, that somebody may look for. */
export const pagesIn = (paths: readonly string[]): string[] =>
  paths
    .filter((path) => path.endsWith('index.html') && !path.startsWith(writePath))
    .map((path) => path.slice(0, -'index.html'.length));
