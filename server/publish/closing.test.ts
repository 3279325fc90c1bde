import { afterAll, beforeAll, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { bringBackRelease, startPublish } from '#contract/publishing.ts';
import { closeNow } from '#contract/closing.ts';
import { deleteMaterials } from '#contract/materials.ts';
import { createPage, deletePage, movePart } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { redoEdit, undoEdit } from '#contract/undo.ts';
import type { Height } from '#core/access/height.ts';
import { newPart } from '#core/parts/new-part.ts';
import { PublishedSite, wordsPart } from '../testing/published-site.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/**
 * What is closed is closed, asked from outside by HTTP after everything a maker can do, in any order. Nothing in here looks
 * into the database: readers cannot either.
 */
let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());
beforeEach(() => {
  jest.restoreAllMocks();
});

/** A public, published site, and everything its maker can do with it. */
class Live extends PublishedSite {
  static start(height: Height = 'public'): Promise<Live> {
    return PublishedSite.openAs(Live, server, maker, height);
  }

  undo(sure = false) {
    return maker.call(undoEdit, { params: { site: this.site }, body: { sure } });
  }

  redo(sure = false) {
    return maker.call(redoEdit, { params: { site: this.site }, body: { sure } });
  }

  bringBack(number: number) {
    return maker.call(bringBackRelease, { params: { site: this.site, number: String(number) } });
  }

  deletePage(page: string, readers: 'now' | 'next-publish' = 'next-publish') {
    return maker.call(deletePage, { params: { site: this.site, page }, body: { readers } });
  }

  /** Who can open what with the link; the link is asked for while it is known. */
  async link(path: string): Promise<number> {
    return (await server.get(path)).statusCode;
  }
}

const question = (message: RegExp) =>
  expect.objectContaining({ status: 409, message: expect.stringMatching(message) });

describe('undo, redo and raising give readers nothing', () => {
  test('undoing "Private" asks who would get what, and opens nothing until the next publish', async () => {
    const live = await Live.start();
    expect(await live.stranger('tide-clock/')).toContain('Open words');
    await live.change({ height: 'private' });
    expect(await live.stranger()).toBe('404');
    await expect(live.undo()).rejects.toEqual(
      question(/makes the whole site Public again.*next publish everybody, strangers too, can open it/),
    );
    expect(await live.stranger()).toBe('404');
    const undone = await live.undo(true);
    expect(undone.site?.height).toBe('public');
    expect(await live.stranger()).toBe('404');
    expect(undone.live.readersReach).toBe('private');
    expect(undone.live.waiting.map(({ what }) => what.join())).toContain('Private becomes Public');
    await live.publish();
    expect(await live.stranger('tide-clock/')).toContain('Open words');
  });

  test('a site raised from Private to Unlisted stays shut at its link until it is published', async () => {
    const live = await Live.start();
    const link = (await maker.state(live.site)).live.siteLinkPath ?? '';
    expect(await live.link(link)).toBe(200);
    await live.change({ height: 'private' });
    await live.change({ height: 'unlisted' });
    expect(await live.link(link)).toBe(404);
    expect(await live.stranger()).toBe('404');
    await live.publish();
    expect(await live.link(link)).toBe(200);
    expect(await live.stranger()).toBe('404');
  });

  test('redo of a raise asks as well; undo of everything else does not', async () => {
    const live = await Live.start();
    await live.page(live.clock, { height: 'private' });
    await live.page(live.clock, { height: 'public' });
    await live.undo();
    expect(await live.stranger('tide-clock/')).toBe('404');
    await expect(live.redo()).rejects.toEqual(question(/^Doing it again makes “Tide clock” Public again/));
    await live.redo(true);
    expect(await live.stranger('tide-clock/')).toBe('404');
    await live.page(live.satchel, { summary: 'Another line' });
    await expect(live.undo()).resolves.toBeTruthy();
  });

  test('a part, a put-away page and a move to a Private page ask too when they are undone', async () => {
    const live = await Live.start();
    await live.partHeight(live.clock, `${live.clock}-open`, 'private');
    await expect(live.undo()).rejects.toEqual(question(/a part of “Tide clock” Public/));
    await live.page(live.satchel, { archived: true });
    await expect(live.undo()).rejects.toEqual(question(/“Satchel” Public/));
    await live.undo(true);
    expect(await live.stranger('satchel/')).toBe('404');
  });

  test('nothing is asked while nothing was ever published', async () => {
    const site = (await maker.site()).site.id;
    const change = (height: Height) =>
      maker.call(changeSite, { params: { site }, body: { seen: 0, label: height, change: { height } } });
    await change('public');
    await change('private');
    await expect(maker.call(undoEdit, { params: { site } })).resolves.toBeTruthy();
  });
});

