import { changePage } from '#contract/pages.ts';
import type { Material } from '#core/content/material.ts';
import type { Page } from '#core/pages/page.ts';
import { fromParagraphs } from '#core/content/rich-text.ts';
import { newPart } from '#core/parts/new-part.ts';
import { releasable } from '#core/release/released.ts';
import { newId } from '../server/db/new-id.ts';
import { pageRow } from '../server/db/rows/page-row.ts';
import { accounts, materials, releases, sites } from '../server/db/schema.ts';
import { newMaterial } from '../server/media/new-material.ts';
import { emptyPage } from '../server/pages/new-page.ts';
import { loadDraft } from '../server/sites/load-draft.ts';
import { TestServer } from '../server/testing/test-server.ts';
import { eq } from 'drizzle-orm';
import { median, milliseconds, type Row } from './table.ts';

const picture = (at: number): Material =>
  newMaterial(
    {
      original: at.toString(16).padStart(64, '0'),
      fileName: `${at}.jpg`,
      bytes: 1000,
      title: `Picture ${at}`,
      alt: 'What is to be seen',
    },
    {
      kind: 'picture',
      facts: {
        format: 'jpeg',
        widthPx: 4000,
        heightPx: 3000,
        orientation: 1,
        hasGps: false,
        colour: '#888888',
        thumbhash: '3OcRJYB4d3h/iIeHeEh3eIhw+j2w',
        frames: 1,
      },
    },
  );

/** A published site with so many pages of 20 parts and so many pictures, whose maker changes a word again and again. */
async function saving(pageCount: number, pictureCount: number): Promise<number> {
  const server = await TestServer.start();
  try {
    const maker = await server.maker();
    const { site } = await maker.site();
    const { db } = server.database;
    const [account] = await db.select({ id: accounts.id }).from(accounts);
    const made = Array.from({ length: pictureCount }, (_, at) => picture(at));
    for (let from = 0; from < made.length; from += 500)
      await db
        .insert(materials)
        .values(
          made.slice(from, from + 500).map((one) => ({ ...one, accountId: account?.id ?? '', revision: 1 })),
        );
    const ids = made.map(({ id }) => id);
    const all = Array.from({ length: pageCount }, (_, at): Page => {
      const some = (n: number) => Array.from({ length: n }, (_, k) => ids[(at * 16 + k) % ids.length] ?? '');
      return {
        ...emptyPage('project', `b${String(at).padStart(4, '0')}`, `project-${at}`),
        title: `Project ${at}`,
        parts: Array.from({ length: 20 }, (_, n) =>
          n % 5 === 4
            ? newPart('gallery', newId(), some(6))
            : {
                id: newId(),
                height: 'public',
                kind: 'words',
                text: fromParagraphs('Why it was made so. '.repeat(20)),
              },
        ),
      };
    });
    const scope = { site: site.id, account: account?.id ?? '' };
    await db.transaction(async (tx) => {
      for (const page of all) await pageRow.insert(tx, scope, page, 1);
    });
    await db.update(sites).set({ height: 'public' }).where(eq(sites.id, site.id));
    const [row] = await db.select().from(sites).where(eq(sites.id, site.id));
    if (!row) throw new Error('There is no site to measure.');
    const source = releasable(await loadDraft(db, row));
    const [release] = await db
      .insert(releases)
      .values({
        siteId: site.id,
        number: 1,
        name: '',
        source,
        manifest: { public: {}, siteLink: {}, pageLinks: {} },
      })
      .returning({ id: releases.id });
    await db
      .update(sites)
      .set({ liveRelease: release?.id ?? null })
      .where(eq(sites.id, site.id));
    const page = all[Math.floor(pageCount / 2)]?.id ?? '';
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
