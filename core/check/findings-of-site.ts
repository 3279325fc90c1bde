import type { Id } from '../id.ts';
import { asFindings } from './as-findings.ts';
import type { CheckedSite } from './checked-site.ts';
import type { Finding } from './finding.ts';
import { type SiteRuleKey, siteRules } from './rules.ts';

/**
 * What the rules notice that compare pages with each other. None of it is ever Needed: nothing waits at Publish for another page.
 *
 * @returns by the page on which it is told; a page without any is not there
 */
export function findingsOfSite(checked: CheckedSite): Map<Id, Finding[]> {
  const found = new Map<Id, Finding[]>();
  for (const rule of Object.keys(siteRules) as SiteRuleKey[]) {
    const noticed = siteRules[rule](checked);
    for (const page of new Set(noticed.map((one) => one.page)))
      found.set(page, [
        ...(found.get(page) ?? []),
        // In no order of the pages, so that the same is said whatever changed last.
        ...asFindings(
          rule,
          page,
          noticed.filter((one) => one.page === page).sort((a, b) => (a.of < b.of ? -1 : 1)),
        ),
      ]);
  }
  return found;
}
