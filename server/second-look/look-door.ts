import { setTimeout as after } from 'node:timers/promises';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { isOpen } from '#core/second-look/look-state.ts';
import type { LookAnswers } from '#core/second-look/second-look.ts';
import { typedAnswers } from '#core/second-look/typed-answers.ts';
import { doorWords } from '#core/public-words/door-words.ts';
import { wordsFor } from '#core/public-words/words-for.ts';
import type { FileTree, ManifestFile } from '#core/release/manifest.ts';
import { renderMakingPage } from '#site/render/door-page.tsx';
import { languageOf } from '#site/comments/with-comments.tsx';
import { lookAnchor, lookField, type SecondLookOnPage } from '#site/second-look/second-look-view.tsx';
import { secondLookStyle } from '#site/second-look/second-look-style.ts';
import { withSecondLook } from '#site/second-look/with-second-look.tsx';
import { pageTitleIn, placesOn } from '../comments/places-on.ts';
import type { Database } from '../db/connect.ts';
import { formField } from '../http/form-field.ts';
import { limited } from '../http/limited.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { doorHeaders } from '../passes/door-headers.ts';
import { keyHash, looksLikeKey } from '../passes/pass-key.ts';
import { type Answer, closed } from '../serve/answering.ts';
import { pagePolicy } from '../serve/page-policy.ts';
import type { Entrance } from '../serve/public-sites.ts';
import { lookPath } from './look-key.ts';
import { keepAnswers, lookAtKey } from './look-rows.ts';
import type { LookedAt, LookTrees } from './look-trees.ts';

/** Sent in an hour: with one link from one place, and with one link at all. */
const limits = { fromPlace: 120, withLink: 400 } as const;
/** So long somebody waits for a draft to be made, before they are told so; in ms. */
const patienceMs = 8000;
const sheet = 'second-look.css';

interface LookDoorDeps {
  db: Database;
  blobs: BlobStore;
  trees: Pick<LookTrees, 'of'>;
  answer: Answer;
  now: () => Date;
}

/** What a page says to whoever looks, beside what it always says. */
interface Told {
  kept?: boolean;
  tooLong?: readonly string[];
  problem?: string | null;
  /** What was typed and is not kept. */
  answers?: LookAnswers;
}

/**
 * The door of second looks: `/d/<key>/` opens a draft to somebody who looks at it for its maker, for as long as its maker said. What is
 * over, was ended or never was gets the page that everything closed gets. Whether it is open, and what the draft is, is asked by each
 * request; no answer is kept in front of this server.
 */
export function lookDoor(app: FastifyInstance, { db, blobs, trees, answer, now }: LookDoorDeps): void {
  const mayFromPlace = limited(app, limits.fromPlace);
  const mayWithLink = limited(app, limits.withLink);

  async function at(key: string): Promise<LookedAt | null> {
    const found = looksLikeKey(key) ? await lookAtKey(db, keyHash(key)) : null;
    return found && isOpen(found.look, now()) ? found : null;
  }

  async function enter(found: LookedAt): Promise<FileTree | 'making' | null> {
    const waiting = new AbortController();
    return Promise.race([
      trees.of(found),
      after(patienceMs, 'making' as const, { signal: waiting.signal, ref: false }),
    ]).finally(() => waiting.abort());
  }

  async function pageOf({ look }: LookedAt, key: string, file: ManifestFile, told: Told): Promise<string> {
    const html = (await blobs.read(file.hash)).toString();
    const onPage: SecondLookOnPage = {
      ...{ who: look.who, endsAt: look.endsAt, lines: look.lines },
      ...{ answers: told.answers ?? look.answers, before: look.answers },
      ...{ page: file.page ?? null, places: placesOn(file.hash, html).filter(({ title }) => title !== '') },
      ...{ kept: told.kept ?? false, tooLong: told.tooLong ?? [], problem: told.problem ?? null },
    };
    return withSecondLook(html, onPage, `${lookPath(key)}${sheet}`);
  }

  const entranceOf = (found: LookedAt, key: string, tree: FileTree, told: Told): Entrance => ({
    ...{ site: found.look.siteId, tree, indexable: false, secret: true, asked: true },
    said: (file) => pageOf(found, key, file, told),
    former: () => Promise.resolve(null),
  });

  const making = (request: FastifyRequest, reply: FastifyReply) =>
    reply
      .code(503)
      .headers({ ...doorHeaders, vary: 'accept-language', 'retry-after': '3', refresh: '3' })
      .send(renderMakingPage(doorWords(request.headers['accept-language'] ?? '')));

  /** The page once more, with what was typed and why nothing is kept. */
  async function again(reply: FastifyReply, found: LookedAt, key: string, file: ManifestFile, told: Told) {
    const html = await pageOf(found, key, file, told);
    return reply
      .code(told.tooLong ? 422 : 429)
      .headers({
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': pagePolicy({ ...file, writes: true }),
        'x-content-type-options': 'nosniff',
        'x-robots-tag': 'noindex',
        'referrer-policy': 'no-referrer',
        'cache-control': 'no-store',
      })
      .send(html);
  }

  type Params = { Params: { key: string; '*': string } };
  app.get<{ Params: { key: string } }>('/d/:key', async ({ params: { key } }, reply) =>
    (await at(key)) ? reply.redirect(lookPath(key), 302) : closed(reply),
  );

  app.get<Params>('/d/:key/*', async (request, reply) => {
    const { key, '*': path } = request.params;
    const found = await at(key);
    if (!found) return closed(reply);
    if (path === sheet)
      return reply
        .type('text/css; charset=utf-8')
        .headers({ 'cache-control': 'private, max-age=3600', 'x-robots-tag': 'noindex' })
        .send(secondLookStyle);
    const tree = await enter(found);
    if (tree === 'making') return making(request, reply);
    if (!tree) return closed(reply);
    const kept = (request.query as Record<string, unknown>)['kept'] === '1';
    const entrance = entranceOf(found, key, tree, { kept });
    return answer(request, reply, Promise.resolve({ entrance }), lookPath(key), path);
  });

  app.post<Params>('/d/:key/*', async (request, reply) => {
    const { key, '*': path } = request.params;
    const found = await at(key);
    const tree = found && (await enter(found));
    if (tree === 'making') return making(request, reply);
    const index = `${path}index.html`;
    const file =
      tree && (path === '' || path.endsWith('/')) && Object.hasOwn(tree, index) ? tree[index] : undefined;
    if (!found || !file || formField(request.body, lookField) === '') return closed(reply);
    const { look } = found;
    const html = (await blobs.read(file.hash)).toString();
    const places = placesOn(file.hash, html);
    const here = {
      page: file.page ?? null,
      title: pageTitleIn(html),
      nameOf: (part: string) => places.find((place) => place.part === part)?.title ?? null,
    };
    const typed = (before: LookAnswers) =>
      typedAnswers(look.lines, before, (name) => formField(request.body, name), here);
    if (
      !(await mayFromPlace(request, `${look.id} from ${request.ip}`)) ||
      !(await mayWithLink(request, look.id))
    )
      return again(reply, found, key, file, {
        answers: typed(look.answers).answers,
        problem: wordsFor(languageOf(html)).secondLook.tooMany,
      });
    const { answers, tooLong } = typed(look.answers);
    if (tooLong.length > 0) return again(reply, found, key, file, { answers, tooLong });
    await keepAnswers(db, look.id, now(), (before) => typed(before).answers);
    return reply
      .header('cache-control', 'no-store')
      .redirect(`${lookPath(key)}${path}?kept=1#${lookAnchor}`, 303);
  });
}
