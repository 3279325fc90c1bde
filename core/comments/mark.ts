import { z } from 'zod';

/** All of a picture, in each direction; marks are told in shares of it. */
export const markScale = 1000;

const share = z.number().int().min(0).max(markScale);
/** Where in a picture something is: a point, or, with an extent, a region from its upper left corner on. */
export const markSchema = z.union([
  z.object({ x: share, y: share, width: share.min(1), height: share.min(1) }).strict(),
  z.object({ x: share, y: share }).strict(),
]);
export type Mark = z.infer<typeof markSchema>;
type Point = Pick<Mark, 'x' | 'y'>;

/** Regions that can be named, for whoever points without a pointer. */
export const spots = [
  'top-left',
  'top',
  'top-right',
  'left',
  'middle',
  'right',
  'bottom-left',
  'bottom',
  'bottom-right',
] as const;
export type Spot = (typeof spots)[number];
/** What of a picture a comment is about: the point that was pressed, a region around it, one of its ninths, or all of it. */
export const extents = ['all', 'point', 'around', ...spots] as const;
export type Extent = (typeof extents)[number];

const third = Math.round(markScale / 3);
/** Of a region around a point, in each direction (our choice). */
const aroundSize = 300;

const within = (value: number, most: number): number => Math.min(most, Math.max(0, Math.round(value)));

/** The mark for what was chosen; null for all of the picture, and where no point was pressed that it needs. */
export function markOf(extent: Extent, point: Point | null): Mark | null {
  if (extent === 'all') return null;
  if (extent === 'point') return point;
  if (extent === 'around')
    return (
      point && {
        x: within(point.x - aroundSize / 2, markScale - aroundSize),
        y: within(point.y - aroundSize / 2, markScale - aroundSize),
        ...{ width: aroundSize, height: aroundSize },
      }
    );
  const at = spots.indexOf(extent);
  return { x: (at % 3) * third, y: Math.floor(at / 3) * third, width: third, height: third };
}

/** In which ninth of the picture a mark has its middle. */
export function spotOf(mark: Mark): Spot {
  const middle = (from: number, extent: number) =>
    Math.min(2, Math.floor(((from + extent / 2) * 3) / markScale));
  const [width, height] = 'width' in mark ? [mark.width, mark.height] : [0, 0];
  return spots[middle(mark.y, height) * 3 + middle(mark.x, width)] ?? 'middle';
}

/**
 * The point that was pressed, out of where a picture was pressed that stood in a form.
 *
 * @param at in CSS pixels from the upper left corner of the picture as it stood there
 * @returns null for that corner itself, which is what a browser sends when a key was pressed
 */
export function pressedPoint(at: Point, shown: { width: number; height: number }): Point | null {
  if (at.x === 0 && at.y === 0) return null;
  return {
    x: within((at.x / shown.width) * markScale, markScale),
    y: within((at.y / shown.height) * markScale, markScale),
  };
}

/** A point as a form sends it on; empty for none. */
export const pointText = (point: Point | null): string => (point ? `${point.x} ${point.y}` : '');

/** A point as a form sent it; null for anything that is none. */
export function pointFrom(text: string): Point | null {
  const [x, y] = /^(\d{1,4}) (\d{1,4})$/.exec(text)?.slice(1).map(Number) ?? [];
  return x !== undefined && y !== undefined && x <= markScale && y <= markScale ? { x, y } : null;
}
