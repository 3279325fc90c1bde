import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createPage, deletePage } from '#contract/pages.ts';
import { compareRelease, publishOutlook } from '#contract/publishing.ts';
import { makePasses } from '#contract/passes.ts';
import { PublishedSite, wordsPart } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** Publishing some pages while others stay as they are, asked from outside by HTTP. */
let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

describe('a publish that leaves pages as readers have them', () => {
  test('changes the others only, and what stays goes on waiting', async () => {
    const site = await PublishedSite.open(server, maker);
    await site.page(site.clock, { summary: 'Newer clock' });
    await site.page(site.satchel, { summary: 'Newer satchel' });
    await site.publish([site.clock]);
    expect(await site.stranger('tide-clock/')).toContain('One hand for the tide');
    expect(await site.stranger('satchel/')).toContain('Newer satchel');
    expect(await site.stranger()).not.toContain('Newer clock');
    const { live } = await maker.state(site.site);
    expect(live.waiting.map(({ page }) => page)).toEqual([site.clock]);
    await site.publish();
    expect(await site.stranger('tide-clock/')).toContain('Newer clock');
  });

  test('keeps a deleted page until it is to go', async () => {
    const site = await PublishedSite.open(server, maker);
    await maker.call(deletePage, {
      params: { site: site.site, page: site.satchel },
      body: { readers: 'next-publish' },
    });
    await site.page(site.clock, { summary: 'Newer clock' });
    await site.publish([site.satchel]);
    expect(await site.stranger('satchel/')).toContain('Sail words');
    expect(await site.stranger('tide-clock/')).toContain('Newer clock');
    await site.publish();
    expect(await site.stranger('satchel/')).toBe('404');
  });

  test('opens nothing that was closed, on a page that stays as well', async () => {
    const site = await PublishedSite.open(server, maker);
    const other = `${site.clock}-other`;
    await site.partHeight(site.clock, other, 'private');
    expect(await site.stranger('tide-clock/')).not.toContain('Other words');
    await site.page(site.satchel, { height: 'private' });
    await site.page(site.clock, { summary: 'Newer clock' });
    await site.publish([site.clock, site.satchel]);
    expect(await site.stranger('tide-clock/')).not.toContain('Other words');
    expect(await site.stranger('tide-clock/')).toContain('One hand for the tide');
    expect(await site.stranger('satchel/')).toBe('404');
    // Nor does what is published later.
    await site.publish();
    expect(await site.stranger('tide-clock/')).not.toContain('Other words');
    expect(await site.stranger('satchel/')).toBe('404');
  });

  test('opens nothing higher because what holds it down is raised', async () => {
    const site = await PublishedSite.open(server, maker);
    await site.page(site.clock, { height: 'unlisted' });
    await site.publish();
    expect(await site.stranger('tide-clock/')).toBe('404');
    await site.page(site.clock, { height: 'public', summary: 'Newer clock' });
    await site.publish([site.clock]);
    expect(await site.stranger('tide-clock/')).toBe('404');
    await site.publish();
    expect(await site.stranger('tide-clock/')).toContain('Newer clock');
  });
});

describe('the outlook of a publish', () => {
  test('names who gains and who loses which pages, and what is Needed on those that go', async () => {
    const site = await PublishedSite.open(server, maker);
    await maker.call(makePasses, {
      params: { site: site.site },
      body: { passes: [{ label: 'Tutors', opens: 'site', timeZone: 'UTC' }] },
    });
    const { page: stool } = await maker.call(createPage, {
      params: { site: site.site },
      body: { title: 'Stool', materials: [] },
    });
    await site.page(stool, {
      height: 'invited',
      parts: [
        { ...wordsPart(`${stool}-asked`, ''), prompt: 'What did you try?' },
        wordsPart(`${stool}-said`, 'Oak'),
      ],
    });
    await site.page(site.satchel, { height: 'private' });
    const look = (staying: string[]) =>
      maker.call(publishOutlook, { params: { site: site.site }, body: { staying } });
    const all = await look([]);
    // What was lowered is closed already: nobody loses it by publishing.
    expect(all.readers).toEqual([{ reader: { pass: 'Tutors' }, gains: ['Stool'], loses: [] }]);
    expect(all.needed).toEqual([{ page: stool, title: 'Stool', needs: [{ kind: 'outline', count: 1 }] }]);
    expect(await look([stool])).toEqual({ readers: [], needed: [] });
    await site.publish();
    await site.page(site.clock, { summary: 'Newer clock' });
    // It went with its need; nobody is asked about it again because another page changes.
    expect((await look([])).needed).toEqual([]);
  });
});

describe('a release that is over', () => {
  test('is seen by its maker as its readers got it, and by nobody else', async () => {
    const site = await PublishedSite.open(server, maker);
    await site.page(site.clock, { summary: 'Newer clock' });
    await site.publish();
    const at = (which: string, path = 'stranger/tide-clock/') =>
      maker.raw('GET', `/studio/release/${site.site}/${which}/${path}`);
    expect((await at('1')).body).toContain('One hand for the tide');
    expect((await at('now')).body).toContain('Newer clock');
    const way = await at('1', `visitors/${site.clock}`);
    expect(way.headers.location).toBe(`/studio/release/${site.site}/1/stranger/tide-clock/`);
    expect((await at('3')).statusCode).toBe(404);

    const other = await server.maker('Ola');
    for (const path of ['1/stranger/', 'now/stranger/', `1/visitors/${site.clock}`])
      expect((await other.raw('GET', `/studio/release/${site.site}/${path}`)).statusCode).toBe(404);
    expect((await server.get(`/studio/release/${site.site}/1/stranger/`)).statusCode).toBe(401);
    // What was closed since is gone from what readers have, and is in what they had.
    await site.page(site.clock, { height: 'private' });
    expect((await at('now')).statusCode).toBe(404);
    expect((await at('2')).body).toContain('Newer clock');
  });

  test('is told against what readers have now', async () => {
    const site = await PublishedSite.open(server, maker);
    await site.page(site.clock, { summary: 'Newer clock' });
    await site.publish();
    const told = await maker.call(compareRelease, { params: { site: site.site, number: '1' } });
    expect(told.map(({ title, what }) => [title, what])).toEqual([['Tide clock', ['summary']]]);
    expect(await maker.call(compareRelease, { params: { site: site.site, number: '2' } })).toEqual([]);
    await expect(
      (await server.maker()).call(compareRelease, { params: { site: site.site, number: '1' } }),
    ).rejects.toMatchObject({ status: 404 });
  });
});
