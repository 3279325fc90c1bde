import { z } from 'zod';
import { plainText, richTextSchema } from '../words/rich-text.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

export const wordsSchema = partBase.extend({ kind: z.literal('words'), text: richTextSchema });
type Words = z.infer<typeof wordsSchema>;

export const words = partRules<typeof wordsSchema, Pick<Words, 'text'>>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: wordsSchema,
  noun: 'words',
  start: () => ({ text: { type: 'doc', content: [] } }),
  isEmpty: ({ text }) => plainText(text) === '',
  seen: ({ text }) => ({ text }),
  changed: () => 'words rewritten',
});