describe('whatever lowers something closes it at once', () => {
  type Lowering = [string, (live: Live) => Promise<unknown>, path: string, gone: string];
  test.each<Lowering>([
    ['a page', (live) => live.page(live.clock, { height: 'private' }), 'tide-clock/', '404'],
    ['a page put away', (live) => live.page(live.clock, { archived: true }), 'tide-clock/', '404'],
    ['a page set to Unlisted', (live) => live.page(live.clock, { height: 'unlisted' }), 'tide-clock/', '404'],
    [
      'a page moved below a Private one',
      async (live) => {
        await live.page(live.satchel, { height: 'private' });
        await live.page(live.clock, { parent: live.satchel });
      },
      'tide-clock/',
      '404',
    ],
    [
      'a part moved to a Private page',
      async (live) => {
        await live.page(live.satchel, { height: 'private' });
        const { revision } = await maker.state(live.site);
        await maker.call(movePart, {
          params: { site: live.site, page: live.clock, part: `${live.clock}-open` },
          body: { to: live.satchel, seen: revision, seenThere: revision },
        });
      },
      'tide-clock/',
      'Open words',
    ],
    [
      'a part',
      (live) => live.partHeight(live.clock, `${live.clock}-open`, 'private'),
      'tide-clock/',
      'Open words',
    ],
    [
      'the undo of a raise',
      async (live) => {
        await live.page(live.clock, { height: 'private' });
        await live.publish();
        await live.page(live.clock, { height: 'public' });
        await live.publish();
        await live.undo();
      },
      'tide-clock/',
      '404',
    ],
    [
      'the redo of a lowering',
      async (live) => {
        await live.page(live.clock, { height: 'private' });
        await live.undo(true);
        await live.publish();
        expect(await live.stranger('tide-clock/')).toContain('Open words');
        await live.redo();
      },
      'tide-clock/',
      '404',
    ],
    ['the whole site', (live) => live.change({ height: 'private' }), '', '404'],
    ['a page deleted for readers now', (live) => live.deletePage(live.clock, 'now'), 'tide-clock/', '404'],
    [
      'a deleted page, shut afterwards',
      async (live) => {
        await live.deletePage(live.clock);
        expect(await live.stranger('tide-clock/')).toContain('Open words');
        await maker.call(closeNow, { params: { site: live.site }, body: { things: [live.clock] } });
      },
      'tide-clock/',
      '404',
    ],
    [
      'a deleted part, shut afterwards',
      async (live) => {
        await live.page(live.clock, { parts: [wordsPart(`${live.clock}-other`, 'Other words')] });
        expect(await live.stranger('tide-clock/')).toContain('Open words');
        await maker.call(closeNow, {
          params: { site: live.site },
          body: { things: [`${live.clock}-open`] },
        });
      },
      'tide-clock/',
      'Open words',
    ],
  ])('%s', async (_, lower, path, gone) => {
    const live = await Live.start();
    await lower(live);
    const left = await live.stranger(path);
    if (gone === '404') expect(left).toBe('404');
    else expect(left).not.toContain(gone);
    // Nothing of the draft went out with it, and what was not closed is still there.
    if (path !== '' && gone !== '404') expect(left).toContain('Other words');
    // However often it is undone and done again, it takes a publish to open it.
    await live.undo(true).catch(() => undefined);
    const after = await live.stranger(path);
    if (gone === '404') expect(after).toBe('404');
    else expect(after).not.toContain(gone);
  });

  test('a material that is deleted for readers now is gone from their pages and files', async () => {
    const live = await Live.start();
    await live.page(live.clock, {
      opening: { layout: 'full', pictures: [live.picture] },
      parts: [wordsPart(`${live.clock}-open`, 'Open words')],
    });
    await live.publish();
    const page = await live.stranger('tide-clock/');
    const file = /files\/[\w.]+/.exec(page)?.[0] ?? '';
    expect((await server.get(`/${live.address}/${file}`)).statusCode).toBe(200);
    await maker.call(deleteMaterials, {
      params: { site: live.site },
      body: { materials: [live.picture], readers: 'now' },
    });
    expect((await server.get(`/${live.address}/${file}`)).statusCode).toBe(404);
    expect(await live.stranger('tide-clock/')).toContain('Open words');
    expect(await live.stranger('tide-clock/')).not.toContain('files/');
  });

  test('a cover whose picture stands in a part that became Private is kept from readers as well', async () => {
    const live = await Live.start();
    const part = `${live.clock}-picture`;
    await live.page(live.clock, {
      cover: { picture: live.picture, focus: null },
      parts: [wordsPart(`${live.clock}-open`, 'Open words'), newPart('picture', part, [live.picture])],
    });
    await live.publish();
    expect(await live.stranger()).toContain('files/');
    await live.partHeight(live.clock, part, 'private');
    expect(await live.stranger()).not.toContain('files/');
    expect(await live.stranger()).toContain('Tide clock');
    await live.publish();
    expect(await live.stranger()).not.toContain('files/');
  });
});

