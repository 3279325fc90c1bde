import { and, eq, gt, inArray, isNotNull, sql } from 'drizzle-orm';
import { type Height, lowest } from '#core/access/height.ts';
import type { Listing } from '#core/listing/listing.ts';
import { siteReach } from '#core/release/narrowed.ts';
import { fromStored } from '#core/stored/stored-json.ts';
import { storedSite } from '#core/stored/stored-kinds.ts';
import { isOfOneWhoStays } from '../accounts/leaving-rows.ts';
import { searchEngines } from '../db/ceilings.ts';
import type { Database } from '../db/connect.ts';
import { releases, sites } from '../db/schema.ts';
import { listingIn } from './listing-rows.ts';
import { liveColumns, type LiveRow, type LiveSite, openTree, pagesIn, reachInside } from './live-site.ts';

/** What the server's list says of a site, and where it is. */
export type ListingOfSite = Listing & { id: string; path: string };

const byTitle = new Intl.Collator('en').compare;

/** A site in the server's own list. */
export interface ListedSite {
  id: string;
  title: string;
  path: string;
  /** Search engines may find it; others stand in no list that says they may not. */
  indexable: boolean;
  /** Paths of its pages below its own. */
  pages: string[];
  /** What the list says of it; null where its maker does not want to be in it. */
  listing: ListingOfSite | null;
}

/** Sites are read so many at a time: the database answers one question after the other. */
const atOnce = 200;

/** What the list says of a site, without its files. */
const columns = {
  id: sites.id,
  address: sites.address,
  height: sites.height,
  searchEngines: sites.searchEngines,
  listed: sites.listed,
  released: sql<object>`${releases.source} -> 'site'`,
  pages: sql<string[] | null>`case when jsonb_typeof(${releases.manifest} -> 'public') = 'object' then array(
    select path from jsonb_object_keys(${releases.manifest} -> 'public') as path where path like '%index.html' order by path) end`,
  ceilings: liveColumns.ceilings,
};
const isListed = and(eq(sites.height, 'public'), isNotNull(sites.address), isOfOneWhoStays);

/**
 * Public sites by title. Read once, a part at a time; after that only those that were forgotten are read again.
 */
export class SiteList {
  readonly #db: Database;
  readonly #live: (row: LiveRow) => Promise<LiveSite>;
  /** Null until somebody asks. */
  #sites: Map<string, ListedSite> | null = null;
  readonly #forgotten = new Set<string>();
  #inOrder: readonly ListedSite[] | null = null;
  #last: Promise<unknown> = Promise.resolve();

  /** @param live what is open of a site, asked for where something inside it may be closed */
  constructor(db: Database, live: (row: LiveRow) => Promise<LiveSite>) {
    this.#db = db;
    this.#live = live;
  }

  forget(some: readonly string[]): void {
    for (const site of some) this.#forgotten.add(site);
  }

  /** The list as it is now. The same one comes again as long as nothing was forgotten. */
  all(): Promise<readonly ListedSite[]> {
    // One after the other: whoever asks while somebody else's answer is read may know of a later change.
    const mine = this.#last.catch(() => undefined).then(() => this.#upToDate());
    this.#last = mine;
    return mine;
  }

  async #upToDate(): Promise<readonly ListedSite[]> {
    const known = this.#sites;
    // What is forgotten from here on is read again by the next one who asks.
    const some = [...this.#forgotten];
    this.#forgotten.clear();
    if (known === null) {
      this.#sites = await this.#readAll();
      this.#inOrder = null;
    } else if (some.length > 0) {
      try {
        const now = await this.#readSome(some);
        for (const site of some) known.delete(site);
        for (const site of now) known.set(site.id, site);
        this.#inOrder = null;
      } catch (error) {
        this.forget(some);
        throw error;
      }
    }
    this.#inOrder ??= [...(this.#sites?.values() ?? [])].sort(
      (a, b) => byTitle(a.title, b.title) || (a.id < b.id ? -1 : 1),
    );
    return this.#inOrder;
  }

  async #readAll(): Promise<Map<string, ListedSite>> {
    const all = new Map<string, ListedSite>();
    for (let after = ''; ;) {
      const rows = await this.#db
        .select(columns)
        .from(sites)
        .innerJoin(releases, eq(releases.id, sites.liveRelease))
        .where(and(isListed, gt(sites.id, after)))
        .orderBy(sites.id)
        .limit(atOnce);
      for (const row of rows) {
        const site = await this.#listed(row);
        if (site) all.set(site.id, site);
      }
      const last = rows.at(-1);
      if (!last || rows.length < atOnce) return all;
      after = last.id;
    }
  }

  async #readSome(some: readonly string[]): Promise<ListedSite[]> {
    const rows = await this.#db
      .select(columns)
      .from(sites)
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(and(isListed, inArray(sites.id, [...some])));
    const now: ListedSite[] = [];
    for (const row of rows) {
      const site = await this.#listed(row);
      if (site) now.push(site);
    }
    return now;
  }

  async #listed(row: {
    id: string;
    address: string | null;
    height: Height;
    searchEngines: boolean;
    listed: boolean;
    released: object;
    pages: string[] | null;
    ceilings: Record<string, Height>;
  }): Promise<ListedSite | null> {
    const released = fromStored(storedSite, row.released);
    const most = new Map(Object.entries(row.ceilings));
    const reach = lowest([siteReach({ site: released }, most), row.height]);
    if (reach !== 'public' || row.address === null || row.pages === null) return null;
    const pages = reachInside(row.id, row.ceilings) ? await this.#openPages(row.id) : pagesIn(row.pages);
    if (!pages) return null;
    const path = `/${row.address}/`;
    const listing = row.listed ? await listingIn(this.#db, row.id) : null;
    return {
      id: row.id,
      title: released.title,
      path,
      indexable: released.searchEngines && row.searchEngines && !most.has(searchEngines),
      pages,
      listing: listing && { ...listing, id: row.id, path },
    };
  }

  /** Pages of a site of which something inside may be closed. */
  async #openPages(site: string): Promise<string[] | null> {
    const [row] = await this.#db
      .select(liveColumns)
      .from(sites)
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(eq(sites.id, site));
    const live = row && (await this.#live(row));
    const tree = live && openTree(live, { kind: 'stranger' }, live.manifest.public);
    return tree ? pagesIn(Object.keys(tree)) : null;
  }
}
