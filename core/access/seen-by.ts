import { lowest, reaches } from '../content/height.ts';
import type { CreditPiece } from '../content/credit.ts';
import { creditsOf } from '../content/credits-of.ts';
import type { Id } from '../content/id.ts';
import type { DocumentFacts } from '../content/document.ts';
import type { LinkFacts } from '../content/link.ts';
import { materialsOn } from '../content/materials-on.ts';
import type { Material, MaterialKind, MaterialOf, PictureFacts } from '../content/material.ts';
import { byRank, noCover, type Opening, type Page } from '../content/page.ts';
import { isEmptyPart, materialsOf, type Part, type PartShape } from '../content/part.ts';
import { shownSize } from '../gallery/fixed-frame.ts';
import type { Draft, Site } from '../content/site.ts';
import { effectiveHeight, pathOfPages } from './effective-height.ts';
import { reachOf, type Viewer } from './viewer.ts';

type Seen<K extends MaterialKind> = Pick<
  MaterialOf<K>,
  'id' | 'kind' | 'title' | 'caption' | 'alt' | 'original' | 'fixes'
>;

/**
 * A material as a reader may know it: no file name, no date, no place, no tags. The original is named so that what is
 * shown can be made from it; it is handed out itself only where a part offers it as a download, or to be played.
 */
export type SeenMaterial =
  | (Seen<'picture'> & {
      /** Size as it is shown, with its fixes. */
      facts: Pick<PictureFacts, 'widthPx' | 'heightPx' | 'colour' | 'frames'>;
    })
  | (Seen<'document'> & { facts: DocumentFacts; shownBy: SeenMaterialOf<'document'> | null })
  | (Seen<'sound'> & Pick<MaterialOf<'sound'>, 'facts' | 'bytes' | 'transcript'>)
  | (Seen<'clip'> &
      Pick<MaterialOf<'clip'>, 'facts' | 'bytes' | 'transcript'> & {
        shownBy: SeenMaterialOf<'picture'> | null;
      })
  | (Seen<'link'> &
      Pick<MaterialOf<'link'>, 'transcript'> & {
        facts: Omit<LinkFacts, 'readAt'>;
        shownBy: SeenMaterialOf<'picture'> | null;
      });
export type SeenMaterialOf<K extends MaterialKind> = Extract<SeenMaterial, { kind: K }>;

/**
 * A part as a reader gets it: its height is nobody's business, and neither is what its maker was asked, by a starter or
 * by the questions behind a reflection.
 */
export type SeenPart =
  | Exclude<PartShape, { kind: 'reflection' | 'credits' }>
  | (Pick<PartShape, 'id' | 'beside'> & { kind: 'reflection'; texts: string[] })
  | (Pick<PartShape, 'id' | 'beside'> & { kind: 'credits'; credits: CreditPiece[][] });

export type SeenPage = Pick<Page, 'id' | 'kind' | 'slug' | 'title' | 'summary' | 'facts' | 'cover'> & {
  parent: Id | null;
  opening: Opening;
  parts: SeenPart[];
};

export interface SiteView {
  site: Pick<Site, 'title' | 'theme'>;
  /** The page a page link opens, or null when the whole site is entered at its home page. */
  entry: Id | null;
  /** In reading order; a parent stands before its children. */
  pages: SeenPage[];
  /** Only what the pages above show. */
  materials: Record<Id, SeenMaterial>;
}

/**
 * Whether a page lies within what the viewer entered through. A link opens what is listed below it: a page set to
 * Unlisted by its own maker stands in no list and is opened by its own link only.
 */
function inScope(viewer: Viewer, path: readonly Page[]): boolean {
  const ids = path.map((page) => page.id);
  switch (viewer.kind) {
    case 'maker':
    case 'stranger':
      return true;
    case 'site-link':
      return lowest(path.map((page) => page.height)) === 'public';
    case 'page-link': {
      const at = ids.indexOf(viewer.page);
      return at >= 0 && lowest(path.slice(at + 1).map((page) => page.height)) === 'public';
    }
    case 'pass':
      return viewer.covers === 'site' || viewer.covers.some((id) => ids.includes(id));
  }
}

/**
 * A part as a reader gets it.
 *
 * @param credits whom the page has to name
 */
export function seenPart(part: Part, credits: CreditPiece[][]): SeenPart {
  const { height: _, prompt: _prompt, ...seen } = part;
  switch (seen.kind) {
    case 'reflection': {
      const { answers, ...rest } = seen;
      return { ...rest, texts: answers.map(({ text }) => text.trim()).filter(Boolean) };
    }
    case 'credits':
      return { ...seen, credits };
    default:
      return seen;
  }
}

/** The material that shows another one; nothing is followed further than this one step. */
function seenShower({ id, shownBy }: Material, known: ReadonlyMap<Id, Material>): SeenMaterial | null {
  const shower = shownBy === null || shownBy === id ? undefined : known.get(shownBy);
  return shower ? seenMaterial({ ...shower, shownBy: null }, known) : null;
}

