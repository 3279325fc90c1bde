import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { publishOutlook } from '#contract/publishing.ts';
import { digestOf } from '#core/check/digest.ts';
import { releases } from '../db/schema.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

const reason = 'Idris said on the telephone that it may stay';
const onList = 'Ask Ana whether she may be named';

test('what a maker lets stand is not asked about at Publish; no reader and no release has why, nor a list', async () => {
  const live = await PublishedSite.open(server, maker);
  const needs = async () =>
    (await maker.call(publishOutlook, { params: { site: live.site }, body: { staying: [] } })).needed;
  await live.page(live.clock, { opening: { layout: 'full', pictures: [live.picture] } });
  expect(await needs()).toEqual([
    { page: live.clock, title: 'Tide clock', needs: [{ kind: 'alt', count: 1 }] },
  ]);
  const key = `alt ${live.clock} opening ${live.picture}`;
  // Said of something else, it lets nothing stand.
  await live.change({ waived: [{ key, of: digestOf('other'), reason }] });
  expect(await needs()).toHaveLength(1);
  await live.change({ waived: [{ key, of: digestOf(''), reason }] });
  expect(await needs()).toEqual([]);
  const lines = [{ id: 'line-one', text: onList, essential: true, rule: null, done: false }];
  await live.change({ lists: [{ id: 'list-one', name: onList, by: onList, evidence: 0, lines }] });
  await live.publish();
  const front = await live.stranger();
  expect(front).toContain('Tide clock');
  const paths = [...front.matchAll(/(?:href|src)="([^"#:]+)"/g)].map(([, path]) => path ?? '');
  expect(paths.length).toBeGreaterThan(3);
  for (const path of ['', ...new Set(paths)])
    for (const secret of [reason, onList]) expect((await live.stranger(path)).includes(secret)).toBe(false);
  const kept = await server.database.db.select().from(releases).where(eq(releases.siteId, live.site));
  expect(kept.length).toBeGreaterThan(1);
  const held = JSON.stringify(kept, (_, value: unknown) =>
    typeof value === 'bigint' ? Number(value) : value,
  );
  expect([reason, onList].filter((secret) => held.includes(secret))).toEqual([]);
  // Its maker has it still.
  expect((await maker.state(live.site)).site.lists[0]?.lines).toEqual(lines);
  expect((await maker.state(live.site)).site.waived).toEqual([{ key, of: digestOf(''), reason }]);
});
