import type { Part } from './part.ts';

/** How many pieces of evidence are complete: the thing itself, and all three answers. */
export const evidenceCount = (parts: readonly Part[]): number =>
  parts.filter(
    (part) =>
      part.kind === 'evidence' &&
      part.material !== null &&
      [part.what, part.why, part.shows].every((answer) => answer.trim() !== ''),
  ).length;
