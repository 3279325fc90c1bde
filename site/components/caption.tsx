import type { Picture } from '../render/picture.ts';
import { useSlots } from './slots.ts';

/** What stands below a picture; readers get nothing where there are no words. */
export function Caption({ picture }: { picture: Picture }) {
  const slots = useSlots();
  if (slots.caption) return <figcaption>{slots.caption(picture)}</figcaption>;
  return picture.caption ? <figcaption>{picture.caption}</figcaption> : null;
}
