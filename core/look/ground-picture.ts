import type { Look } from './look.ts';

/** A look that keeps the picture of its ground only where that is wanted; the same look where nothing changes. */
export function withGroundPicture(look: Look, isKept: (picture: string) => boolean): Look {
  const { picture } = look.ground;
  return picture === null || isKept(picture) ? look : { ...look, ground: { ...look.ground, picture: null } };
}
