import { z } from 'zod';
import { idSchema } from '../id.ts';
import { showsOne } from './one-material.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules } from './part-rules.ts';

export const clipSchema = partBase.extend({ kind: z.literal('clip'), material: idSchema.nullable() });
type Clip = z.infer<typeof clipSchema>;

export const clip = partRules<typeof clipSchema, Pick<Clip, 'material'>>({
  ...showsOne((kind) => kind === 'clip'),
  ...holdsNothing,
  schema: clipSchema,
  noun: 'clip',
  start: ([material = null]) => ({ material }),
  isEmpty: ({ material }) => material === null,
  seen: ({ material }) => ({ material }),
  changed: () => 'clip changed',
});
