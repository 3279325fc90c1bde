import { useContext } from 'react';
import { FiguresContext } from '../render/figures.ts';
import type { Picture } from '../render/picture.ts';
import { useSlots } from './slots.ts';

/** What stands below a picture; readers get nothing where there are no words. */
export function Caption({ picture }: { picture: Picture }) {
  const slots = useSlots();
  const figure = useContext(FiguresContext).get(picture.id);
  if (slots.caption) return <figcaption data-figure={figure}>{slots.caption(picture)}</figcaption>;
  return picture.caption ? <figcaption data-figure={figure}>{picture.caption}</figcaption> : null;
}
