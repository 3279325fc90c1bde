import type { FastifyInstance, FastifyReply } from 'fastify';
import { isOpen } from '#core/second-look/look-state.ts';
import type { LookAnswers } from '#core/second-look/second-look.ts';
import { typedAnswers } from '#core/second-look/typed-answers.ts';
import { wordsFor } from '#core/public-words/words-for.ts';
import type { ManifestFile } from '#core/release/manifest.ts';
import { languageOf } from '#site/comments/with-comments.tsx';
import { lookAnchor, lookField, type SecondLookOnPage } from '#site/second-look/second-look-view.tsx';
import { secondLookStyle } from '#site/second-look/second-look-style.ts';
import { withSecondLook } from '#site/second-look/with-second-look.tsx';
import { pageTitleIn, placesOn } from '../comments/places-on.ts';
import type { Database } from '../db/connect.ts';
import { formField } from '../http/form-field.ts';
import { limited } from '../http/limited.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { keyHash, looksLikeKey } from '../passes/pass-key.ts';
import { type Answer, closed } from '../serve/answering.ts';
import { sayMaking, soonMade } from '../serve/making.ts';
import { pageAt } from '../serve/page-at.ts';
import type { Entrance } from '../serve/public-sites.ts';
import { sendWrittenPage } from '../serve/send-written-page.ts';
import { lookPath } from './look-key.ts';
import { keepAnswers, lookAtKey } from './look-rows.ts';
import type { LookedAt, LookTrees } from './look-trees.ts';

/** Sent in an hour: with one link from one place, and with one link at all. */
const limits = { fromPlace: 120, withLink: 400 } as const;
const sheet = 'second-look.css';

interface LookDoorDeps {
  db: Database;
  blobs: BlobStore;
  trees: Pick<LookTrees, 'of'>;
  answer: Answer;
  /** See `soonMade`. */
  patienceMs: number;
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
export function lookDoor(
  app: FastifyInstance,
  { db, blobs, trees, answer, patienceMs, now }: LookDoorDeps,
): void {
  const mayFromPlace = limited(app, limits.fromPlace);
  const mayWithLink = limited(app, limits.withLink);

  async function at(key: string): Promise<LookedAt | null> {
    const found = looksLikeKey(key) ? await lookAtKey(db, keyHash(key)) : null;
    return found && isOpen(found.look, now()) ? found : null;
  }

  const enter = (found: LookedAt) => soonMade(trees.of(found), patienceMs);

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

  const entranceOf = (found: LookedAt, key: string, tree: Entrance['tree'], told: Told): Entrance => ({
    ...{ site: found.look.siteId, tree, indexable: false, secret: true, asked: true },
    said: (file) => pageOf(found, key, file, told),
    former: () => Promise.resolve(null),
  });

  /** The page once more, with what was typed and why nothing is kept. */
  const again = async (
    reply: FastifyReply,
    status: number,
    found: LookedAt,
    key: string,
    file: ManifestFile,
    told: Told,
  ) => sendWrittenPage(reply, status, file, await pageOf(found, key, file, told));

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
    if (tree === 'making') return sayMaking(request, reply);
    if (!tree) return closed(reply);
    const kept = (request.query as Record<string, unknown>)['kept'] === '1';
    const entrance = entranceOf(found, key, tree, { kept });
    return answer(request, reply, Promise.resolve({ entrance }), lookPath(key), path);
  });

  app.post<Params>('/d/:key/*', async (request, reply) => {
    const { key, '*': path } = request.params;
    const found = await at(key);
    if (!found || formField(request.body, lookField) === '') return closed(reply);
    const tree = await enter(found);
    if (tree === 'making') return sayMaking(request, reply);
    const { look } = found;
    // A page that was taken back while somebody wrote is not shown again, but what they wrote of it is kept.
    const file = tree && pageAt(tree, path);
    const html = file ? (await blobs.read(file.hash)).toString() : '';
    const places = file ? placesOn(file.hash, html) : [];
    const here = {
      ...{ page: file?.page ?? null, title: pageTitleIn(html) },
      nameOf: (part: string) => places.find((place) => place.part === part)?.title ?? null,
    };
    const typed = (before: LookAnswers) =>
      typedAnswers(look.lines, before, (name) => formField(request.body, name), here);
    const { answers, tooLong } = typed(look.answers);
    const mayGoOn =
      (await mayFromPlace(request, `${look.id} from ${request.ip}`)) && (await mayWithLink(request, look.id));
    if (!file && (!mayGoOn || tooLong.length > 0)) return closed(reply);
    if (file && !mayGoOn)
      return again(reply, 429, found, key, file, {
        answers,
        problem: wordsFor(languageOf(html)).secondLook.tooMany,
      });
    if (file && tooLong.length > 0) return again(reply, 422, found, key, file, { answers, tooLong });
    await keepAnswers(db, look.id, now(), (before) => typed(before).answers);
    return reply
      .header('cache-control', 'no-store')
      .redirect(`${lookPath(key)}${file ? path : ''}?kept=1#${lookAnchor}`, 303);
  });
}