/** The picture that stands for a clip or a link. */
function seenStill(material: Material, known: ReadonlyMap<Id, Material>): SeenMaterialOf<'picture'> | null {
  const still = seenShower(material, known);
  return still?.kind === 'picture' ? still : null;
}

/** What readers may know of a material; null for a note, which is its maker's alone. */
function seenMaterial(material: Material, known: ReadonlyMap<Id, Material>): SeenMaterial | null {
  const { id, title, caption, alt, original, fixes } = material;
  const words = { id, title, caption, alt, original, fixes };
  switch (material.kind) {
    case 'picture': {
      const { facts } = material;
      const size = shownSize(facts, fixes);
      return { ...words, kind: 'picture', facts: { ...size, colour: facts.colour, frames: facts.frames } };
    }
    case 'document': {
      const pdf = seenShower(material, known);
      const shownBy = pdf?.kind === 'document' && pdf.facts.format === 'pdf' ? pdf : null;
      return { ...words, kind: 'document', facts: material.facts, shownBy };
    }
    case 'sound': {
      const { facts, bytes, transcript } = material;
      return { ...words, kind: 'sound', facts, bytes, transcript };
    }
    case 'clip': {
      const { facts, bytes, transcript } = material;
      return { ...words, kind: 'clip', facts, bytes, transcript, shownBy: seenStill(material, known) };
    }
    case 'link': {
      const { transcript } = material;
      const { readAt: _, ...facts } = material.facts;
      return { ...words, kind: 'link', facts, transcript, shownBy: seenStill(material, known) };
    }
    case 'note':
      return null;
  }
}

/** Pages in reading order: brothers and sisters by rank, children right after their parent. */
function inReadingOrder(pages: readonly Page[]): Page[] {
  const below = new Map<Id | null, Page[]>();
  const known = new Set(pages.map((page) => page.id));
  for (const page of pages) {
    const parent = page.parent !== null && known.has(page.parent) ? page.parent : null;
    below.set(parent, [...(below.get(parent) ?? []), page]);
  }
  const walk = (parent: Id | null): Page[] =>
    (below.get(parent) ?? []).sort(byRank).flatMap((page) => [page, ...walk(page.id)]);
  return walk(null);
}

/**
 * The one door: what a viewer may see of a draft, as plain data, or null when they may see nothing at all.
 * Everything public is produced from this result and from nothing else. Pure; does not change the draft.
 *
 * A part is in the view when its effective height reaches the viewer; a page when its own does and the viewer's
 * entrance covers it; a material when a page or part in the view shows it.
 */
export function seenBy(draft: Draft, viewer: Viewer): SiteView | null {
  const reach = reachOf(viewer);
  if (!reaches(draft.site.height, reach)) return null;

  const open = draft.pages.filter((page) => {
    const path = pathOfPages(draft.pages, page.id);
    return (
      path !== null &&
      inScope(viewer, path) &&
      reaches(effectiveHeight(draft, { page: page.id }).height, reach)
    );
  });
  const entry = viewer.kind === 'page-link' ? viewer.page : null;
  if (entry !== null && !open.some((page) => page.id === entry)) return null;
  if (viewer.kind === 'pass' && open.length === 0) return null;

  const known = new Map(draft.materials.map((material) => [material.id, material]));
  const openIds = new Set(open.map((page) => page.id));
  const materials: Record<Id, SeenMaterial> = {};
  const show = (id: Id): boolean => {
    const material = known.get(id);
    const seen = material && seenMaterial(material, known);
    if (seen) materials[id] = seen;
    return Boolean(seen);
  };

  const isPictureId = (id: Id | null): id is Id => id !== null && known.get(id)?.kind === 'picture';

  const pages = inReadingOrder(open).map((page): SeenPage => {
    const parts = page.parts.filter(
      (part) =>
        !isEmptyPart(part) && reaches(effectiveHeight(draft, { page: page.id, part: part.id }).height, reach),
    );
    for (const part of parts) materialsOf(part).forEach(show);
    // Only what this viewer is shown is credited: a hidden part's sources would tell of it.
    const credits = creditsOf(materialsOn({ ...page, parts }), known);
    return {
      id: page.id,
      kind: page.kind,
      slug: page.slug,
      title: page.title,
      summary: page.summary,
      facts: page.facts,
      cover: isPictureId(page.cover.picture) && show(page.cover.picture) ? page.cover : noCover,
      parent: page.parent !== null && openIds.has(page.parent) && page.id !== entry ? page.parent : null,
      opening: { layout: page.opening.layout, pictures: page.opening.pictures.filter(show) },
      parts: parts
        .filter(({ kind }) => kind !== 'credits' || credits.length > 0)
        .map((part) => seenPart(part, credits)),
    };
  });
  return { site: { title: draft.site.title, theme: draft.site.theme }, entry, pages, materials };
}
