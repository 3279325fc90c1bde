import { and, eq, isNull, sql, type SQL } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { type GivenLink, givenLinkName } from '#core/access/given-link.ts';
import type { Framing } from '#core/embed/framing.ts';
import type { Viewer } from '#core/access/viewer.ts';
import { type Height, lowest, reaches } from '#core/access/height.ts';
import { passViewer } from '#core/passes/pass-viewer.ts';
import type { PassWindow } from '#core/passes/pass-window.ts';
import type { FileTree, ManifestFile } from '#core/release/manifest.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Database } from '../db/connect.ts';
import { ceilings, formerAddresses, linkKeys, passes, releases, sites } from '../db/schema.ts';
import { isOfOneWhoStays } from '../accounts/leaving-rows.ts';
import { keyHash } from '../passes/pass-key.ts';
import type { PassTrees } from '../passes/pass-trees.ts';
import { shareFolder } from '#core/release/share-folder.ts';
import { formerPath } from './former-path.ts';
import { liveColumns, liveSite, type LiveRow, type LiveSite, openOf, openTree, treeOf } from './live-site.ts';
import { RememberedNames } from './remembered-names.ts';
import { SiteList } from './site-list.ts';

/** One way into a site that is open now. */
export interface Entrance {
  /** Id of the site. */
  site: string;
  tree: FileTree;
  /** Search engines may keep it. */
  indexable: boolean;
  /** Came by a secret link: nobody between may keep a copy, and the address may not travel on. */
  secret: boolean;
  /** The link's name (see `givenLinkName`) under which it is counted how often pages are opened; left out where it is not. */
  counted?: string;
  /** Where it may be shown inside other pages; left out where nowhere. */
  framing?: Framing;
  /** Whether it is open is asked anew by each request: no answer is kept in front of this server. */
  asked?: true;
  /** A page with what whoever asks now gets of what is said of it, and may say; left out where all get the same. */
  said?: (file: ManifestFile) => Promise<string | null>;
  /** A release that is kept as it was when it was handed in: nothing is said on it. */
  kept?: true;
  /** Where a page stands that readers had at a path that leads nowhere now; see `formerPath`. */
  former: (path: string) => Promise<string | null>;
}
export type Found = { entrance: Entrance } | { movedTo: string } | null;

const sameDraft = (a: Draft | undefined, b: Draft | undefined): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

/** Under what name it is counted how often pages are opened, where their maker wants that. */
const countedBy = ({ site }: Pick<LiveRow, 'site'>, link: GivenLink): Pick<Entrance, 'counted'> =>
  site.countsVisits ? { counted: givenLinkName(link) } : {};

/** A pass that is switched on. Whether it opens now, and for whom, is for its door to say. */
export interface FoundPass extends PassWindow {
  id: string;
  passwordHash: string | null;
  mayComment: boolean;
  /** What its maker would like to hear. */
  asks: string;
  /** What it opens; null where that is nothing. Made when it is first asked for. */
  enter(): Promise<Entrance | null>;
}

/**
 * Which entrances are open, remembered in memory so that serving a page asks the database nothing. `forget` is
 * called after everything that could open, close or move an entrance, so a change works on the next request.
 */
export class PublicSites {
  readonly #db: Database;
  readonly #onForget: (sites: readonly string[]) => Promise<void>;
  readonly #onUntidy: (site: string) => void;
  readonly #trees: Pick<PassTrees, 'of'> | null;
  readonly #names = new RememberedNames<NonNullable<Found>>();
  readonly #passes = new RememberedNames<FoundPass>();
  /** Public sites, for the server's own list; those closed to strangers are not in it. */
  readonly list: SiteList;

