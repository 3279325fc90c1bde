import { fontPairs } from './font-pairs.ts';
import { needed } from './comfort.ts';
import { lightMapFrom, type Part } from './light-map.ts';
import { type Lettering, atMostLines, linesOf, type PairLettering } from './lettering.ts';
import type { Look } from './look.ts';
import { fontsOf } from './fonts-of.ts';
import { coloursOf, schemeOf } from './look-rules.ts';
import { lowestPart, type Size } from './shown-part.ts';
import { type Veil, veilColours, veilOverAnything, veilsFor } from './veil.ts';

/** The size that programs which show links ask for (Open Graph; common practice), in pixels. */
export const sharePictureSize = { width: 1200, height: 630 } as const;

/** The picture that stands for a page, as far as it matters here. */
export interface PictureToShare {
  widthPx: number;
  heightPx: number;
  focus: { x: number; y: number };
  /** A map as text, where it is known. */
  light?: string;
}

/** What is drawn where a link to a page is passed on. */
export interface SharePicture {
  /** The part of the picture that is shown, and where; null where there is none. */
  picture: { part: Part; left: number; top: number; width: number; height: number } | null;
  /** What lies behind the picture, as #rrggbb. */
  ground: string;
  /** What lies over it: an SVG drawing of the whole size that names no font. */
  over: string;
}

const { width: wide, height: high } = sharePictureSize;
/** Between the edge and the words, and the edge of the site's colour below, in pixels. */
const inset = 64;
const edge = 14;
const fade = 140;
/** The name of the maker. */
const bySize = 30;
const byLine = 1.5 * bySize;
/** Titles are set as large as fits, in steps, before the pair's own measure. */
const largest = 104;
const smallest = 40;
const step = 6;

interface SetTitle {
  size: number;
  lines: string[];
}

/** A title as large as it fits into a box; never broken within a word where a smaller size keeps it whole. */
function setTitle(title: string, lettering: Lettering, scale: number, box: Size, most: number): SetTitle {
  for (let size = largest; ; size -= step) {
    const drawn = size * scale;
    const width = box.width / drawn;
    const lines = linesOf(title, lettering, width);
    const whole = title
      .split(/\s+/u)
      .every((word) => word === '' || lettering.widthOf(word) <= width || lines.includes(word));
    const fits = lines.length <= most && lines.length * drawn * leadingOf(scale) <= box.height;
    if ((fits && whole) || size - step < smallest)
      return { size: drawn, lines: atMostLines(lines, most, lettering, width) };
  }
}

/** Letters that are tall for their size stand closer. */
const leadingOf = (scale: number): number => (scale > 1.4 ? 0.95 : 1.12);

const path = (d: string, fill: string): string => (d === '' ? '' : `<path d="${d}" fill="${fill}"/>`);
const drawing = (...parts: string[]): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}" height="${high}" viewBox="0 0 ${wide} ${high}">${parts.join('')}</svg>`;
const rectangle = (left: number, top: number, width: number, height: number, fill: string): string =>
  `<rect x="${left}" y="${top}" width="${width}" height="${height}" fill="${fill}"/>`;

/** Narrower than this, or higher than wide, a picture is not blown up over the whole of it. */
const leastWidth = 720;
const standsBeside = ({ widthPx, heightPx }: PictureToShare): boolean =>
  widthPx < leastWidth || heightPx > widthPx * 1.05;

/**
 * The picture shown where somebody passes on a link to a page: the page's own picture with its title over it, behind the weakest veil
 * through which it can be read, as in an opening; a high or small picture beside the title; a title alone on the field of the site. In
 * the fonts and colours of the site, by day where it has both.
 *
 * @returns null where there is neither a picture nor a title that its fonts can draw
 */
