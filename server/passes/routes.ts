import type { FastifyInstance } from 'fastify';
import { changePass, listPasses, makePasses, removePass, renewPass, restorePass } from '#contract/passes.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { visitsByPass } from '../visits/visit-rows.ts';
import type { Visits } from '../visits/visits.ts';
import { moveReminders } from '../mail/letter-rows.ts';
import { ownSite } from '../sites/load-draft.ts';
import {
  addPasses,
  changePassRow,
  passOf,
  passRows,
  removePassRow,
  renewPassRow,
  restorePassRow,
} from './pass-rows.ts';
import type { PassTrees } from './pass-trees.ts';

/**
 * A maker's passes. Every change is told to whatever remembers what is open before its maker is told that it is made, so that it holds
 * from the next request on.
 */
export function passRoutes(
  app: FastifyInstance,
  {
    db,
    open,
    trees,
    secret,
    visits,
    now,
  }: {
    db: Database;
    open: PublicSites;
    trees: PassTrees;
    secret: Buffer;
    visits: Pick<Visits, 'flush'>;
    now: () => Date;
  },
): void {
  const all = async (site: string) => {
    await visits.flush();
    return {
      passes: (await passRows(db, site)).map((row) => passOf(row, secret)),
      visits: Object.fromEntries(await visitsByPass(db, site)),
    };
  };
  const changed = async (site: string) => {
    await open.forget([site]);
    trees.ahead(site);
  };

  handle(app, listPasses, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return all(site.id);
  });

  handle(app, makePasses, async ({ params, body }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const made = await addPasses(db, site.id, secret, body.passes);
    await changed(site.id);
    return { passes: made.map((row) => passOf(row, secret)), visits: {} };
  });

  handle(app, changePass, async ({ params, body }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const row = await changePassRow(db, site.id, params.pass, body);
    await moveReminders(db, row.id, row.closesAt, now());
    await changed(site.id);
    return passOf(row, secret);
  });

  handle(app, renewPass, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const row = await renewPassRow(db, site.id, params.pass, secret);
    await changed(site.id);
    return passOf(row, secret);
  });

  handle(app, removePass, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await removePassRow(db, site.id, params.pass);
    await changed(site.id);
    return all(site.id);
  });

  handle(app, restorePass, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const row = await restorePassRow(db, site.id, params.pass);
    await changed(site.id);
    return passOf(row, secret);
  });
}
