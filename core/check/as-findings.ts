import type { Id } from '../id.ts';
import { digestOf } from './digest.ts';
import type { Finding } from './finding.ts';
import type { Noticed } from './noticed.ts';

/**
 * What a rule noticed on a page, each with a key of its own.
 *
 * A key stays the same as long as the same rule speaks of the same spot, so that what was said about it is found again.
 */
export function asFindings(rule: Finding['rule'], page: Id, noticed: readonly Noticed[]): Finding[] {
  const at = new Map<string, number>();
  return noticed.map(
    ({ weight, part, material, of, says, why, askedOnce, blackOut, leadsTo, movedTo }): Finding => {
      const spot = [rule, page, part ?? '', material ?? ''].join(' ');
      const place = at.get(spot) ?? 0;
      at.set(spot, place + 1);
      return {
        ...{ weight, part, material, says, why, of: digestOf(of) },
        ...{ rule, page },
        ...(blackOut && { blackOut }),
        ...(leadsTo !== undefined && { leadsTo }),
        ...(movedTo !== undefined && { movedTo }),
        key:
          askedOnce !== undefined
            ? `${rule} ${digestOf(askedOnce)}`
            : place === 0
              ? spot
              : `${spot} ${place}`,
      };
    },
  );
}
