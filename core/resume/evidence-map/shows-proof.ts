import { isEmptyPart } from '../../parts/is-empty-part.ts';
import type { Part } from '../../parts/parts.ts';

const kinds: readonly Part['kind'][] = [
  'evidence',
  'document',
  'gallery',
  'picture',
  'clip',
  'sound',
  'compare',
  'early-late',
  'table',
  'reflection',
  'moment',
];

/** Whether a part shows something that its maker did, so that a claim can point at it. */
export const showsProof = (part: Part): boolean => kinds.includes(part.kind) && !isEmptyPart(part);
