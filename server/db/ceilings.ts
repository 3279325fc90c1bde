import { and, eq, inArray } from 'drizzle-orm';
import type { DraftHeights } from '#core/access/heights-of.ts';
import { type Height, lowest } from '#core/access/height.ts';
import { type Ceilings, ceilingsAfter, contactCeiling, loweredBy } from '#core/release/ceilings.ts';
import type { Site } from '#core/sites/site.ts';
import type { Executor, Transaction } from './connect.ts';
import type { RowChange } from './rows/rows.ts';
import { heightsAround } from './heights-around.ts';
import { ceilings } from './schema.ts';

/**
 * Whether search engines may keep what they find, and whether Unlisted links are passed on with a picture, are no heights, but they
 * are closed and opened in the same way.
 */
export const searchEngines = 'search-engines';
export const linkPictures = 'link-pictures';
const switches = { [searchEngines]: 'searchEngines', [linkPictures]: 'linkPictures' } as const;
type Switches = Pick<Site, (typeof switches)[keyof typeof switches]>;

/** Whether a ceiling is that of a switch. */
export const isSwitch = (thing: string): boolean => Object.hasOwn(switches, thing);

/** What readers may get of a site at most, by id. */
export async function ceilingsOf(db: Executor, site: string): Promise<Ceilings> {
  const rows = await db
    .select({ thing: ceilings.thing, height: ceilings.height })
    .from(ceilings)
    .where(eq(ceilings.siteId, site));
  return new Map(rows.map(({ thing, height }) => [thing, height]));
}

/** Ceilings that were lowered by an edit after the given one. */
export async function ceilingsSince(db: Executor, site: string, revision: number): Promise<Ceilings> {
  const rows = await db.select().from(ceilings).where(eq(ceilings.siteId, site));
  return new Map(rows.flatMap((row) => (row.revision > revision ? [[row.thing, row.height] as const] : [])));
}

/** Lowers ceilings; one that is lower already stays as it is. The caller holds the site's row. */
export async function lowerCeilings(
  tx: Transaction,
  site: string,
  lowered: ReadonlyMap<string, Height>,
  revision: number,
): Promise<void> {
  const things = [...lowered.keys()];
  for (let from = 0; from < things.length; from += 500) {
    const some = things.slice(from, from + 500);
    const there = await tx
      .select({ thing: ceilings.thing, height: ceilings.height })
      .from(ceilings)
      .where(and(eq(ceilings.siteId, site), inArray(ceilings.thing, some)));
    const known = new Map(there.map(({ thing, height }) => [thing, height]));
    const of = (thing: string) => lowest([known.get(thing) ?? 'public', lowered.get(thing) ?? 'public']);
    await tx.delete(ceilings).where(and(eq(ceilings.siteId, site), inArray(ceilings.thing, some)));
    await tx
      .insert(ceilings)
      .values(some.map((thing) => ({ siteId: site, thing, height: of(thing), revision })));
  }
}

/**
 * Writes down what an edit took from readers, in the transaction of the edit: from its end on nobody gets it, whatever
 * happens to this process next.
 *
 * @returns whether anything was
 */
export async function closeLowered(
  tx: Transaction,
  site: string,
  changes: readonly RowChange[],
  revision: number,
): Promise<boolean> {
  const around = await heightsAround(tx, site, changes);
  const lowered = around ? loweredBy(around.before, around.after) : new Map<string, Height>();
  const ofSite = changes.find((change) => change.table === 'site');
  for (const [thing, field] of Object.entries(switches))
    if (ofSite?.before?.[field] && !ofSite.after?.[field]) lowered.set(thing, 'private');
  if (ofSite && !ofSite.before?.underAge && ofSite.after?.underAge) lowered.set(contactCeiling, 'private');
  if (lowered.size === 0) return false;
  await lowerCeilings(tx, site, lowered, revision);
  return true;
}

/**
 * Raises the ceilings to what was published. Those lowered by edits after it stay as low as they are.
 *
 * @param revision of the draft that was published
 */
export async function raiseToPublished(
  tx: Transaction,
  site: string,
  published: DraftHeights & { site: Switches },
  revision: number,
): Promise<void> {
  const rows = await tx.select().from(ceilings).where(eq(ceilings.siteId, site));
  const since = new Map(rows.flatMap((row) => (row.revision > revision ? [[row.thing, row] as const] : [])));
  const known = new Map(rows.map((row) => [row.thing, row.height]));
  const wanted = ceilingsAfter(known, published);
  for (const [thing, field] of Object.entries(switches)) {
    if (published.site[field]) wanted.delete(thing);
    else wanted.set(thing, 'private');
  }
  if (published.site.underAge) wanted.set(contactCeiling, 'private');
  else wanted.delete(contactCeiling);
  const changed = [...new Set([...known.keys(), ...wanted.keys()])].filter(
    (thing) => !since.has(thing) && known.get(thing) !== wanted.get(thing),
  );
  for (let from = 0; from < changed.length; from += 500) {
    const some = changed.slice(from, from + 500);
    await tx.delete(ceilings).where(and(eq(ceilings.siteId, site), inArray(ceilings.thing, some)));
    const rowsNow = some.flatMap((thing) => {
      const height = wanted.get(thing);
      return height === undefined ? [] : [{ siteId: site, thing, height, revision }];
    });
    if (rowsNow.length > 0) await tx.insert(ceilings).values(rowsNow);
  }
}
