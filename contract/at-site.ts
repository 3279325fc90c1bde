import { z } from 'zod';
import { idSchema } from '#core/id.ts';

export const nothing = z.object({}).optional();

export const atSite = z.object({ site: idSchema });

/** When readers lose what is deleted: with the next publish, or at once. */
export const whenGone = z.enum(['next-publish', 'now']).default('next-publish');
