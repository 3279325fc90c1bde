import type { RuleKey } from './rules.ts';

/** The rules that can find something Needed: what Publish asks about, once. Their names alone, for whom the rules are too much. */
export const neededRules = [
  ...([
    'title',
    'facts',
    'alt',
    'transcript',
    'credit',
    'licence',
    'link',
    'secret-link',
    'outline',
    'left-over',
  ] as const),
  'availability',
  'personal',
  'inside',
  'faces',
] as const satisfies readonly RuleKey[];
export type NeededRule = (typeof neededRules)[number];
