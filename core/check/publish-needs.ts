import { effectiveHeight } from '../access/effective-height.ts';
import { reaches } from '../access/height.ts';
import { missingProvenance } from '../credits/provenance.ts';
import type { Id } from '../id.ts';
import type { Material } from '../materials/material.ts';
import { materialsOn } from '../pages/materials-on.ts';
import { pageName } from '../pages/page-kinds.ts';
import { isShown } from '../pages/page.ts';
import { isEmptyPart } from '../parts/is-empty-part.ts';
import type { Draft } from '../sites/site.ts';

/** What a reader of a page would miss, or what its maker would not like them to find. */
export interface PublishNeed {
  kind: 'alt' | 'transcript' | 'credit' | 'gone' | 'outline';
  count: number;
}
export interface PageToMend {
  page: Id;
  title: string;
  needs: PublishNeed[];
}

const lacks: { [K in Exclude<PublishNeed['kind'], 'outline'>]: (material: Material) => boolean } = {
  alt: (one) => one.kind === 'picture' && one.alt.trim() === '',
  transcript: (one) => (one.kind === 'sound' || one.kind === 'clip') && one.transcript.trim() === '',
  credit: ({ kind, provenance }) =>
    kind !== 'note' &&
    provenance.whose === 'someone-else' &&
    missingProvenance(provenance).some((what) => what === 'source' || what === 'licence'),
  gone: (one) => one.kind === 'link' && one.facts.state === 'gone',
};

/**
 * What is Needed on the pages that a publish gives to readers: pictures without alt text, sounds and clips without a transcript, others'
 * work without source or licence, links that lead to nothing any more, and parts of an outline that nobody filled in, which stay out.
 *
 * @param going which pages are asked about, besides being open to anybody
 * @returns pages with at least one need, in the order of the draft
 */
export function publishNeeds(draft: Draft, going: (page: Id) => boolean): PageToMend[] {
  const known = new Map(draft.materials.map((one) => [one.id, one]));
  return draft.pages.flatMap((page) => {
    if (!isShown(page) || !going(page.id)) return [];
    if (!reaches(effectiveHeight(draft, { page: page.id }).height, 'invited')) return [];
    const shown = [...new Set(materialsOn(page))].flatMap((id) => known.get(id) ?? []);
    const outline = page.parts.filter((part) => (part.prompt ?? '') !== '' && isEmptyPart(part)).length;
    const needs = [
      ...Object.entries(lacks).map(([kind, lack]) => ({
        kind: kind as keyof typeof lacks,
        count: shown.filter(lack).length,
      })),
      { kind: 'outline' as const, count: outline },
    ].filter(({ count }) => count > 0);
    return needs.length > 0 ? [{ page: page.id, title: pageName(page), needs }] : [];
  });
}
