import { subDays } from 'date-fns';
import type { FastifyInstance } from 'fastify';
import { countVisits, forgetVisits, getVisits, type SiteVisits } from '#contract/visits.ts';
import { visitTotals } from '#core/visits/visit-totals.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { ownSite, type SiteRow } from '../sites/load-draft.ts';
import { forgetVisits as forget, setCounting, titlesOfPaths, visitsOf } from './visit-rows.ts';
import type { Visits } from './visits.ts';

/** So many days are told. */
const toldDays = 90;

const isoDay = (date: Date): string => date.toISOString().slice(0, 10);

interface VisitDeps {
  db: Database;
  open: Pick<PublicSites, 'forget'>;
  visits: Visits;
  now: () => Date;
}

/** How often a maker's pages were opened. */
export function visitRoutes(app: FastifyInstance, { db, open, visits, now }: VisitDeps): void {
  const told = async ({ id, title }: SiteRow, on: boolean): Promise<SiteVisits> => {
    await visits.flush();
    const from = isoDay(subDays(now(), toldDays - 1));
    const totals = visitTotals(await visitsOf(db, id, from), from, isoDay(now()));
    const titles = await titlesOfPaths(db, id);
    const titleOf = (link: string, path: string) => {
      const page = link.startsWith('page-') ? link.slice('page-'.length) : '';
      return titles.get(`${page} ${path}`) ?? titles.get(` ${path}`) ?? (path === '' ? title : path);
    };
    return {
      ...{ on, byDay: totals.byDay, byLink: totals.byLink },
      byPage: totals.byPage.map((page) => ({ ...page, title: titleOf(page.link, page.path) })),
    };
  };

  handle(app, getVisits, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return told(site, site.countsVisits);
  });

  handle(app, countVisits, async ({ params, body }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await visits.flush();
    await setCounting(db, site.id, body.on);
    await open.forget([site.id]);
    return told(site, body.on);
  });

  handle(app, forgetVisits, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await visits.flush();
    await forget(db, site.id);
    return told(site, site.countsVisits);
  });
}
