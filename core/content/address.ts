import slugify from '@sindresorhus/slugify';
import { z } from 'zod';

/** First path segments the server uses itself, or would look like it speaks for the server. */
const reserved = new Set(
  'about account admin api app assets demo files health help home images l link login mail me metrics p pass preview privacy public robots root s search share sign-in site sitemap sites static status studio support system terms u user users www'.split(
    ' ',
  ),
);

/** The part of the web address that names a site: 3 to 40 small letters, digits and single hyphens. */
export const addressSchema = z
  .string()
  .min(3, 'An address has at least 3 characters.')
  .max(40, 'An address has at most 40 characters.')
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'Use small letters, digits and single hyphens, for example wren-makes.')
  .refine((value) => !reserved.has(value), 'This word is kept for Kite Wall itself. Add another word to it.');

/** Addresses worth offering for a site of this name, best first; each one passes `addressSchema`. */
export function suggestAddresses(title: string): string[] {
  const base = slugify(title.slice(0, 200)).slice(0, 30).replace(/-$/, '');
  const candidates = base
    ? [base, `${base}-makes`, `${base}-work`, `${base}-projects`, `${base}-${base.length + 20}`]
    : ['my-work', 'my-projects', 'things-i-made'];
  return candidates.filter((candidate) => addressSchema.safeParse(candidate).success);
}

/** A page's own path segment, made from its title and unlike those already taken beside it. */
export function pageSlug(title: string, taken: ReadonlySet<string>): string {
  const base = slugify(title.slice(0, 400)).slice(0, 60).replace(/^-|-$/g, '') || 'page';
  // The words the renderer keeps for a site's own files.
  const used = (slug: string) => taken.has(slug) || slug === 'files' || slug === 'assets';
  if (!used(base)) return base;
  for (let n = 2; ; n++) if (!used(`${base}-${n}`)) return `${base}-${n}`;
}
