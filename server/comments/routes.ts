import type { FastifyInstance } from 'fastify';
import { changeComment, listComments } from '#contract/comments.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { notFound } from '../http/problem.ts';
import type { Mailing } from '../mail/mailing.ts';
import { changeComment as change, receivedBy } from './comment-rows.ts';
import { tellCommenter } from './tell-commenter.ts';

/** What readers say of a maker's pages, for that maker. */
export function commentRoutes(
  app: FastifyInstance,
  {
    db,
    mailing,
    changed,
    now,
  }: {
    db: Database;
    mailing: Pick<Mailing, 'sends' | 'look'>;
    changed: (site: string) => Promise<void>;
    now: () => Date;
  },
): void {
  handle(app, listComments, async (_, request) => ({
    comments: await receivedBy(db, makerOf(request).id),
  }));

  handle(app, changeComment, async ({ params, body }, request) => {
    const { id } = makerOf(request);
    const site = await change(db, id, params.comment, body, now());
    if (site === null) throw notFound('This comment');
    // Before its maker is told so, it holds for every reader.
    await changed(site);
    if (typeof body.answer === 'string') await tellCommenter(db, mailing, params.comment, now());
    return { comments: await receivedBy(db, id) };
  });
}
