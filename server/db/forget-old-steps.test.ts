import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { changePage, createPage } from '#contract/pages.ts';
import { undoEdit } from '#contract/undo.ts';
import { TestServer } from '../testing/test-server.ts';
import { forgetOldSteps } from './forget-old-steps.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

test('steps that are old and far back are forgotten, each site by itself; what they did stays', async () => {
  const { db } = server.database;
  const maker = await server.maker();
  const sites = [(await maker.site('One')).site.id, (await maker.site('Two')).site.id];
  const titles = ['A', 'B', 'C', 'D', 'E'];
  const made: { site: string; page: string }[] = [];
  for (const site of sites) {
    const { page } = await maker.call(createPage, {
      params: { site },
      body: { title: '', materials: [] },
    });
    made.push({ site, page });
    for (const title of titles)
      await maker.call(changePage, {
        params: { site, page },
        body: { seen: 1e9, label: `Title ${title}`, change: { title } },
      });
  }
  const hour = 60 * 60 * 1000;
  const undone = async (site: string) => {
    const labels: string[] = [];
    for (;;) {
      const patch = await maker.call(undoEdit, { params: { site } }).catch(() => null);
      if (!patch) return labels;
      labels.push(patch.label);
    }
  };
  // All are young.
  await forgetOldSteps(db, { steps: 2, keptMs: hour });
  // All are old, but one site of the two has no more than stay.
  await maker.call(undoEdit, { params: { site: sites[1] ?? '' } });
  await forgetOldSteps(db, { steps: 6, keptMs: -hour });
  expect((await undone(sites[1] ?? '')).length).toBe(5);
  await forgetOldSteps(db, { steps: 2, keptMs: -hour });
  expect((await maker.project(made[0]?.site ?? '', made[0]?.page ?? ''))?.title).toBe('E');
  expect(await undone(sites[0] ?? '')).toEqual(['Title E', 'Title D']);
  expect((await maker.project(made[0]?.site ?? '', made[0]?.page ?? ''))?.title).toBe('C');
});
