import { addDays, differenceInCalendarDays, format, parseISO } from 'date-fns';

/** How often a page was opened by a link on a day. */
export interface VisitRow {
  /** As ISO 8601 writes it, by UTC. */
  day: string;
  /** The link's name (`givenLinkName`); `*` where all of a site's links and pages are counted together. */
  link: string;
  /** Of the page below the entrance; `*` with the link `*`. */
  path: string;
  visits: number;
  /** Different ones on that day, as far as can be told without knowing any. */
  visitors: number;
}

export interface VisitTotals {
  /** Each day from the first to today, also those without a visit. */
  byDay: { day: string; visits: number; visitors: number }[];
  /** The most visited first. */
  byPage: { link: string; path: string; visits: number }[];
  /** The most visited first, each with the last day it was opened. */
  byLink: { link: string; visits: number; lastDay: string }[];
}

/** What stands for all links and pages together. */
export const ofAll = '*';

/**
 * Adds up what was counted.
 *
 * @param from the first day to tell, ISO 8601
 * @param today the last one
 */
export function visitTotals(rows: readonly VisitRow[], from: string, today: string): VisitTotals {
  const told = rows.filter(({ day }) => day >= from && day <= today);
  const ofDay = new Map(told.filter(({ link }) => link === ofAll).map((row) => [row.day, row]));
  const days = differenceInCalendarDays(parseISO(today), parseISO(from)) + 1;
  const byDay = Array.from({ length: Math.max(0, days) }, (_, index) => {
    const day = format(addDays(parseISO(from), index), 'yyyy-MM-dd');
    const { visits = 0, visitors = 0 } = ofDay.get(day) ?? {};
    return { day, visits, visitors };
  });
  const pages = new Map<string, { link: string; path: string; visits: number }>();
  const links = new Map<string, { link: string; visits: number; lastDay: string }>();
  for (const { day, link, path, visits } of told) {
    if (link === ofAll) continue;
    // The path below a link of one page begins at that page: it is another place than the same path below the site.
    const below = link.startsWith('page-') ? link : 'site';
    const page = pages.get(`${below} ${path}`) ?? { link, path, visits: 0 };
    page.visits += visits;
    pages.set(`${below} ${path}`, page);
    const one = links.get(link) ?? { link, visits: 0, lastDay: day };
    one.visits += visits;
    if (day > one.lastDay) one.lastDay = day;
    links.set(link, one);
  }
  const mostFirst = <T extends { visits: number }>(of: Map<string, T>) =>
    [...of.values()].sort((a, b) => b.visits - a.visits);
  return { byDay, byPage: mostFirst(pages), byLink: mostFirst(links) };
}
