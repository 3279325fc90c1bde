import type { FastifyInstance } from 'fastify';
import { askLink, askSomeLinks, type KnownAnswers, listLinkAnswers } from '#contract/link-answers.ts';
import type { LinkAnswer } from '#core/links/link-answer.ts';
import { linksElsewhere } from '#core/links/links-elsewhere.ts';
import { standingPages } from '#core/pages/standing-pages.ts';
import { stands } from '#core/sites/quick-link.ts';
import type { Draft } from '#core/sites/site.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { draftAt } from '../sites/load-draft.ts';
import { forgetAnswersBut, linkAnswersOf, rememberAnswer } from './link-answer-rows.ts';
import { askWhetherItAnswers } from './link-state.ts';
import type { Outgoing } from './outgoing.ts';

interface LinkAnswersDeps {
  db: Database;
  outgoing: Outgoing;
  /** Origin at which readers come to sites: links to it are links inside. */
  publicOrigin: string;
  now: () => Date;
}

/** What answered so long ago may be gone since, in ms: 30 days. */
const staleMs = 30 * 24 * 60 * 60 * 1000;
/** So many are asked at once, and then it is told how many are left. */
const atOnce = 6;
/** This server fetches pages for its makers, and for nobody's harm. */
const slowly = (max: number) => ({ config: { rateLimit: { max, timeWindow: '1 minute' } } });

/** Whether what a site leads to elsewhere answers: asked when its maker wants to know, and remembered. */
export function linkAnswerRoutes(
  app: FastifyInstance,
  { db, outgoing, publicOrigin, now }: LinkAnswersDeps,
): void {
  const ask = async (site: string, to: string): Promise<LinkAnswer> => {
    const answer = { to, ...(await askWhetherItAnswers(outgoing, to)), askedAt: now().toISOString() };
    await rememberAnswer(db, site, answer);
    return answer;
  };

  /** Addresses elsewhere on pages that are not put away, and those that stand on many. */
  const onPages = ({ pages, site }: Draft): string[] => [
    ...new Set(
      standingPages(pages)
        .flatMap(({ parts }) => linksElsewhere(parts).map(({ to }) => to))
        .concat(site.quickLinks.filter(stands).map(({ to }) => to))
        .filter((to) => new URL(to).origin !== publicOrigin),
    ),
  ];

  /** What is no link of the site any more is forgotten. @param kept all the same */
  const forgetOthers = (draft: Draft, kept: readonly string[] = []): Promise<void> =>
    forgetAnswersBut(db, draft.site.id, [
      ...kept,
      ...draft.site.quickLinks.map((link) => link.to),
      ...onPages(draft),
    ]);

  const known = async (draft: Draft): Promise<KnownAnswers & { next: string[] }> => {
    const answers = await linkAnswersOf(db, draft.site.id);
    const askedAt = new Map(answers.map((one) => [one.to, Date.parse(one.askedAt)]));
    const stale = now().getTime() - staleMs;
    const untried = onPages(draft).filter((to) => (askedAt.get(to) ?? 0) < stale);
    return { answers, untried: untried.length, next: untried.slice(0, atOnce) };
  };
  const draftFor = async (account: string, site: string) => (await draftAt(db, account, site)).draft;

  handle(app, listLinkAnswers, async ({ params }, request) => {
    const { answers, untried } = await known(await draftFor(makerOf(request).id, params.site));
    return { answers, untried };
  });

  handle(
    app,
    askLink,
    async ({ params, body: { to } }, request) => {
      const draft = await draftFor(makerOf(request).id, params.site);
      const answer = await ask(draft.site.id, to);
      // What was only just typed may not be saved yet.
      await forgetOthers(draft, [to]);
      return answer;
    },
    slowly(60),
  );

  handle(
    app,
    askSomeLinks,
    async ({ params }, request) => {
      const draft = await draftFor(makerOf(request).id, params.site);
      const { next } = await known(draft);
      await Promise.all(next.map((to) => ask(draft.site.id, to)));
      await forgetOthers(draft);
      const { answers, untried } = await known(draft);
      return { answers, untried };
    },
    slowly(20),
  );
}
