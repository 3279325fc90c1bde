import { lowest } from '../content/height.ts';
import type { Draft } from '../content/site.ts';

/**
 * A released copy with every height lowered to what the draft says now, and nothing else taken from the draft: no
 * words, no pictures, no raised height. Lowering something closes it at once, while all other edits wait.
 *
 * @returns the lowered copy, or null when nothing has been lowered since the release
 */
export function narrowed(released: Draft, draft: Pick<Draft, 'site' | 'pages'>): Draft | null {
  let lower = false;
  const lowerOf = <T extends { height: Draft['site']['height'] }>(was: T, now: T | undefined): T => {
    const height = now ? lowest([was.height, now.height]) : was.height;
    if (height === was.height) return was;
    lower = true;
    return { ...was, height };
  };
  const pages = released.pages.map((page) => {
    const now = draft.pages.find(({ id }) => id === page.id);
    const parts = page.parts.map((part) =>
      lowerOf(
        part,
        now?.parts.find(({ id }) => id === part.id),
      ),
    );
    return lowerOf({ ...page, parts }, now);
  });
  return lower ? { ...released, pages } : null;
}
