import type { Part } from './light-map.ts';

export interface Size {
  width: number;
  height: number;
}

/**
 * Which part of a picture lies in the lowest so many pixels of a box that it covers and is cut to (CSS: `object-fit: cover`, with
 * `object-position` at its focus point).
 *
 * @param focus shares of width and height
 * @param low height of the part that is asked for, from the bottom of the box, in the box's own unit
 */
export function lowestPart(picture: Size, box: Size, focus: { x: number; y: number }, low: number): Part {
  const scale = Math.max(box.width / picture.width, box.height / picture.height);
  const [wide, high] = [picture.width * scale, picture.height * scale];
  const left = ((wide - box.width) * focus.x) / wide;
  const above = (high - box.height) * focus.y;
  return {
    left,
    right: left + box.width / wide,
    top: (above + Math.max(0, box.height - low)) / high,
    bottom: (above + box.height) / high,
  };
}
