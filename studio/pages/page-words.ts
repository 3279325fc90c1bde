import type { PageKind } from '#core/pages/page-kinds.ts';

/** What a maker is asked for on one kind of page. */
interface PageWords {
  /** Stands where its title goes. */
  title: string;
  /** Stands where its summary goes. */
  summary: string;
  /** Over what can be set of it. */
  facts: string;
  /** Below that, where there is more to say. */
  hint: string;
}

const page: PageWords = {
  title: 'Title of the page',
  summary: 'A line below it, if you like',
  facts: 'This page',
  hint: '',
};

const words: Record<PageKind, PageWords> = {
  home: {
    title: 'What you make, in one sentence',
    summary: 'A second line, if you like',
    facts: 'Front page',
    hint: 'Say in one sentence what you make. Your projects hang below it by themselves.',
  },
  project: {
    title: 'Title of the project',
    summary: 'What it is, in one line',
    facts: 'Case facts',
    hint: '',
  },
  about: page,
  resume: page,
  plain: page,
  group: page,
  heading: page,
  link: page,
};

/** What a maker is asked for on a page. */
export const pageWords = ({ kind }: { kind: string }): PageWords =>
  Object.hasOwn(words, kind) ? words[kind as PageKind] : page;
