import type { CreditPiece } from '../credits/credit.ts';
import { creditsOf } from '../credits/credits-of.ts';
import { reaches } from './height.ts';
import type { LinkedTo } from './linked-to.ts';
import { openPages } from './open-pages.ts';
import type { Id } from '../id.ts';
import { withGroundPicture } from '../look/ground-picture.ts';
import { drawsMoments } from '../moments/drawn-moments.ts';
import { isMoment, momentsOf } from '../moments/moments-of.ts';
import { standsInMenu } from '../menu/stands-in-menu.ts';
import { materialsById } from '../materials/materials-by-id.ts';
import { materialsOn } from '../pages/materials-on.ts';
import { inReadingOrder } from '../pages/in-reading-order.ts';
import { noCover } from '../pages/cover.ts';
import type { Opening } from '../pages/opening.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import { factsOf, isWork, type Page, shownOn } from '../pages/page.ts';
import type { Shown } from '../pages/page-contents.ts';
import type { CaseFacts } from '../pages/case-facts.ts';
import { isEmptyPart } from '../parts/is-empty-part.ts';
import { materialsOf } from '../parts/materials-of.ts';
import type { Draft, Site } from '../sites/site.ts';
import { coverFor } from './cover-for.ts';
import { pathOfPages } from './path-of-pages.ts';
import { seenMaterial, type SeenMaterial } from './seen-material.ts';
import { seenMoments } from './seen-moments.ts';
import { withHeld } from '../parts/held-in.ts';
import { preferredParts } from '../parts/preferred-parts.ts';
import { rulesOf, type SeenPart } from '../parts/parts.ts';
import { seenPart } from '../parts/seen-part.ts';
import type { Proof } from '../resume/proof.ts';
import { versionApplied } from '../resume/version-applied.ts';
import type { Viewer } from './viewer.ts';

export type { SeenMaterial, SeenMaterialOf } from './seen-material.ts';
export type { SeenPart } from '../parts/parts.ts';

export type SeenPage = Pick<Page, 'id' | 'kind' | 'slug' | 'title'> &
  Pick<Shown, 'summary' | 'cover'> & {
    facts: CaseFacts;
    parent: Id | null;
    /** Whether it stands in the menu; see `standsInMenu`. */
    inMenu: boolean;
    /** What it is written in. */
    language: string;
    /** Whether it hangs on the front page, where it is work. */
    onWall: boolean;
    /** Where an outside link leads; null of all other pages. */
    lead: { to: string; newWindow: boolean } | null;
    opening: Opening;
    parts: SeenPart[];
    /** Whom the page names at its end; empty where nobody is to be credited, and where a part does it. */
    credits: CreditPiece[][];
  };

export interface SiteView {
  /** The order of the wall and the places of quick links name only pages of this view. */
  site: Pick<
    Site,
    | 'title'
    | 'by'
    | 'look'
    | 'menu'
    | 'wall'
    | 'wallOrder'
    | 'wallLabels'
    | 'wallDates'
    | 'wallTags'
    | 'welcome'
    | 'language'
    | 'quickLinks'
    | 'contact'
    | 'rights'
    | 'linkPictures'
  >;
  /** The page a page link opens, or null when the whole site is entered at its home page. */
  entry: Id | null;
  /** Of a pass without a front page: one that nobody made leads to what it opens. */
  led: boolean;
  /** In reading order; a parent stands before its children. */
  pages: SeenPage[];
  /** Only what the pages above show. */
  materials: Record<Id, SeenMaterial>;
}

/**
 * The versions of a résumé to which ways in are bound on a page; null where none is.
 *
 * @param path the page, and what it stands in
 */
function boundVersions(ways: readonly LinkedTo[], path: readonly Page[]): ReadonlySet<Id> | null {
  const here = ways.filter(({ page }) => path.some(({ id }) => id === page));
  const versions = here.flatMap(({ version }) => version ?? []);
  return here.length > 0 && versions.length === here.length ? new Set(versions) : null;
}

/**
 * The one door: what a viewer may see of a draft, as plain data, or null when they may see nothing at all.
 * Everything public is produced from this result and from nothing else. Pure; does not change the draft.
 *
 * A part, and a thing inside it with a height of its own, is in the view when its effective height reaches the viewer; a page when its own does and the viewer's
 * entrance covers it; a material when a page or part in the view shows it.
 */
