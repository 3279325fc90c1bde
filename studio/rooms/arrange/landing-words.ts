import { landing } from '#core/access/landing.ts';
import { heightLevel } from '#core/access/height.ts';
import type { Id } from '#core/id.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import type { Draft } from '#core/sites/site.ts';
import { plural } from '#core/words/plural.ts';
import { heightNames } from '../../ui/height-names.ts';
import type { Carried } from './use-carrying.ts';

/** Where a page that is carried would land. */
export function placeWords({ rest, to }: Carried, pages: Draft['pages']): string {
  const parent = pages.find(({ id }) => id === to.parent);
  const above = rest.slice(0, to.gap).reverse();
  const end = above.findIndex(({ depth }) => depth < to.depth);
  const beside = (end < 0 ? above : above.slice(0, end)).find(({ depth }) => depth === to.depth);
  const after = beside ? `, after ${pageName(beside.page)}` : '';
  return parent ? `Drops under ${pageName(parent)}${after}.` : `Drops here${after}.`;
}

/**
 * What a place does to how high a page flies. Lowering works at once, raising with the next publish.
 *
 * @param parent the page it would stand below
 */
export function heightWords(draft: Pick<Draft, 'site' | 'pages'>, page: Id, parent: Id | null): string {
  const { before, after, below } = landing(draft, page, parent);
  const own =
    heightLevel(after.height) === heightLevel(before)
      ? `It stays ${heightNames[before]}.`
      : heightLevel(after.height) < heightLevel(before)
        ? `It becomes ${heightNames[after.height]} at once: ${after.heldBy?.title || 'what it is below'} holds it there.`
        : `${after.heldBy ? 'It' : 'Nothing holds it here, so it'} flies at ${heightNames[after.height]} with the next publish.`;
  const lower = below.lower > 0 ? ` ${plural(below.lower, 'page')} below it will be lower at once.` : '';
  const higher =
    below.higher > 0 ? ` ${plural(below.higher, 'page')} below it will be higher with the next publish.` : '';
  return own + lower + higher;
}
