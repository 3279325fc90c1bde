import { z } from 'zod';
import { idSchema } from '../id.ts';
import { showsOne } from './one-material.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules } from './part-rules.ts';

export const linkForms = ['in-place', 'card', 'button'] as const;
export type LinkForm = (typeof linkForms)[number];

export const linkSchema = partBase.extend({
  kind: z.literal('link'),
  material: idSchema.nullable(),
  /** `in-place`: the page or clip itself once a reader asks for it; a card by itself where that cannot be. */
  form: z.enum(linkForms).default('in-place'),
  align: z.enum(['left', 'centre', 'right']).default('left'),
});
type Link = z.infer<typeof linkSchema>;

export const link = partRules<typeof linkSchema, Pick<Link, 'material' | 'form' | 'align'>>({
  ...showsOne((kind) => kind === 'link'),
  ...holdsNothing,
  schema: linkSchema,
  noun: 'link',
  start: ([material = null]) => ({ material, form: 'in-place', align: 'left' }),
  isEmpty: ({ material }) => material === null,
  seen: ({ material, form, align }) => ({ material, form, align }),
  changed: () => 'link changed',
});