describe('what is closed stays closed wherever it went', () => {
  test('a page set Private, deleted, published, and an old release brought back', async () => {
    const live = await Live.start();
    await live.page(live.clock, { height: 'private' });
    await live.deletePage(live.clock);
    await live.publish();
    await live.bringBack(1);
    expect(await live.stranger('tide-clock/')).toBe('404');
    expect(await live.stranger()).not.toContain('Tide clock');
    expect(await live.stranger('satchel/')).toContain('Sail words');
  });

  test('a part set Private, deleted, published, and an old release brought back', async () => {
    const live = await Live.start();
    await live.partHeight(live.clock, `${live.clock}-open`, 'private');
    await live.page(live.clock, { parts: [wordsPart(`${live.clock}-other`, 'Other words')] });
    await live.publish();
    await live.bringBack(1);
    expect(await live.stranger('tide-clock/')).toContain('Other words');
    expect(await live.stranger('tide-clock/')).not.toContain('Open words');
  });

  test('a part moved to another page and then set Private', async () => {
    const live = await Live.start();
    const { revision } = await maker.state(live.site);
    await maker.call(movePart, {
      params: { site: live.site, page: live.clock, part: `${live.clock}-open` },
      body: { to: live.satchel, seen: revision, seenThere: revision },
    });
    expect(await live.stranger('tide-clock/')).toContain('Open words');
    await live.partHeight(live.satchel, `${live.clock}-open`, 'private');
    expect(await live.stranger('tide-clock/')).not.toContain('Open words');
    expect(await live.stranger('tide-clock/')).toContain('Other words');
  });

  test('published as Private, raised in the draft only, and an old release brought back', async () => {
    const live = await Live.start();
    await live.page(live.clock, { height: 'private' });
    await live.publish();
    await live.page(live.clock, { height: 'public' });
    await live.bringBack(1);
    expect(await live.stranger('tide-clock/')).toBe('404');
    await live.change({ height: 'unlisted' });
    await live.publish();
    await live.change({ height: 'public' });
    await live.bringBack(1);
    expect(await live.stranger()).toBe('404');
  });

  test('a page deleted without being closed is there again with a release that had it', async () => {
    const live = await Live.start();
    await live.deletePage(live.clock);
    await live.publish();
    expect(await live.stranger('tide-clock/')).toBe('404');
    await live.bringBack(1);
    expect(await live.stranger('tide-clock/')).toContain('Open words');
  });

  test('set Private and deleted while a publish runs', async () => {
    const live = await Live.start();
    await live.page(live.satchel, { summary: 'Another line' });
    const job = await maker.call(startPublish, { params: { site: live.site }, body: {} });
    await live.page(live.clock, { height: 'private' });
    await live.deletePage(live.clock);
    await maker.finished(live.site, job);
    expect(await live.stranger('tide-clock/')).toBe('404');
    expect(await live.stranger()).not.toContain('Tide clock');
  });

  test('deleted for readers, brought back by undo: a draft until it is published', async () => {
    const live = await Live.start();
    await live.deletePage(live.clock, 'now');
    await live.undo(true);
    expect(await live.stranger('tide-clock/')).toBe('404');
    const { live: now } = await maker.state(live.site);
    expect(now.waiting.find(({ page }) => page === live.clock)?.kind).toBe('added');
    await live.publish();
    expect(await live.stranger('tide-clock/')).toContain('Open words');
  });
});

