import type { Site } from '../../sites/site.ts';
import type { Checklist } from './checklist.ts';

/** A list, as far as it asks for evidence. */
export type AskingList = Pick<Checklist, 'name' | 'by' | 'evidence'>;

export interface EvidenceAsked {
  /** Pieces of evidence in each project. */
  count: number;
  /** The list that asks for so many; null: the maker wishes for them. */
  list: Pick<Checklist, 'name' | 'by'> | null;
}

/** How much evidence each project is to have: what its maker wishes for, or what a list they took in asks for where that is more. */
export function evidenceAsked({
  evidenceWanted,
  lists,
}: Pick<Site, 'evidenceWanted'> & {
  lists: readonly AskingList[];
}): EvidenceAsked {
  let most: EvidenceAsked = { count: evidenceWanted, list: null };
  for (const { name, by, evidence } of lists)
    if (evidence > most.count) most = { count: evidence, list: { name, by } };
  return most;
}