  /**
   * @param onForget told of the sites of which may have changed what is open
   * @param onUntidy told of a site whose live release holds something that is closed
   * @param trees what holders of passes get; null: passes open nothing
   */
  constructor(
    db: Database,
    onForget: (sites: readonly string[]) => Promise<void> = async () => {},
    onUntidy: (site: string) => void = () => {},
    trees: Pick<PassTrees, 'of'> | null = null,
  ) {
    this.#db = db;
    this.#onForget = onForget;
    this.#onUntidy = onUntidy;
    this.#trees = trees;
    this.list = new SiteList(db, (row) => this.#live(row));
  }

  /**
   * What is open of these sites has changed; it is looked up anew, and so is every name that led nowhere or that is being
   * looked up. Resolves when no process answers with what it knew before.
   */
  async forget(sites: readonly string[]): Promise<void> {
    this.#names.forget(sites);
    this.#passes.forget(sites);
    this.list.forget(sites);
    await this.#onForget(sites);
  }

  atAddress(address: string): Promise<Found> {
    return this.#names.find(`address ${address}`, (is) => this.#lookUpAddress(address, is));
  }

  atLink(key: string): Promise<Found> {
    return this.#names.find(`link ${key}`, (is) => this.#lookUpLink(key, is));
  }

  /** The share pictures of a site's secret links, as far as a page they show is open by such a link. */
  atLinkPictures(site: string): Promise<Found> {
    return this.#names.find(`pictures ${site}`, (is) => this.#lookUpLinkPictures(site, is));
  }

  /** A pass by its key; null of one that is switched off, and of none. */
  atPass(key: string): Promise<FoundPass | null> {
    const hash = keyHash(key);
    return this.#passes.find(hash, (is) => this.#lookUpPass(hash, is));
  }

  async #live(row: LiveRow): Promise<LiveSite> {
    const live = await liveSite(this.#db, row);
    if (live.closed) this.#onUntidy(live.id);
    return live;
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
      .where(and(where, isOfOneWhoStays));
    if (!row) return null;
    const { id, address, height, released, ceiling } = row;
    return { id, address, reach: lowest([height, released, ceiling ?? 'public']) };
  }

  /** Asked once for each path, for as long as the entrance is as it is. */
  #former(site: string, viewer: Viewer, tree: FileTree): Entrance['former'] {
    const known = new LRUCache<string, Promise<string | null>>({ max: 200 });
    return (path) => {
      const looking = known.get(path) ?? formerPath(this.#db, site, viewer, tree, path);
      known.set(path, looking);
      looking.catch(() => known.delete(path));
      return looking;
    };
  }

  async #lookUpAddress(address: string, isOf: (site: string) => void): Promise<Found> {
    // One list of both, so that each is found by its index.
    const named = sql`(select ${sites.id} from ${sites} where ${sites.address} = ${address}
      union all select ${formerAddresses.siteId} from ${formerAddresses} where ${formerAddresses.address} = ${address})`;
    const site = await this.#reach(sql`${sites.id} in ${named}`);
    if (!site || site.reach !== 'public' || !site.address) return null;
    const row = await this.#liveRow(site.id);
    const live = row && (await this.#live(row));
    const tree = live && openTree(live, { kind: 'stranger' }, live.manifest.public);
    if (!tree) return null;
    isOf(site.id);
    // An old address leads on only to where a stranger may go; else it would tell that the site exists.
    if (site.address !== address) return { movedTo: site.address };
    return {
      entrance: {
        ...{ site: site.id, tree, indexable: live.indexable, secret: false },
        ...countedBy(row, { kind: 'address' }),
        framing: row.site.framing,
        former: this.#former(site.id, { kind: 'stranger' }, tree),
      },
    };
  }

  async #lookUpLink(key: string, isOf: (site: string) => void): Promise<Found> {
    const keyed = sql`(select ${linkKeys.siteId} from ${linkKeys} where ${linkKeys.key} = ${key})`;
    const site = await this.#reach(sql`${sites.id} in ${keyed}`);
    if (!site || !reaches(site.reach, 'unlisted')) return null;
    const [row] = await this.#db
      .select({ ...liveColumns, thing: linkKeys.thing })
      .from(linkKeys)
      .innerJoin(sites, eq(sites.id, linkKeys.siteId))
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(eq(linkKeys.key, key));
    if (!row) return null;
    const viewer: Viewer =
      row.thing === row.site.id ? { kind: 'site-link' } : { kind: 'page-link', page: row.thing };
    const live = await this.#live(row);
    const tree = openTree(live, viewer, treeOf(live, viewer));
    if (!tree) return null;
    isOf(row.site.id);
    return {
      entrance: {
        ...{ site: row.site.id, tree, indexable: false, secret: true },
        ...countedBy(
          row,
          viewer.kind === 'page-link' ? { kind: 'page-link', thing: viewer.page } : { kind: 'site-link' },
        ),
        former: this.#former(row.site.id, viewer, tree),
      },
    };
  }

