import { afterAll, expect, test } from '@jest/globals';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { undoEdit } from '#contract/undo.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { TestServer } from '../testing/test-server.ts';

const server = await TestServer.start();
afterAll(() => server.stop());

test('what a maker was free for is taken from readers once its last day is over, by a step they find', async () => {
  const maker = await server.maker();
  const site = (await maker.site()).site.id;
  const { page } = await maker.call(createPage, {
    params: { site },
    body: { kind: 'about', title: 'About', materials: [] },
  });
  const free = (id: string, text: string, to: string): Part =>
    ({ ...newPart('availability', id), text, to }) as Part;
  const parts = [
    free('part-over', 'a summer job', '2020-08-29'),
    free('part-runs', 'a placement', '2999-12-31'),
  ];
  await maker.call(changePage, {
    params: { site, page },
    body: { seen: 1e9, label: 'About', change: { parts, height: 'public' } },
  });
  await maker.call(changeSite, {
    params: { site },
    body: { seen: 1e9, label: 'Height', change: { height: 'public', address: 'wren' } },
  });
  await maker.publish(site);
  const told = async () => {
    const { body } = await server.get('/wren/about/');
    return ['a summer job', 'a placement'].filter((one) => body.includes(one));
  };
  expect(await told()).toEqual(['a summer job', 'a placement']);
  // A server looks when it begins to listen, and from then on.
  await server.app.listen({ port: 0, host: '127.0.0.1' });
  // Between its being closed and a narrower release readers get nothing of the page.
  for (let tries = 0; tries < 200 && (await told()).length !== 1; tries++)
    await new Promise((resolve) => setTimeout(resolve, 50));
  expect(await told()).toEqual(['a placement']);
  const { history, pages } = await maker.state(site);
  expect(history.undo?.label).toBe('Free for came down: its last day is over');
  const heights = pages.flatMap((one) => ('parts' in one ? one.parts.map(({ height }) => height) : []));
  expect(heights).toEqual(['private', 'public']);
  // Undone, it would rise: that is asked first.
  await expect(
    maker.call(undoEdit, { params: { site }, body: { step: history.undo?.step ?? 0 } }),
  ).rejects.toThrow();
});
