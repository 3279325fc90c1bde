import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import fc from 'fast-check';
import { addNote } from '#contract/links-and-notes.ts';
import { changeMaterial, deleteMaterials } from '#contract/materials.ts';
import { changePage, createPage, deletePage } from '#contract/pages.ts';
import { redoEdit, undoEdit } from '#contract/undo.ts';
import { materials, pages } from '../db/schema.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';
import { DraftMemory } from './draft-memory.ts';
import { loadDraft, ownSite } from './load-draft.ts';

let server: TestServer;
let maker: TestMaker;
let account: string;

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  await maker.site('Another of theirs');
  account = (await server.database.db.query.accounts.findFirst())?.id ?? '';
});
afterAll(() => server.stop());

const rowOf = (site: string) => ownSite(server.database.db, account, site);
const anew = async (site: string) => loadDraft(server.database.db, await rowOf(site));

describe('a draft that is remembered', () => {
  test('is what reading everything anew gives, whatever was done from this site or another in between', async () => {
    const kinds = [
      'project',
      'title',
      'note',
      'caption',
      'delete page',
      'delete note',
      'undo',
      'redo',
    ] as const;
    const step = fc.record({ kind: fc.constantFrom(...kinds), at: fc.nat(9), elsewhere: fc.boolean() });
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 9 }), async (steps) => {
        const memory = new DraftMemory();
        const [here, there] = [(await maker.site('Here')).site.id, (await maker.site('There')).site.id];
        for (const { kind, at, elsewhere } of steps) {
          const params = { site: elsewhere ? there : here };
          const state = await maker.state(params.site);
          const projects = state.pages.filter((page) => page.kind === 'project');
          const page = projects[at % Math.max(1, projects.length)]?.id;
          const material = state.materials[at % Math.max(1, state.materials.length)]?.id;
          const label = 'A change';
          // A step that cannot be taken as things are is one that changes nothing.
          const done = {
            project: () => maker.call(createPage, { params, body: { title: `P${at}`, materials: [] } }),
            note: () =>
              maker.call(addNote, { params, body: { text: `Words ${at}`, writtenOn: '2026-01-05' } }),
            title: () =>
              maker.call(changePage, {
                params: { ...params, page: page ?? '' },
                body: { seen: 1e9, label, change: { title: `Title ${at}` } },
              }),
            caption: () =>
              maker.call(changeMaterial, {
                params: { ...params, material: material ?? '' },
                body: { seen: 1e9, label, change: { caption: `Caption ${at}` } },
              }),
            'delete page': () => maker.call(deletePage, { params: { ...params, page: page ?? '' } }),
            'delete note': () =>
              maker.call(deleteMaterials, { params, body: { materials: [material ?? ''] } }),
            undo: () => maker.call(undoEdit, { params }),
            redo: () => maker.call(redoEdit, { params }),
          }[kind];
          await done().catch(() => undefined);
          const draft = await memory.load(server.database.db, await rowOf(here));
          expect(draft).toEqual(await anew(here));
        }
      }),
      { numRuns: 12 },
    );
  });

  test('reads only what was written since: every other row stays the same object', async () => {
    const memory = new DraftMemory();
    const { site } = await maker.site();
    const made: string[] = [];
    for (const title of ['One', 'Two'])
      made.push(
        (await maker.call(createPage, { params: { site: site.id }, body: { title, materials: [] } })).page,
      );
    const { db } = server.database;
    const first = await memory.load(db, await rowOf(site.id));
    await maker.call(changePage, {
      params: { site: site.id, page: made[0] ?? '' },
      body: { seen: 1e9, label: 'Title', change: { title: 'Changed' } },
    });
    const second = await memory.load(db, await rowOf(site.id));
    const kept = second.pages.filter((page) => first.pages.includes(page)).map(({ title }) => title);
    expect(kept).toContain('Two');
    expect(kept).not.toContain('Changed');
    expect(second.materials.every((one) => first.materials.includes(one))).toBe(true);
  });

  test('rows that went without a word are noticed', async () => {
    const memory = new DraftMemory();
    const { site } = await maker.site();
    const { page } = await maker.call(createPage, {
      params: { site: site.id },
      body: { title: 'One', materials: [] },
    });
    const { material } = await maker.call(addNote, {
      params: { site: site.id },
      body: { text: 'Gone soon', writtenOn: '2026-01-05' },
    });
    const { db } = server.database;
    await memory.load(db, await rowOf(site.id));
    await db.delete(pages).where(eq(pages.id, page));
    await db.delete(materials).where(eq(materials.id, material));
    const draft = await memory.load(db, await rowOf(site.id));
    expect(draft.pages.map(({ id }) => id)).not.toContain(page);
    expect(draft.materials.map(({ id }) => id)).not.toContain(material);
  });
});
