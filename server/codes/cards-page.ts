import { createHash } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { type GivenLink, givenLinkNameSchema } from '#core/access/given-link.ts';
import type { LinkCodes } from '#contract/codes.ts';
import { idSchema } from '#core/id.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { shownOn } from '#core/pages/page.ts';
import { cardsStyle, renderCards } from '#site/render/cards-page.tsx';
import { makerOf } from '../accounts/sessions.ts';
import { parsed } from '../http/parsed.ts';
import { notFound } from '../http/problem.ts';
import { sheetOfLook } from '../publish/site-assets.ts';
import { loadDraft, ownSite, type SiteRow } from '../sites/load-draft.ts';
import type { CodesDeps } from './codes-deps.ts';
import { qrSvg } from './qr-image.ts';

/** Width of the code on a card, in mm. */
const codeMm = 32;
const styleHash = createHash('sha256').update(cardsStyle).digest('base64');
const policy = `default-src 'none'; style-src 'self' 'sha256-${styleHash}'; font-src 'self'; img-src 'self' data:; base-uri 'none'; form-action 'none'; frame-ancestors 'self'`;
const paramsSchema = z.object({ site: idSchema, link: givenLinkNameSchema, '*': z.string() });

/** A sheet of ten cards in the site's look, to be printed: `/studio/cards/<site>/<link>/`. */
export function cardsRoutes(
  app: FastifyInstance,
  { db, blobs, assets }: CodesDeps,
  codesOf: (site: SiteRow, link: GivenLink) => Promise<LinkCodes>,
): void {
  app.get('/studio/cards/:site/:link/*', async (request, reply) => {
    const { site: id, link, '*': path } = parsed(paramsSchema, request.params);
    const site = await ownSite(db, makerOf(request).id, id);
    const draft = await loadDraft(db, site);
    const { look, title, language } = draft.site;
    const sheet = sheetOfLook(assets, look, false);
    if (path === sheet.path) return reply.type('text/css; charset=utf-8').send(sheet.text);
    const file = Object.hasOwn(assets.files, path) ? assets.files[path] : undefined;
    if (file) return reply.type(file.type).send(await blobs.read(file.hash));
    const { url, short } = await codesOf(site, link);
    if (path !== '' || url === null) throw notFound('This page');
    const front = draft.pages.find((page) => rulesOfPage(page).isFront);
    const svg = await qrSvg(url, codeMm);
    return reply
      .type('text/html; charset=utf-8')
      .header('content-security-policy', policy)
      .header('cache-control', 'private, no-store')
      .send(
        renderCards({
          ...{ title, language, css: sheet.path, theme: look.theme, short },
          summary: front ? shownOn(front).summary : '',
          // Who cannot scan it types the address, where that is one that can be typed.
          address: link.kind === 'address' ? url.replace(/^https?:\/\//, '').replace(/\/$/, '') : '',
          qr: `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`,
        }),
      );
  });
}
