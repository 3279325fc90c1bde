import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { changeMaterial, changeMaterials } from '#contract/materials.ts';
import { undoEdit } from '#contract/undo.ts';
import type { Material } from '#core/materials/material.ts';
import { mine } from '#core/credits/provenance.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

const pictures = join(import.meta.dirname, '../../demo/pictures');
let server: TestServer;
let maker: TestMaker;
let site: string;
let ids: string[];
let revision: number;

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  for (const name of ['tide-clock/01-sketch.jpg', 'tide-clock/02-cardboard-prototype.jpg'])
    await maker.upload(site, name, await readFile(join(pictures, name)));
});
afterAll(() => server.stop());
beforeEach(async () => {
  const state = await maker.state(site);
  ids = state.materials.map(({ id }) => id);
  revision = state.revision;
});

const stored = async (): Promise<Material[]> => (await maker.state(site)).materials;
const all = (seen = revision) => ids.map((id) => ({ id, seen }));
const borrowed = {
  ...mine,
  whose: 'someone-else' as const,
  maker: 'Harbour Office',
  licence: 'CC0-1.0' as const,
};

describe('facts of materials', () => {
  test('a new one is mine, loose and without tags', async () => {
    for (const material of await stored())
      expect(material).toMatchObject({ provenance: mine, tags: [], project: null });
  });

  test('many at once are one step: given to each, tags added to those it has, taken back together', async () => {
    const [first = ''] = ids;
    await maker.call(changeMaterial, {
      params: { site, material: first },
      body: { seen: revision, label: 'Tags', change: { tags: ['Sketch'] } },
    });
    const before = await stored();
    await maker.call(changeMaterials, {
      params: { site },
      body: {
        materials: all((await maker.state(site)).revision),
        label: 'Facts of 2 pictures',
        change: { provenance: borrowed, takenOn: '1931' },
        addTags: ['sketch', 'pier'],
      },
    });
    const after = await stored();
    expect(after.map(({ provenance, takenOn }) => [provenance, takenOn])).toEqual([
      [borrowed, '1931'],
      [borrowed, '1931'],
    ]);
    expect(after.find(({ id }) => id === first)?.tags).toEqual(['Sketch', 'pier']);
    expect(after.find(({ id }) => id !== first)?.tags).toEqual(['sketch', 'pier']);
    expect(after.map(({ title }) => title)).toEqual(before.map(({ title }) => title));
    await maker.call(undoEdit, { params: { site } });
    expect(await stored()).toEqual(before);
  });

  test('one that is newer than what the maker saw stops all of them, and nothing is changed', async () => {
    const before = await stored();
    const [first = ''] = ids;
    await maker.call(changeMaterial, {
      params: { site, material: first },
      body: { seen: revision, label: 'Caption', change: { caption: 'Meanwhile' } },
    });
    await expect(
      maker.call(changeMaterials, {
        params: { site },
        body: { materials: all(revision), label: 'Facts', change: { takenOn: '1999' }, addTags: [] },
      }),
    ).rejects.toMatchObject({ status: 409 });
    expect((await stored()).map(({ takenOn }) => takenOn)).toEqual(before.map(({ takenOn }) => takenOn));
  });

  test('those of another maker cannot be reached', async () => {
    const other = await server.maker('Idris');
    const theirs = (await other.site()).site.id;
    await expect(
      other.call(changeMaterials, {
        params: { site: theirs },
        body: { materials: all(), label: 'Facts', change: { takenOn: '1999' }, addTags: ['mine now'] },
      }),
    ).rejects.toMatchObject({ status: 404 });
    expect(
      (await stored()).every(({ takenOn, tags }) => takenOn !== '1999' && !tags.includes('mine now')),
    ).toBe(true);
  });

  test.each([
    ['a day that does not exist', { takenOn: '2025-02-30' }, 'There is no such date.'],
    ['a tag of a page’s length', { tags: ['x'.repeat(41)] }, 'A tag can be at most 40 characters long.'],
    ['a licence nobody knows', { provenance: { ...borrowed, licence: 'CC-BY-9.9' } }, /licence|option/i],
  ])('%s is refused in a sentence', async (_, change, sentence) => {
    const reply = await maker.raw('PATCH', `/api/sites/${site}/materials/${ids[0]}`, {
      seen: revision,
      label: 'Facts',
      change,
    });
    expect(reply.statusCode).toBe(400);
    expect(reply.json<{ message: string }>().message).toMatch(sentence);
  });
});
