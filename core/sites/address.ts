import { z } from 'zod';

/** First path segments the server uses itself, or would look like it speaks for the server. */
export const reservedAddresses: ReadonlySet<string> = new Set(
  'about account admin api app assets demo files health help home images l link link-pictures login mail me metrics p pass preview privacy public robots root s search share sign-in site sitemap sites static status studio support system terms u user users www'.split(
    ' ',
  ),
);

/** The part of the web address that names a site: 3 to 40 small letters, digits and single hyphens. */
export const addressSchema = z
  .string()
  .min(3, 'An address has at least 3 characters.')
  .max(40, 'An address has at most 40 characters.')
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'Use small letters, digits and single hyphens, for example wren-makes.')
  .refine(
    (value) => !reservedAddresses.has(value),
    'This word is kept for Kite Wall itself. Add another word to it.',
  );
