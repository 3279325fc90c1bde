import { and, eq, isNotNull, sql, type SQL } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { reachOf, type Viewer } from '#core/access/viewer.ts';
import { type Height, lowest, reaches } from '#core/content/height.ts';
import type { Draft } from '#core/content/site.ts';
import { wellFormed } from '#core/words/well-formed.ts';
import { narrowed, siteReach } from '#core/release/narrowed.ts';
import type { FileTree, Manifest } from '#core/release/manifest.ts';
import { searchEngines } from '../db/ceilings.ts';
import type { Database } from '../db/connect.ts';
import { ceilings, formerAddresses, linkKeys, releases, sites } from '../db/schema.ts';
import { stillOpen } from './still-open.ts';

/** One way into a site that is open now. */
export interface Entrance {
  tree: FileTree;
  /** Search engines may keep it. */
  indexable: boolean;
  /** Came by a secret link: nobody between may keep a copy, and the address may not travel on. */
  secret: boolean;
}
export type Found = { entrance: Entrance } | { movedTo: string } | null;

/** A site in the server's own list. */
export interface ListedSite {
  title: string;
  path: string;
  /** Search engines may find it; others stand in no list that says they may not. */
  indexable: boolean;
  /** Paths of its pages below its own. */
  pages: string[];
}

/** The live release of a site, and what of it lies above its ceiling now. */
interface LiveSite {
  id: string;
  address: string | null;
  /** How high the site itself is open. */
  reach: Height;
  indexable: boolean;
  source: Draft;
  manifest: Manifest;
  /** The same copy without what is closed; null when nothing is. */
  lower: Draft | null;
}

/** What a release is served by, read in one statement, so that no publish or closing can come in between. */
const columns = {
  site: sites,
  manifest: releases.manifest,
  source: releases.source,
  ceilings: sql<Record<string, Height>>`coalesce(
    (select jsonb_object_agg(${ceilings.thing}, ${ceilings.height}) from ${ceilings} where ${ceilings.siteId} = ${sites.id}),
    '{}'::jsonb)`,
};
interface Row {
  site: typeof sites.$inferSelect;
  manifest: Manifest;
  source: Draft;
  ceilings: Record<string, Height>;
}

/** Names of entrances that were looked up are remembered up to this many, those asked for last. */
const remembered = 2000;

/**
 * Which entrances are open, remembered in memory so that serving a page asks the database nothing. `forget` is
 * called after everything that could open, close or move an entrance, so a change works on the next request.
 */
export class PublicSites {
  readonly #db: Database;
  readonly #onForget: () => Promise<void>;
  readonly #onUntidy: (site: string) => void;
  readonly #found = new LRUCache<string, Promise<Found>>({ max: remembered });
  #listed: Promise<ListedSite[]> | null = null;

  /**
   * @param onForget told whenever what is open may have changed
   * @param onUntidy told of a site whose live release holds something that is closed
   */
  constructor(
    db: Database,
    onForget: () => Promise<void> = async () => {},
    onUntidy: (site: string) => void = () => {},
  ) {
    this.#db = db;
    this.#onForget = onForget;
    this.#onUntidy = onUntidy;
  }

  /**
   * Some site has changed; its addresses and links may be under any name, so all names are looked up anew. Resolves
   * when no process answers with what it knew before.
   */
  async forget(): Promise<void> {
    this.#found.clear();
    this.#listed = null;
    await this.#onForget();
  }

  atAddress(address: string): Promise<Found> {
    return this.#remember(`address ${address}`, () => this.#lookUpAddress(address));
  }

  atLink(key: string): Promise<Found> {
    return this.#remember(`link ${key}`, () => this.#lookUpLink(key));
  }

