import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { changePage, createPage, deletePage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { redoEdit, undoEdit } from '#contract/undo.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

async function siteWithProject() {
  const { site } = await maker.site();
  const { page, revision } = await maker.call(createPage, {
    params: { site: site.id },
    body: { title: 'Clock', materials: [] },
  });
  return { site: site.id, page, revision };
}

const content = async (site: string) => {
  const { site: row, pages, materials } = await maker.state(site);
  return { row, pages, materials };
};

describe('edit()', () => {
  test('any run of edits is undone step by step to the start and done again to the end', async () => {
    const action = fc.oneof(
      fc.record({ kind: fc.constant('new' as const), title: fc.string({ maxLength: 12 }) }),
      fc.record({ kind: fc.constant('title' as const), at: fc.nat(5), title: fc.string({ maxLength: 12 }) }),
      fc.record({ kind: fc.constant('words' as const), at: fc.nat(5), words: fc.lorem({ maxCount: 4 }) }),
      fc.record({
        kind: fc.constant('height' as const),
        at: fc.nat(5),
        height: fc.constantFrom('private' as const, 'unlisted' as const, 'public' as const),
      }),
      fc.record({ kind: fc.constant('delete' as const), at: fc.nat(5) }),
      fc.record({
        kind: fc.constant('site' as const),
        title: fc.string({ minLength: 1, maxLength: 12 }).filter((text) => text.trim() !== ''),
      }),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(action, { minLength: 1, maxLength: 7 }), async (actions) => {
        const site = (await maker.site()).site.id;
        const states = [await content(site)];
        for (const one of actions) {
          const { pages, revision } = await maker.state(site);
          const projects = pages.filter(({ kind }) => kind === 'project');
          const page = 'at' in one ? projects[one.at % Math.max(1, projects.length)] : undefined;
          const change = (change: object) =>
            page &&
            maker.call(changePage, {
              params: { site, page: page.id },
              body: { seen: revision, label: 'Change', change },
            });
          if (one.kind === 'new')
            await maker.call(createPage, { params: { site }, body: { title: one.title, materials: [] } });
          else if (one.kind === 'title') await change({ title: one.title });
          else if (one.kind === 'words')
            await change({
              parts: [{ id: 'words-1', kind: 'words', height: 'public', text: fromParagraphs(one.words) }],
            });
          else if (one.kind === 'height') await change({ height: one.height });
          else if (one.kind === 'delete' && page)
            await maker.call(deletePage, { params: { site, page: page.id } });
          else if (one.kind === 'site')
            await maker.call(changeSite, {
              params: { site },
              body: { seen: revision, label: 'Name', change: { title: one.title } },
            });
          const now = await content(site);
          if (JSON.stringify(now) !== JSON.stringify(states.at(-1))) states.push(now);
        }
        for (const before of states.slice(0, -1).reverse()) {
          await maker.call(undoEdit, { params: { site } });
          expect(await content(site)).toEqual(before);
        }
        for (const after of states.slice(1)) {
          await maker.call(redoEdit, { params: { site } });
          expect(await content(site)).toEqual(after);
        }
      }),
      { numRuns: 12 },
    );
  });

  test('a stale change is refused with both versions and changes nothing', async () => {
    const { site, page, revision } = await siteWithProject();
    const change = (seen: number, title: string) =>
      maker.call(changePage, { params: { site, page }, body: { seen, label: 'Title', change: { title } } });
    await change(revision, 'From the first tab');
    await expect(change(revision, 'From the second tab')).rejects.toMatchObject({
      status: 409,
      reply: { code: 'newer', details: { theirs: { title: 'From the first tab' } } },
    });
    expect((await maker.state(site)).pages.find(({ id }) => id === page)?.title).toBe('From the first tab');
  });

  test('a stale change of one page does not stop a change of another', async () => {
    const { site, page, revision } = await siteWithProject();
    const { pages } = await maker.state(site);
    const home = pages.find(({ kind }) => kind === 'home')?.id ?? '';
    await maker.call(changePage, {
      params: { site, page },
      body: { seen: revision, label: 'Title', change: { title: 'New' } },
    });
    const patch = await maker.call(changePage, {
      params: { site, page: home },
      body: { seen: revision, label: 'Title', change: { title: 'Front' } },
    });
    expect(Object.keys(patch.pages)).toEqual([home]);
  });

  test('typing in one field is one step of undo; another field is another', async () => {
    const { site, page } = await siteWithProject();
    for (const title of ['T', 'Ti', 'Tide'])
      await maker.call(changePage, {
        params: { site, page },
        body: { seen: 1e9, label: 'Title', mergeKey: 'title', change: { title } },
      });
    await maker.call(changePage, {
      params: { site, page },
      body: { seen: 1e9, label: 'Summary', mergeKey: 'summary', change: { summary: 'One' } },
    });
    const first = await maker.call(undoEdit, { params: { site } });
    expect([first.label, first.pages[page]?.title, (await maker.project(site, page))?.summary]).toEqual([
      'Summary',
      'Tide',
      '',
    ]);
    const second = await maker.call(undoEdit, { params: { site } });
    expect(second.pages[page]?.title).toBe('Clock');
  });

  test('a new edit after undo forgets what was undone', async () => {
    const { site, page } = await siteWithProject();
    await maker.call(changePage, {
      params: { site, page },
      body: { seen: 1e9, label: 'Title', change: { title: 'A' } },
    });
    await maker.call(undoEdit, { params: { site } });
    await maker.call(changePage, {
      params: { site, page },
      body: { seen: 1e9, label: 'Title', change: { title: 'B' } },
    });
    await expect(maker.call(redoEdit, { params: { site } })).rejects.toMatchObject({ status: 409 });
  });

  test('a deleted page comes back under its old link', async () => {
    const { site, page } = await siteWithProject();
    const key = async () =>
      (await server.database.db.query.linkKeys.findMany()).find(({ thing }) => thing === page)?.key;
    const before = await key();
    await maker.call(deletePage, { params: { site, page } });
    await maker.call(undoEdit, { params: { site } });
    expect(before).toMatch(/^[\w-]{22}$/);
    expect(await key()).toBe(before);
  });

  test('the page’s own path follows its title until readers have had it', async () => {
    const { site, page } = await siteWithProject();
    const slug = async (title: string) =>
      (
        await maker.call(changePage, {
          params: { site, page },
          body: { seen: 1e9, label: 'Title', change: { title } },
        })
      ).pages[page]?.slug;
    expect(await slug('Tide clock')).toBe('tide-clock');
    await maker.call(changeSite, {
      params: { site },
      body: { seen: 0, label: 'Open', change: { height: 'unlisted' } },
    });
    await maker.publish(site);
    expect(await slug('Clock for the harbour')).toBe('tide-clock');
  });
});
