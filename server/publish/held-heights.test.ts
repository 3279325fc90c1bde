import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { bringBackRelease } from '#contract/publishing.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { undoEdit } from '#contract/undo.ts';
import type { Height } from '#core/access/height.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { PartOf } from '#core/parts/parts.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** A thing inside a part with a height of its own, asked from outside by HTTP: a column of a table. */
let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

test('a column is shut on the next request, stays so, and waits for a publish to open', async () => {
  const site = (await maker.site()).site.id;
  const { page } = await maker.call(createPage, {
    params: { site },
    body: { title: 'Lamp', materials: [] },
  });
  const table = (cost: Height): PartOf<'table'> => ({
    ...(newPart('table', 'table-one') as PartOf<'table'>),
    columns: [
      { id: 'column-what', name: 'What', height: 'public', sum: false },
      { id: 'column-cost', name: 'What it cost', height: cost, sum: true },
    ],
    rows: [['Rods', '4.20']],
  });
  const set = async (cost: Height, height: Height = 'public') => {
    const { revision } = await maker.state(site);
    return maker.call(changePage, {
      params: { site, page },
      body: { seen: revision, label: 'Table', change: { parts: [table(cost)], height } },
    });
  };
  const stranger = async () => {
    const reply = await server.get('/held-heights/lamp/');
    return `${reply.statusCode} ${reply.body}`;
  };
  await maker.call(changeSite, {
    params: { site },
    body: { seen: 0, label: 'Open', change: { height: 'public', address: 'held-heights' } },
  });
  await set('private');
  await maker.publish(site);
  expect(await stranger()).toContain('Rods');
  expect(await stranger()).not.toMatch(/4\.20|What it cost/);

  // Raised: only with the next publish, which says so.
  const raised = await set('public');
  expect(raised.live.waiting.flatMap(({ what }) => what)).toEqual(['table changed']);
  expect(await stranger()).not.toContain('4.20');
  await maker.publish(site);
  expect(await stranger()).toContain('4.20');

  // Lowered: at once, with the rest of the page still there.
  await set('private');
  expect(await stranger()).not.toMatch(/4\.20|What it cost/);
  expect(await stranger()).toContain('Rods');

  // Undoing that asks first, and opens nothing by itself.
  const undo = (sure: boolean) => maker.call(undoEdit, { params: { site }, body: { sure } });
  await expect(undo(false)).rejects.toMatchObject({ status: 409 });
  await undo(true);
  expect(await stranger()).not.toContain('4.20');

  // Nor does an older release that still had it.
  await maker.call(bringBackRelease, { params: { site, number: '2' } });
  expect(await stranger()).toContain('Rods');
  expect(await stranger()).not.toContain('4.20');
});