export function seenBy(draft: Draft, viewer: Viewer): SiteView | null {
  const opened = openPages(draft, viewer);
  if (!opened) return null;
  const { reach, pages: open, entry, ways, partReaches } = opened;

  const known = materialsById(draft.materials);
  const openIds = new Set(open.map((page) => page.id));
  const materials: Record<Id, SeenMaterial> = {};
  const show = (id: Id): boolean => {
    if (Object.hasOwn(materials, id)) return true;
    const material = known.get(id);
    const seen = material && seenMaterial(material, known);
    if (seen) materials[id] = seen;
    return Boolean(seen);
  };

  const isOpenId = (id: Id) => openIds.has(id);
  const openWork = (id: Id) => {
    const page = openIds.has(id) ? open.find((one) => one.id === id) : undefined;
    return page && isWork(page) ? { title: page.title, from: page.facts.from, to: page.facts.to } : null;
  };
  const moments = new Map(
    open.map((page) => [page.id, seenMoments(page, { open, reaches: partReaches, show })]),
  );
  const kept = new Set(open.flatMap((page) => momentsOf(shownOn(page).parts).map(({ id }) => id)));
  /** A moment is there for a reader where its own page draws it. */
  const isDrawn = (page: Id, moment: Id) => moments.get(page)?.addressed.has(moment) ?? false;
  const proves = ({ page, part }: Proof) =>
    openIds.has(page) &&
    (part === null || (partReaches(page, part) && (!kept.has(part) || isDrawn(page, part))));
  const offWall = new Set(draft.site.offWall);
  const isPictureId = (id: Id | null): id is Id => id !== null && known.get(id)?.kind === 'picture';

  // Whoever may see a page may see what it lies on.
  const look = withGroundPicture(draft.site.look, (id) => open.length > 0 && isPictureId(id) && show(id));
  const onGround = look.ground.picture === null ? [] : [look.ground.picture];

  const pages = inReadingOrder(open).map((page): SeenPage => {
    const isOpen = ({ id }: { id: Id }) => partReaches(page.id, id);
    const shown = shownOn(page);
    const versions = boundVersions(ways, pathOfPages(draft.pages, page.id) ?? []);
    const parts = versionApplied(
      preferredParts(
        shown.parts
          .filter(isOpen)
          .map((part) => withHeld(part, (held) => (isOpen(held) ? held : null)))
          // The link of a version opens no other one.
          .filter(({ kind, id }) => kind !== 'version' || !versions || versions.has(id))
          // Moments are drawn by other parts, and of those whoever draws none is not there.
          .filter((part) => !isMoment(part))
          .filter((part) => !drawsMoments(part) || moments.get(page.id)?.byPart.get(part.id)?.length)
          // Kinds that nobody here knows are empty, too.
          .filter((part) => !isEmptyPart(part)),
      ),
    );
    for (const part of parts) materialsOf(part).forEach(show);
    const drawn = moments.get(page.id);
    const cover = coverFor(shown, parts);
    const isCredited = parts.some((part) => rulesOf(part).givesCredits);
    // Only what this viewer is shown is credited: a hidden part's sources would tell of it.
    const language = page.language ?? draft.site.language;
    const credited = [...materialsOn({ ...shown, parts, cover }), ...(drawn?.materials ?? []), ...onGround];
    const credits = creditsOf(credited, known, language);
    return {
      id: page.id,
      kind: page.kind,
      slug: page.slug,
      title: page.title,
      summary: shown.summary,
      facts: factsOf(page),
      inMenu: standsInMenu(page),
      language,
      onWall: !offWall.has(page.id),
      lead: 'leadsTo' in page && page.leadsTo ? { to: page.leadsTo, newWindow: page.newWindow } : null,
      cover: isPictureId(cover.picture) && show(cover.picture) ? cover : noCover,
      parent: page.parent !== null && openIds.has(page.parent) && page.id !== entry ? page.parent : null,
      opening: {
        layout: look.opening ?? shown.opening.layout,
        pictures: shown.opening.pictures.filter(show),
      },
      parts: parts
        .map((part) =>
          seenPart(part, {
            ...{ credits, opens: isOpenId, work: openWork, proves, phases: draft.site.phases },
            downloads: viewer.kind !== 'pass' || viewer.downloads,
            moments: ({ id }) => drawn?.byPart.get(id) ?? [],
          }),
        )
        .filter((part) => part !== null),
      credits: isCredited ? [] : credits,
    };
  });
  const { title, by, menu, wall, wallLabels, wallDates, wallTags, welcome } = draft.site;
  const { language, rights, linkPictures, underAge } = draft.site;
  // Only people holding a pass may write to somebody under 18.
  const contact = underAge && !reaches('invited', reach) ? '' : draft.site.contact;
  const wallOrder = draft.site.wallOrder.filter(isOpenId);
  const quickLinks = draft.site.quickLinks.map((link) => ({ ...link, pages: link.pages.filter(isOpenId) }));
  const site = {
    ...{ title, by, look, menu, wall, wallOrder, wallLabels, wallDates, wallTags, welcome },
    ...{ language, contact, rights, linkPictures, quickLinks },
  };
  const led = viewer.kind === 'pass' && entry === null && !pages.some((page) => rulesOfPage(page).isFront);
  return { site, entry, led, pages, materials };
}
