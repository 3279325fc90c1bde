import { type Height, heightLevel, lowest } from './height.ts';
import type { Id } from '../id.ts';
import type { Draft } from '../sites/site.ts';
import { shownOn } from '../pages/page.ts';
import { ownHeight } from './own-height.ts';
import { partHeight } from './part-height.ts';
import { siteHeight } from './site-height.ts';
import { pathOfPages } from './path-of-pages.ts';

/** A site, a page or a part: the things that carry a height in this order from the outside in. */
export interface Thing {
  page?: Id;
  part?: Id;
}

interface Link {
  kind: 'site' | 'page' | 'put-away' | 'under-age' | 'part';
  id: Id;
  title: string;
  height: Height;
}

export interface EffectiveHeight {
  /** What its maker chose for the thing itself. */
  chosen: Height;
  /** The lowest height on the way from the site down to the thing. */
  height: Height;
  /**
   * What holds it below `chosen`, the outermost one; null when nothing does. `put-away`: a page that is put away, the
   * thing itself or one it stands in; `under-age`: its maker said that they are.
   */
  heldBy: { kind: 'site' | 'page' | 'put-away' | 'under-age'; id: Id; title: string } | null;
}

/** The height that counts for a thing, and what holds it there. Unknown things are private. */
export function effectiveHeight(draft: Pick<Draft, 'site' | 'pages'>, thing: Thing): EffectiveHeight {
  const chain: Link[] = [
    { kind: 'site', id: draft.site.id, title: draft.site.title, height: draft.site.height },
    { kind: 'under-age', id: draft.site.id, title: '', height: siteHeight(draft.site) },
  ];
  let chosen: Height = draft.site.height;
  if (thing.page !== undefined) {
    const path = pathOfPages(draft.pages, thing.page);
    const page = path?.at(-1);
    if (!path || !page) return { chosen: 'private', height: 'private', heldBy: null };
    for (const one of path)
      chain.push({
        kind: one.archived ? 'put-away' : 'page',
        id: one.id,
        title: one.title,
        height: ownHeight(one),
      });
    chosen = page.height;
    if (thing.part !== undefined) {
      const part = shownOn(page).parts.find(({ id }) => id === thing.part);
      if (!part) return { chosen: 'private', height: 'private', heldBy: null };
      chain.push({ kind: 'part', id: part.id, title: '', height: part.height });
      chain.push({ kind: 'under-age', id: part.id, title: '', height: partHeight(part, draft.site) });
      chosen = part.height;
    }
  }
  const height = lowest(chain.map((link) => link.height));
  const holder =
    heightLevel(height) < heightLevel(chosen) ? chain.find((link) => link.height === height) : undefined;
  return {
    chosen,
    height,
    heldBy:
      holder && holder.kind !== 'part' ? { kind: holder.kind, id: holder.id, title: holder.title } : null,
  };
}
