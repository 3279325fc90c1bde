import type { Region } from '../materials/fixes.ts';

const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

/** Smallest side of a region, as a share. */
const least = 0.02;

/** A region moved as far as its picture lets it. */
export function movedRegion(region: Region, dx: number, dy: number): Region {
  return {
    ...region,
    x: clamp(region.x + dx, 0, 1 - region.width),
    y: clamp(region.y + dy, 0, 1 - region.height),
  };
}

/** Edges a handle moves: −1 the left or upper one, 1 the right or lower one, 0 neither. */
export interface Handle {
  across: -1 | 0 | 1;
  down: -1 | 0 | 1;
}

/**
 * A region after one of its handles was pulled.
 *
 * @param ratio width divided by height, both as shares, that has to be kept; null when it is free
 */
export function pulledRegion(
  region: Region,
  { across, down }: Handle,
  dx: number,
  dy: number,
  ratio: number | null = null,
): Region {
  const right = region.x + region.width;
  const bottom = region.y + region.height;
  const left = across < 0 ? clamp(region.x + dx, 0, right - least) : region.x;
  const top = down < 0 ? clamp(region.y + dy, 0, bottom - least) : region.y;
  const width =
    across < 0 ? right - left : across > 0 ? clamp(region.width + dx, least, 1 - left) : region.width;
  const height =
    down < 0 ? bottom - top : down > 0 ? clamp(region.height + dy, least, 1 - top) : region.height;
  if (ratio === null) return { x: left, y: top, width, height };

  // The corner or edge that is not pulled stays where it is; the other side follows the proportion.
  const room = { width: across < 0 ? right : 1 - region.x, height: down < 0 ? bottom : 1 - region.y };
  const byHeight = across === 0 || (down !== 0 && height * ratio > width);
  const wanted = byHeight ? height * ratio : width;
  const kept = clamp(wanted, 0, Math.min(room.width, room.height * ratio));
  return {
    x: across < 0 ? Math.max(0, right - kept) : region.x,
    y: down < 0 ? Math.max(0, bottom - kept / ratio) : region.y,
    width: kept,
    height: kept / ratio,
  };
}

/** The region between two points of a picture, in whatever order they were set. */
export function regionBetween(a: { x: number; y: number }, b: { x: number; y: number }): Region {
  const [left, right] = [clamp(Math.min(a.x, b.x), 0, 1), clamp(Math.max(a.x, b.x), 0, 1)];
  const [top, bottom] = [clamp(Math.min(a.y, b.y), 0, 1), clamp(Math.max(a.y, b.y), 0, 1)];
  return { x: left, y: top, width: right - left, height: bottom - top };
}
