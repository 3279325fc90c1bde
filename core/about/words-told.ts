import type { Part } from '../parts/parts.ts';
import type { Half } from './halves.ts';

/** How many words each half of what a maker says of themselves has. */
export function wordsTold(parts: readonly Part[]): Record<Half, number> {
  const told: Record<Half, number> = { biography: 0, work: 0 };
  for (const part of parts)
    if (part.kind === 'telling')
      told[part.half] += part.answers.reduce((all, { text }) => all + (text.match(/\S+/g)?.length ?? 0), 0);
  return told;
}
