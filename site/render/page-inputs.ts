import type { SeenPage, SeenPart, SiteView } from '#core/access/seen-by.ts';
import type { ShownPicture } from '#core/gallery/picture-source.ts';
import type { Id } from '#core/id.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { wordsFor } from '#core/public-words/words-for.ts';
import { quickLinksAtEnd, quickLinksInMenu } from '#core/sites/quick-link.ts';
import { titleInMenu } from '#core/menu/title-in-menu.ts';
import { factsLine } from '#core/pages/facts-line.ts';
import { readersMenu } from '#core/menu/readers-menu.ts';
import { mediaOf } from './media-of.ts';
import { noFacts } from '#core/pages/case-facts.ts';
import { noCover } from '#core/pages/cover.ts';
import { noOpening } from '#core/pages/opening.ts';
import { type Tag, tagPath, tagsOf } from '#core/menu/tags-of.ts';
import { workBeside, workByGroup, workOn } from '#core/menu/work-on.ts';
import { coverOf, ownPictures, sharedCover } from './page-covers.ts';
import { linksBelow, linksOf, linkUp, pagesAbove, quickLink } from './menu-links.ts';
import { resumeContentOf } from '#core/resume/resume-content-of.ts';
import type { MediaSources } from './medium.ts';
import type { Card, PageInput } from './page-input.ts';
import type { Picture } from './picture.ts';
import { feedPath, writePath } from './site-paths.ts';
import type { Way } from './ways.ts';

/** Where each page stands below the entrance: '' for the entrance itself, else 'slug/' with its parents before it. */
export function pathsOf(view: SiteView): Map<Id, string> {
  const paths = new Map<Id, string>();
  for (const page of view.pages) {
    const isEntrance = view.entry === null ? rulesOfPage(page).isFront : page.id === view.entry;
    const above = page.parent === null ? '' : (paths.get(page.parent) ?? '');
    // What cannot be opened has no address, and adds nothing to those of what stands below it.
    paths.set(page.id, isEntrance ? '' : rulesOfPage(page).opens ? `${above}${page.slug}/` : above);
  }
  return paths;
}

/** What a shown picture brings to the page; the files are added by whoever knows them. */
export function pictureOf({
  source,
  moves: _,
  ...shown
}: ShownPicture): Omit<Picture, 'sources' | 'fallback' | 'moving'> {
  return { ...shown, widthPx: source.widthPx, heightPx: source.heightPx };
}

/** When work was made, as a reader of a language is told; empty where it is not known. */
function whenOf({ facts }: SeenPage, language: string): string {
  return factsLine(facts, language).find(({ kind }) => kind === 'when')?.value ?? '';
}

/**
 * Splits a view into its pages' inputs. A page that names nobody but itself does not change when another page's
 * words do, which is what makes publishing one changed word cheap.
 *
 * @param sources every picture of the view, and where files are; a missing picture is left out of the page
 * @param base where the entrance stands on the web, if everybody may know
 * @param only of this page alone
 * @returns one input for each page that has an address, and for each tag, with its path below the entrance
 */
