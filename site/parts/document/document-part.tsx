import { MediumView } from '../../components/medium-view.tsx';
import type { PartViewProps } from '../part-drawing.ts';

export function DocumentPart({ part, media, toRoot }: PartViewProps<'document'>) {
  const medium = media[part.material ?? ''];
  return medium ? <MediumView medium={medium} toRoot={toRoot} /> : null;
}
