import slugify from '@sindresorhus/slugify';
import { reservedSlugs } from './reserved-slugs.ts';

/** A page's own path segment, made from its title and unlike those already taken beside it. */
export function pageSlug(title: string, taken: ReadonlySet<string>): string {
  const base = slugify(title.slice(0, 400)).slice(0, 60).replace(/^-|-$/g, '') || 'page';
  const used = (slug: string) => taken.has(slug) || reservedSlugs.has(slug);
  if (!used(base)) return base;
  for (let n = 2; ; n++) if (!used(`${base}-${n}`)) return `${base}-${n}`;
}