export function pageInputs(
  view: SiteView,
  sources: MediaSources,
  base: string | null = null,
  only: Id | null = null,
): { path: string; input: PageInput }[] {
  const { pictures } = sources;
  const paths = pathsOf(view);
  const { site } = view;
  const below = (page: SeenPage) => {
    const words = wordsFor(page.language);
    return words.below(page.title || words.thisPage);
  };
  /** On a wall a card says what the maker wants it to; beside a page only its name. */
  const card = (page: SeenPage | undefined, on: SeenPage, hangs = false): Card | null => {
    if (!page) return null;
    const picture = pictures[coverOf(page, view) ?? ''];
    return {
      id: page.id,
      title: page.title,
      summary: page.summary,
      path: paths.get(page.id) ?? '',
      picture: picture ? { ...picture, focus: page.cover.focus ?? picture.focus } : null,
      when: hangs && site.wallDates ? whenOf(page, on.language) : '',
      tags: hangs && site.wallTags ? page.facts.tags : [],
      language: page.language === on.language ? null : page.language,
    };
  };
  const hung = (work: readonly SeenPage[], on: SeenPage) =>
    work.map((one) => card(one, on, true)).filter((one) => one !== null);
  const homePage = view.entry === null ? view.pages.find((page) => rulesOfPage(page).isFront) : undefined;
  const home = homePage ? (paths.get(homePage.id) ?? null) : view.led ? '' : null;
  const menu = readersMenu(view);
  const above = pagesAbove(view);
  const taken = new Set(paths.values());
  const tags = tagsOf(view).filter((tag) => !taken.has(tag.path));
  const tagPaths = new Set(tags.map((tag) => tag.path));
  const inMenu = quickLinksInMenu(site.quickLinks).map(quickLink);
  /** What all pages have in common. */
  const ofSite = {
    siteTitle: site.title,
    by: site.by || site.title,
    look: site.look,
    siteLanguage: site.language,
    groundPicture: pictures[site.look.ground.picture ?? ''] ?? null,
    ...{ home, base, manner: site.menu, contact: site.contact, rights: site.rights },
    // Who came by the link of one page is told of nothing beside it.
    feed: base === null ? null : feedPath,
  };
  const menuOn = (page: SeenPage) =>
    view.entry === null ? [...linksOf(menu, page, above(page.id), paths), ...inMenu] : [];
  const ofPages = view.pages.flatMap((page) => {
    const path = paths.get(page.id);
    const { opens } = rulesOfPage(page);
    if (path === undefined || !opens || (only !== null && page.id !== only)) return [];
    const beside = workBeside(view, page);
    const at = beside.indexOf(page);
    const own: Record<Id, Picture> = {};
    for (const id of ownPictures(page, view)) {
      const picture = pictures[id];
      if (picture) own[id] = picture;
    }
    const media: PageInput['media'] = {};
    for (const part of page.parts) {
      const ofPart = mediaOf(part, view.materials, sources);
      if (ofPart) media[part.id] = ofPart;
    }
    const input: PageInput = {
      ...ofSite,
      path,
      toRoot: '../'.repeat(path.split('/').length - 1),
      menu: menuOn(page),
      links: quickLinksAtEnd(site.quickLinks, page.id).map(quickLink),
      up: linkUp(view, page, paths),
      below: linksBelow(view, page, paths),
      belowLabel: below(page),
      ways: waysOf(page, view, paths),
      toResume: page.kind === 'about' ? wayToResume(page, view, paths) : null,
      resume: resumeContentOf(view, page, paths, base),
      tags: page.facts.tags
        .map((name) => ({ name, path: tagPath(name) }))
        .filter(({ path: to }) => tagPaths.has(to)),
      page,
      preview: sources.share?.(page.id, sharedCover(page, view)) ?? null,
      pictures: own,
      media,
      ...wallOn(view, page, paths),
      cards: hung(workOn(view, page), page),
      before: at > 0 ? card(beside[at - 1], page) : null,
      after: at >= 0 ? card(beside[at + 1], page) : null,
    };
    return [{ path, input }];
  });
  if (only !== null) return ofPages;
  /** A page that nobody made, below the front page. */
  const made = (page: SeenPage, path: string): PageInput => ({
    ...ofSite,
    ...{ path, toRoot: '../'.repeat(path.split('/').length - 1) },
    menu: menuOn(page),
    links: quickLinksAtEnd(site.quickLinks, page.id).map(quickLink),
    up: homePage && home !== null ? { title: titleInMenu(homePage, site.language) ?? '', path: home } : null,
    ...{
      below: [],
      belowLabel: '',
      tags: [],
      ways: {},
      toResume: null,
      resume: null,
      page,
      preview: null,
      pictures: {},
      media: {},
    },
    ...{ wall: 'rows' as const, wallGroups: [], labels: site.wallLabels, welcome: true },
    ...{ cards: [], before: null, after: null },
  });
  const ofTags = tags.map((tag) => {
    const page = tagPage(tag, site.language);
    const input: PageInput = {
      ...made(page, tag.path),
      below: tags.map(({ name, path }) => ({
        ...{ title: name, path, outside: null, below: [] },
        current: path === tag.path ? 'page' : null,
      })),
      belowLabel: wordsFor(site.language).tags,
      cards: hung(tag.work, page),
    };
    return { path: tag.path, input };
  });
  const toWrite =
    site.contact === 'form' ? [{ path: writePath, input: made(writePage(view), writePath) }] : [];
  if (!view.led) return [...ofPages, ...ofTags, ...toWrite];
  const front = leadingPage(view);
  const headings = new Set(view.pages.flatMap(({ kind, id }) => (kind === 'heading' ? [id] : [])));
  const cards = view.pages
    .filter((page) => rulesOfPage(page).opens && [...above(page.id)].every((id) => headings.has(id)))
    .map((page) => card(page, front, true))
    .filter((one) => one !== null);
  return [{ path: '', input: { ...made(front, ''), cards } }, ...ofPages, ...ofTags, ...toWrite];
}

