import type { MaterialKind } from '../materials/material.ts';
import type { PartKind } from './parts.ts';

/** The part that shows one material of some kind, as it is first tied in. A note becomes words of the page. */
export const partKindOf = {
  picture: 'picture',
  document: 'document',
  sound: 'sound',
  clip: 'clip',
  link: 'link',
  note: 'words',
} as const satisfies Record<MaterialKind, PartKind>;
