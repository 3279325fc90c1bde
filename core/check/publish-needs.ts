import { effectiveHeight } from '../access/effective-height.ts';
import { reaches } from '../access/height.ts';
import type { Id } from '../id.ts';
import type { AnswerOf } from '../links/link-answer.ts';
import { materialsOn } from '../pages/materials-on.ts';
import { pageName } from '../pages/page-kinds.ts';
import { isShown } from '../pages/page.ts';
import type { Inside } from '../personal/inside.ts';
import type { Draft } from '../sites/site.ts';
import { nothingLookedAt } from './looked-at.ts';
import { findingsOfPage } from './findings-of-page.ts';
import { type NeededRule, neededRules } from './needed-rules.ts';
import { waivedBecause } from './waiver.ts';

/** What a reader of a page would miss, or what its maker would not like them to find. */
export interface PublishNeed {
  kind: NeededRule;
  count: number;
}
export interface PageToMend {
  page: Id;
  title: string;
  needs: PublishNeed[];
}

/**
 * What Check calls Needed on the pages that a publish gives to readers, but for what its maker lets stand.
 *
 * @param going which pages are asked about, besides being open to anybody
 * @param today as ISO 8601 writes it
 * @param inside what was found inside what stands on pages
 * @param answers what addresses elsewhere answered
 * @returns pages with at least one need, in the order of the draft
 */
export function publishNeeds(
  draft: Draft,
  going: (page: Id) => boolean,
  today: string,
  inside: Inside,
  answers: AnswerOf,
): PageToMend[] {
  const known = new Map(draft.materials.map((one) => [one.id, one]));
  return draft.pages.flatMap((page) => {
    if (!isShown(page) || !going(page.id)) return [];
    if (!reaches(effectiveHeight(draft, { page: page.id }).height, 'invited')) return [];
    const materials = new Map(
      materialsOn(page).flatMap((id) => {
        const one = known.get(id);
        return one ? [[id, one] as const] : [];
      }),
    );
    const found = findingsOfPage({
      ...{ page, site: draft.site, today, inside, answers, materials },
      // None of what is noticed by how pictures look is ever Needed.
      lookedAt: nothingLookedAt,
    }).filter((finding) => finding.weight === 'needed' && waivedBecause(draft.site.waived, finding) === null);
    const needs = neededRules
      .map((kind) => ({ kind, count: found.filter(({ rule }) => rule === kind).length }))
      .filter(({ count }) => count > 0);
    return needs.length > 0 ? [{ page: page.id, title: pageName(page), needs }] : [];
  });
}
