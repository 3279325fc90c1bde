import type { PageKind } from '#core/pages/page-kinds.ts';

/** Where a place on a page is made: the very part, in the room in which its page is made. */
export function wayTo(
  { page, part }: { page: string; part: string | null },
  kind: PageKind,
  base: string,
): string {
  if (kind === 'about') return `${base}/about`;
  if (kind === 'resume') return `${base}/about/resume`;
  return `${base}/projects/${page}${part === null ? '' : `?part=${part}`}`;
}
