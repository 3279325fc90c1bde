import type { FastifyInstance } from 'fastify';
import { changeGroup, listGroups, makeGroup, removeGroup, restoreGroup } from '#contract/groups.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { addGroup, changeGroupRow, groupsOf, removeGroupRow, restoreGroupRow } from './group-rows.ts';

/** A maker's groups: people they know by names. What is done with one is answered with all of them as they are then. */
export function groupRoutes(
  app: FastifyInstance,
  { db, secret, now }: { db: Database; secret: Buffer; now: () => Date },
): void {
  const all = async (account: string) => ({ groups: await groupsOf(db, account, secret) });

  handle(app, listGroups, async (_, request) => all(makerOf(request).id));

  handle(app, makeGroup, async ({ body }, request) => {
    const { id } = makerOf(request);
    const made = await addGroup(db, id, body);
    return { ...(await all(id)), made };
  });

  handle(app, changeGroup, async ({ params, body }, request) => {
    const { id } = makerOf(request);
    await changeGroupRow(db, id, params.group, body.seen, body.terms);
    return all(id);
  });

  handle(app, removeGroup, async ({ params }, request) => {
    const { id } = makerOf(request);
    await removeGroupRow(db, id, params.group, now());
    return all(id);
  });

  handle(app, restoreGroup, async ({ params }, request) => {
    const { id } = makerOf(request);
    await restoreGroupRow(db, id, params.group);
    return all(id);
  });
}
