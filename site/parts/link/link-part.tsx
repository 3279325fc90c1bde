import { MediumView } from '../../components/medium-view.tsx';
import type { PartViewProps } from '../part-drawing.ts';

export function LinkPart({ part, media, toRoot }: PartViewProps<'link'>) {
  const medium = media[part.material ?? ''];
  return medium ? <MediumView medium={medium} align={part.align} toRoot={toRoot} /> : null;
}
