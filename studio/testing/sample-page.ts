import { noFacts } from '#core/content/case-facts.ts';
import { noCover, type Page } from '#core/content/page.ts';

/** A project without anything on it but what the test says. */
export const samplePage = (more: Partial<Page> = {}): Page => ({
  id: 'page-0001',
  kind: 'project',
  parent: null,
  rank: 'a0',
  slug: 'tide-clock',
  title: 'Tide clock',
  summary: '',
  height: 'public',
  cover: noCover,
  opening: { layout: 'words', pictures: [] },
  facts: noFacts,
  parts: [],
  archived: false,
  ...more,
});