/** The pages that a part names: what proves what it says, and projects of a résumé. */
function namedBy(part: SeenPart): (Id | null)[] {
  if (part.kind === 'telling') return part.answers.map(({ proof }) => proof);
  if (part.kind === 'process') return part.moments.map(({ page }) => page);
  if (part.kind === 'decisions') return part.rows.map(({ page }) => page);
  if (part.kind !== 'entry') return [];
  const proofs = [...part.proofs, ...part.lines.map(({ proof }) => proof)];
  return [part.page, ...proofs.map((proof) => proof?.page ?? null)];
}

/** The pages that sentences of a page are proved by, as it leads to them. */
function waysOf(page: SeenPage, view: SiteView, paths: ReadonlyMap<Id, string>): Record<Id, Way> {
  const named = new Set(page.parts.flatMap(namedBy));
  const ways: Record<Id, Way> = {};
  for (const one of view.pages) {
    const path = paths.get(one.id);
    if (!named.has(one.id) || path === undefined || !rulesOfPage(one).opens) continue;
    ways[one.id] = wayTo(one, path, page);
  }
  return ways;
}

const wayTo = (to: SeenPage, path: string, { language }: SeenPage): Way => ({
  title: to.title || wordsFor(language).untitled,
  path,
  language: to.language === language ? null : to.language,
});

/** Where the résumé is; null for whoever cannot open it. */
function wayToResume(page: SeenPage, view: SiteView, paths: ReadonlyMap<Id, string>): Way | null {
  const resume = view.pages.find(({ kind }) => kind === 'resume');
  const path = resume && paths.get(resume.id);
  return resume && path !== undefined ? wayTo(resume, path, page) : null;
}

/**
 * How what hangs on a page is arranged: as its maker wants it on the front page, else in rows. A page on which nothing hangs does not
 * change when that does.
 */
function wallOn(
  view: SiteView,
  page: SeenPage,
  paths: ReadonlyMap<Id, string>,
): Pick<PageInput, 'wall' | 'wallGroups' | 'labels' | 'welcome'> {
  const { wall, wallLabels, welcome } = view.site;
  const labels = page.kind === 'group' ? wallLabels : 'below';
  if (!rulesOfPage(page).isFront) return { wall: 'rows', wallGroups: [], labels, welcome: true };
  const ofFront = { wall, labels: wallLabels, welcome };
  if (wall !== 'groups') return { ...ofFront, wallGroups: [] };
  const wallGroups = workByGroup(view, workOn(view, page)).map(({ group, work }) => ({
    title: group && titleInMenu(group, view.site.language),
    path: group && (paths.get(group.id) ?? null),
    summary: group?.summary ?? '',
    cards: work.map(({ id }) => id),
  }));
  return { ...ofFront, wallGroups };
}

const noShown: Omit<SeenPage, 'id' | 'kind' | 'slug' | 'title' | 'language'> = {
  ...{ summary: '', facts: noFacts, cover: noCover, parent: null, inMenu: false, onWall: false, lead: null },
  ...{ opening: noOpening, parts: [], credits: [] },
};

/** A page that nobody made: it leads to what a pass opens, where that is no front page. */
const leadingPage = ({ site: { language, by, title } }: SiteView): SeenPage => ({
  ...noShown,
  ...{ language, id: 'opened', kind: 'group', slug: '', title: title || by },
});

/** A page that nobody made: by its form readers write to the maker from any page. */
const writePage = ({ site: { language, by, title } }: SiteView): SeenPage => ({
  ...noShown,
  ...{ language, id: writePath, kind: 'plain', slug: '', title: wordsFor(language).write.to(by || title) },
  parts: [{ id: 'site', kind: 'contact', words: '', form: true, link: '', card: false }],
});

/** A page that nobody made: it says the tag, and hangs what it is said of. */
const tagPage = ({ name, path }: Tag, language: string): SeenPage => ({
  ...noShown,
  ...{ language, id: path, kind: 'group', slug: path.split('/')[1] ?? '', title: name },
});
