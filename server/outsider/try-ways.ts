import pLimit from 'p-limit';
import type { Tried, TriedWay } from '#core/outsider/outsider-test.ts';
import { linksInPage } from '#core/outsider/links-in-page.ts';
import type { Ask } from './asking.ts';
import type { Way, WaysOfSite } from './ways-of-site.ts';

/** So many addresses are asked at once, of one way in, and of links that lead elsewhere; and so many ways in are tried to the last picture. */
const limits = { atOnce: 6, ofWay: 3000, outside: 60, whole: 12 };

/** Whether a link that leads elsewhere answers. */
export type AskOutside = (to: string) => Promise<Tried['outside'][number]['answers']>;

interface Page {
  path: string;
  /** The name of the page it was found on; empty for where it begins. */
  on: string;
}

/** A path as a page names it, without what is asked of it; none where it is no path. */
function pathIn(rest: string): string | undefined {
  try {
    return decodeURI(rest.split('?', 1)[0] ?? '');
  } catch {
    return undefined;
  }
}

/** Follows everything that stands below one way in. */
async function tryWay(
  origin: string,
  { path: base, pages, ...way }: Way,
  { ask, outside, follows }: { ask: Ask; outside: Map<string, string>; follows: 'all' | 'pages' },
): Promise<TriedWay> {
  const root = origin + base;
  const tried: TriedWay = {
    ...way,
    met: 'silent',
    pages: pages.map(({ page, title }) => ({ page, title, opened: false })),
    ...{ asked: 0, failed: [], listed: null, cut: false },
  };
  const front = await ask(root);
  tried.asked = 1;
  if (!front) return tried;
  tried.met = front.status === 404 ? 'shut' : 'opens';
  if (front.html !== null && /<input[^>]+type="password"/.test(front.html)) tried.met = 'asks';
  else if (front.status !== 404 && front.status !== 200)
    tried.failed.push({ path: '', on: '', status: front.status });
  if (tried.met !== 'opens' || front.html === null) return tried;
  tried.listed = !/noindex/.test(front.headers.get('x-robots-tag') ?? '');

  const titles = new Map(pages.map(({ path, title }) => [path, title]));
  const below = (url: string) => (url.startsWith(root) ? pathIn(url.slice(root.length)) : undefined);
  const seen = new Set<string>();
  const queue: Page[] = [];
  const add = (path: string | undefined, on: string) => {
    if (path === undefined || seen.has(path)) return;
    if (seen.size >= limits.ofWay) tried.cut = true;
    else {
      seen.add(path);
      queue.push({ path, on });
    }
  };
  const read = (path: string, url: string, html: string) => {
    const on = titles.get(path) ?? path;
    const { leads, loads } = linksInPage(html, url);
    for (const to of follows === 'all' ? [...leads, ...loads] : leads) {
      const path = below(to);
      if (path !== undefined) add(path, on);
      // What a reader's browser loads from elsewhere does so only when they ask for it.
      else if (!to.startsWith(origin) && leads.includes(to) && !outside.has(to)) outside.set(to, on);
    }
  };
  // Where it was led, that is the front for its readers.
  const opened = new Set<string>();
  const first = below(front.url) ?? '';
  for (const path of new Set(['', first])) seen.add(path);
  opened.add('').add(first);
  read(first, front.url, front.html);
  // A page that no other one leads to is asked for as well: its readers may have its address.
  for (const { path } of pages) add(path, '');

  const limit = pLimit(limits.atOnce);
  while (queue.length > 0)
    await Promise.all(
      queue.splice(0).map(({ path, on }) =>
        limit(async () => {
          const answer = await ask(root + path);
          tried.asked++;
          if (answer?.status !== 200) {
            // What is told as a page of its own is not told as a file as well.
            if (!titles.has(path)) tried.failed.push({ path, on, status: answer?.status ?? null });
            return;
          }
          opened.add(path).add(below(answer.url) ?? path);
          if (answer.html !== null) read(below(answer.url) ?? path, answer.url, answer.html);
        }),
      ),
    );
  tried.pages = pages.map(({ page, title, path }) => ({ page, title, opened: opened.has(path) }));
  return tried;
}

/** Tries every way into a site, open or shut, over HTTP, and asks for what must not be there. */
export async function tryWays(
  origin: string,
  { release, ways, guesses }: WaysOfSite,
  ask: Ask,
  askOutside: AskOutside,
): Promise<Tried> {
  const outside = new Map<string, string>();
  const tried: TriedWay[] = [];
  for (const [at, way] of ways.entries())
    // Of many passes the pages of the last ones are tried, and not each picture on them once more.
    tried.push(await tryWay(origin, way, { ask, outside, follows: at < limits.whole ? 'all' : 'pages' }));
  const guessed = [];
  for (const { page, title, path } of guesses) {
    const answer = await ask(origin + path);
    // Where a page once stood strangers may be led on to one that is open to them.
    guessed.push({ page, title, opened: answer?.status === 200 && new URL(answer.url).pathname === path });
  }
  const limit = pLimit(limits.atOnce);
  const asked = [...outside]
    .slice(0, limits.outside)
    .map(([to, on]) => limit(async () => ({ to, on, answers: await askOutside(to) })));
  return { release, ways: tried, guessed, outside: await Promise.all(asked) };
}
