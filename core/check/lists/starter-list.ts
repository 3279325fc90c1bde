import type { Id } from '../../id.ts';
import type { RuleKey } from '../rules.ts';
import type { Checklist } from './checklist.ts';

/** What is looked at before a site is shown (common practice): some by rules, the rest only somebody can say. */
const lines: readonly [text: string, essential: boolean, rule: RuleKey | null][] = [
  ['Every picture is told to who cannot see it', true, 'alt'],
  ['Work of others is named, with its source and licence', true, 'credit'],
  ['It says what I did myself, and what others did', true, 'facts'],
  ['Nobody can be found by what it says', true, 'personal'],
  ['Whoever can be known in a picture has said yes', true, null],
  ['I read every page aloud once', true, null],
  ['I looked at it on a phone', true, null],
  ['Each project shows how it came about', false, 'evidence'],
  ['Links say where they lead', false, 'link-words'],
  ['Somebody who does not know the work told me what it is', false, null],
];

/** A list to begin with. */
export const starterList = (newId: () => Id): Checklist => ({
  id: newId(),
  name: 'Before I share it',
  by: '',
  evidence: 0,
  lines: lines.map(([text, essential, rule]) => ({ id: newId(), text, essential, rule, done: false })),
});
