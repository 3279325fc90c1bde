import type { FastifyInstance } from 'fastify';
import { changeMessage, countUnread, openBox, sendCopies } from '#contract/messages.ts';
import { makerOf } from '../accounts/sessions.ts';
import { waitingFor } from '../comments/comment-rows.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { notFound } from '../http/problem.ts';
import { boxOf, changeIn, setCopies, unreadIn } from './box.ts';

/** The maker's box. */
export function boxRoutes(
  app: FastifyInstance,
  { db, sendsMail }: { db: Database; sendsMail: boolean },
): void {
  handle(app, openBox, (_, request) => boxOf(db, makerOf(request).id, sendsMail));

  handle(app, countUnread, async (_, request) => {
    const { id } = makerOf(request);
    return { unread: (await unreadIn(db, id)) + (await waitingFor(db, id)) };
  });

  handle(app, changeMessage, async ({ params, body }, request) => {
    const { id } = makerOf(request);
    if (!(await changeIn(db, id, params.message, body))) throw notFound('This message');
    return boxOf(db, id, sendsMail);
  });

  handle(app, sendCopies, async ({ body }, request) => {
    const { id } = makerOf(request);
    await setCopies(db, id, body);
    return boxOf(db, id, sendsMail);
  });
}