export function sharePicture(
  page: { title: string; by: string },
  look: Look,
  picture: PictureToShare | null,
  lettering: PairLettering,
): SharePicture | null {
  const light = schemeOf(look);
  const { colours } = coloursOf(look, light === 'device' ? 'light' : light);
  const field = colours.field ?? '#000000';
  const said = lettering.display.draws(page.title) ? page.title.trim() : '';
  // A name in other letters is left out, and so is one that says the same once more.
  const name = page.by.trim() !== page.title.trim() && lettering.text.draws(page.by) ? page.by.trim() : '';
  const { properties } = fontPairs[fontsOf(look)];
  const scale = Number((properties as Record<string, string>)['display-size'] ?? 1);
  const words = (box: { left: number; bottom: number }, { lines, size }: SetTitle, ink: string): string => {
    const low = box.bottom - (name === '' ? 0 : byLine) - size * 0.24;
    const lineAt = (at: number) => low - (lines.length - 1 - at) * size * leadingOf(scale);
    const drawn = lines.map((line, at) =>
      path(lettering.display.outline(line, box.left, lineAt(at), size), ink),
    );
    const named =
      name === '' ? '' : path(lettering.text.outline(name, box.left, box.bottom - 6, bySize), ink);
    return drawn.join('') + named;
  };
  const heightOf = (set: SetTitle): number =>
    set.lines.length * set.size * leadingOf(scale) + (name === '' ? 0 : byLine);
  const rule = (fill: string) => rectangle(0, high - edge, wide, edge, fill);

  if (!picture) {
    if (said === '') return null;
    const room = { left: inset, bottom: high - inset, width: wide - 2 * inset, height: high - 2 * inset };
    const ink = colours['on-field'] ?? '#ffffff';
    const title = setTitle(said, lettering.display, scale, { ...room, height: room.height - byLine }, 4);
    return { picture: null, ground: field, over: drawing(words(room, title, ink)) };
  }

  if (standsBeside(picture)) {
    const share = Math.min(1, (high * picture.widthPx) / picture.heightPx / wide);
    const width = Math.round(wide * Math.min(0.52, Math.max(0.36, share)));
    const room = {
      left: inset,
      bottom: high - edge - inset * 0.8,
      width: wide - width - 2 * inset,
      height: high - 2 * inset,
    };
    const title = said === '' ? null : setTitle(said, lettering.display, scale, { ...room, height: 380 }, 5);
    // A small one is shown no more than twice as large as it is, in the middle of its half.
    const grow = Math.min(Math.max(width / picture.widthPx, high / picture.heightPx), 2);
    const shown = {
      width: Math.round(Math.min(width, picture.widthPx * grow)),
      height: Math.round(Math.min(high, picture.heightPx * grow)),
    };
    const beside = title ? wide - width : 0;
    return {
      picture: {
        ...{ part: partShown(picture, shown), ...shown },
        left: Math.round(beside + ((title ? width : wide) - shown.width) / 2),
        top: Math.round((high - shown.height) / 2),
      },
      ground: colours.paper ?? '#ffffff',
      over: drawing(
        title ? words(room, title, colours.ink ?? '#000000') : '',
        rectangle(0, high - edge, title && shown.height === high ? wide - width : wide, edge, field),
      ),
    };
  }

  const box = { width: wide, height: high };
  const whole = { part: partShown(picture, box), left: 0, top: 0, ...box };
  if (said === '') return { picture: whole, ground: '#000000', over: drawing(rule(field)) };
  const room = { left: inset, bottom: high - edge - 40, width: wide - 2 * inset, height: 340 };
  const title = setTitle(said, lettering.display, scale, room, 4);
  const top = Math.floor(room.bottom - heightOf(title) - 24);
  const veil = veilOver(picture, look, high - top);
  const { words: ink, shade } = veilColours[veil.words];
  const colour = `rgb(${shade.replaceAll(' ', ',')})`;
  return {
    picture: whole,
    ground: '#000000',
    over: drawing(
      `<defs><linearGradient id="f" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${colour}" stop-opacity="0"/><stop offset="1" stop-color="${colour}" stop-opacity="${veil.alpha}"/></linearGradient></defs>`,
      rectangle(0, top - fade, wide, fade, 'url(#f)'),
      `<rect x="0" y="${top}" width="${wide}" height="${high - top}" fill="${colour}" fill-opacity="${veil.alpha}"/>`,
      words(room, title, ink),
      rule(field),
    ),
  };
}

const partShown = ({ widthPx, heightPx, focus }: PictureToShare, box: Size): Part =>
  lowestPart({ width: widthPx, height: heightPx }, box, focus, box.height);

/** As over an opening, for the words in the lowest so many pixels. */
function veilOver({ widthPx, heightPx, focus, light }: PictureToShare, look: Look, low: number): Veil {
  const most = needed[look.comfort].text;
  const map = light === undefined ? null : lightMapFrom(light);
  if (!map) return veilOverAnything(most);
  const part = lowestPart({ width: widthPx, height: heightPx }, sharePictureSize, focus, low);
  const [veil] = veilsFor(map, [[part]], most);
  return veil ?? veilOverAnything(most);
}
