import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { addNote } from '#contract/links-and-notes.ts';
import { changeMaterial } from '#contract/materials.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import type { Part } from '#core/parts/parts.ts';
import { newPart } from '#core/parts/new-part.ts';
import { mine, type Provenance } from '#core/credits/provenance.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** Every kind of part, from the draft to the bytes a reader gets. */
const demo = join(import.meta.dirname, '../../demo/pictures');
let server: TestServer;
let maker: TestMaker;
let site = '';
let page = '';
/** Ids of materials by a short name. */
const ids: Record<string, string> = {};

const setMaterial = (name: string, change: { provenance?: Provenance; alt?: string; title?: string }) =>
  maker.call(changeMaterial, {
    params: { site, material: ids[name] ?? '' },
    body: { seen: 1e9, label: 'Facts', change },
  });
const setParts = (parts: Part[]) =>
  maker.call(changePage, {
    params: { site, page },
    body: { seen: 1e9, label: 'Parts', change: { parts } },
  });
/** The page as somebody holding the site's link gets it now. */
const published = async (): Promise<string> => {
  const job = await maker.publish(site);
  return (await server.get(`${job.live?.siteLinkPath}parts/`)).body;
};
const base = (id: string) => ({ id, height: 'public' as const });
const evidence = (height: Part['height'] = 'public'): Part => ({
  id: 'evidence',
  height,
  kind: 'evidence',
  material: ids['gears'] ?? null,
  what: 'Gears & a <motor>',
  why: 'They fit.',
  shows: '',
});

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  for (const [name, file] of [
    ['gears', 'tide-clock/04-gears-and-motor.jpg'],
    ['before', 'bee-hotel/02-first-prototype.jpg'],
    ['after', 'bee-hotel/07-hero-on-fence.jpg'],
    ['sheet', 'bike-trailer/workshop-test-sheet.pdf'],
    ['voice', 'tide-clock/narration.mp3'],
  ] as const) {
    const bytes = await readFile(join(demo, file));
    ids[name] = (await maker.upload(site, file.split('/')[1] ?? '', bytes)).material;
  }
  const note = { text: 'A secret note', writtenOn: '2026-11-23' };
  ids['note'] = (await maker.call(addNote, { params: { site }, body: note })).material;
  page = (await maker.call(createPage, { params: { site }, body: { title: 'Parts', materials: [] } })).page;
  await maker.call(changeSite, {
    params: { site },
    body: { seen: 0, label: 'Height', change: { height: 'unlisted' } },
  });
});
afterAll(() => server.stop());

