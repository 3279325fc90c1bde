import type { SeenPage, SiteView } from '#core/access/seen-by.ts';
import { pagePicture, type ShownPicture } from '#core/gallery/picture-source.ts';
import type { Id } from '#core/id.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { materialsOf } from '#core/parts/materials-of.ts';
import { mediaOf } from './media-of.ts';
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
    paths.set(page.id, isEntrance ? '' : `${above}${page.slug}/`);
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

/** The work that hangs on the wall, in reading order: what has a name and is not itself the entrance. */
export const wallOf = ({ pages, entry }: SiteView): SeenPage[] =>
  pages.filter((page) => rulesOfPage(page).isWork && page.title.trim() !== '' && page.id !== entry);

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
  const wall = wallOf(view);
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
  const inMenu = view.entry === null ? view.pages.filter((page) => page.parent === null) : [];
  return view.pages.flatMap((page) => {
    const path = paths.get(page.id);
    const { opens, isFront, isWork } = rulesOfPage(page);
    if (path === undefined || !opens || (only !== null && page.id !== only)) return [];
    const at = wall.indexOf(page);
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
      look: view.site.look,
      path,
      toRoot: '../'.repeat(path.split('/').length - 1),
      home,
      menu: inMenu.flatMap((one) => {
        const rules = rulesOfPage(one);
        const title = rules.inMenu(one.title);
        const current = one.id === page.id || (rules.isFront && isWork);
        return title === null ? [] : [{ title, path: paths.get(one.id) ?? '', current }];
      }),
      page,
      preview: previewOf(pictures[coverOf(page, view) ?? '']),
      base,
      pictures: own,
      media,
      cards: isFront ? wall.map((one) => card(one)).filter((one) => one !== null) : [],
      before: at > 0 ? card(wall[at - 1]) : null,
      after: at >= 0 ? card(wall[at + 1]) : null,
    };
    return [{ path, input }];
  });
}
