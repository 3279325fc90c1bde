import { type Height, heightLevel, lowest } from './height.ts';
import type { Id } from '../id.ts';
import { heldIn } from '../parts/held-in.ts';
import { type DraftHeights, heightsOf } from './heights-of.ts';

/** Something that would fly higher than before. */
export interface Raised {
  kind: 'site' | 'page' | 'part';
  /** Of a part: the page it stands on. */
  page: Id | null;
  /** As readers would have it once it is published. */
  height: Height;
}

/**
 * What an edit would let more readers have, with the next publish, than the draft let them have before: the outermost
 * things only. What was not there before is not among it; it is new.
 */
export function raisedBy(before: DraftHeights, after: DraftHeights): Raised[] {
  const [was, is] = [heightsOf(before), heightsOf(after)];
  const higher = (height: Height, than: Height) => heightLevel(height) > heightLevel(than);
  if (higher(is.site, was.site)) return [{ kind: 'site', page: null, height: is.site }];
  const raised: Raised[] = [];
  const risen = new Set<Id>();
  const reach = (height: Height) => lowest([is.site, height]);
  for (const page of after.pages) {
    const now = is.pages.get(page.id) ?? 'private';
    const old = was.pages.get(page.id);
    if (old === undefined || !higher(reach(now), lowest([was.site, old]))) continue;
    risen.add(page.id);
    if (page.parent === null || !risen.has(page.parent))
      raised.push({ kind: 'page', page: page.id, height: reach(now) });
  }
  const holders = new Map(
    after.pages.map((page) => [
      page.id,
      new Map((page.parts ?? []).flatMap((part) => heldIn(part).map((held) => [held.id, part.id] as const))),
    ]),
  );
  const wasPart = new Map<Id, Height>();
  for (const ofPage of was.parts.values())
    for (const [id, height] of ofPage) wasPart.set(id, lowest([wasPart.get(id) ?? 'public', height]));
  for (const [page, parts] of is.parts) {
    if (risen.has(page)) continue;
    const inside = holders.get(page);
    const risenParts = new Set<Id>();
    for (const [id, now] of parts) {
      // What a part holds rises with it; it is told of by itself only where it alone was raised.
      if (risenParts.has(inside?.get(id) ?? '')) continue;
      const old = wasPart.get(id);
      if (old === undefined || !higher(reach(now), lowest([was.site, old]))) continue;
      risenParts.add(id);
      raised.push({ kind: 'part', page, height: reach(now) });
    }
  }
  return raised;
}
