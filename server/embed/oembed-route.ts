import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { oembedPath } from '#core/embed/oembed-address.ts';
import { cardWidth, frameSize, within } from '#core/embed/embed-size.ts';
import { sharePictureSize } from '#core/look/share-picture.ts';
import { cardCode, frameCode } from '#site/embed/embed-code.tsx';
import { parsed } from '../http/parsed.ts';
import { Problem } from '../http/problem.ts';
import { type EmbedDeps, embeddedPage, strangersAt } from './embedded-page.ts';

const one = z.string().max(4000).optional();
const asked = z.object({ url: one, maxwidth: one, maxheight: one, format: one });

/** Room for a card's two lines below its picture, in CSS pixels. */
const linesHeight = 90;

/** The address and the file that somebody means by the address of a page; null where that is not on this server. */
function meant(url: string | undefined, publicOrigin: string): { address: string; path: string } | null {
  if (url === undefined || !URL.canParse(url)) return null;
  const { origin, pathname } = new URL(url);
  const [, address = '', ...rest] = pathname.split('/');
  if (origin !== publicOrigin || address === '') return null;
  try {
    return { address, path: decodeURIComponent(rest.join('/').replace(/index\.html$/, '')) };
  } catch {
    return null;
  }
}

/**
 * oEmbed 1.0 (oembed.com): what another site shows for the address of a public page. Pages behind links and passes are not
 * told of, and are answered as what never existed. Where the maker lets anybody frame the site it is the page itself, else a
 * card that leads to it.
 */
export function oembedRoute(app: FastifyInstance, deps: EmbedDeps): void {
  app.get(oembedPath, { config: { rateLimit: { max: 300, timeWindow: 60_000 } } }, async (request, reply) => {
    const { url, maxwidth, maxheight, format } = parsed(asked, request.query);
    reply.headers({ 'access-control-allow-origin': '*', 'cache-control': 'no-cache' });
    if (format !== undefined && format !== 'json')
      throw new Problem(501, 'only-json', 'Only JSON is told here. Leave format out, or ask for json.');
    const at = meant(url, deps.publicOrigin);
    const way = at && (await strangersAt(deps.open, at.address));
    const below = at && at.path !== '' && !at.path.endsWith('/') ? `${at.path}/` : (at?.path ?? '');
    const page = way && (await pageOrFormer(deps, way, below));
    if (!way || !page)
      throw new Problem(404, 'no-such-page', 'Nothing is open at this address that can be shown elsewhere.');
    const framed = way.entrance.framing?.by === 'anybody';
    const width = within(framed ? frameSize.width : cardWidth, maxwidth);
    const pictureHeight = Math.round((width * sharePictureSize.height) / sharePictureSize.width);
    const height = framed
      ? within(frameSize.height, maxheight)
      : (page.picture ? pictureHeight : 0) + linesHeight;
    return reply.send({
      ...{
        version: '1.0',
        type: 'rich',
        title: page.title,
        provider_url: `${deps.publicOrigin}/${way.address}/`,
      },
      provider_name: page.site || page.title,
      ...(page.picture && {
        thumbnail_url: page.picture,
        thumbnail_width: sharePictureSize.width,
        thumbnail_height: sharePictureSize.height,
      }),
      ...{ width, height, html: framed ? frameCode(page, { width, height }) : cardCode(page, width) },
    });
  });
}

async function pageOrFormer(
  deps: EmbedDeps,
  { entrance, address }: NonNullable<Awaited<ReturnType<typeof strangersAt>>>,
  path: string,
) {
  const page = await embeddedPage(deps, entrance, address, `${path}index.html`);
  if (page || path === '') return page;
  const now = await entrance.former(path);
  return now === null ? null : embeddedPage(deps, entrance, address, `${now}index.html`);
}
