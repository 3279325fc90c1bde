import { eq } from 'drizzle-orm';
import { changePage } from '#contract/pages.ts';
import { releasable } from '#core/release/released.ts';
import { keepSource } from '../server/db/release-source.ts';
import { accounts, releases, sites } from '../server/db/schema.ts';
import { loadDraft } from '../server/sites/load-draft.ts';
import { TestServer } from '../server/testing/test-server.ts';
import { fillSite } from './large-site.ts';
import { median, milliseconds, type Row } from './table.ts';

/** A published site with so many pages of 20 parts and so many pictures, whose maker changes a word again and again. */
async function saving(pageCount: number, pictureCount: number): Promise<number> {
  const server = await TestServer.start();
  try {
    const maker = await server.maker();
    const { site } = await maker.site();
    const { db } = server.database;
    const [account] = await db.select({ id: accounts.id }).from(accounts);
    const pages = await fillSite(db, { site: site.id, account: account?.id ?? '' }, pageCount, pictureCount);
    const [row] = await db.select().from(sites).where(eq(sites.id, site.id));
    if (!row) throw new Error('There is no site to measure.');
    const source = releasable(await loadDraft(db, row));
    await db.transaction(async (tx) => {
      const [release] = await tx
        .insert(releases)
        .values({
          siteId: site.id,
          number: 1,
          name: '',
          source: await keepSource(tx, source),
          manifest: { public: {}, siteLink: {}, pageLinks: {} },
        })
        .returning({ id: releases.id });
      await tx
        .update(sites)
        .set({ liveRelease: release?.id ?? null })
        .where(eq(sites.id, site.id));
    });
    const page = pages[Math.floor(pageCount / 2)]?.id ?? '';
    const times: number[] = [];
    for (let n = 0; n < 25; n++) {
      const start = performance.now();
      await maker.call(changePage, {
        params: { site: site.id, page },
        body: { seen: 1e9, label: 'Summary', mergeKey: 'summary', change: { summary: `Line ${n}` } },
      });
      // The first ones warm up what the others run in.
      if (n >= 5) times.push(performance.now() - start);
    }
    return median(times);
  } finally {
    await server.stop();
  }
}

/** What the server takes to save one changed line: a large site beside a site of one page. */
export async function benchSaving(): Promise<Row> {
  const small = await saving(1, 20);
  const large = await saving(300, 5000);
  return {
    what: 'saving one changed line among 300 pages of 20 parts and 5,000 pictures',
    ours: milliseconds(large),
    against: 'a site of one page',
    other: milliseconds(small),
    ratio: large / small,
    wanted: 'at most 3 times',
    reached: large <= 3 * small,
  };
}
