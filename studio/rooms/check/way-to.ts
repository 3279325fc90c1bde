import type { Finding } from '#core/check/finding.ts';
import type { PageKind } from '#core/pages/page-kinds.ts';

/** Where something is mended: the very part, in the room in which its page is made, or where what was given out is looked after. */
export function wayTo(
  { page, part, rule }: Pick<Finding, 'page' | 'part'> & { rule?: Finding['rule'] },
  kind: PageKind,
  base: string,
): string {
  if (rule === 'pass-ending') return `${base}/share/passes`;
  if (rule === 'hand-in') return `${base}/share/hand-ins`;
  if (rule === 'quick-link') return `${base}/arrange`;
  if (kind === 'about') return `${base}/about`;
  if (kind === 'resume') return `${base}/about/resume`;
  return `${base}/projects/${page}${part === null ? '' : `?part=${part}`}`;
}
