import type { FastifyInstance } from 'fastify';
import { dropShortCode, getLinkCodes, makeShortCode, qrParams, qrQuery } from '#contract/codes.ts';
import { type GivenLink, givenLinkNameSchema } from '#core/access/given-link.ts';
import { qrSizes } from '#core/codes/qr-plan.ts';
import { shortCodeInPrint } from '#core/codes/short-code.ts';
import { makerOf } from '../accounts/sessions.ts';
import { handle } from '../http/handle.ts';
import { parsed } from '../http/parsed.ts';
import { notFound, Problem } from '../http/problem.ts';
import { ownSite, type SiteRow } from '../sites/load-draft.ts';
import { aroundLinks, readersOf } from '../sites/readers-of-link.ts';
import { cardsRoutes } from './cards-page.ts';
import type { CodesDeps } from './codes-deps.ts';
import { planOf, qrPng, qrSvg } from './qr-image.ts';
import { giveShortCode, noShortBecause, shortCodeOf, takeShortCode } from './short-code-rows.ts';

/** What a link is printed as: its code to be read by a camera, its short code to be typed, and cards with both. */
export function codeRoutes(app: FastifyInstance, deps: CodesDeps): void {
  const { db, secret, publicOrigin } = deps;

  const codesOf = async (site: SiteRow, link: GivenLink) => {
    const readers = readersOf(link, await aroundLinks(db, site, secret));
    const url = readers?.link ? publicOrigin + readers.link : null;
    const code = await shortCodeOf(db, site.id, link);
    const because = noShortBecause(link, readers?.pass ?? null);
    return {
      url,
      sizes: url === null ? [] : qrSizes.map((mm) => ({ mm, ...planOf(url, mm) })),
      short:
        code !== null && because === null ? { code: shortCodeInPrint(code), at: `${publicOrigin}/k` } : null,
      noShortBecause: because,
    };
  };
  const linkIn = (params: { link: string }): GivenLink => parsed(givenLinkNameSchema, params.link);

  handle(app, getLinkCodes, async ({ params }, request) =>
    codesOf(await ownSite(db, makerOf(request).id, params.site), linkIn(params)),
  );

  handle(app, makeShortCode, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const link = linkIn(params);
    const { url, noShortBecause: because } = await codesOf(site, link);
    if (url === null) throw notFound('This link');
    if (because !== null) throw new Problem(409, 'no-code', because);
    await giveShortCode(db, site.id, link);
    return codesOf(site, link);
  });

  handle(app, dropShortCode, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await takeShortCode(db, site.id, linkIn(params));
    return codesOf(site, linkIn(params));
  });

  app.get('/api/sites/:site/codes/:link/qr.:form', async (request, reply) => {
    const { site: id, link, form } = parsed(qrParams, request.params);
    const { mm } = parsed(qrQuery, request.query);
    const { url } = await codesOf(await ownSite(db, makerOf(request).id, id), link);
    if (url === null) throw notFound('This link');
    return reply
      .header('content-disposition', `attachment; filename="code-${mm}mm.${form}"`)
      .type(form === 'svg' ? 'image/svg+xml' : 'image/png')
      .send(form === 'svg' ? await qrSvg(url, mm) : await qrPng(url, mm));
  });

  cardsRoutes(app, deps, codesOf);
}
