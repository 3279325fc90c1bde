import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { changePage, createPage, movePart } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { undoEdit } from '#contract/undo.ts';
import { newPart } from '#core/parts/new-part.ts';
import { TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

async function twoPages() {
  const maker = await server.maker();
  const { site } = await maker.site();
  const params = { site: site.id };
  const one = await maker.call(createPage, { params, body: { title: 'One', materials: [] } });
  const two = await maker.call(createPage, { params, body: { title: 'Two', materials: [] } });
  const quote = { ...newPart('quote', 'quote-one'), text: 'It works.' };
  const changed = await maker.call(changePage, {
    params: { ...params, page: one.page },
    body: { seen: two.revision, label: 'Quote', change: { parts: [quote as never] } },
  });
  const move = (body: Partial<{ to: string; seen: number; seenThere: number }> = {}, part = 'quote-one') =>
    maker.call(movePart, {
      params: { ...params, page: one.page, part },
      body: { to: two.page, seen: changed.revision, seenThere: changed.revision, ...body },
    });
  const partsOf = async (page: string) => (await maker.project(site.id, page))?.parts.map(({ id }) => id);
  return { maker, params, one: one.page, two: two.page, move, partsOf };
}

describe('moving a part to another page', () => {
  test('it stands at the end of the other page, and one step of undo brings it back', async () => {
    const { maker, params, one, two, move, partsOf } = await twoPages();
    const before = await partsOf(two);
    await move();
    expect(await partsOf(one)).toEqual([]);
    expect(await partsOf(two)).toEqual([...(before ?? []), 'quote-one']);
    expect((await maker.call(undoEdit, { params })).label).toBe('Part moved to another page');
    expect(await partsOf(one)).toEqual(['quote-one']);
    expect(await partsOf(two)).toEqual(before);
  });

  test('a page that was changed elsewhere stops it, whichever of the two it is', async () => {
    const { one, move, partsOf } = await twoPages();
    await expect(move({ seen: 1 })).rejects.toMatchObject({ status: 409 });
    await expect(move({ seenThere: 1 })).rejects.toMatchObject({ status: 409 });
    expect(await partsOf(one)).toEqual(['quote-one']);
  });

  test('what is not there, the same page, and another maker’s page are refused', async () => {
    const { one, move } = await twoPages();
    const other = await twoPages();
    await expect(move({}, 'no-such-part')).rejects.toMatchObject({ status: 404 });
    await expect(move({ to: one })).rejects.toMatchObject({ status: 400 });
    await expect(move({ to: other.two })).rejects.toMatchObject({ status: 404 });
  });
});

describe('copying a project', () => {
  test('the copy is Private, says the same and has an address of its own; undo takes it away', async () => {
    const { maker, params, one } = await twoPages();
    const made = await maker.call(createPage, {
      params,
      body: { title: '', materials: [], copyOf: one },
    });
    const { pages } = await maker.state(params.site);
    const copy = await maker.project(params.site, made.page);
    expect(copy).toMatchObject({ title: 'Copy of One', height: 'private', parts: [{ text: 'It works.' }] });
    expect(copy?.parts[0]?.id).not.toBe('quote-one');
    expect(new Set(pages.map(({ slug }) => slug)).size).toBe(pages.length);
    await maker.call(undoEdit, { params });
    expect((await maker.state(params.site)).pages.some(({ id }) => id === made.page)).toBe(false);
  });

  test('what is no project of this site is not copied', async () => {
    const { maker, params } = await twoPages();
    const other = await twoPages();
    const body = { title: '', materials: [], copyOf: other.one };
    await expect(maker.call(createPage, { params, body })).rejects.toMatchObject({ status: 404 });
  });
});

describe('putting a project away', () => {
  test('it is closed to readers on the next request, and nothing of it waits to be published', async () => {
    const { maker, params, one, two } = await twoPages();
    await maker.call(changeSite, {
      params,
      body: { seen: 0, label: 'Height', change: { height: 'unlisted' } },
    });
    const link = (await maker.publish(params.site)).live?.siteLinkPath ?? '';
    expect((await server.get(`${link}one/`)).statusCode).toBe(200);
    const { revision } = await maker.state(params.site);
    await maker.call(changePage, {
      params: { ...params, page: one },
      body: { seen: revision, label: 'Away', change: { archived: true, height: 'private' } },
    });
    expect((await server.get(`${link}one/`)).statusCode).toBe(404);
    expect((await server.get(`${link}two/`)).statusCode).toBe(200);
    const state = await maker.state(params.site);
    expect(state.live.waiting).toEqual([]);
    expect(state.pages.find(({ id }) => id === one)).toMatchObject({ archived: true, height: 'private' });
    expect(state.pages.find(({ id }) => id === two)).toMatchObject({ archived: false });
  });
});

test('the name of a step may hold a title of any length; it is shortened, never refused', async () => {
  const { maker, params, one } = await twoPages();
  const { revision } = await maker.state(params.site);
  const label = `Words in ${'a very long title '.repeat(12)}`;
  const { history } = await maker.call(changePage, {
    params: { ...params, page: one },
    body: { seen: revision, label, change: { summary: 'Saved.' } },
  });
  expect(history.undo?.label.length).toBeLessThanOrEqual(120);
  expect(label.startsWith(history.undo?.label.slice(0, -1) ?? '?')).toBe(true);
});
