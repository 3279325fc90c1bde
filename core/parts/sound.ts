import { z } from 'zod';
import { idSchema } from '../id.ts';
import { showsOne } from './one-material.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules } from './part-rules.ts';

export const soundSchema = partBase.extend({ kind: z.literal('sound'), material: idSchema.nullable() });
type Sound = z.infer<typeof soundSchema>;

export const sound = partRules<typeof soundSchema, Pick<Sound, 'material'>>({
  ...showsOne((kind) => kind === 'sound'),
  ...holdsNothing,
  schema: soundSchema,
  noun: 'sound',
  start: ([material = null]) => ({ material }),
  isEmpty: ({ material }) => material === null,
  seen: ({ material }) => ({ material }),
  changed: () => 'sound changed',
});
