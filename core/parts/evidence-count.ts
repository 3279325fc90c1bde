import { evidence } from './evidence.ts';
import type { Part } from './parts.ts';

/** How many pieces of evidence are complete: the thing itself, and all three answers. */
export const evidenceCount = (parts: readonly Part[]): number =>
  parts.filter((part) => part.kind === 'evidence' && evidence.needs(part) === null).length;
