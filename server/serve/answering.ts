import { createHash } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { ManifestFile } from '#core/release/manifest.ts';
import { closedPageStyle, renderClosedPage } from '#site/render/closed-page.tsx';
import type { SiteComments } from '../comments/site-comments.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { strictTransport } from '../http/strict-transport.ts';
import { sendRanged } from '../http/send-ranged.ts';
import { keepHeader, writeKeep } from '../readers/messages.ts';
import { acceptedCoding, type Coding, type ReadyResponses } from './ready-responses.ts';
import { ByteCache } from './byte-cache.ts';
import { pageAt } from './page-at.ts';
import { pagePolicy } from './page-policy.ts';
import type { Seen } from '../visits/visit-counts.ts';
import type { Entrance, Found } from './public-sites.ts';

/** Files up to this size are kept in memory; larger ones are streamed from the disk. */
const keptUpTo = 512 * 1024;

const closedPage = Buffer.from(renderClosedPage());
const sha256 = (text: string): string => createHash('sha256').update(text).digest('base64');
const closedPolicy = `default-src 'none'; style-src 'sha256-${sha256(closedPageStyle)}'; font-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'self'`;

/** The same status, headers and bytes for "never existed" and "not for you". */
export function closed(reply: FastifyReply): FastifyReply {
  return reply
    .code(404)
    .headers({
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': closedPolicy,
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
      'x-robots-tag': 'noindex',
      'cache-control': 'no-store',
    })
    .send(closedPage);
}

/** The form of a file this reader takes: compressed at publish time, or as it is. */
function formFor(file: ManifestFile, coding: Coding): { hash: string; encoding: 'br' | 'gzip' | null } {
  if (coding === 'br' && file.br) return { hash: file.br, encoding: 'br' };
  if (coding !== 'identity' && file.gzip) return { hash: file.gzip, encoding: 'gzip' };
  return { hash: file.hash, encoding: null };
}

/** Answers a request below an entrance with one of its files, or as if there were nothing. */
export type Answer = (
  request: FastifyRequest,
  reply: FastifyReply,
  finding: Promise<Found>,
  base: string,
  path: string,
) => Promise<FastifyReply>;

export interface AnsweringDeps {
  blobs: BlobStore;
  ready: ReadyResponses;
  /** Reading processes stand before this server and are told what they may keep. */
  behindReaders: boolean;
  publicOrigin: string;
  /** Behind HTTPS. */
  secure?: boolean;
  /** What readers say of pages. */
  comments?: Pick<SiteComments, 'onPage'>;
  /** Told of each page that is answered here and counted. */
  onSeen?: (seen: Seen, request: IncomingMessage) => void;
}

