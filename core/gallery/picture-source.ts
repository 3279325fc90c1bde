import type { SeenMaterial, SeenMaterialOf } from '../access/seen-by.ts';
import { type DocumentContent, type DocumentFacts, pageSizePx } from '../materials/document.ts';
import { type Fixes, hasBurntIn } from '../materials/fixes.ts';
import { shownSize, type Size } from './fixed-frame.ts';

/** Where the pixels of a picture come from: a picture file, or a page of a PDF. */
export interface PictureSource extends Size {
  /** SHA-256 of the file. */
  original: string;
  /** Page of a PDF, from 0; null for a picture file. */
  page: number | null;
  fixes: Fixes;
}

/** A picture as a page shows it: its words, how it is framed, and what it is made from. */
export interface ShownPicture {
  /** The material's id, or one below it for a page or picture of a document. */
  id: string;
  alt: string;
  caption: string;
  /** Shown while the picture loads, #rrggbb; null for a round one, whose corners are empty. */
  colour: string | null;
  focus: { x: number; y: number };
  /** It has frames that can be played. With fixes that change its pixels it stays still: they lie on its first frame. */
  moves: boolean;
  source: PictureSource;
}

/** Pixels of all frames together, above which a moving picture stays still: decoding it would take too much memory. */
const mostMovingPixels = 150_000_000;

const movesOf = (fixes: Fixes, { widthPx, heightPx, frames }: Size & { frames: number }): boolean =>
  frames > 1 && !hasBurntIn(fixes) && frames * widthPx * heightPx <= mostMovingPixels;

const middle = { x: 0.5, y: 0.5 };
const paper = '#ffffff';

/** Name of a page's picture. */
export const pagePicture = (material: string, page: number): string => `${material}/${page}`;
/** Name of a picture that stands in a document, or came with a link. */
export const piecePicture = (material: string, hash: string): string => `${material}:${hash}`;

/** The fixes that lie on one page, as if it were a picture of its own: another page's black-out is not its business. */
export function fixesOfPage(fixes: Fixes, page: number): Fixes {
  const blackOut = (fixes.blackOut ?? [])
    .filter((one) => one.page === page)
    .map((one) => ({ ...one, page: 0 }));
  const turn = fixes.pageTurns?.find((one) => one.page === page)?.turn;
  return { ...(blackOut.length > 0 ? { blackOut } : {}), ...(turn ? { turn } : {}) };
}

/** Fixes of a page as if it were a picture, put back on that page of its document. */
export function fixesOntoPage({ blackOut, turn }: Fixes, page: number): Fixes {
  const quarter = ([90, 180, -90] as const).find((one) => one === turn);
  return {
    ...(blackOut ? { blackOut: blackOut.map((one) => ({ ...one, page })) } : {}),
    ...(quarter ? { pageTurns: [{ page, turn: quarter }] } : {}),
  };
}

/** The fixes of a document with one page turned by a quarter more; a page that is upright again is not among them. */
export function withPageTurned(fixes: Fixes, page: number, by: 90 | -90): Fixes {
  const others = (fixes.pageTurns ?? []).filter((one) => one.page !== page);
  const was = fixes.pageTurns?.find((one) => one.page === page)?.turn ?? 0;
  const turn = ([90, 180, -90] as const).find((one) => (((was + by - one) % 360) + 360) % 360 === 0);
  const { pageTurns: _, ...rest } = fixes;
  const pageTurns = turn ? [...others, { page, turn }] : others;
  return pageTurns.length > 0 ? { ...rest, pageTurns } : rest;
}

/** A page of a PDF as the source of a picture; null when there is no such page. */
export function pageSource(
  { original, fixes, facts }: { original: string; fixes: Fixes; facts: DocumentFacts },
  page: number,
): PictureSource | null {
  const size = facts.pages[page];
  if (!size) return null;
  const own = fixesOfPage(fixes, page);
  return { original, page, fixes: own, ...shownSize(pageSizePx(size), own) };
}

function ofDocument(
  material: SeenMaterialOf<'document'>,
  content: DocumentContent | undefined,
): ShownPicture[] {
  const shown = material.shownBy ?? material;
  const count = shown.facts.pages.length;
  const bare = { caption: '', colour: paper, focus: middle, moves: false };
  const pages = shown.facts.pages.flatMap((_, page): ShownPicture[] => {
    const source = pageSource(shown, page);
    const alt = `Page ${page + 1} of ${count}${material.title ? ` of ${material.title}` : ''}`;
    return source ? [{ ...bare, id: pagePicture(shown.id, page), alt, source }] : [];
  });
  const inside = (content?.pieces ?? []).flatMap((piece): ShownPicture[] => {
    if (piece.type !== 'picture') return [];
    const { picture: original, widthPx, heightPx, alt } = piece;
    const source = { original, page: null, fixes: {}, widthPx, heightPx };
    return [{ ...bare, id: piecePicture(material.id, original), alt, source }];
  });
  return [...pages, ...inside];
}

/**
 * Every picture that is made of a material when it is shown.
 *
 * @param content what was read out of a document; nothing for all other kinds
 */
export function picturesOf(material: SeenMaterial, content: DocumentContent | undefined): ShownPicture[] {
  switch (material.kind) {
    case 'picture': {
      const { id, alt, caption, original, fixes, facts } = material;
      const { widthPx, heightPx } = facts;
      return [
        {
          id,
          alt,
          caption,
          colour: fixes.round ? null : facts.colour,
          focus: fixes.focus ?? middle,
          moves: movesOf(fixes, facts),
          source: { original, page: null, fixes, widthPx, heightPx },
        },
      ];
    }
    case 'document':
      return ofDocument(material, content);
    case 'clip':
      return material.shownBy ? picturesOf(material.shownBy, undefined) : [];
    case 'link': {
      if (material.shownBy) return picturesOf(material.shownBy, undefined);
      const { picture } = material.facts;
      if (!picture) return [];
      const { hash: original, widthPx, heightPx, colour } = picture;
      const source = { original, page: null, fixes: {}, widthPx, heightPx };
      const id = piecePicture(material.id, original);
      return [{ id, alt: '', caption: '', colour, focus: middle, moves: false, source }];
    }
    case 'sound':
      return [];
  }
}
