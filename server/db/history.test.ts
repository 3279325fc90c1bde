import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { desc, eq } from 'drizzle-orm';
import { addNote } from '#contract/links-and-notes.ts';
import { changeMaterial } from '#contract/materials.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { redoEdit, undoEdit } from '#contract/undo.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';
import { edits } from './schema.ts';

let server: TestServer;
let maker: TestMaker;

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

/** Two sites of one maker, with a note that both can change. */
async function twoSites() {
  const [one, other] = [(await maker.site('One')).site.id, (await maker.site('Other')).site.id];
  const { material } = await maker.call(addNote, {
    params: { site: one },
    body: { text: `Words ${one}`, writtenOn: '2026-01-05' },
  });
  const change = (site: string, words: object, label = 'Words') =>
    maker.call(changeMaterial, { params: { site, material }, body: { seen: 1e9, label, change: words } });
  const now = async () => (await maker.state(one)).materials.find(({ id }) => id === material);
  return { one, other, change, now };
}

describe('undo', () => {
  test('goes back to a new site with its front page, and no further', async () => {
    const { site, history } = await maker.site('New');
    expect(history).toEqual({ undo: null, redo: null });
    const refused = await maker
      .call(undoEdit, { params: { site: site.id } })
      .catch((error: unknown) => error);
    expect(refused).toMatchObject({ status: 409 });
    expect((await maker.state(site.id)).pages.map(({ kind }) => kind)).toEqual(['home']);
  });

  test('takes back what the step changed, and leaves what another site changed of the same thing since', async () => {
    const { one, other, change, now } = await twoSites();
    await change(one, { title: 'Mine' });
    await change(other, { caption: 'Theirs' });
    await maker.call(undoEdit, { params: { site: one } });
    expect(await now()).toMatchObject({ caption: 'Theirs' });
    expect((await now())?.title).not.toBe('Mine');
    await maker.call(redoEdit, { params: { site: one } });
    expect(await now()).toMatchObject({ title: 'Mine', caption: 'Theirs' });
  });

  test('a step that is stuck says why, and can be taken out; what it did stays, and those before it are reached', async () => {
    const { one, other, change, now } = await twoSites();
    await maker.call(changeSite, {
      params: { site: one },
      body: { seen: 0, label: 'Name', change: { title: 'Named' } },
    });
    await change(one, { title: 'Mine' }, 'Title');
    await change(other, { title: 'Theirs' });
    const refused = await maker.call(undoEdit, { params: { site: one } }).catch((error: unknown) => error);
    expect(refused).toMatchObject({ status: 409, reply: { code: 'stuck' } });
    expect((refused as Error).message).toBe(
      '“Title” cannot be taken back: the same thing was changed from another site of yours since.',
    );
    const { step } = (refused as { reply: { details: { step: number } } }).reply.details;
    // Nobody is rid of a step by a mere undo, nor of another one than they were asked about.
    await expect(maker.call(undoEdit, { params: { site: one }, body: { takeOut: true } })).rejects.toThrow(
      'Title',
    );
    const out = await maker.call(undoEdit, { params: { site: one }, body: { step, takeOut: true } });
    expect([out.label, out.takenOut, out.history.undo?.label]).toEqual(['Title', true, 'Name']);
    expect((await now())?.title).toBe('Theirs');
    expect((await maker.call(undoEdit, { params: { site: one } })).site?.title).toBe('One');
  });

  test('a step that is not stuck is never taken out, only undone', async () => {
    const { one, change, now } = await twoSites();
    const { history } = await change(one, { title: 'Mine' });
    const body = { step: history.undo?.step, takeOut: true };
    expect((await maker.call(undoEdit, { params: { site: one }, body })).takenOut).toBe(false);
    expect((await now())?.title).not.toBe('Mine');
    expect((await maker.state(one)).history.redo?.label).toBe('Words');
  });

  test('a tab that names another step than the last is told, and nothing is done', async () => {
    const { site } = await maker.site();
    const title = (wanted: string) =>
      maker.call(changeSite, {
        params: { site: site.id },
        body: { seen: 0, label: `Name ${wanted}`, change: { title: wanted } },
      });
    const seen = (await title('A')).history.undo?.step;
    const elsewhere = (await title('B')).history.undo?.step;
    const undo = (step?: number) => maker.call(undoEdit, { params: { site: site.id }, body: { step } });
    await expect(undo(seen)).rejects.toMatchObject({
      status: 409,
      message: 'The last change is another one now, from another tab or device: “Name B”.',
      reply: { code: 'other-step', details: { step: elsewhere } },
    });
    expect((await maker.state(site.id)).site.title).toBe('B');
    expect((await undo(elsewhere)).site?.title).toBe('A');
    // Pressed again in the tab that saw it first, it is theirs again.
    expect((await undo(seen)).site?.title).toBe(site.title);
  });

  test('a step of another maker’s site is out of reach, whatever its number', async () => {
    const stranger = await server.maker();
    const { one, change } = await twoSites();
    const step = (await change(one, { title: 'Mine' })).history.undo?.step;
    const [theirs, body] = [{ site: (await stranger.site()).site.id }, { step, takeOut: true }];
    await expect(stranger.call(undoEdit, { params: { site: one }, body })).rejects.toMatchObject({
      status: 404,
    });
    await expect(stranger.call(undoEdit, { params: theirs, body })).rejects.toMatchObject({ status: 409 });
    expect((await maker.state(one)).history.undo?.step).toBe(step);
  });

  test('steps that an earlier version kept as whole rows are undone, though the rows have grown since', async () => {
    const { site } = await maker.site();
    const { page } = await maker.call(createPage, {
      params: { site: site.id },
      body: { title: 'Clock', materials: [] },
    });
    await maker.call(changePage, {
      params: { site: site.id, page },
      body: { seen: 1e9, label: 'Title', change: { title: 'Tide clock', slug: 'tide-clock' } },
    });
    const row = await maker.project(site.id, page);
    const { cover: _later, ...earlier } = row ?? {};
    const { db } = server.database;
    const [last] = await db
      .select()
      .from(edits)
      .where(eq(edits.siteId, site.id))
      .orderBy(desc(edits.revision));
    const before = { ...earlier, title: 'Clock', slug: 'clock', tint: 'a column that is gone' };
    await db
      .update(edits)
      .set({
        changes: [
          { table: 'page', id: page, before, after: { ...before, title: 'Tide clock', slug: 'tide-clock' } },
        ],
      })
      .where(eq(edits.revision, last?.revision ?? 0));
    const patch = await maker.call(undoEdit, { params: { site: site.id } });
    expect(patch.pages[page]).toEqual({ ...row, title: 'Clock', slug: 'clock' });
  });

  test('a step of a newer version is stuck, not guessed at', async () => {
    const { site } = await maker.site();
    const { db } = server.database;
    const changes = [{ v: 9, table: 'moment', id: 'moment-1', before: null, after: {} }];
    await db.insert(edits).values({ revision: 2_000_000_000, siteId: site.id, label: 'Moment', changes });
    await expect(maker.call(undoEdit, { params: { site: site.id } })).rejects.toThrow(
      '“Moment” cannot be taken back: a newer version of Kite Wall made this change.',
    );
  });

  test('what was typed and taken away again is no step', async () => {
    const { site } = await maker.site();
    const title = (wanted: string) =>
      maker.call(changeSite, {
        params: { site: site.id },
        body: { seen: 0, label: 'Name', mergeKey: 'title', change: { title: wanted } },
      });
    const before = (await maker.state(site.id)).history.undo;
    expect((await title('Typed')).history.undo?.label).toBe('Name');
    expect((await title(site.title)).history.undo).toEqual(before);
  });
});
