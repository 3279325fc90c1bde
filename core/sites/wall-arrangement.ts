import { z } from 'zod';

/** How work hangs on the front page: in rows of natural proportions, the first one large, as a list, or by groups. */
export const wallArrangements = ['rows', 'one', 'list', 'groups'] as const;
export const wallArrangementSchema = z.enum(wallArrangements);
export type WallArrangement = z.infer<typeof wallArrangementSchema>;
