import type { ReactNode } from 'react';
import type { LinkForm } from '#core/parts/link.ts';
import type { PartKind, SeenPartOf } from '#core/parts/parts.ts';
import type { Medium } from '../render/medium.ts';
import type { Picture } from '../render/picture.ts';

export interface PartViewProps<K extends PartKind = PartKind> {
  part: SeenPartOf<K>;
  /** All pictures of the page, by their material. */
  pictures: Readonly<Record<string, Picture>>;
  /** What it shows that is more than words and pictures, by its material. */
  media: Readonly<Record<string, Medium>>;
  toRoot: string;
}

/** How one kind of part is drawn, for readers and in the studio alike. */
export interface PartDrawing<K extends PartKind> {
  View: (props: PartViewProps<K>) => ReactNode;
  /** In what form it shows a link. */
  linkForm: (part: SeenPartOf<K>) => LinkForm;
}

/** A drawing that shows links in place, as most do. */
export const drawing = <K extends PartKind>(
  View: PartDrawing<K>['View'],
  others: Partial<PartDrawing<K>> = {},
): PartDrawing<K> => ({ View, linkForm: () => 'in-place', ...others });