/** What answers below all entrances, with what was asked for lately at hand. Knows nothing but manifests and blobs. */
export function answering({
  blobs,
  ready,
  behindReaders,
  publicOrigin,
  secure = false,
  comments,
  onSeen = () => {},
}: AnsweringDeps): Answer {
  const cache = new ByteCache(blobs, 96 * 1024 * 1024);

  async function sendFile(
    request: FastifyRequest,
    reply: FastifyReply,
    file: ManifestFile,
    entrance: Entrance,
    age: number,
    path: string,
    /** The page with what is said of it; null: as it is. */
    said: Buffer | null = null,
  ): Promise<FastifyReply> {
    const coding = acceptedCoding(request.headers['accept-encoding']);
    const form = said
      ? { hash: createHash('sha256').update(said).digest('hex'), encoding: null }
      : formFor(file, coding);
    const etag = `"${form.hash.slice(0, 24)}"`;
    const scope = entrance.secret ? 'private' : 'public';
    const headers: Record<string, string> = {
      etag,
      'content-type': file.type,
      'cache-control': file.immutable ? `${scope}, max-age=31536000, immutable` : `${scope}, no-cache`,
      'x-content-type-options': 'nosniff',
      'referrer-policy': entrance.secret ? 'no-referrer' : 'strict-origin-when-cross-origin',
    };
    if (secure) headers['strict-transport-security'] = strictTransport;
    if (file.br || file.gzip) headers['vary'] = 'accept-encoding';
    if (!entrance.indexable) headers['x-robots-tag'] = 'noindex';
    if (file.type.startsWith('text/html'))
      headers['content-security-policy'] = pagePolicy({
        ...file,
        ...(said && entrance.said ? { writes: true } : {}),
        ...(entrance.framing ? { framing: entrance.framing } : {}),
        ...(entrance.indexable ? { robots: `${publicOrigin}/robots.txt` } : {}),
      });
    const seen: Seen | null =
      entrance.counted !== undefined && file.type.startsWith('text/html') && request.method === 'GET'
        ? { site: entrance.site, link: entrance.counted, path: path.replace(/index\.html$/, '') }
        : null;
    if (seen) onSeen(seen, request.raw);
    reply.headers(headers);
    if (file.download) headers['content-disposition'] = `attachment; filename="${file.download}"`;
    if (request.headers['if-none-match'] === etag) return reply.code(304).send();
    // Recordings are fetched in pieces, so they are neither kept in memory nor left to the reading processes.
    if (/^(audio|video)\//.test(file.type))
      return sendRanged(request, reply.headers(headers), blobs, { ...file, hash: form.hash });
    if (form.encoding) headers['content-encoding'] = form.encoding;
    if (!said && file.bytes > keptUpTo)
      return reply.headers({ ...headers, 'content-length': file.bytes }).send(blobs.stream(form.hash));
    const body = said ?? (await cache.read(form.hash));
    headers['content-length'] = String(body.byteLength);
    if (!entrance.asked) {
      // What is kept in front of this process says to that what it counts.
      const kept = { etag, headers: Object.entries(headers).flat(), body, ...(seen && { seen }) };
      ready.keep({ age, site: entrance.site }, request.url, coding, kept);
      if (behindReaders) headers[keepHeader] = writeKeep({ age, site: entrance.site, seen });
    }
    return reply.headers(headers).send(body);
  }

  async function saidOn(file: ManifestFile, { site, tree }: Entrance): Promise<string | null> {
    if (file.page === undefined || !comments) return null;
    const opened = { site, file: { ...file, page: file.page }, reader: { pass: null, writer: null }, tree };
    return comments.onPage(opened, null);
  }

  /** The page with what its reader gets of what is said of it; null where that is nothing. */
  async function said(file: ManifestFile, entrance: Entrance): Promise<Buffer | null> {
    if (entrance.kept) return null;
    const html = entrance.said ? await entrance.said(file) : await saidOn(file, entrance);
    return html ? Buffer.from(html) : null;
  }

  async function answer(
    request: FastifyRequest,
    reply: FastifyReply,
    finding: Promise<Found>,
    base: string,
    path: string,
  ): Promise<FastifyReply> {
    const { age } = ready;
    const found = await finding;
    if (!found) return closed(reply);
    if ('movedTo' in found) return reply.redirect(`/${found.movedTo}/${path}`, 301);
    const { tree } = found.entrance;
    const file = Object.hasOwn(tree, path) ? tree[path] : undefined;
    if (file && !path.endsWith('index.html'))
      return sendFile(request, reply, file, found.entrance, age, path);
    const page = pageAt(tree, path);
    if (page)
      return sendFile(request, reply, page, found.entrance, age, path, await said(page, found.entrance));
    if (path !== '' && !path.endsWith('/') && Object.hasOwn(tree, `${path}/index.html`))
      return reply.redirect(`${base}${path}/`, 301);
    const former = await found.entrance.former(path);
    // Not for good: the page may have its old address again, and a browser that kept both would go in a circle.
    if (former !== null) return reply.header('cache-control', 'no-cache').redirect(base + former, 302);
    return closed(reply);
  }
  return answer;
}
