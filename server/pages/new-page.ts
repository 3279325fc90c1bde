import type { PageOf } from '#core/pages/page.ts';
import { emptyContents } from '#core/pages/page-contents.ts';
import type { PageKind } from '#core/pages/page-kinds.ts';
import { newId } from '../db/new-id.ts';

/** A page with nothing on it, as high as the site lets it. */
export function emptyPage<K extends PageKind>(kind: K, rank: string, slug: string, title = ''): PageOf<K> {
  const base = {
    id: newId(),
    ...{ parent: null, rank, slug, title, archived: false, inMenu: null, language: null },
    height: 'public' as const,
  };
  // Which content goes with which kind is checked where each is stated.
  return { ...base, kind, ...emptyContents[kind] } as unknown as PageOf<K>;
}
