import { isEmptyPart } from './is-empty-part.ts';
import type { Part, PartOf } from './parts.ts';

/**
 * The words that take in what is pasted while no field has the focus: those that are selected; with nothing selected the first
 * that are empty. Null when neither is there: then it becomes parts of its own.
 *
 * @param parts the parts of the page, in their order
 * @param selected the id of what is selected, or null
 */
export function wordsTaking(parts: readonly Part[], selected: string | null): PartOf<'words'> | null {
  const wanted = parts.find((part) =>
    selected === null ? part.kind === 'words' && isEmptyPart(part) : part.id === selected,
  );
  return wanted?.kind === 'words' ? wanted : null;
}
