import type { Id } from '../id.ts';
import type { ResumeSection } from './sections.ts';

/** The sections of some entries, in the order in which they first come. */
export const sectionsInOrder = (
  entries: readonly Id[],
  sectionOf: ReadonlyMap<Id, ResumeSection>,
): ResumeSection[] => [...new Set(entries.flatMap((id) => sectionOf.get(id) ?? []))];

/**
 * The entries of a version with one section a place further up or down; each section's entries stay in their order, and what is of
 * no section stays behind all.
 *
 * @returns the same order where there is nowhere to go
 */
export function sectionMoved(
  entries: readonly Id[],
  sectionOf: ReadonlyMap<Id, ResumeSection>,
  section: ResumeSection,
  by: -1 | 1,
): Id[] {
  const order = sectionsInOrder(entries, sectionOf);
  const at = order.indexOf(section);
  const other = order[at + by];
  if (at < 0 || other === undefined) return [...entries];
  order[at] = other;
  order[at + by] = section;
  const known = order.flatMap((one) => entries.filter((id) => sectionOf.get(id) === one));
  return [...known, ...entries.filter((id) => !sectionOf.has(id))];
}
