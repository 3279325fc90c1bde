import { z } from 'zod';
import type { CreditPiece } from '../credits/credit.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

/** Made from whose work the page's materials are; it holds nothing of its own. */
export const creditsSchema = partBase.extend({ kind: z.literal('credits') });

export const credits = partRules<typeof creditsSchema, { credits: CreditPiece[][] }>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: creditsSchema,
  noun: 'credits',
  start: () => ({}),
  // What it shows depends on the page: readers do not get it where nobody is to be credited.
  isEmpty: () => false,
  seen: (_, { credits: named }) => (named.length > 0 ? { credits: named } : null),
  changed: () => 'credits changed',
  givesCredits: true,
});
