import { evidenceCount } from '../parts/evidence-count.ts';
import type { Id } from '../id.ts';
import type { Material } from '../materials/material.ts';
import { materialsOn } from '../pages/materials-on.ts';
import type { Shown } from '../pages/page-contents.ts';
import type { PageBase } from '../pages/page.ts';
import { isEmptyPart } from '../parts/is-empty-part.ts';
import { missingProvenance } from '../credits/provenance.ts';

/** What a project still needs before it can be shown with a good conscience. */
export interface Need {
  kind: 'title' | 'summary' | 'content' | 'alt' | 'transcript' | 'credit' | 'evidence';
  /** How many of it; 1 where it can only be one. */
  count: number;
}

/**
 * What is missing on a project's page, the weightiest first; empty when nothing is.
 *
 * @param evidenceWanted how many pieces of evidence its maker wishes for in each project
 */
export function pageNeeds(
  page: Pick<PageBase, 'title'> & Shown,
  materials: ReadonlyMap<Id, Material>,
  evidenceWanted: number,
): Need[] {
  const ids = new Set(materialsOn(page));
  const shown = [...ids].flatMap((id) => materials.get(id) ?? []);
  const empty = page.opening.pictures.length === 0 && page.parts.every(isEmptyPart);
  const needs: Need[] = [
    { kind: 'title', count: page.title.trim() === '' ? 1 : 0 },
    { kind: 'content', count: empty ? 1 : 0 },
    { kind: 'summary', count: page.summary.trim() === '' ? 1 : 0 },
    { kind: 'alt', count: shown.filter((one) => one.kind === 'picture' && one.alt.trim() === '').length },
    {
      kind: 'transcript',
      count: shown.filter(
        (one) => (one.kind === 'sound' || one.kind === 'clip') && one.transcript.trim() === '',
      ).length,
    },
    { kind: 'credit', count: shown.filter((one) => missingProvenance(one.provenance).length > 0).length },
    { kind: 'evidence', count: Math.max(0, evidenceWanted - evidenceCount(page.parts)) },
  ];
  return needs.filter(({ count }) => count > 0);
}
