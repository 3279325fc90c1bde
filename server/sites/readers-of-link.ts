import type { GivenLink } from '#core/access/given-link.ts';
import type { Viewer } from '#core/access/viewer.ts';
import { passViewer } from '#core/passes/pass-viewer.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Database } from '../db/connect.ts';
import { passOf, type PassRow, passRows } from '../passes/pass-rows.ts';
import { hadNow } from './had-now.ts';
import type { SiteRow } from './load-draft.ts';
import { keysOf } from './site-rows.ts';

/** What is known of a site, asked once for all of its links. */
export interface AroundLinks {
  site: SiteRow;
  now: Draft | null;
  passes: PassRow[];
  keys: ReadonlyMap<string, string>;
  secret: Buffer;
}

export async function aroundLinks(db: Database, site: SiteRow, secret: Buffer): Promise<AroundLinks> {
  const now = (await hadNow(db, site))?.now ?? null;
  return { site, now, secret, passes: await passRows(db, site.id), keys: await keysOf(db, site.id) };
}

/** Whose readers a link has, and where it stands; null where it leads nowhere any more. */
export function readersOf(by: GivenLink, { site, passes, keys, secret }: AroundLinks) {
  const at = (viewer: Viewer, link: string | null, pass: PassRow | null = null) => ({ viewer, link, pass });
  switch (by.kind) {
    case 'address':
      return at({ kind: 'stranger' }, site.address && `/${site.address}/`);
    case 'site-link':
    case 'page-link': {
      const thing = by.kind === 'site-link' ? site.id : by.thing;
      const key = keys.get(thing);
      const viewer: Viewer =
        by.kind === 'site-link' ? { kind: 'site-link' } : { kind: 'page-link', page: thing };
      return key === undefined ? null : at(viewer, `/l/${key}/`);
    }
    case 'pass': {
      const pass = passes.find(({ id }) => id === by.pass);
      return pass ? at(passViewer(pass), passOf(pass, secret).link, pass) : null;
    }
  }
}
