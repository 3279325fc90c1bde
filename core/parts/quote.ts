import { z } from 'zod';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

export const quoteSchema = partBase.extend({
  kind: z.literal('quote'),
  text: line(1200).default(''),
  /** Who said or wrote it. */
  by: line(200).default(''),
});
type Quote = z.infer<typeof quoteSchema>;

export const quote = partRules<typeof quoteSchema, Pick<Quote, 'text' | 'by'>>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: quoteSchema,
  noun: 'quote',
  start: () => ({ text: '', by: '' }),
  isEmpty: ({ text }) => allBlank(text),
  seen: ({ text, by }) => ({ text, by }),
  changed: () => 'quote changed',
});
