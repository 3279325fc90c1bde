import type { CheckedPage } from './checked-page.ts';
import type { Finding } from './finding.ts';
import { type RuleKey, rules } from './rules.ts';
import { digestOf } from './digest.ts';

/**
 * What all rules notice on one page: what is needed first, each in the order of the rules.
 *
 * A key stays the same as long as the same rule speaks of the same spot, so that what was said about it is found again.
 */
export function findingsOfPage(checked: CheckedPage): Finding[] {
  const { id } = checked.page;
  const found = (Object.keys(rules) as RuleKey[]).flatMap((rule) => {
    const at = new Map<string, number>();
    return rules[rule](checked).map((noticed): Finding => {
      const spot = [rule, id, noticed.part ?? '', noticed.material ?? ''].join(' ');
      const place = at.get(spot) ?? 0;
      at.set(spot, place + 1);
      return {
        ...noticed,
        of: digestOf(noticed.of),
        rule,
        page: id,
        key: place === 0 ? spot : `${spot} ${place}`,
      };
    });
  });
  return [
    ...found.filter(({ weight }) => weight === 'needed'),
    ...found.filter(({ weight }) => weight === 'nice'),
  ];
}
