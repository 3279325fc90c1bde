import { sql } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { newPart } from '#core/parts/new-part.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import type { Part } from '#core/parts/parts.ts';
import { partsChange } from '#core/parts/parts-change.ts';
import { releases as releaseRows } from '../server/db/schema.ts';
import { vacuum } from '../server/db/vacuum.ts';
import { newId } from '../server/db/new-id.ts';
import { TestServer } from '../server/testing/test-server.ts';
import type { Row } from './table.ts';

const kilobytes = (bytes: number): string => `${(bytes / 1000).toFixed(1)} KB`;
const sizeOf = (thing: unknown): number => JSON.stringify(thing).length;

/** Two kilobytes that are as hard to press together as a text is at most: no word comes twice. */
const text = (of: string) =>
  Array.from({ length: 250 }, (_, n) => createHash('md5').update(`${of} ${n}`).digest('base64').slice(0, 7));
const words = (id: string, word: string): Part => ({
  id,
  height: 'public',
  kind: 'words',
  text: fromParagraphs(`${text(id).join(' ')} ${word}`),
});

/** What the database grows by with each of many saves of a word on a page of 91 KB, beside what that part takes. */
export async function benchGrowth(): Promise<Row[]> {
  return [await growthOfSaves(), await growthOfReleases()];
}

async function sizeOfDatabase(server: TestServer): Promise<number> {
  await vacuum(server.database.db);
  const [row] = await server.database.db
    .select({ bytes: sql`pg_database_size(current_database())`.mapWith(Number) })
    .from(sql`(select) as one_row`);
  return row?.bytes ?? Number.NaN;
}

/** What the database grows by with each release of one changed word. */
async function growthOfReleases(pages = 100, releases = 40): Promise<Row> {
  const server = await TestServer.start();
  try {
    const maker = await server.maker();
    const { site } = await maker.site();
    const params = { site: site.id };
    await maker.call(changeSite, {
      params,
      body: { seen: 1e9, label: 'Open', change: { height: 'public', address: 'growth' } },
    });
    const pictures: string[] = [];
    for (let n = 0; n < pages * 4; n++) {
      const file = await sharp({
        create: { width: 40, height: 30, channels: 3, background: { r: n % 256, g: n >> 8, b: 90 } },
      })
        .png()
        .toBuffer();
      pictures.push((await maker.upload(site.id, `${n}.png`, file)).material);
    }
    const all: { page: string; parts: Part[] }[] = [];
    for (let n = 0; n < pages; n++) {
      const { page } = await maker.call(createPage, {
        params,
        body: { title: `Clock ${n}`, materials: [] },
      });
      const gallery = newPart('gallery', newId(), pictures.slice(n * 4, n * 4 + 4));
      const parts: Part[] = [
        { ...gallery, height: 'public' },
        ...Array.from({ length: 19 }, () => words(newId(), 'word')),
      ];
      await maker.call(changePage, {
        params: { ...params, page },
        body: { seen: 1e9, label: 'Words', change: { parts, height: 'public' } },
      });
      all.push({ page, parts });
    }
    const publish = async () => {
      const { state } = await maker.publish(site.id);
      if (state !== 'done') throw new Error(`The publish ended as ${state}.`);
    };
    await publish();
    const release = async (n: number) => {
      const one = all[n % pages];
      const last = one?.parts.at(-1);
      if (!one || !last) throw new Error('no page');
      const parts = one.parts.with(-1, words(last.id, `word ${n}`));
      await maker.call(changePage, {
        params: { ...params, page: one.page },
        body: { seen: 1e9, label: 'Words', change: {}, was: {}, parts: partsChange(one.parts, parts) },
      });
      one.parts = parts;
      await publish();
    };
    const day = 10;
    const some = async (from: number) => {
      for (let n = 0; n < day; n++) await release(from + n);
      return sizeOfDatabase(server);
    };
    // The first ones take room that later ones use again, once it was swept.
    await some(0);
    const before = await some(day);
    let after = before;
    for (let n = 2 * day; n < 2 * day + releases; n += day) after = await some(n);
    const each = (after - before) / releases;
    const [live] = await server.database.db
      .select({ bytes: sql`max(pg_column_size(manifest))`.mapWith(Number) })
      .from(releaseRows);
    const whole = live?.bytes ?? Number.NaN;
    return {
      what: `growth of the database with each release of a changed word on a site of ${pages} pages of 20 parts, over ${releases} releases, swept after every ${day}`,
      ours: kilobytes(each),
      against: 'the list of its files, as every release held it',
      other: kilobytes(whole),
      ratio: each / whole,
      wanted: 'at most 0.2 times',
      reached: each <= 0.2 * whole,
    };
  } finally {
    await server.stop();
  }
}

async function growthOfSaves(saves = 1000): Promise<Row> {
  const server = await TestServer.start();
  try {
    const maker = await server.maker();
    const { site } = await maker.site();
    const { page } = await maker.call(createPage, {
      params: { site: site.id },
      body: { title: 'Clock', materials: [] },
    });
    let parts: Part[] = Array.from({ length: 45 }, () => words(newId(), 'word'));
    const save = (change: object, n: number) =>
      maker.call(changePage, {
        params: { site: site.id, page },
        body: { seen: 1e9, label: 'Words', mergeKey: `part ${n}`, change: {}, was: {}, ...change },
      });
    await maker.call(changePage, {
      params: { site: site.id, page },
      body: { seen: 1e9, label: 'Words', change: { parts } },
    });
    const size = async () => {
      const [row] = await server.database.db
        .select({ bytes: sql`pg_database_size(current_database())`.mapWith(Number) })
        .from(sql`(select) as one_row`);
      return row?.bytes ?? Number.NaN;
    };
    const before = await size();
    for (let n = 0; n < saves; n++) {
      const at = n % parts.length;
      const next = parts.map((part, place) => (place === at ? words(part.id, `word ${n}`) : part));
      await save({ parts: partsChange(parts, next) }, n);
      parts = next;
    }
    const each = ((await size()) - before) / saves;
    const changed = sizeOf(parts[0]);
    return {
      what: `growth of the database with each save of a word on a page of ${Math.round(sizeOf(parts) / 1000)} KB, over ${saves} saves`,
      ours: kilobytes(each),
      against: 'the part it stands in',
      other: kilobytes(changed),
      ratio: each / changed,
      wanted: 'at most 3 times',
      reached: each <= 3 * changed,
    };
  } finally {
    await server.stop();
  }
}
