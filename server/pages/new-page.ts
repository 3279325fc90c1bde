import { noFacts } from '#core/content/case-facts.ts';
import { noCover, type Page } from '#core/content/page.ts';
import { newId } from '../db/new-id.ts';

/** A page with nothing on it, as high as the site lets it. */
export function emptyPage(kind: Page['kind'], rank: string, slug: string): Page {
  return {
    id: newId(),
    kind,
    parent: null,
    rank,
    slug,
    title: '',
    summary: '',
    height: 'public',
    opening: { layout: 'words', pictures: [] },
    cover: noCover,
    facts: noFacts,
    parts: [],
    archived: false,
  };
}
