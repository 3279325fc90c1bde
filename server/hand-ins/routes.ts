import type { FastifyInstance } from 'fastify';
import {
  changeHandIn,
  doHandIn,
  joinClass,
  listHandIns,
  makeHandIn,
  removeHandIn,
  tellClass,
  undoHandIn,
} from '#contract/hand-ins.ts';
import type { GivenLink } from '#core/access/given-link.ts';
import type { WayIn } from '#core/outsider/outsider-test.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { classAtKey } from '../groups/class-rows.ts';
import { joinClassRow, nobodyJoins, tellClassRow } from '../groups/joined-rows.ts';
import { handle } from '../http/handle.ts';
import type { Outsider } from '../outsider/outsider.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { ownSite, type SiteRow } from '../sites/load-draft.ts';
import {
  addHandIn,
  changeHandInRow,
  handedIn,
  handInRow,
  handInsOf,
  notHandedIn,
  removeHandInRow,
} from './hand-in-rows.ts';

/** Whether a way in is the one by which something is handed in. */
const isBy = (by: GivenLink) => (way: WayIn) => {
  if (way.kind === 'pass') return by.kind === 'pass' && by.pass === way.pass;
  if (way.kind === 'page-link') return by.kind === 'page-link' && by.thing === way.thing;
  return by.kind === way.kind;
};

/** It opens everything that stands behind a link. */
const slowly = { config: { rateLimit: { max: 20, timeWindow: '1 minute' } } };

/** A whole class joins from one room, behind one address. */
const asAClass = { config: { rateLimit: { max: 300, timeWindow: '1 minute' } } };

/** Where a maker hands in links, and what was live when they did. */
export function handInRoutes(
  app: FastifyInstance,
  {
    db,
    open,
    outsider,
    secret,
    now,
  }: { db: Database; open: PublicSites; outsider: Outsider; secret: Buffer; now: () => Date },
): void {
  const all = async (site: SiteRow) => ({ handIns: await handInsOf(db, site, secret, now()) });

  handle(app, listHandIns, async ({ params }, request) =>
    all(await ownSite(db, makerOf(request).id, params.site)),
  );

  handle(app, makeHandIn, async ({ params, body }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await addHandIn(db, site.id, body);
    return all(site);
  });

  handle(app, changeHandIn, async ({ params, body }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await changeHandInRow(db, site.id, params.handIn, body);
    return all(site);
  });

  handle(app, removeHandIn, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await removeHandInRow(db, site.id, params.handIn);
    await open.forget([site.id]);
    return all(site);
  });

  handle(
    app,
    doHandIn,
    async ({ params, body }, request) => {
      const site = await ownSite(db, makerOf(request).id, params.site);
      const { by } = await handInRow(db, site.id, params.handIn);
      const findings = body.anyway ? [] : await outsider.tryOne(site.id, isBy(by));
      const opens = findings.length > 0 && findings.every(({ is }) => is !== 'wrong');
      if (!body.anyway && !opens)
        return {
          ...(await all(site)),
          done: false,
          findings:
            findings.length > 0
              ? findings
              : [
                  {
                    is: 'wrong' as const,
                    says: 'Its link opens nothing now.',
                    repairs: [{ kind: 'publish' as const }],
                  },
                ],
        };
      await handedIn(db, site, params.handIn, secret, now());
      await open.forget([site.id]);
      return { ...(await all(site)), done: true, findings };
    },
    slowly,
  );

  handle(
    app,
    joinClass,
    async ({ params, body: { key, ...wanted } }, request) => {
      const site = await ownSite(db, makerOf(request).id, params.site);
      const group = await classAtKey(db, key);
      if (!group) throw nobodyJoins();
      await joinClassRow(db, site.id, group, wanted, secret);
      await open.forget([site.id]);
      return all(site);
    },
    asAClass,
  );

  handle(app, tellClass, async ({ params, body }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await tellClassRow(db, site.id, params.handIn, body, now());
    return all(site);
  });

  handle(app, undoHandIn, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await notHandedIn(db, site.id, params.handIn);
    await open.forget([site.id]);
    return all(site);
  });
}
