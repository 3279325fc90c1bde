import type { Region } from '../materials/fixes.ts';

const share = (value: number): number => Math.min(1, Math.max(0, value));

/**
 * A region with some air on each side, as far as its picture reaches.
 *
 * @param across air on the left and on the right, as a share of the picture's width
 * @param down air above and below, as a share of its height
 */
export function regionAround({ x, y, width, height }: Region, across: number, down: number): Region {
  const [left, top] = [share(x - across), share(y - down)];
  return {
    ...{ x: left, y: top },
    ...{ width: share(x + width + across) - left, height: share(y + height + down) - top },
  };
}
