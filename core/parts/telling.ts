import { z } from 'zod';
import { halves, questionIds } from '../about/halves.ts';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

/** One half of what its maker says of themselves: an answer to a question each, of which readers get the answers only. */
export const tellingSchema = partBase.extend({
  kind: z.literal('telling'),
  half: z.enum(halves),
  answers: z
    .array(
      z.object({
        /** Of the question; see `questionIds`. */
        id: z.string().regex(/^[a-z-]{2,40}$/, 'There is no such question.'),
        text: line(600).default(''),
        /** The page that proves it. */
        proof: idSchema.nullable().default(null),
      }),
    )
    .max(12),
});
type Answer = z.infer<typeof tellingSchema>['answers'][number];
export type SeenAnswer = Pick<Answer, 'text' | 'proof'>;

/** In the order of the questions; what answers none of them comes last. */
function inOrder({ half, answers }: z.infer<typeof tellingSchema>): Answer[] {
  const at = (id: string) => {
    const found = questionIds[half].indexOf(id);
    return found < 0 ? questionIds[half].length : found;
  };
  return [...answers].sort((a, b) => at(a.id) - at(b.id));
}

export const telling = partRules<
  typeof tellingSchema,
  { half: (typeof halves)[number]; answers: SeenAnswer[] }
>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: tellingSchema,
  noun: 'what its maker says of themselves',
  tiedIn: 'words',
  start: () => ({ half: 'biography', answers: [] }),
  isEmpty: ({ answers }) => allBlank(...answers.map(({ text }) => text)),
  // What proves it is named only to whoever can open it.
  seen: (part, { opens }) => ({
    half: part.half,
    answers: inOrder(part)
      .filter(({ text }) => !allBlank(text))
      .map(({ text, proof }) => ({
        text: text.trim(),
        proof: proof !== null && opens(proof) ? proof : null,
      })),
  }),
  changed: () => 'what its maker says of themselves changed',
});
