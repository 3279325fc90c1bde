import { Readable } from 'node:stream';
import type { LinkFacts } from '#core/materials/link.ts';
import { cut } from '#core/words/cut.ts';
import { mayBeFramed } from '#core/links/framing.ts';
import { readEmbed } from '#core/links/oembed.ts';
import { pageFacts, type PageFacts } from '#core/links/page-facts.ts';
import type { Database } from '../db/connect.ts';
import { Problem } from '../http/problem.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { Reading } from '../reading/reading.ts';
import { rememberPreviews } from '../media/previews.ts';
import { type Fetched, type Outgoing, OutgoingError } from './outgoing.ts';
import { stateOfStatus as stateOf } from './link-state.ts';
import { textFromBytes } from './text-from-bytes.ts';

export interface LinkDeps {
  db: Database;
  blobs: BlobStore;
  reading: Reading;
  outgoing: Outgoing;
  limits: { maxPixels: number };
}

const limits = {
  page: { accept: 'text/html,application/xhtml+xml;q=0.9,*/*;q=0.5', mostBytes: 1024 * 1024, mostMs: 8000 },
  embed: { accept: 'application/json', mostBytes: 256 * 1024, mostMs: 5000 },
  picture: { accept: 'image/*', mostBytes: 8 * 1024 * 1024, mostMs: 6000 },
  player: { accept: 'text/html', mostBytes: 1, mostMs: 5000 },
};
/** A smaller picture is a sign or a counter, and stands for nothing. */
const smallestPicturePx = 120;

/** An address as a page writes it, made whole; null when it is none that a browser could fetch. */
function resolved(address: string | null, base: string): string | null {
  if (!address) return null;
  try {
    const url = new URL(address, base);
    return /^https?:$/.test(url.protocol) && url.href.length <= 2000 ? url.href : null;
  } catch {
    return null;
  }
}

const framingHeaders = ({ headers }: Fetched) => {
  const all = (name: string) => {
    const value = headers.get(name);
    return value === null ? [] : [value];
  };
  return { contentSecurityPolicy: all('content-security-policy'), xFrameOptions: all('x-frame-options') };
};

/** Fetches the picture of a page and keeps it, or null: a link without a picture is still a link. */
async function fetchPicture(
  { db, blobs, reading, outgoing, limits: { maxPixels } }: LinkDeps,
  url: string | null,
  account: string,
): Promise<LinkFacts['picture']> {
  if (!url) return null;
  try {
    const { status, body, cut } = await outgoing.fetch(url, limits.picture);
    if (stateOf(status) !== 'read' || cut || body.byteLength === 0) return null;
    const arrival = await blobs.receive(Readable.from([body]), body.byteLength);
    try {
      const read = await reading.run('picture', { ...arrival, name: '', maxPixels }, account);
      if (!read || Math.min(read.facts.widthPx, read.facts.heightPx) < smallestPicturePx) return null;
      const { facts, previews } = read;
      const { hash } = arrival;
      await rememberPreviews(db, hash, previews);
      await blobs.keep(arrival);
      return { hash, widthPx: facts.widthPx, heightPx: facts.heightPx, colour: facts.colour };
    } finally {
      await blobs.discard(arrival);
    }
  } catch (error) {
    // Not a picture, too slow, inside a private network: the page is shown without one.
    if (error instanceof OutgoingError || error instanceof Problem) return null;
    throw error;
  }
}

/** Asks a host how its clip is played elsewhere; null when it does not say, or says it must not be. */
async function fetchEmbed({ outgoing }: LinkDeps, url: string | null, by: string) {
  if (!url) return null;
  try {
    const { status, body, url: from } = await outgoing.fetch(url, limits.embed);
    const embed = stateOf(status) === 'read' ? readEmbed(JSON.parse(body.toString('utf8'))) : null;
    if (!embed) return null;
    return {
      ...embed,
      picture: resolved(embed.picture, from),
      player: embed.player && (await playable(outgoing, resolved(embed.player.url, from), embed.player, by)),
    };
  } catch (error) {
    if (error instanceof OutgoingError || error instanceof SyntaxError) return null;
    throw error;
  }
}

/** A player that readers' browsers can show inside a page served from `by`. */
async function playable(
  outgoing: Outgoing,
  url: string | null,
  size: { widthPx: number; heightPx: number },
  by: string,
): Promise<LinkFacts['player']> {
  if (!url) return null;
  const { widthPx, heightPx } = size;
  try {
    const answer = await outgoing.fetch(url, limits.player);
    return mayBeFramed(framingHeaders(answer), answer.url, by) ? { url, widthPx, heightPx } : null;
  } catch (error) {
    // A host may turn away programs and still play for people; but nobody is sent into a private network.
    if (error instanceof OutgoingError && error.trouble !== 'refused-address' && url.startsWith('https:'))
      return { url, widthPx, heightPx };
    if (error instanceof OutgoingError) return null;
    throw error;
  }
}

const nothing: PageFacts = { title: '', description: '', site: '', picture: null, oembed: null, base: null };

/**
 * Reads what a link leads to: what the page says about itself, its picture, whether it may be shown inside another page,
 * and how a host's clip is played. A page that does not answer is still a link, with that as its state.
 *
 * @param account whose link it is
 * @param by origin of the pages that would show it
 * @throws Problem 422 when the address lies where no reader could follow
 */
export async function readLink(deps: LinkDeps, account: string, url: string, by: string): Promise<LinkFacts> {
  const facts: LinkFacts = {
    format: 'link',
    url,
    state: 'read',
    title: '',
    description: '',
    site: '',
    picture: null,
    framing: 'refused',
    movedTo: null,
    player: null,
    readAt: new Date().toISOString(),
  };
  let page: Fetched;
  try {
    page = await deps.outgoing.fetch(url, limits.page);
  } catch (error) {
    if (!(error instanceof OutgoingError)) throw error;
    if (error.trouble === 'refused-address')
      throw new Problem(
        422,
        'private-address',
        'This address lies inside a private network, where readers cannot follow it. Give one on the open web.',
        { field: 'url' },
      );
    return { ...facts, state: error.trouble === 'slow' ? 'slow' : 'unreachable' };
  }
  facts.movedTo = page.movedTo;
  const state = stateOf(page.status);
  if (state !== 'read') return { ...facts, state };
  const type = page.headers.get('content-type') ?? '';
  if (/^image\//i.test(type)) return { ...facts, picture: await fetchPicture(deps, page.url, account) };
  if (!/html/i.test(type)) return facts;
  const said = page.body.byteLength > 0 ? pageFacts(textFromBytes(page.body, type)) : nothing;
  const base = resolved(said.base, page.url) ?? page.url;
  const embed = await fetchEmbed(deps, resolved(said.oembed, base), by);
  return {
    ...facts,
    title: said.title || cut(embed?.title ?? '', 160) || '',
    description: said.description,
    site: said.site || cut(embed?.provider ?? '', 120) || '',
    picture: await fetchPicture(deps, embed?.picture ?? resolved(said.picture, base), account),
    framing: mayBeFramed(framingHeaders(page), page.url, by) ? 'allowed' : 'refused',
    player: embed?.player ?? null,
  };
}
