import { z } from 'zod';
import { idSchema } from '../id.ts';
import { textures } from '../look/textures.ts';

/** Colours a ground can have: the second sheet of the page, the one at its back, and the field of the site. */
export const groundColours = ['paper', 'quiet', 'strong'] as const;
export const passingSides = ['left', 'centre', 'right'] as const;

const edges = {
  /** From one edge of the window to the other, or as far as the page goes. */
  wide: z.boolean().default(true),
};

/**
 * What a part lies on, where that is not the page. Parts with equal grounds that follow each other lie on one.
 *
 * Over pictures that parts pass over, words, small pictures, links and clips go by while the pictures stand.
 */
export const groundSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('colour'), colour: z.enum(groundColours), ...edges }),
  z.object({ kind: z.literal('texture'), texture: z.enum(textures).exclude(['none']), ...edges }),
  z.object({ kind: z.literal('picture'), picture: idSchema, ...edges }),
  z.object({
    kind: z.literal('passing'),
    pictures: z.array(idSchema).min(1).max(2, 'Parts pass over one picture or two.'),
    side: z.enum(passingSides).default('left'),
  }),
]);
export type Ground = z.infer<typeof groundSchema>;

/** The pictures of a ground, in order. */
export function picturesOfGround(ground: Ground | undefined): string[] {
  if (ground?.kind === 'picture') return [ground.picture];
  return ground?.kind === 'passing' ? ground.pictures : [];
}

/** A ground without a picture that is deleted or closed; undefined where nothing is left of it. */
export function groundWithout(ground: Ground | undefined, picture: string): Ground | undefined {
  if (!picturesOfGround(ground).includes(picture)) return ground;
  if (ground?.kind !== 'passing') return undefined;
  const pictures = ground.pictures.filter((id) => id !== picture);
  return pictures.length > 0 ? { ...ground, pictures } : undefined;
}

/** Whether two parts lie on the same ground. */
export const sameGround = (one: Ground | undefined, other: Ground | undefined): boolean =>
  JSON.stringify(one) === JSON.stringify(other);
