import { and, eq } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import type { Draft } from '#core/sites/site.ts';
import type { Executor } from '../db/connect.ts';
import { sourceOf } from '../db/release-source.ts';
import { releases } from '../db/schema.ts';

/** A release is never changed, so its copy is read from the database once. */
export class ReleasedCopies {
  readonly #known = new LRUCache<string, Draft>({ max: 12 });

  /** What readers were given by a release; null when it is not this site's. */
  async load(db: Executor, site: string, release: number): Promise<Draft | null> {
    const key = `${site} ${release}`;
    const known = this.#known.get(key);
    if (known) return known;
    const [row] = await db
      .select({ source: releases.source })
      .from(releases)
      .where(and(eq(releases.id, release), eq(releases.siteId, site)));
    if (!row) return null;
    const source = await sourceOf(db, site, row.source);
    this.#known.set(key, source);
    return source;
  }
}