describe('closing does not depend on what comes after it', () => {
  /** From here on nothing can be written to the store, as on a full disk. */
  const fillDisk = () =>
    jest
      .spyOn(server.blobs, 'put')
      .mockRejectedValue(Object.assign(new Error('no space'), { code: 'ENOSPC' }));

  test('with a full disk, what was lowered is closed, at the first try and at the second', async () => {
    const live = await Live.start();
    fillDisk();
    await live.partHeight(live.clock, `${live.clock}-open`, 'private');
    await live.page(live.satchel, { height: 'private' });
    // The page that held the part cannot be made without it yet, so it is shut; nothing shows what was closed.
    expect(await live.stranger('tide-clock/')).toBe('404');
    expect(await live.stranger('satchel/')).toBe('404');
    expect(await live.stranger()).not.toContain('Satchel');
    await live.page(live.satchel, { height: 'private' });
    expect(await live.stranger('satchel/')).toBe('404');
    jest.restoreAllMocks();
    await live.page(live.satchel, { summary: 'x', height: 'invited' });
    await live.page(live.satchel, { height: 'private' });
    expect(await live.stranger('tide-clock/')).toContain('Other words');
    expect(await live.stranger('tide-clock/')).not.toContain('Open words');
  });

  test('pages that have nothing to do with it stay open meanwhile, and files only where they are shown', async () => {
    const live = await Live.start();
    const lone = await maker.call(createPage, {
      params: { site: live.site },
      body: { title: 'A', materials: [live.picture] },
    });
    // First on the wall, so that the last one is no neighbour of it.
    await live.page(lone.page, { height: 'public', rank: 'Zz' });
    await live.publish();
    const file = /files\/[\w.]+/.exec(await live.stranger('a/'))?.[0] ?? '';
    fillDisk();
    await live.page(live.satchel, { height: 'private' });
    expect(await live.stranger('a/')).toContain('files/');
    expect((await server.get(`/${live.address}/${file}`)).statusCode).toBe(200);
    await live.page(lone.page, { height: 'private' });
    expect((await server.get(`/${live.address}/${file}`)).statusCode).toBe(404);
  });

  test('bringing back narrows before it switches: with a full disk readers keep what they had', async () => {
    const live = await Live.start();
    await live.deletePage(live.clock);
    await live.page(live.satchel, { summary: 'Newer line' });
    await live.publish();
    // The live release has nothing of it, so none of the old one without it was ever made.
    await maker.call(closeNow, { params: { site: live.site }, body: { things: [live.clock] } });
    fillDisk();
    await live.bringBack(1).catch(() => undefined);
    expect(await live.stranger('tide-clock/')).toBe('404');
    expect(await live.stranger('satchel/')).toContain('Newer line');
  });
});

describe('pages that appear for the first time', () => {
  test('start Private once a site has been published, and can be kept back by a publish', async () => {
    const live = await Live.start();
    const make = (title: string) =>
      maker.call(createPage, { params: { site: live.site }, body: { title, materials: [] } });
    const draft = await make('Half-written');
    expect((await maker.state(live.site)).pages.find(({ id }) => id === draft.page)?.height).toBe('private');
    await live.publish();
    expect(await live.stranger('half-written/')).toBe('404');

    await live.page(draft.page, { height: 'public', parts: [wordsPart('half-1', 'Half words')] });
    await live.page(live.satchel, { summary: 'Newer line' });
    await live.publish([draft.page]);
    expect(await live.stranger('half-written/')).toBe('404');
    expect(await live.stranger()).not.toContain('Half-written');
    expect(await live.stranger('satchel/')).toContain('Newer line');
    const { live: now, pages } = await maker.state(live.site);
    expect(pages.find(({ id }) => id === draft.page)?.height).toBe('public');
    expect(now.waiting.map(({ page, kind }) => [page, kind])).toEqual([[draft.page, 'added']]);
    await live.publish();
    expect(await live.stranger('half-written/')).toContain('Half words');
  });
});

describe('search engines', () => {
  test('are asked to stay away at once; may come only with a publish, and that waits in words', async () => {
    const live = await Live.start();
    const robots = async () => (await server.get(`/${live.address}/`)).headers['x-robots-tag'];
    expect(await robots()).toBe('noindex');
    const on = await live.change({ searchEngines: true });
    expect(on.live.waiting.flatMap(({ what }) => what)).toEqual(['search engines may find it']);
    expect(await robots()).toBe('noindex');
    expect((await server.get('/sitemap.xml')).body).not.toContain(live.address);
    await live.publish();
    expect(await robots()).toBeUndefined();
    expect((await server.get('/sitemap.xml')).body).toContain(live.address);
    const off = await live.change({ searchEngines: false });
    expect(off.live.waiting).toEqual([]);
    expect(await robots()).toBe('noindex');
    expect((await server.get('/sitemap.xml')).body).not.toContain(live.address);
    await live.change({ searchEngines: true });
    expect(await robots()).toBe('noindex');
  });
});
