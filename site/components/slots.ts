import { createContext, useContext, type ReactNode } from 'react';
import type { SeenPart } from '#core/access/seen-by.ts';
import type { Picture } from '../render/picture.ts';

/**
 * Places where the studio puts its editors in the page it shows. A published page has none: every slot returns
 * what readers get.
 */
export interface Slots {
  title?: (shown: ReactNode) => ReactNode;
  summary?: (shown: ReactNode) => ReactNode;
  opening?: (shown: ReactNode) => ReactNode;
  facts?: (shown: ReactNode) => ReactNode;
  /** Between the part at this place and what stands above it. */
  before?: (at: number) => ReactNode;
  /** Around each part, with its place in the page. */
  part?: (part: SeenPart, shown: ReactNode, at: number) => ReactNode;
  /** Between two parts that stand beside each other: moves the line between them. */
  share?: (second: string, share: number) => ReactNode;
  /** Instead of a picture's caption, also where it has none yet. */
  caption?: (picture: Picture) => ReactNode;
  /** After the last part. */
  end?: ReactNode;
}

export const SlotsContext = createContext<Slots>({});
export const useSlots = (): Slots => useContext(SlotsContext);
