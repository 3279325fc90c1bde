import type { ComponentType, ReactNode } from 'react';
import type { ShownPage } from '#core/pages/page.ts';
import type { Part, PartKind, PartOf } from '#core/parts/parts.ts';
import type { Block } from '#core/words/rich-text.ts';
import type { Point } from '../ui/drop-files.tsx';
import type { Fetched } from '../ui/fetched.tsx';

export interface PartPanelProps<K extends PartKind = PartKind> {
  part: PartOf<K>;
  page: ShownPage;
  onChange: (part: Part) => void;
  /** Puts parts in the place of this one. */
  onReplace: (parts: Part[]) => void;
}

export interface PartInPlaceProps<K extends PartKind = PartKind> {
  part: PartOf<K>;
  /** Where the click was that selected it, so that the caret stands there. */
  at: Point | null;
  onChange: (part: Part) => void;
  /** Something else is to be tied in after it. */
  onTie: () => void;
  /** Something with a structure was pasted: takes it in, and gives the words to put where the caret is. */
  onPaste: (html: string, files: File[], intoWords: (blocks: readonly Block[]) => void) => void;
  /** Draws the frame around what is edited, with its tools in it. */
  children: (tools: ReactNode, edited: ReactNode) => ReactNode;
}

/** How one kind of part is named and set by its maker. */
export interface PartSettings<K extends PartKind> {
  name: string;
  icon: ComponentType<{ size?: number; 'aria-hidden'?: 'true' }>;
  /** What stands where a part has nothing to show yet; readers never get it. */
  empty: string;
  /** What stands beside its name in the tail. */
  detail: (part: PartOf<K>) => string;
  /** What can be set below it while it is selected. */
  Panel: ComponentType<PartPanelProps<K>> | null;
  /** Tools of its own, in its frame while it is selected. */
  Tools: ComponentType<{ part: PartOf<K> }> | null;
  /** Edits it in the page itself while it is selected, instead of a panel. */
  InPlace: Fetched<PartInPlaceProps<K>> | null;
}
