import { and, eq, isNotNull } from 'drizzle-orm';
import { reaches } from '#core/content/height.ts';
import type { FileTree } from '#core/release/manifest.ts';
import type { Database } from '../db/connect.ts';
import { formerAddresses, linkKeys, releases, sites } from '../db/schema.ts';

/** One way into a site that is open now. */
export interface Entrance {
  tree: FileTree;
  /** Search engines may keep it. */
  indexable: boolean;
  /** Came by a secret link: nobody between may keep a copy, and the address may not travel on. */
  secret: boolean;
}
export type Found = { entrance: Entrance } | { movedTo: string } | null;

/** Names of entrances that were looked up are remembered up to this many; then all are forgotten. */
const remembered = 2000;

/**
 * Which entrances are open, remembered in memory so that serving a page asks the database nothing. `forget` is
 * called after everything that could open, close or move an entrance, so a change works on the next request.
 */
export class PublicSites {
  readonly #db: Database;
  readonly #onForget: () => Promise<void>;
  readonly #found = new Map<string, Promise<Found>>();

  /** @param onForget told whenever what is open may have changed */
  constructor(db: Database, onForget: () => Promise<void> = async () => {}) {
    this.#db = db;
    this.#onForget = onForget;
  }

  /**
   * Some site has changed; its addresses and links may be under any name, so all names are looked up anew. Resolves
   * when no process answers with what it knew before.
   */
  async forget(): Promise<void> {
    this.#found.clear();
    await this.#onForget();
  }

  atAddress(address: string): Promise<Found> {
    return this.#remember(`address ${address}`, () => this.#lookUpAddress(address));
  }

  atLink(key: string): Promise<Found> {
    return this.#remember(`link ${key}`, () => this.#lookUpLink(key));
  }

  /** Public sites, for the server's own list; those closed to strangers are not in it. */
  async listed(): Promise<{ title: string; path: string; indexable: boolean; pages: string[] }[]> {
    const rows = await this.#db
      .select({ site: sites, manifest: releases.manifest, source: releases.source })
      .from(sites)
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(and(eq(sites.height, 'public'), isNotNull(sites.address)))
      .orderBy(sites.title);
    return rows.flatMap(({ site, manifest, source }) =>
      manifest.public && site.address
        ? [
            {
              title: source.site.title,
              path: `/${site.address}/`,
              indexable: source.site.searchEngines && site.searchEngines,
              pages: Object.keys(manifest.public)
                .filter((path) => path.endsWith('index.html'))
                .map((path) => path.slice(0, -'index.html'.length)),
            },
          ]
        : [],
    );
  }

  #remember(name: string, lookUp: () => Promise<Found>): Promise<Found> {
    const known = this.#found.get(name);
    if (known) return known;
    if (this.#found.size >= remembered) this.#found.clear();
    const looking = lookUp();
    this.#found.set(name, looking);
    looking.catch(() => this.#found.delete(name));
    return looking;
  }

  async #lookUpAddress(address: string): Promise<Found> {
    const [row] = await this.#db
      .select({ site: sites, manifest: releases.manifest, source: releases.source })
      .from(sites)
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(eq(sites.address, address));
    if (row) {
      const tree = row.manifest.public;
      if (row.site.height !== 'public' || !tree) return null;
      const indexable = row.site.searchEngines && row.source.site.searchEngines;
      return { entrance: { tree, indexable, secret: false } };
    }
    const [former] = await this.#db
      .select({ address: sites.address })
      .from(formerAddresses)
      .innerJoin(sites, eq(sites.id, formerAddresses.siteId))
      .where(eq(formerAddresses.address, address));
    if (!former?.address) return null;
    // An old address leads on only to where a stranger may go; else it would tell that the site exists.
    const now = await this.#lookUpAddress(former.address);
    return now && 'entrance' in now ? { movedTo: former.address } : null;
  }

  async #lookUpLink(key: string): Promise<Found> {
    const [row] = await this.#db
      .select({ site: sites, thing: linkKeys.thing, manifest: releases.manifest })
      .from(linkKeys)
      .innerJoin(sites, eq(sites.id, linkKeys.siteId))
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(eq(linkKeys.key, key));
    if (!row || !reaches(row.site.height, 'unlisted')) return null;
    const tree =
      row.thing === row.site.id ? row.manifest.siteLink : (row.manifest.pageLinks[row.thing] ?? null);
    return tree && { entrance: { tree, indexable: false, secret: true } };
  }
}
