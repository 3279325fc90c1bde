import formBody from '@fastify/formbody';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import type { Message } from '#core/messages/message.ts';
import { typedMessage } from '#core/messages/typed-message.ts';
import type { PublicWords } from '#core/public-words/public-words.ts';
import { wordsFor } from '#core/public-words/words-for.ts';
import { type Answer, answered } from '#site/messages/answered.tsx';
import { placeField, trapField } from '#site/messages/write-form.tsx';
import type { Database } from '../db/connect.ts';
import { formField } from '../http/form-field.ts';
import { limited } from '../http/limited.ts';
import type { Mailing } from '../mail/mailing.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { pagePolicy } from '../serve/page-policy.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { type Answer as AnswerRequest, closed } from '../serve/answering.ts';
import { putIn } from './box.ts';
import { ReadOverTokens } from './read-over.ts';

/** More than the longest message, as a form writes it: each letter may take nine signs. */
const mostBytes = 64 * 1024;
/** In an hour: looked over from one place, sent from one place, sent to one site. */
const limits = { over: 120, sent: 10, toSite: 100 } as const;

/**
 * The forms by which readers write to a maker. They stand on released pages and are sent to the very page they stand on: whoever
 * cannot open the page now cannot send to it, and what was closed takes nothing from that moment on. The answer is the page itself,
 * with what happened in the place of its form. Nothing here says where a message goes.
 *
 * @param app with the package of limits registered; reads what forms send from now on
 * @param now the time, in ms
 * @returns what answers what was sent below an entrance
 */
export async function writing(
  app: FastifyInstance,
  { db, blobs, mailing, now }: { db: Database; blobs: BlobStore; mailing: Mailing; now?: () => number },
): Promise<AnswerRequest> {
  await app.register(formBody, { bodyLimit: mostBytes });
  const tokens = new ReadOverTokens(now);
  const mayLook = limited(app, limits.over);
  const maySend = limited(app, limits.sent);
  const mayTake = limited(app, limits.toSite);

  /** What happens to what was sent. */
  async function happens(
    request: FastifyRequest,
    site: string,
    entrance: string,
    words: PublicWords['write'],
  ): Promise<[status: number, answer: Answer]> {
    const fields = request.body;
    const place = formField(fields, placeField);
    const { typed, faults } = typedMessage(fields);
    const again = (status: number, problem: string | null = null): [number, Answer] => [
      status,
      { kind: 'again', typed, faults, problem },
    ];
    if (!(await mayLook(request, request.ip))) return again(429, words.tooMany);
    if (formField(fields, trapField) !== '') return again(422, words.trapped);
    if (Object.keys(faults).length > 0) return again(422);
    const of = { ...typed, entrance, place };
    const over = (message: Message): Answer => ({ kind: 'over', message, token: tokens.sign(of) });
    const token = formField(fields, 'token');
    switch (formField(fields, 'do')) {
      case 'change':
        return again(200);
      case 'send': {
        const id = tokens.idOf(token, of);
        if (!id) return again(409, words.stale);
        if (!(await maySend(request, request.ip)) || !(await mayTake(request, site)))
          return again(429, words.tooMany);
        if ((await putIn(db, { ...typed, id, site, place }, mailing.sends)) === 'full')
          return again(507, words.full);
        mailing.look();
        return [200, { kind: 'sent' }];
      }
      default:
        return [200, over(typed)];
    }
  }

  return async (request, reply, finding, base, path) => {
    const found = await finding;
    if (!found || 'movedTo' in found) return closed(reply);
    const { site, tree, secret } = found.entrance;
    const index = `${path}index.html`;
    const page = Object.hasOwn(tree, index) ? tree[index] : undefined;
    if (!page?.writes) return closed(reply);
    const html = (await blobs.read(page.hash)).toString();
    const language = /<html lang="([^"]*)"/.exec(html)?.[1] ?? 'en';
    const [status, what] = await happens(request, site, base, wordsFor(language).write);
    const body = answered(html, formField(request.body, placeField), what);
    if (body === null) return closed(reply);
    return reply
      .code(status)
      .headers({
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': pagePolicy({ ...page, writes: true }),
        'x-content-type-options': 'nosniff',
        'x-robots-tag': 'noindex',
        'referrer-policy': secret ? 'no-referrer' : 'strict-origin-when-cross-origin',
        'cache-control': 'no-store',
      })
      .send(body);
  };
}

/** What is sent below addresses and links. */
export function writeForms(
  app: FastifyInstance,
  { open, answer }: { open: PublicSites; answer: AnswerRequest },
): void {
  app.post<{ Params: { key: string; '*': string } }>('/l/:key/*', async (request, reply) => {
    const { key, '*': path } = request.params;
    return answer(request, reply, open.atLink(key), `/l/${key}/`, path);
  });
  app.post<{ Params: { address: string; '*': string } }>('/:address/*', async (request, reply) => {
    const { address, '*': path } = request.params;
    return answer(request, reply, open.atAddress(address), `/${address}/`, path);
  });
}
