import { z } from 'zod';

/** Who can open something, from lowest to highest. The order of this list is the order of the heights. */
export const heights = ['private', 'invited', 'unlisted', 'public'] as const;

export const heightSchema = z.enum(heights);
export type Height = z.infer<typeof heightSchema>;

/** 0 for private … 3 for public. */
export function heightLevel(height: Height): number {
  return heights.indexOf(height);
}

/** True when `height` lets in everybody that `wanted` lets in. */
export function reaches(height: Height, wanted: Height): boolean {
  return heightLevel(height) >= heightLevel(wanted);
}

/** The lowest of the given heights; `public` for an empty list, since nothing holds it down. */
export function lowest(list: readonly Height[]): Height {
  return list.reduce<Height>((low, next) => (heightLevel(next) < heightLevel(low) ? next : low), 'public');
}
