import { sql } from 'drizzle-orm';
import { changeSite } from '#contract/sites.ts';
import { stored } from '#core/stored/stored-json.ts';
import { storedSite } from '#core/stored/stored-kinds.ts';
import { firstLook } from '#core/look/look.ts';
import { TestServer } from '../server/testing/test-server.ts';
import { median, milliseconds, type Row, timed } from './table.ts';
import { firstArrangement } from '#core/sites/arrangement.ts';

interface Measured {
  /** The list and the sitemap, asked for the first time after a start. */
  first: number;
  /** The same after one site has changed. */
  again: number;
  /** A page of another site, after that change. */
  page: number;
}

/** A server with so many public sites of five pages; one more changes again and again. */
async function measured(count: number): Promise<Measured> {
  const server = await TestServer.start();
  try {
    const maker = await server.maker();
    const { site } = await maker.site();
    const { db } = server.database;
    const kept = JSON.stringify({
      site: stored(storedSite, {
        id: 'site-0000',
        title: 'A site among many',
        height: 'public',
        address: 'many',
        searchEngines: true,
        look: firstLook,
        evidenceWanted: 3,
        ...firstArrangement,
      }),
      pages: [],
      materials: [],
    });
    const file = { hash: '0'.repeat(64), type: 'text/html; charset=utf-8', bytes: 1, immutable: false };
    const tree = Object.fromEntries(
      ['', 'one/', 'two/', 'three/', 'four/'].map((path) => [`${path}index.html`, file]),
    );
    const manifest = JSON.stringify({ public: tree, siteLink: tree, pageLinks: {} });
    for (let from = 1; from <= count; from += 1000) {
      const to = Math.min(count, from + 999);
      await db.execute(sql`insert into site (id, account_id, title, height, search_engines, look, revision, address, ceilings_known, listed)
        select 'many-' || n, (select id from account limit 1), 'Site ' || n, 'public', true, '{"theme":"broadsheet","v":1}', n, 'many-' || n, true, true
        from generate_series(${from}::int, ${to}::int) n`);
      await db.execute(sql`insert into release (site_id, number, name, source, manifest)
        select 'many-' || n, 1, '', ${kept}::jsonb, ${manifest}::jsonb from generate_series(${from}::int, ${to}::int) n`);
    }
    await db.execute(
      sql`update site set live_release = release.id from release where release.site_id = site.id and site.id like 'many-%'`,
    );
    const change = (n: number) =>
      maker.call(changeSite, {
        params: { site: site.id },
        body: { seen: 1e9, label: 'Title', change: { title: `Title ${n}` } },
      });
    const list = () =>
      timed(async () => {
        await maker.raw('POST', '/api/public-sites', {});
        await server.get('/sitemap.xml');
      });
    const first = await list();
    const again: number[] = [];
    const page: number[] = [];
    for (let n = 0; n < 9; n++) {
      await server.get('/many-7/');
      await change(n);
      again.push(await list());
      page.push(await timed(() => server.get('/many-7/')));
    }
    return { first, again: median(again), page: median(page) };
  } finally {
    await server.stop();
  }
}

/** The server's own list and sitemap with 10,000 sites beside one with 100. */
export async function benchManySites(count = 10_000): Promise<Row[]> {
  const few = await measured(100);
  const many = await measured(count);
  const row = (what: string, of: keyof Measured, wanted: string, reached: boolean): Row => ({
    what: `${what}, ${count} sites`,
    ours: milliseconds(many[of]),
    against: '100 sites',
    other: milliseconds(few[of]),
    ratio: many[of] / few[of],
    wanted,
    reached,
  });
  return [
    row('list and sitemap, the first time after a start', 'first', 'no limit set', true),
    row('list and sitemap after one site changed', 'again', 'under 100 ms', many.again < 100),
    row('a page of another site after that', 'page', 'at most twice', many.page <= 2 * few.page + 1),
  ];
}
