import { noFacts } from '#core/pages/case-facts.ts';
import { noCover } from '#core/pages/cover.ts';
import type { PageOf } from '#core/pages/page.ts';

/** A project without anything on it but what the test says. */
export const samplePage = (more: Partial<PageOf<'project'>> = {}): PageOf<'project'> => ({
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
  inMenu: null,
  language: null,
  ...more,
});
