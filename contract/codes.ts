import { z } from 'zod';
import { givenLinkNameSchema } from '#core/access/given-link.ts';
import { idSchema } from '#core/id.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

/** Which link, by the word that names it. */
const ofLink = atSite.extend({ link: z.string().max(120) });

export const linkCodesSchema = z.object({
  /** The link in full; null where it leads nowhere any more. */
  url: z.string().nullable(),
  /** Printed sizes, with the error correction there is room for. */
  sizes: z.array(
    z.object({
      mm: z.number(),
      level: z.enum(['H', 'Q', 'M', 'L']),
      reads: z.boolean(),
      smallestMm: z.number(),
    }),
  ),
  /** The short code that leads to it, and where it is typed; null where it has none. */
  short: z.object({ code: z.string(), at: z.string() }).nullable(),
  /** Why it can have none; null where it can. */
  noShortBecause: z.string().nullable(),
});
export type LinkCodes = z.infer<typeof linkCodesSchema>;

export const getLinkCodes = route({
  method: 'GET',
  path: '/api/sites/:site/codes/:link',
  params: ofLink,
  body: nothing,
  reply: linkCodesSchema,
});
/** Gives a link a short code. @throws 409 where it can have none */
export const makeShortCode = route({
  method: 'POST',
  path: '/api/sites/:site/codes/:link/short',
  params: ofLink,
  body: nothing,
  reply: linkCodesSchema,
});
/** The code leads nowhere from then on, and no other link gets it. */
export const dropShortCode = route({
  method: 'DELETE',
  path: '/api/sites/:site/codes/:link/short',
  params: ofLink,
  body: nothing,
  reply: linkCodesSchema,
});

/** A QR code of a link as a file; `mm` is its printed width. */
export const qrParams = z.object({
  site: idSchema,
  link: givenLinkNameSchema,
  form: z.enum(['svg', 'png']),
});
export const qrQuery = z.object({ mm: z.coerce.number().min(10).max(300).default(30) });
export const qrFile = (site: string, link: string, form: 'svg' | 'png', mm: number): string =>
  `/api/sites/${site}/codes/${link}/qr.${form}?mm=${mm}`;
export const cardsPage = (site: string, link: string): string => `/studio/cards/${site}/${link}/`;
