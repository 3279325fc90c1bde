import { z } from 'zod';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

/**
 * The rules of a fact about the maker that is one line of text.
 *
 * @param noun as it is called where a change of it is told
 * @param most characters
 */
export const personLine = <K extends string>(kind: K, noun: string, most: number) => {
  const schema = partBase.extend({ kind: z.literal(kind), text: line(most).default('') });
  // The schema of a kind that is not known here cannot be told what it gives.
  type Line = z.infer<typeof partBase> & { kind: K; text: string };
  return partRules<z.ZodType<Line> & typeof schema, { text: string }>({
    ...showsNoMaterial,
    ...holdsNothing,
    schema: schema as z.ZodType<Line> & typeof schema,
    noun,
    tiedIn: 'facts',
    start: () => ({ text: '' }) as never,
    isEmpty: ({ text }) => allBlank(text),
    seen: ({ text }) => ({ text: text.trim() }),
    changed: () => `${noun} changed`,
  });
};
