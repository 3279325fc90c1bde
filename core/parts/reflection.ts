import { z } from 'zod';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

export const reflectionSchema = partBase.extend({
  kind: z.literal('reflection'),
  answers: z
    .array(
      z.object({
        id: idSchema,
        /** The question it answers: its maker's guide, shown to nobody else. */
        question: line(300).default(''),
        text: line(6000).default(''),
      }),
    )
    .max(12, 'A reflection answers at most twelve questions. Start another one for the rest.'),
});

export const reflection = partRules<typeof reflectionSchema, { texts: string[] }>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: reflectionSchema,
  noun: 'reflection',
  start: () => ({ answers: [] }),
  isEmpty: ({ answers }) => allBlank(...answers.map(({ text }) => text)),
  seen: ({ answers }) => ({ texts: answers.map(({ text }) => text.trim()).filter(Boolean) }),
  changed: () => 'reflection changed',
});