  /**
   * Public sites, for the server's own list; those closed to strangers are not in it. Remembered until something is
   * opened or closed.
   */
  listed(): Promise<ListedSite[]> {
    if (this.#listed) return this.#listed;
    const looking = this.#lookUpListed();
    this.#listed = looking;
    looking.catch(() => {
      if (this.#listed === looking) this.#listed = null;
    });
    return looking;
  }

  async #lookUpListed(): Promise<ListedSite[]> {
    const rows = await this.#db
      .select(columns)
      .from(sites)
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(and(eq(sites.height, 'public'), isNotNull(sites.address)))
      .orderBy(sites.title);
    const all: ListedSite[] = [];
    for (const row of rows) {
      const live = this.#live(row);
      const tree = this.#treeFor(live, { kind: 'stranger' });
      if (!tree || !live.address) continue;
      all.push({
        title: live.source.site.title,
        path: `/${live.address}/`,
        indexable: live.indexable,
        pages: Object.keys(tree)
          .filter((path) => path.endsWith('index.html'))
          .map((path) => path.slice(0, -'index.html'.length)),
      });
    }
    return all;
  }

  /** Asks for what is closed. It stands in the database before its maker is told so, whatever has been made since. */
  #live({ site, manifest, source, ceilings: written }: Row): LiveSite {
    const closed = new Map(Object.entries(written));
    const lower = narrowed(source, closed);
    if (lower) this.#onUntidy(site.id);
    return {
      id: site.id,
      address: site.address,
      reach: lowest([siteReach(source, closed), site.height]),
      indexable: source.site.searchEngines && site.searchEngines && !closed.has(searchEngines),
      source,
      manifest,
      lower,
    };
  }

  /** The files of one way in, as far as they are open now. */
  #treeFor({ reach, source, lower, manifest }: LiveSite, viewer: Viewer): FileTree | null {
    if (!reaches(reach, reachOf(viewer))) return null;
    const tree =
      viewer.kind === 'stranger'
        ? manifest.public
        : viewer.kind === 'page-link'
          ? (manifest.pageLinks[viewer.page] ?? null)
          : manifest.siteLink;
    return tree && lower ? stillOpen(tree, source, lower, viewer) : tree;
  }

  #remember(name: string, lookUp: () => Promise<Found>): Promise<Found> {
    // No name of ours has signs that no database keeps.
    if (wellFormed(name) !== name) return Promise.resolve(null);
    const known = this.#found.get(name);
    if (known) return known;
    const looking = lookUp();
    this.#found.set(name, looking);
    looking.catch(() => {
      if (this.#found.peek(name) === looking) this.#found.delete(name);
    });
    return looking;
  }

  /**
   * How high a site is open that stands or stood at an address, or has a link, without anything that is large: what is
   * closed is so answered as fast as what never existed.
   */
  async #reach(where: SQL): Promise<{ id: string; address: string | null; reach: Height } | null> {
    const [row] = await this.#db
      .select({
        id: sites.id,
        address: sites.address,
        height: sites.height,
        released: sql<Height>`${releases.source} -> 'site' ->> 'height'`,
        ceiling: ceilings.height,
      })
      .from(sites)
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .leftJoin(ceilings, and(eq(ceilings.siteId, sites.id), eq(ceilings.thing, sites.id)))
      .where(where);
    if (!row) return null;
    const { id, address, height, released, ceiling } = row;
    return { id, address, reach: lowest([height, released, ceiling ?? 'public']) };
  }

  async #lookUpAddress(address: string): Promise<Found> {
    const former = sql`(select ${formerAddresses.siteId} from ${formerAddresses} where ${formerAddresses.address} = ${address})`;
    const site = await this.#reach(sql`${sites.address} = ${address} or ${sites.id} in ${former}`);
    if (!site || site.reach !== 'public' || !site.address) return null;
    const [row] = await this.#db
      .select(columns)
      .from(sites)
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(eq(sites.id, site.id));
    const live = row && this.#live(row);
    const tree = live && this.#treeFor(live, { kind: 'stranger' });
    if (!tree) return null;
    // An old address leads on only to where a stranger may go; else it would tell that the site exists.
    if (site.address !== address) return { movedTo: site.address };
    return { entrance: { tree, indexable: live.indexable, secret: false } };
  }

  async #lookUpLink(key: string): Promise<Found> {
    const keyed = sql`(select ${linkKeys.siteId} from ${linkKeys} where ${linkKeys.key} = ${key})`;
    const site = await this.#reach(sql`${sites.id} in ${keyed}`);
    if (!site || !reaches(site.reach, 'unlisted')) return null;
    const [row] = await this.#db
      .select({ ...columns, thing: linkKeys.thing })
      .from(linkKeys)
      .innerJoin(sites, eq(sites.id, linkKeys.siteId))
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(eq(linkKeys.key, key));
    if (!row) return null;
    const viewer: Viewer =
      row.thing === row.site.id ? { kind: 'site-link' } : { kind: 'page-link', page: row.thing };
    const tree = this.#treeFor(this.#live(row), viewer);
    return tree && { entrance: { tree, indexable: false, secret: true } };
  }
}
