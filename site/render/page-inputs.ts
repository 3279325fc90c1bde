import type { SeenPage, SiteView } from '#core/access/seen-by.ts';
import { pagePicture, type ShownPicture } from '#core/gallery/picture-source.ts';
import type { Id } from '#core/id.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { materialsOf } from '#core/parts/materials-of.ts';
import { readersMenu } from '#core/menu/readers-menu.ts';
import { mediaOf } from './media-of.ts';
import { workBeside, workOn } from '#core/menu/work-on.ts';
import { linksBelow, linksOf, linkUp, pagesAbove } from './menu-links.ts';
import type { MediaSources } from './medium.ts';
import type { Card, PageInput } from './page-input.ts';
import type { Picture } from './picture.ts';

/** The picture that stands for a page: the one its maker chose, else its opening's first, else the first of its parts, else a document's first page. */
function coverOf(page: SeenPage, view: SiteView): Id | null {
  if (page.cover.picture !== null) return page.cover.picture;
  const [first] = picturesOn(page, view);
  if (first !== undefined) return first;
  for (const id of page.parts.flatMap(materialsOf)) {
    const material = view.materials[id];
    if (material?.kind !== 'document') continue;
    const shown = material.shownBy ?? material;
    if (shown.facts.pages.length > 0) return pagePicture(shown.id, 0);
  }
  return null;
}

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

/** Ids of what a page shows as pictures of its own, in reading order and once each; not what its documents hold. */
function picturesOn({ opening, parts }: SeenPage, { materials }: SiteView): Id[] {
  const shown = new Set([...opening.pictures, ...parts.flatMap(materialsOf)]);
  return [...shown].filter((id) => materials[id]?.kind === 'picture');
}

/** What a shown picture brings to the page; the files are added by whoever knows them. */
export function pictureOf({
  source,
  moves: _,
  ...shown
}: ShownPicture): Omit<Picture, 'sources' | 'fallback' | 'moving'> {
  return { ...shown, widthPx: source.widthPx, heightPx: source.heightPx };
}

/** Wide enough for any preview, and not larger than it has to be. */
const previewWidthPx = 1200;

function previewOf(cover: Picture | undefined): PageInput['preview'] {
  const files = cover?.fallback ?? [];
  const file = files.find(({ widthPx }) => widthPx >= previewWidthPx) ?? files.at(-1);
  if (!cover || !file) return null;
  const heightPx = Math.round((file.widthPx * cover.heightPx) / cover.widthPx);
  return { path: file.url, alt: cover.alt, widthPx: file.widthPx, heightPx };
}

/**
 * Splits a view into its pages' inputs. A page that names nobody but itself does not change when another page's
 * words do, which is what makes publishing one changed word cheap.
 *
 * @param sources every picture of the view, and where files are; a missing picture is left out of the page
 * @param base where the entrance stands on the web, if everybody may know
 * @param only of this page alone
 * @returns one input for each page that has an address, with its path below the entrance
 */
export function pageInputs(
  view: SiteView,
  sources: MediaSources,
  base: string | null = null,
  only: Id | null = null,
): { path: string; input: PageInput }[] {
  const { pictures } = sources;
  const paths = pathsOf(view);
  const card = (page: SeenPage | undefined): Card | null => {
    if (!page) return null;
    const picture = pictures[coverOf(page, view) ?? ''];
    return {
      id: page.id,
      title: page.title,
      summary: page.summary,
      path: paths.get(page.id) ?? '',
      picture: picture ? { ...picture, focus: page.cover.focus ?? picture.focus } : null,
    };
  };
  const homePage = view.entry === null ? view.pages.find((page) => rulesOfPage(page).isFront) : undefined;
  const home = homePage ? (paths.get(homePage.id) ?? null) : null;
  const menu = readersMenu(view);
  const above = pagesAbove(view);
  return view.pages.flatMap((page) => {
    const path = paths.get(page.id);
    const { opens } = rulesOfPage(page);
    if (path === undefined || !opens || (only !== null && page.id !== only)) return [];
    const beside = workBeside(view, page);
    const at = beside.indexOf(page);
    const own: Record<Id, Picture> = {};
    for (const id of picturesOn(page, view)) {
      const picture = pictures[id];
      if (picture) own[id] = picture;
    }
    const media: PageInput['media'] = {};
    for (const part of page.parts) {
      const ofPart = mediaOf(part, view.materials, sources);
      if (ofPart) media[part.id] = ofPart;
    }
    const input: PageInput = {
      siteTitle: view.site.title,
      by: view.site.by || view.site.title,
      look: view.site.look,
      path,
      toRoot: '../'.repeat(path.split('/').length - 1),
      home,
      manner: view.site.menu,
      menu: linksOf(menu, page, above(page.id), paths),
      up: linkUp(view, page, paths),
      below: linksBelow(view, page, paths),
      page,
      preview: previewOf(pictures[coverOf(page, view) ?? '']),
      base,
      pictures: own,
      media,
      cards: workOn(view, page)
        .map((one) => card(one))
        .filter((one) => one !== null),
      before: at > 0 ? card(beside[at - 1]) : null,
      after: at >= 0 ? card(beside[at + 1]) : null,
    };
    return [{ path, input }];
  });
}
