import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { changePage, createPage } from '#contract/pages.ts';
import { undoEdit } from '#contract/undo.ts';
import { noFacts } from '#core/pages/case-facts.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { partsChange } from '#core/parts/parts-change.ts';
import { starters } from '#core/parts/starters.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
let params: { site: string };
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  params = { site: (await maker.site()).site.id };
});
afterAll(() => server.stop());

describe('two tabs on one page', () => {
  const quote = (id: string, text: string) => ({ ...newPart('quote', id), text }) as Part;
  const before = [quote('quote-one', 'One.'), quote('quote-two', 'Two.')];

  /** A page with two quotes, changed by another tab since this one looked. */
  async function stale(theirs: Part[], more: { title?: string } = {}) {
    const { page: one, revision } = await maker.call(createPage, {
      params,
      body: { title: 'One', materials: [] },
    });
    const at = { ...params, page: one };
    const first = await maker.call(changePage, {
      params: at,
      body: { seen: revision, label: 'Quotes', change: { parts: before } },
    });
    await maker.call(changePage, {
      params: at,
      body: { seen: first.revision, label: 'Elsewhere', change: { parts: theirs, ...more } },
    });
    const save = (mine: Part[], decided?: 'mine' | 'theirs') =>
      maker.call(changePage, {
        params: at,
        body: {
          seen: first.revision,
          label: 'Here',
          change: {},
          was: {},
          parts: partsChange(before, mine),
          decided,
        },
      });
    const change = (body: { change: object; was: object }) =>
      maker.call(changePage, { params: at, body: { seen: first.revision, label: 'Here', ...body } });
    const page = () => maker.project(params.site, one);
    const texts = async () => (await page())?.parts.map((part) => (part.kind === 'quote' ? part.text : ''));
    return { save, change, page, texts };
  }

  test('each typed in another part: both are kept, the answer holds both, and undo takes back only this one', async () => {
    const { save, texts } = await stale([before[0] as Part, quote('quote-two', 'Theirs.')]);
    const patch = await save([quote('quote-one', 'Mine.'), before[1] as Part]);
    expect(patch.joined).toBe(true);
    expect(Object.values(patch.pages)[0]).toMatchObject({ parts: [{ text: 'Mine.' }, { text: 'Theirs.' }] });
    await maker.call(undoEdit, { params });
    expect(await texts()).toEqual(['One.', 'Theirs.']);
  });

  test('the same words sent twice, as after a reload, are joined with nobody', async () => {
    const { save, texts } = await stale(before);
    const mine = [quote('quote-one', 'Mine.'), before[1] as Part];
    await save(mine);
    const again = await save(mine);
    expect(again.joined).toBe(false);
    expect(await texts()).toEqual(['Mine.', 'Two.']);
  });

  test('both typed in one part: refused with the page as it is, and kept when its maker insists', async () => {
    const { save, texts } = await stale([quote('quote-one', 'Theirs.'), quote('quote-two', 'Also theirs.')]);
    const mine = [quote('quote-one', 'Mine.'), before[1] as Part];
    await expect(save(mine)).rejects.toMatchObject({
      status: 409,
      reply: { code: 'newer', details: { theirs: { id: expect.any(String) } } },
    });
    expect(await texts()).toEqual(['Theirs.', 'Also theirs.']);
    await save(mine, 'theirs');
    expect(await texts()).toEqual(['Theirs.', 'Also theirs.']);
    await maker.call(undoEdit, { params });
    expect(await texts()).toEqual(['Mine.', 'Also theirs.']);
    await save(mine, 'mine');
    expect(await texts()).toEqual(['Mine.', 'Also theirs.']);
  });

  test('fields: one renamed it, the other wrote a summary; the same fact written twice is refused', async () => {
    const { change, page } = await stale(before, { title: 'Renamed' });
    await change({ change: { summary: 'Mine.' }, was: { summary: '' } });
    expect(await page()).toMatchObject({ title: 'Renamed', summary: 'Mine.' });
    await change({ change: { facts: { ...noFacts, role: 'Making' } }, was: { facts: noFacts } });
    await change({ change: { facts: { ...noFacts, field: 'Clocks' } }, was: { facts: noFacts } });
    expect((await page())?.facts).toMatchObject({ role: 'Making', field: 'Clocks' });
    await expect(
      change({ change: { facts: { ...noFacts, role: 'Design' } }, was: { facts: noFacts } }),
    ).rejects.toMatchObject({ status: 409 });
  });

  test('what a page of its kind has not is refused in a sentence, and nothing of the change is kept', async () => {
    const before = await maker.state(params.site);
    const home = before.pages.find(({ kind }) => kind === 'home');
    const at = { ...params, page: home?.id ?? '' };
    for (const change of [{ facts: { ...noFacts, role: 'Making' } }, { leadsTo: 'https://boats.example/' }])
      await expect(
        maker.call(changePage, {
          params: at,
          body: { seen: before.revision, label: 'Foreign', change: { title: 'Changed', ...change } },
        }),
      ).rejects.toMatchObject({ status: 400, reply: { message: /“Front page” has nothing of the kind/ } });
    expect((await maker.state(params.site)).pages.find(({ kind }) => kind === 'home')).toEqual(home);
  });

  test('more parts than a page holds are refused in a sentence', async () => {
    const many = Array.from({ length: 150 }, (_, at) => quote(`their-${at}`, 'x'));
    const { save, texts } = await stale([...before, ...many]);
    const mine = [...before, ...Array.from({ length: 60 }, (_, at) => quote(`mine-${at}-x`, 'x'))];
    await expect(save(mine)).rejects.toMatchObject({ status: 400 });
    expect((await texts())?.length).toBe(152);
  });
});

test('a project from a starter has its parts, empty, with what is asked for in each', async () => {
  const made = await maker.call(createPage, {
    params,
    body: { title: '', materials: [], starter: 'event' },
  });
  const page = await maker.project(params.site, made.page);
  expect(page?.parts.map(({ kind, prompt }) => [kind, prompt])).toEqual(
    starters.event.parts.map(({ kind, prompt }) => [kind, prompt]),
  );
});
