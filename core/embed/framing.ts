import { z } from 'zod';

/** So many places can be named. */
const mostOrigins = 20;

/** One place on the web: a scheme, a host and where it is not the usual one a port, without anything after it. */
const originSchema = z
  .string()
  .max(300)
  .refine((text) => originOf(text) === text, 'Name a place as https://example.edu.');

/** Where a site may be shown inside another page: nowhere, on pages of named places, or anywhere. */
export const framingSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('nobody') }),
  z.object({
    by: z.literal('named'),
    origins: z
      .array(originSchema)
      .min(1, 'Name at least one place.')
      .max(mostOrigins, `At most ${mostOrigins} places can be named.`),
  }),
  z.object({ by: z.literal('anybody') }),
]);
export type Framing = z.infer<typeof framingSchema>;

export const noFraming: Framing = { by: 'nobody' };

/**
 * The origin of what somebody wrote of a web page: `example.edu/class` is of `https://example.edu`. Null where it names none.
 */
export function originOf(written: string): string | null {
  const text = written.trim();
  if (text === '' || /\s/.test(text)) return null;
  const whole = /^[a-z][a-z0-9+.-]*:\/\//i.test(text) ? text : `https://${text}`;
  try {
    const { protocol, hostname, origin } = new URL(whole);
    const named = /^[a-z0-9.-]+$/.test(hostname) && /[a-z0-9]/.test(hostname);
    return (protocol === 'https:' || protocol === 'http:') && named ? origin : null;
  } catch {
    return null;
  }
}

/** What may frame a page, for `frame-ancestors` (Content Security Policy 3, section 6.4.2). This server itself always may. */
export const frameAncestors = (framing: Framing): string =>
  ["'self'", ...(framing.by === 'anybody' ? ['*'] : framing.by === 'named' ? framing.origins : [])].join(' ');
