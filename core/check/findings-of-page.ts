import { asFindings } from './as-findings.ts';
import type { CheckedPage } from './checked-page.ts';
import type { Finding } from './finding.ts';
import { type RuleKey, rules } from './rules.ts';

/** What all rules notice on one page: what is needed first, each in the order of the rules. */
export function findingsOfPage(checked: CheckedPage): Finding[] {
  const found = (Object.keys(rules) as RuleKey[]).flatMap((rule) =>
    asFindings(rule, checked.page.id, rules[rule](checked)),
  );
  return [
    ...found.filter(({ weight }) => weight === 'needed'),
    ...found.filter(({ weight }) => weight === 'nice'),
  ];
}
