import { z } from 'zod';
import { idSchema } from '../id.ts';

/** What proves a line or a skill: a page, or one part of it, which may show a document. */
export const proofSchema = z.object({ page: idSchema, part: idSchema.nullable().default(null) });
export type Proof = z.infer<typeof proofSchema>;
