import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { randomBytes } from 'node:crypto';
import { TestServer } from '../testing/test-server.ts';
import { pages } from './schema.ts';
import { vacuum } from './vacuum.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
  await (await server.maker()).site();
});
afterAll(() => server.stop());

const size = async (): Promise<number> => {
  const [row] = await server.database.db
    .select({ bytes: sql`pg_total_relation_size('page')`.mapWith(Number) })
    .from(sql`(select) as one_row`);
  return row?.bytes ?? Number.NaN;
};
/** Writes one row anew, forty times, with 20 KB that cannot be pressed together. */
const write = async () => {
  for (let n = 0; n < 40; n++)
    await server.database.db.update(pages).set({ content: { text: randomBytes(15_000).toString('base64') } });
};

test('what rows that were written anew have left behind is used again', async () => {
  await write();
  const before = await size();
  expect(before).toBeGreaterThan(600_000);
  await vacuum(server.database.db);
  await write();
  expect((await size()) - before).toBeLessThan(100_000);
  // Without it, the same comes on top once more.
  await write();
  expect((await size()) - before).toBeGreaterThan(600_000);
});
