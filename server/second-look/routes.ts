import type { FastifyInstance } from 'fastify';
import {
  askForSecondLook,
  endSecondLook,
  listSecondLooks,
  removeSecondLook,
} from '#contract/second-looks.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { notFound } from '../http/problem.ts';
import { passRow } from '../passes/pass-rows.ts';
import { ownSite } from '../sites/load-draft.ts';
import { addLook, endLook, lookOf, lookRows, removeLook } from './look-rows.ts';

interface LookRouteDeps {
  db: Database;
  secret: Buffer;
  now: () => Date;
}

/** A maker's second looks. Whether one is open is asked by each request at its door, so what is ended is over with the next. */
export function secondLookRoutes(app: FastifyInstance, { db, secret, now }: LookRouteDeps): void {
  const all = async (site: string) => ({
    looks: (await lookRows(db, site)).map((row) => lookOf(row, secret, now())),
  });

  handle(app, listSecondLooks, async ({ params }, request) =>
    all((await ownSite(db, makerOf(request).id, params.site)).id),
  );

  handle(app, askForSecondLook, async ({ params, body: { days, ...terms } }, request) => {
    const { id } = await ownSite(db, makerOf(request).id, params.site);
    if (terms.as.kind === 'pass' && !(await passRow(db, id, terms.as.pass))) throw notFound('This pass');
    await addLook(db, id, secret, terms, days, now());
    return all(id);
  });

  handle(app, endSecondLook, async ({ params }, request) => {
    const { id } = await ownSite(db, makerOf(request).id, params.site);
    await endLook(db, id, params.look, now());
    return all(id);
  });

  handle(app, removeSecondLook, async ({ params }, request) => {
    const { id } = await ownSite(db, makerOf(request).id, params.site);
    await removeLook(db, id, params.look);
    return all(id);
  });
}
