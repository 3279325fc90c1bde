import type { Look } from './look.ts';
import { coloursOf, schemeOf } from './look-rules.ts';
import type { Scheme } from './theme-colours.ts';

/** What the ledger of a look comes to. */
export interface LedgerSum {
  /** How many pairs of colours there are, each scheme by itself. */
  of: number;
  /** How many of them reach the contrast they need (WCAG 2.2, 1.4.3 and 1.4.11, or more where the maker wants more). */
  held: number;
  /** The pair that is nearest to what it needs: its contrast, and that. */
  tightest: { ratio: number; needs: number } | null;
}

export function ledgerSum(look: Look): LedgerSum {
  const scheme = schemeOf(look);
  const schemes: readonly Scheme[] = scheme === 'device' ? ['light', 'dark'] : [scheme];
  const pairs = schemes.flatMap((one) => coloursOf(look, one).pairs);
  const byRoom = pairs
    .map(({ ratio, needs }) => ({ ratio, needs }))
    .sort((one, other) => one.ratio / one.needs - other.ratio / other.needs);
  return {
    of: pairs.length,
    held: pairs.filter(({ ratio, needs }) => ratio >= needs).length,
    tightest: byRoom[0] ?? null,
  };
}
