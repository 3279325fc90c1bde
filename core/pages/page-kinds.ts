/** What there is to know of one kind of page. */
export interface PageRules {
  /** What the kind is called. */
  name: string;
  /** What its maker calls one of them by, whatever its title. */
  called: (title: string) => string;
  /** Readers can open it, at an address of its own. */
  opens: boolean;
  /** What it is called in the readers' menu; null where it stands in none. */
  inMenu: (title: string) => string | null;
  /** Work: it hangs on the wall beside others, and has facts about how it came to be. */
  isWork: boolean;
  /** The way in: all work hangs on it, it has no address below the site's own, and it is always there. */
  isFront: boolean;
  /** Other pages can stand below it. */
  holds: boolean;
  /** A site has at most one. */
  isSingle: boolean;
}

const byTitle = (untitled: string) => (title: string) => title.trim() || untitled;
const plain = (name: string): PageRules => ({
  name,
  called: byTitle(`Untitled page`),
  opens: true,
  inMenu: byTitle(name),
  isWork: false,
  isFront: false,
  holds: true,
  isSingle: false,
});
const byItsTitleOnly = (title: string) => title.trim() || null;
/** What only stands in the menu: there is nothing to open. */
const inMenuOnly = (name: string): PageRules => ({
  ...plain(name),
  called: byTitle(name),
  opens: false,
  inMenu: byItsTitleOnly,
  holds: false,
});

/** Every kind of page there is. */
export const pageRules = {
  home: {
    name: 'Front page',
    called: () => 'Front page',
    opens: true,
    inMenu: () => 'Work',
    isWork: false,
    isFront: true,
    holds: false,
    isSingle: true,
  },
  project: {
    name: 'Project',
    called: byTitle('Untitled project'),
    opens: true,
    inMenu: byItsTitleOnly,
    isWork: true,
    isFront: false,
    holds: true,
    isSingle: false,
  },
  about: { ...plain('About'), called: byTitle('About'), isSingle: true },
  resume: { ...plain('Résumé'), called: byTitle('Résumé'), isSingle: true },
  plain: plain('Page'),
  /** A year, a course, a subject: it holds projects and pages. */
  group: { ...plain('Group'), called: byTitle('Untitled group') },
  heading: { ...inMenuOnly('Heading'), holds: true },
  link: inMenuOnly('Link'),
} satisfies Record<string, PageRules>;

export type PageKind = keyof typeof pageRules;
export const pageKinds = Object.keys(pageRules) as [PageKind, ...PageKind[]];

/** A kind that only a newer version knows: it is kept, and nobody can open it. */
const unknownKind: PageRules = {
  ...inMenuOnly('Unknown page'),
  called: byTitle('Unknown page'),
  inMenu: () => null,
};

/** The rules for a page, whatever its kind. */
export const rulesOfPage = ({ kind }: { kind: string }): PageRules =>
  Object.hasOwn(pageRules, kind) ? pageRules[kind as PageKind] : unknownKind;

/** What a page is called where its maker has to tell it from others. Never empty. */
export const pageName = (page: { kind: string; title: string }): string =>
  rulesOfPage(page).called(page.title);
