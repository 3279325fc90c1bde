import { pageFacts } from '#core/links/page-facts.ts';
import type { EmbeddedPage } from '#site/embed/embed-code.tsx';
import type { BlobStore } from '../media/blob-store.ts';
import type { Entrance, PublicSites } from '../serve/public-sites.ts';

export interface EmbedDeps {
  open: Pick<PublicSites, 'atAddress'>;
  blobs: BlobStore;
  publicOrigin: string;
}

/**
 * A page as strangers can open it at an address now, by what its own file says of itself.
 *
 * @param file below the entrance, as `tide-clock/index.html`
 * @returns null where they get no page there
 */
export async function embeddedPage(
  { blobs, publicOrigin }: Pick<EmbedDeps, 'blobs' | 'publicOrigin'>,
  { tree }: Entrance,
  address: string,
  file: string,
): Promise<EmbeddedPage | null> {
  const page = Object.hasOwn(tree, file) ? tree[file] : undefined;
  if (!page?.type.startsWith('text/html') || !file.endsWith('index.html')) return null;
  const { title, site, description, picture } = pageFacts((await blobs.read(page.hash)).toString('utf8'));
  const url = `${publicOrigin}/${address}/${file.replace(/index\.html$/, '')}`;
  // Its own file, wherever this server was reached when the page was published.
  const own = picture === null ? null : publicOrigin + new URL(picture, publicOrigin).pathname;
  return { url, title, site: site === title ? '' : site, description, picture: own };
}

/** Where strangers get in now by an address, led on from one that a site had before; null where they get nothing. */
export async function strangersAt(
  open: EmbedDeps['open'],
  address: string,
): Promise<{ entrance: Entrance; address: string } | null> {
  const found = await open.atAddress(address);
  if (!found) return null;
  if ('entrance' in found) return { entrance: found.entrance, address };
  const moved = await open.atAddress(found.movedTo);
  return moved && 'entrance' in moved ? { entrance: moved.entrance, address: found.movedTo } : null;
}
