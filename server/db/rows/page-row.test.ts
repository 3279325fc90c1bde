import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { and, eq, sql } from 'drizzle-orm';
import { changePage, createPage } from '#contract/pages.ts';
import { undoEdit } from '#contract/undo.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { partsChange } from '#core/parts/parts-change.ts';
import type { Page } from '#core/pages/page.ts';
import { pageKinds } from '#core/pages/page-kinds.ts';
import { emptyPage } from '../../pages/new-page.ts';
import { type TestMaker, TestServer } from '../../testing/test-server.ts';
import { edit } from '../edit.ts';
import { pages, parts } from '../schema.ts';
import { readPages } from './page-row.ts';

let server: TestServer;
let maker: TestMaker;
let site: string;
let account: string;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  account = (await server.database.db.query.accounts.findFirst())?.id ?? '';
});
afterAll(() => server.stop());

const quote = (id: string, text: string) => ({ ...newPart('quote', id), text }) as Part;
const three = [quote('quote-one', 'One.'), quote('quote-two', 'Two.'), quote('quote-three', 'Three.')];

/** A project with some parts; `save` writes others in their place. */
async function project(first: Part[]) {
  const { page } = await maker.call(createPage, {
    params: { site },
    body: { title: 'Clock', materials: [] },
  });
  let before: Part[] = (await maker.project(site, page))?.parts ?? [];
  const save = async (now: Part[]) => {
    const { revision } = await maker.call(changePage, {
      params: { site, page },
      body: { seen: 1e9, label: 'Parts', change: {}, was: {}, parts: partsChange(before, now) },
    });
    before = now;
    return revision;
  };
  const revision = await save(first);
  const rows = async () =>
    Object.fromEntries(
      (
        await server.database.db
          .select({ id: parts.id, revision: parts.revision })
          .from(parts)
          .where(eq(parts.pageId, page))
      ).map((row) => [row.id, row.revision]),
    );
  return { page, save, revision, rows };
}

describe('rows of a page', () => {
  test('a word in one part writes that part; order, taking off and undo write what they touch', async () => {
    const { page, save, revision, rows } = await project(three);
    const [one, , last] = three as [Part, Part, Part];
    const word = await save([one, quote('quote-two', 'Two, and a word.'), last]);
    expect(await rows()).toEqual({ 'quote-one': revision, 'quote-two': word, 'quote-three': revision });
    await save([last, quote('quote-two', 'Two, and a word.'), one]);
    expect(await rows()).toEqual({ 'quote-one': revision, 'quote-two': word, 'quote-three': revision });
    await save([one]);
    expect(Object.keys(await rows())).toEqual(['quote-one']);
    await maker.call(undoEdit, { params: { site } });
    const back = await maker.project(site, page);
    expect(back?.parts.map(({ id }) => id)).toEqual(['quote-three', 'quote-two', 'quote-one']);
  });

  test('a title alone leaves what else is kept of the page as it is, byte for byte', async () => {
    const { page } = await project(three);
    // A trace that no version writes: it is gone as soon as the column is written again.
    await server.database.db
      .update(pages)
      .set({ content: sql`${pages.content} || '{"trace": 1}'::jsonb` })
      .where(eq(pages.id, page));
    const change = (fields: object) =>
      maker.call(changePage, {
        params: { site, page },
        body: { seen: 1e9, label: 'Change', change: fields },
      });
    const trace = async () =>
      (await server.database.db.select().from(pages).where(eq(pages.id, page)))[0]?.content;
    await change({ title: 'Tide clock' });
    expect(await trace()).toHaveProperty('trace');
    await change({ summary: 'A boat tells the hour.' });
    expect(await trace()).not.toHaveProperty('trace');
  });

  test('pages of every kind are kept and read as they are', async () => {
    const { db } = server.database;
    const made = pageKinds.map((kind, at) => emptyPage(kind, `c${at}`, `of-kind-${at}`, `A ${kind}`));
    await edit(db, { site, account }, { label: 'All kinds' }, async (running) => {
      for (const page of made) await running.insert('page', page as Page);
    });
    const read = await readPages(
      db,
      site,
      made.map(({ id }) => id),
    );
    expect(read.map(({ row }) => row).sort((a, b) => (a.rank < b.rank ? -1 : 1))).toEqual(made);
    await maker.call(undoEdit, { params: { site } });
    expect(
      await readPages(
        db,
        site,
        made.map(({ id }) => id),
      ),
    ).toEqual([]);
  });

  test('what a newer version kept is refused in a sentence, changed by nothing, and there when it is readable again', async () => {
    const { page } = await project(three);
    const setVersion = (v: number) =>
      server.database.db
        .update(parts)
        .set({ content: sql`${parts.content} || jsonb_build_object('v', ${v}::int)` })
        .where(eq(parts.pageId, page));
    await setVersion(99);
    const change = () =>
      maker.call(changePage, {
        params: { site, page },
        body: { seen: 1e9, label: 'Title', change: { title: 'Changed' } },
      });
    await expect(change()).rejects.toMatchObject({ status: 500, reply: { code: 'unreadable' } });
    await expect(readPages(server.database.db, site)).rejects.toThrow(
      'A newer version of Kite Wall kept this.',
    );
    await setVersion(1);
    expect(await maker.project(site, page)).toMatchObject({ title: 'Clock', parts: three });
    // A part that is gone without a word is not written away by the next change.
    await server.database.db.delete(parts).where(and(eq(parts.pageId, page), eq(parts.id, 'quote-two')));
    await expect(change()).rejects.toMatchObject({ status: 500, reply: { code: 'unreadable' } });
  });
});
