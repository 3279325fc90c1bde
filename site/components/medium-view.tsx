import type { Medium } from '../render/medium.ts';
import { DocumentView } from './document-view.tsx';
import { LinkView } from './link-view.tsx';
import { ClipView, SoundView } from './recording-view.tsx';

interface MediumViewProps {
  medium: Medium;
  toRoot: string;
  /** Of a link that stands as a button. */
  align?: 'left' | 'centre' | 'right';
}

/** What is more than words and pictures, whichever part shows it. */
export function MediumView({ medium, toRoot, align = 'left' }: MediumViewProps) {
  switch (medium.kind) {
    case 'document':
      return <DocumentView medium={medium} toRoot={toRoot} />;
    case 'sound':
      return <SoundView medium={medium} toRoot={toRoot} />;
    case 'clip':
      return <ClipView medium={medium} toRoot={toRoot} />;
    case 'link':
      return <LinkView medium={medium} align={align} toRoot={toRoot} />;
  }
}
