import { sql } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { changePage, createProject } from '#contract/pages.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import type { Part } from '#core/parts/parts.ts';
import { partsChange } from '#core/parts/parts-change.ts';
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
export async function benchGrowth(saves = 1000): Promise<Row> {
  const server = await TestServer.start();
  try {
    const maker = await server.maker();
    const { site } = await maker.site();
    const { page } = await maker.call(createProject, {
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
