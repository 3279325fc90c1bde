import type { z } from 'zod';
import type { takeStarter } from '#contract/site-starters.ts';
import { isShown, type Page } from '#core/pages/page.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { partsOfStarter } from '#core/parts/starters.ts';
import { siteStarterOf } from '#core/sites/site-starters.ts';
import type { Edit } from '../db/edit.ts';
import { newId } from '../db/new-id.ts';
import type { Scope } from '../db/rows/row-kind.ts';
import { lastRank, slugsBeside } from './create-page.ts';
import { emptyPage } from './new-page.ts';
import { placesOf } from './places.ts';

type Wanted = z.output<typeof takeStarter.body>;

/**
 * Makes the wanted pages of a starter behind those that are there. They are empty, and Private, so that none of them is published before
 * its maker has filled and raised it.
 */
export async function takeOver(
  running: Edit,
  scope: Scope,
  { starter, pages, arranged }: Wanted,
): Promise<{ made: string[]; left: string[] }> {
  const places = [...(await placesOf(running.tx, scope.site))];
  const { arrangement, pages: offered } = siteStarterOf(starter);
  const slugFor = slugsBeside(places);
  const wanted = new Set(pages);
  const ids = new Map<string, string>();
  const left: string[] = [];
  for (const { key, kind, title, below, outline } of offered) {
    if (!wanted.has(key)) continue;
    if (rulesOfPage({ kind }).isSingle && places.some((one) => one.kind === kind)) {
      left.push(title);
      continue;
    }
    const parent = ids.get(below ?? '') ?? null;
    const empty = emptyPage(kind, lastRank(places, parent), slugFor(title, kind), title);
    const page = { ...empty, parent, height: 'private' } as Page;
    const filled = isShown(page) && outline ? { ...page, parts: partsOfStarter(outline, newId) } : page;
    await running.insert('page', filled);
    ids.set(key, page.id);
    places.push(page);
  }
  if (arranged) await running.update('site', scope.site, arrangement);
  return { made: [...ids.values()], left };
}
