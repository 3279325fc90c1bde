import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { listPasses, makePasses } from '#contract/passes.ts';
import { countVisits, forgetVisits, getVisits } from '#contract/visits.ts';
import { PublishedSite } from '../testing/published-site.ts';
import type { TestMaker } from '../testing/test-server.ts';
import { TestServer } from '../testing/test-server.ts';

const agent = 'Mozilla/5.0 (X11; Linux x86_64; rv:130.0) Gecko/20100101 Firefox/130.0';
let server: TestServer;
let maker: TestMaker;
let site: PublishedSite;
let origin: string;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = await PublishedSite.open(server, maker);
  // Over the line, so that what is kept in front answers too.
  origin = await server.app.listen({ host: '127.0.0.1', port: 0 });
});
afterAll(() => server.stop());

const at = () => ({ params: { site: site.site } });
const visits = (by = maker) => by.call(getVisits, at());
const today = async () => (await visits()).byDay.at(-1);
const open = async (path: string, headers: Record<string, string> = {}) => {
  const reply = await fetch(origin + path, { headers: { 'user-agent': agent, ...headers } });
  await reply.arrayBuffer();
  return reply;
};
const front = () => `/${site.address}/`;

describe('visits', () => {
  test('of pages are counted, also of what is answered from memory or unchanged; of files they are not', async () => {
    const first = await open(front());
    await open(front());
    const again = await open(front(), { 'if-none-match': first.headers.get('etag') ?? '' });
    expect(again.status).toBe(304);
    const html = await (await fetch(origin + front())).text();
    const file = /(?:href|src)="((?:assets|files)\/[^"]+)"/.exec(html)?.[1] ?? 'none';
    expect((await open(front() + file)).status).toBe(200);
    await open('/never-was-there/');
    await open(`${front()}nothing-here/`);
    // The one without a browser's name is no visit either.
    expect(await today()).toMatchObject({ visits: 3, visitors: 1 });
  });

  test('of the maker, of programs and ahead of time are not counted; of another maker they are', async () => {
    const before = (await today())?.visits ?? 0;
    await open(front(), { cookie: maker.cookie });
    await open(front(), { 'user-agent': 'Examplebot/1.0 (+http://search.example/)' });
    await open(front(), { 'sec-purpose': 'prefetch;prerender' });
    expect((await today())?.visits).toBe(before);
    await open(front(), { cookie: (await server.maker('Sal')).cookie });
    await open(front(), { cookie: 'kite_wall=made-up' });
    expect((await today())?.visits).toBe(before + 2);
  });

  test('are told by page and by link, each pass with the day it was opened last', async () => {
    const terms = { label: 'Tutors', opens: 'site' as const, timeZone: 'Europe/Berlin', password: null };
    const { passes } = await maker.call(makePasses, { ...at(), body: { passes: [terms] } });
    const [pass] = passes;
    await open(pass?.link ?? '');
    await open((await maker.state(site.site)).live.siteLinkPath ?? '');
    const told = await visits();
    expect(told.byLink.map(({ link }) => link)).toEqual(
      expect.arrayContaining(['address', 'site-link', `pass-${pass?.id}`]),
    );
    expect(told.byPage[0]).toMatchObject({ path: '' });
    const day = new Date().toISOString().slice(0, 10);
    expect((await maker.call(listPasses, at())).visits).toEqual({
      [pass?.id ?? '']: { visits: 1, lastDay: day },
    });
    // Keys of links and addresses of readers stand nowhere in what is kept.
    const { rows } = (await server.database.db.execute(sql`select * from visit`)) as { rows: object[] };
    expect(rows.length).toBeGreaterThan(0);
    expect(JSON.stringify(rows)).not.toMatch(/127\.0\.0\.1|Firefox/);
    expect(JSON.stringify(rows)).not.toContain(pass?.link?.split('/')[2]);
  });

  test('are for their maker only', async () => {
    const other = await server.maker('Kim');
    for (const route of [getVisits, forgetVisits])
      await expect(other.call(route, at())).rejects.toMatchObject({ status: 404 });
    await expect(other.call(countVisits, { ...at(), body: { on: false } })).rejects.toMatchObject({
      status: 404,
    });
  });

  test('are not counted once that is switched off, from the next one on, and can be forgotten', async () => {
    const before = (await today())?.visits ?? 0;
    expect(before).toBeGreaterThan(0);
    expect((await maker.call(countVisits, { ...at(), body: { on: false } })).on).toBe(false);
    await open(front());
    await open(front());
    expect((await today())?.visits).toBe(before);
    await maker.call(forgetVisits, at());
    expect((await today())?.visits).toBe(0);
    await maker.call(countVisits, { ...at(), body: { on: true } });
    await open(front());
    expect((await today())?.visits).toBe(1);
  });
});
