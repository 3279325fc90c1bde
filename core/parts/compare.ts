import { z } from 'zod';
import { type Id, idSchema } from '../id.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules } from './part-rules.ts';

export const compareSchema = partBase.extend({
  kind: z.literal('compare'),
  before: idSchema.nullable(),
  after: idSchema.nullable(),
  beforeName: z.string().max(60).default('Before'),
  afterName: z.string().max(60).default('After'),
});
type Compare = z.infer<typeof compareSchema>;
type SeenCompare = Pick<Compare, 'before' | 'after' | 'beforeName' | 'afterName'>;

export const compare = partRules<typeof compareSchema, SeenCompare>({
  ...holdsNothing,
  schema: compareSchema,
  noun: 'comparison',
  start: ([before = null, after = null]) => ({ before, after, beforeName: 'Before', afterName: 'After' }),
  materials: ({ before, after }) => [before, after].filter((id) => id !== null),
  without: (part, material) => ({
    ...part,
    before: part.before === material ? null : part.before,
    after: part.after === material ? null : part.after,
  }),
  take: (part, materials) => {
    const empty = [part.before, part.after].filter((side) => side === null).length;
    if (materials.length > empty || materials.some(({ kind }) => kind !== 'picture')) return null;
    const rest: (Id | undefined)[] = materials.map(({ id }) => id);
    const before = part.before ?? rest.shift() ?? null;
    return { ...part, before, after: part.after ?? rest.shift() ?? null };
  },
  isEmpty: ({ before, after }) => before === null || after === null,
  seen: ({ before, after, beforeName, afterName }) => ({ before, after, beforeName, afterName }),
  changed: () => 'comparison changed',
});