describe('every kind of part', () => {
  test('is valid HTML, whatever its maker typed into it', async () => {
    await setParts([
      {
        ...base('words-1'),
        kind: 'words',
        text: {
          type: 'doc',
          content: [
            { type: 'codeBlock', content: [{ type: 'text', text: 'if (a < b) "&amp;"' }] },
            {
              type: 'paragraph',
              content: [
                { type: 'text', text: 'x = 1', marks: [{ type: 'code' }] },
                {
                  type: 'text',
                  text: ' there',
                  marks: [
                    { type: 'link', attrs: { href: 'https://kite.example/?a=1&b=2', target: '_blank' } },
                  ],
                },
              ],
            },
          ],
        },
      },
      { ...base('quote-1'), kind: 'quote', text: 'One.\n\nTwo & "three".', by: '<Somebody>' },
      {
        ...base('compare'),
        kind: 'compare',
        before: ids['before'] ?? null,
        after: ids['after'] ?? null,
        beforeName: 'Then',
        afterName: 'Now',
      },
      {
        ...base('early-late'),
        kind: 'early-late',
        states: [
          {
            ...{ id: 'state-late', date: '2026-21', name: '', material: ids['voice'] ?? null },
            words: 'The hand follows the sea.',
          },
          {
            id: 'state-early',
            date: '2025-11',
            name: 'First',
            material: null,
            words: 'The hand follows the <moon>.',
          },
        ],
      },
      evidence(),
      { ...evidence(), id: 'evidence-pdf', material: ids['sheet'] ?? null } as Part,
      { ...evidence(), id: 'evidence-voice', material: ids['voice'] ?? null } as Part,
      { ...evidence(), id: 'evidence-bare', material: null } as Part,
      {
        ...base('reflection'),
        kind: 'reflection',
        answers: [{ id: 'answer-1', question: 'What would you hide?', text: 'Wood moves.\n\nAlways.' }],
      },
      { ...base('credits'), kind: 'credits' },
      {
        ...base('contact'),
        kind: 'contact',
        words: 'Write.',
        form: true,
        card: true,
        link: 'https://wren.example/',
      },
    ]);
    const html = await published();
    expect(await htmlFaults(html)).toEqual([]);
    expect(html).toContain('Gears &amp; a &lt;motor&gt;');
    expect(html).toContain('if (a &lt; b) &quot;&amp;amp;&quot;');
    expect(html).toMatch(/<a href="https:\/\/kite\.example\/\?a=1&amp;b=2" target="_blank" rel="noopener">/);
    // Both pictures of the comparison, the evidence, and the pages of the PDF have their places kept free.
    const sizes = html.match(/<img[^>]*width="\d+" height="\d+"/g) ?? [];
    expect(sizes).toHaveLength(5);
    expect(html).toContain('<audio');
    // Early comes before late, and says what changed.
    expect(html).toMatch(
      /First, November 2025[^]*&lt;moon&gt;[^]*Spring 2026[^]*<del>&lt;moon&gt;<\/del><ins>sea<\/ins>/,
    );
    // Nobody is to be credited yet, so nothing says "Credits".
    expect(html).not.toContain('Credits');
  });

  test('questions behind a reflection are not on the page', async () => {
    const html = await published();
    expect(html).toContain('Wood moves.');
    expect(html).not.toContain('What would you hide');
  });

  test('credits name others in the order title, author, source, licence, and only for what is shown', async () => {
    await setMaterial('gears', {
      title: 'Gears',
      provenance: {
        ...mine,
        whose: 'someone-else',
        maker: 'Idris Vane',
        source: 'https://gears.example/4',
        licence: 'CC-BY-4.0',
      },
    });
    const credits = { ...base('credits'), kind: 'credits' as const };
    await setParts([evidence(), credits]);
    const line =
      /Gears, Idris Vane\. <a href="https:\/\/gears\.example\/4">gears\.example<\/a>\. <a href="https:\/\/creativecommons\.org\/licenses\/by\/4\.0\/">CC BY 4\.0<\/a>\./;
    expect(await published()).toMatch(line);
    // Hidden evidence hides whose work it is along with it.
    await setParts([
      { ...base('quote-1'), kind: 'quote', text: 'Left.', by: '' },
      evidence('private'),
      credits,
    ]);
    const without = await published();
    expect(without).toContain('Left.');
    expect(without).not.toMatch(/Idris|gears\.example|Credits/);
  });

  test('changing whose work it is waits to be published as a change of the credits', async () => {
    await setParts([evidence(), { ...base('credits'), kind: 'credits' }]);
    await published();
    expect((await maker.state(site)).live.waiting).toEqual([]);
    await setMaterial('gears', { provenance: { ...mine, whose: 'with-others', maker: 'Ola' } });
    const [waiting] = (await maker.state(site)).live.waiting;
    expect(waiting).toMatchObject({ page, kind: 'changed', what: ['credits'] });
  });

  test('a note is in nothing a reader gets, even where a part points at it', async () => {
    const note = ids['note'] ?? '';
    await setParts([
      newPart('gallery', 'gallery-1', [note, ids['gears'] ?? '']),
      newPart('picture', 'picture-1', [note]),
      { ...evidence(), material: note } as Part,
    ]);
    const html = await published();
    expect(html).toContain('They fit.');
    expect(html).not.toContain('secret');
    expect(html).not.toContain(note);
    expect(html.match(/<img/g)).toHaveLength(1);
  });
});