  async #lookUpLinkPictures(id: string, isOf: (site: string) => void): Promise<Found> {
    const site = await this.#reach(eq(sites.id, id));
    if (!site || !reaches(site.reach, 'unlisted')) return null;
    const row = await this.#liveRow(id);
    const live = row && (await this.#live(row));
    if (!live?.linkPictures) return null;
    const viewers: Viewer[] = [
      { kind: 'site-link' },
      ...Object.keys(live.manifest.pageLinks).map((page) => ({ kind: 'page-link', page }) as const),
    ];
    const tree: FileTree = {};
    for (const viewer of viewers)
      for (const [path, file] of Object.entries(openTree(live, viewer, treeOf(live, viewer)) ?? {}))
        if (path.startsWith(shareFolder)) tree[path.slice(shareFolder.length)] = file;
    isOf(id);
    return {
      entrance: { site: id, tree, indexable: false, secret: true, former: () => Promise.resolve(null) },
    };
  }

  async #lookUpPass(hash: string, isOf: (site: string) => void): Promise<FoundPass | null> {
    const [found] = await this.#db
      .select({ pass: passes })
      .from(passes)
      .innerJoin(sites, eq(sites.id, passes.siteId))
      .where(and(eq(passes.keyHash, hash), eq(passes.on, true), isNull(passes.deletedAt), isOfOneWhoStays));
    if (!found) return null;
    const { pass } = found;
    const { id, siteId, opensAt, closesAt, passwordHash, mayComment, asks } = pass;
    isOf(siteId);
    let entering: Promise<Entrance | null> | null = null;
    const enter = () => {
      const mine = (entering ??= this.#enterPass(siteId, pass));
      // What could not be made is tried again by whoever asks next.
      mine.catch(() => (entering = null));
      return mine;
    };
    return { id, opensAt, closesAt, passwordHash, mayComment, asks, enter };
  }

  async #enterPass(id: string, pass: typeof passes.$inferSelect): Promise<Entrance | null> {
    const viewer = passViewer(pass);
    for (;;) {
      const site = await this.#reach(eq(sites.id, id));
      // Of a pass that keeps a release, how high that one was counts as well; it is asked below.
      const mayOpen = pass.pinned === null ? site && reaches(site.reach, 'invited') : true;
      const before = this.#trees && mayOpen ? await this.#rowFor(id, pass) : null;
      if (!before || !this.#trees) return null;
      // A release that is over is not made again without what was closed since: what it opens is made of what is left.
      const without = pass.pinned === null ? undefined : (await openOf(this.#db, before)).closed?.lower;
      const made = await this.#trees.of(
        { id: before.release, site: id, source: before.source, without },
        viewer,
      );
      // Making it may have taken long: what is closed, and which release is live, is asked once it is there.
      const row = await this.#rowFor(id, pass);
      if (!row) return null;
      if (row.release !== before.release) continue;
      const live = pass.pinned === null ? await this.#live(row) : await openOf(this.#db, row);
      // Closed meanwhile: what was made may hold it.
      if (pass.pinned !== null && !sameDraft(without, live.closed?.lower)) continue;
      const tree = openTree(without ? { ...live, closed: null } : live, viewer, made);
      if (!tree) return null;
      return {
        ...{ site: id, tree, indexable: false, secret: true, asked: true },
        ...(pass.pinned !== null && { kept: true }),
        ...countedBy(row, { kind: 'pass', pass: pass.id }),
        // Of ways in to chosen pages nobody wrote down where things stood.
        former:
          viewer.covers === 'site' && pass.pinned === null
            ? this.#former(id, viewer, tree)
            : () => Promise.resolve(null),
      };
    }
  }

  /** What a pass opens: the live release, or the one that it keeps. */
  async #rowFor(id: string, { pinned }: { pinned: number | null }): Promise<LiveRow | null> {
    if (pinned === null) return this.#liveRow(id);
    const [row] = await this.#db
      .select(liveColumns)
      .from(sites)
      .innerJoin(releases, and(eq(releases.siteId, sites.id), eq(releases.id, pinned)))
      .where(eq(sites.id, id));
    return row ?? null;
  }

  async #liveRow(id: string): Promise<LiveRow | null> {
    const [row] = await this.#db
      .select(liveColumns)
      .from(sites)
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(eq(sites.id, id));
    return row ?? null;
  }
}
