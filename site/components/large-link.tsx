import type { Picture } from '../render/picture.ts';
import { useSpoken } from '../render/words.ts';

/** The address a click on a picture opens without a script: its largest file in the most widely read format. */
function largest(picture: Picture, toRoot: string): string {
  return toRoot + (picture.fallback.at(-1)?.url ?? '');
}

/** Opens a picture large: in the lightbox, and without a script as the file itself. */
export function LargeLink({
  picture,
  toRoot,
  children,
}: {
  picture: Picture;
  toRoot: string;
  children: React.ReactNode;
}) {
  const { words } = useSpoken();
  const best = picture.sources.at(-1)?.files.at(-1) ?? picture.fallback.at(-1);
  return (
    <a
      href={largest(picture, toRoot)}
      aria-label={picture.alt ? undefined : words.openLarge}
      data-zoom={`${picture.widthPx}x${picture.heightPx}`}
      data-large={best ? toRoot + best.url : undefined}
    >
      {children}
    </a>
  );
}
