import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { siteContentSchema } from '#core/sites/site.ts';
import { nothing, atSite } from './at-site.ts';
import { changeOf } from './change.ts';
import { joinedPatchSchema, patchSchema } from './patch.ts';
import { route } from './route.ts';
import { siteSummarySchema, liveSchema, siteStateSchema } from './site-state.ts';

export const listSites = route({
  method: 'GET',
  path: '/api/sites',
  params: nothing,
  body: nothing,
  reply: z.array(siteSummarySchema),
});

export const createSite = route({
  method: 'POST',
  path: '/api/sites',
  params: nothing,
  body: siteContentSchema.pick({ title: true }),
  reply: siteSummarySchema,
});

export const getSite = route({
  method: 'GET',
  path: '/api/sites/:site',
  params: atSite,
  body: nothing,
  reply: siteStateSchema,
});

export const changeSite = route({
  method: 'PATCH',
  path: '/api/sites/:site',
  params: atSite,
  body: changeOf(siteContentSchema),
  reply: joinedPatchSchema,
});

/** Says of every site of a maker whether they are under 18. */
export const setUnderAge = route({
  method: 'POST',
  path: '/api/sites/:site/under-age',
  params: atSite,
  body: z.object({ underAge: z.boolean() }),
  reply: patchSchema,
});

export const checkAddress = route({
  method: 'GET',
  path: '/api/sites/:site/addresses/:address',
  params: z.object({ site: idSchema, address: z.string().max(80) }),
  body: nothing,
  reply: z.object({ free: z.boolean(), why: z.string(), alsoFree: z.array(z.string()) }),
});

export const renewLink = route({
  method: 'POST',
  path: '/api/sites/:site/links/:thing/renew',
  params: z.object({ site: idSchema, thing: idSchema }),
  body: nothing,
  reply: liveSchema,
});

const formerAddressesSchema = z.object({ addresses: z.array(z.string()) });

/** Addresses that the site had before and that lead on to the one it has, the latest first. */
export const listFormerAddresses = route({
  method: 'GET',
  path: '/api/sites/:site/former-addresses',
  params: atSite,
  body: nothing,
  reply: formerAddressesSchema,
});
/** Gives an old address up: it leads nowhere from then on, and anybody may take it. */
export const giveUpAddress = route({
  method: 'DELETE',
  path: '/api/sites/:site/former-addresses/:address',
  params: z.object({ site: idSchema, address: z.string().max(80) }),
  body: nothing,
  reply: formerAddressesSchema,
});
