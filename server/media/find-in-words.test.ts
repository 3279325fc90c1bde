import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { changeMaterial, deleteMaterials, findInWords, getWords } from '#contract/materials.ts';
import { undoEdit } from '#contract/undo.ts';
import { TestMaker, TestServer } from '../testing/test-server.ts';

const demo = join(import.meta.dirname, '../../demo/pictures');
let server: TestServer;
let maker: TestMaker;
let site = '';
const ids = new Map<string, string>();
const find = async (query: string, by = maker) =>
  (await by.call(findInWords, { params: { site }, body: { query } })).materials;
const change = async (material: string, content: Record<string, unknown>) => {
  const { revision } = await maker.state(site);
  await maker.call(changeMaterial, {
    params: { site, material },
    body: { seen: revision, label: 'Change', change: content },
  });
};

beforeAll(async () => {
  // What is found is asked here, and not how fast a busy machine reads.
  server = await TestServer.start({ READING_SECONDS: '300' });
  maker = await server.maker();
  site = (await maker.site()).site.id;
  for (const name of [
    'bike-trailer/workshop-test-sheet.pdf',
    'bee-hotel/build-notes.docx',
    'tide-clock/narration.mp3',
  ]) {
    const file = name.split('/')[1] ?? '';
    ids.set(file, (await maker.upload(site, file, await readFile(join(demo, name)))).material);
  }
});
afterAll(() => server?.stop());

describe('finding in words', () => {
  test('words inside documents are found, also by their beginnings and without accents', async () => {
    expect(await find('sandbags')).toEqual([ids.get('workshop-test-sheet.pdf')]);
    expect(await find('Sandb RULER')).toEqual([ids.get('workshop-test-sheet.pdf')]);
    expect(await find('stainless hinges')).toEqual([ids.get('build-notes.docx')]);
    expect(await find('sandbags hinges')).toEqual([]);
    expect(await find("'; drop table & | ! :* <->")).toEqual([]);
  });

  test('what is changed is found as it is now, and what is deleted is not', async () => {
    const notes = ids.get('build-notes.docx') ?? '';
    await change(notes, { caption: 'Café at the quay' });
    expect(await find('cafe')).toEqual([notes]);
    await change(ids.get('narration.mp3') ?? '', {
      transcript: 'WEBVTT\n\n00:01.000 --> 00:02.000\nEbb and flow\n',
    });
    expect(await find('ebb')).toEqual([ids.get('narration.mp3')]);
    await maker.call(deleteMaterials, { params: { site }, body: { materials: [notes] } });
    expect(await find('cafe')).toEqual([]);
    await maker.call(undoEdit, { params: { site } });
    expect(await find('cafe')).toEqual([notes]);
  });

  test('words under a black-out are found no more, and again when it is taken off', async () => {
    const sheet = ids.get('workshop-test-sheet.pdf') ?? '';
    expect(await find('0142')).toEqual([sheet]);
    const region = { page: 0, x: 0.36, y: 0.18, width: 0.5, height: 0.05 };
    await change(sheet, {
      fixes: { blackOut: [region, { ...region, page: 1, y: 0, height: 1, x: 0, width: 1 }] },
    });
    expect(await find('0142')).toEqual([]);
    expect(await find('sandbags')).toEqual([sheet]);
    await change(sheet, { fixes: {} });
    expect(await find('0142')).toEqual([sheet]);
  });

  test('a document of very many different words is found by its first ones, and hinders nothing', async () => {
    const words = Array.from(
      { length: 50_000 },
      (_, at) => `word${at.toString(36)}x${(at * 7919).toString(36)}`,
    );
    const { material } = await maker.upload(site, 'long.txt', Buffer.from(words.join(' ')));
    expect(await find(words[5] ?? '')).toEqual([material]);
    expect(await find('sandbags')).toEqual([ids.get('workshop-test-sheet.pdf')]);
    await expect(maker.upload(site, 'book.txt', Buffer.alloc(2 * 1024 * 1024, 'a b '))).rejects.toThrow(
      'more text',
    );
  });

  test('nobody finds what is somebody else’s', async () => {
    const other = await server.maker('Somebody');
    await expect(find('sandbags', other)).rejects.toThrow('no such site');
    const own = await other.site();
    expect(
      (await other.call(findInWords, { params: { site: own.site.id }, body: { query: 'sandbags' } }))
        .materials,
    ).toEqual([]);
  });
});

describe('long words', () => {
  const long = `${'The tide comes in and the tide goes out. '.repeat(50)}Then the slip is dry.`;
  const narration = () => ids.get('narration.mp3') ?? '';
  const words = (by: TestMaker, at = site) =>
    by.call(getWords, { params: { site: at }, body: { materials: [narration()] } });

  test('come with the site as their beginning, and whole when they are asked for', async () => {
    await change(narration(), { transcript: long });
    const state = await maker.state(site);
    const told = state.materials.find(({ id }) => id === narration())?.transcript ?? '';
    expect(told).not.toBe('');
    expect(told).not.toContain('slip');
    expect(state.begun).toEqual([narration()]);
    expect(await words(maker)).toEqual({ words: { [narration()]: long } });
    expect(await find('slip')).toEqual([narration()]);
  });

  test('changed as they were whole, they are joined with what others changed of the material', async () => {
    const { revision } = await maker.state(site);
    await change(narration(), { title: 'Narration' });
    await maker.call(changeMaterial, {
      params: { site, material: narration() },
      body: {
        seen: revision,
        label: 'Words',
        change: { transcript: `${long} End.` },
        was: { transcript: long },
      },
    });
    expect((await words(maker)).words[narration()]).toBe(`${long} End.`);
    const told = (await maker.state(site)).materials.find(({ id }) => id === narration());
    expect(told?.title).toBe('Narration');
  });

  test('are told to nobody else', async () => {
    const other = await server.maker();
    const theirs = (await other.site()).site.id;
    expect(await words(other, theirs)).toEqual({ words: {} });
    await expect(words(other)).rejects.toMatchObject({ status: 404 });
    await expect(words(new TestMaker(server.app))).rejects.toMatchObject({ status: 401 });
  });
});
