import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { addSetTime, listSetTimes, removeSetTime } from '#contract/publishing.ts';
import { undoEdit } from '#contract/undo.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** What the server does at times that makers set, asked from outside by HTTP. */
let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());
afterEach(() => {
  server.clock.now = () => new Date();
});

const clocksShow = (instant: string) => {
  server.clock.now = () => new Date(instant);
};
const set = (site: string, does: 'publish' | 'take-down', local: string, timeZone = 'Europe/Berlin') =>
  maker.call(addSetTime, { params: { site }, body: { does, local, timeZone } });
const times = async (site: string) => (await maker.call(listSetTimes, { params: { site } })).times;

describe('publishing at a set time', () => {
  test('gives readers at that time what the draft is then, and not a moment before', async () => {
    const site = await PublishedSite.open(server, maker);
    clocksShow('2026-12-01T10:00:00Z');
    await set(site.site, 'publish', '2026-12-04T09:00');
    await site.page(site.clock, { summary: 'Newer clock' });
    clocksShow('2026-12-04T07:59:59Z');
    await server.clockwork.look();
    expect(await site.stranger('tide-clock/')).toContain('One hand for the tide');
    clocksShow('2026-12-04T08:00:00Z');
    await server.clockwork.look();
    expect(await site.stranger('tide-clock/')).toContain('Newer clock');
    expect(await times(site.site)).toMatchObject([{ outcome: 'Published.' }]);
    // It is done once.
    await site.page(site.clock, { summary: 'Newest clock' });
    await server.clockwork.look();
    expect(await site.stranger('tide-clock/')).toContain('Newer clock');
  });

  test('is done by a server that starts later, which says so', async () => {
    const site = await PublishedSite.open(server, maker);
    clocksShow('2026-12-01T10:00:00Z');
    await set(site.site, 'publish', '2026-12-04T09:00');
    await site.page(site.clock, { summary: 'Newer clock' });
    clocksShow('2026-12-04T08:30:00Z');
    await server.clockwork.look();
    expect(await site.stranger('tide-clock/')).toContain('Newer clock');
    expect((await times(site.site))[0]?.outcome).toMatch(/^Published\. 30 minutes late/);
  });

  // Europe/Berlin puts clocks forward at 2027-03-28 02:00 and back at 2026-10-25 03:00 (IANA Time Zone Database, from memory).
  test.each([
    ['2027-03-28T02:30', '2027-03-28T01:30:00.000Z'],
    ['2027-10-31T02:30', '2027-10-31T00:30:00.000Z'],
    ['2027-07-01T12:00', '2027-07-01T10:00:00.000Z'],
    ['2027-01-01T12:00', '2027-01-01T11:00:00.000Z'],
  ])('clocks that show %s in Berlin mean %s', async (local, instant) => {
    const site = (await maker.site()).site.id;
    expect((await set(site, 'publish', local)).times.map(({ at }) => at)).toEqual([instant]);
  });
});

describe('taking down at a set time', () => {
  test('closes the site to all readers, as an edit that can be undone and opens nothing by that', async () => {
    const site = await PublishedSite.open(server, maker);
    clocksShow('2026-12-01T10:00:00Z');
    await set(site.site, 'take-down', '2026-12-04T09:00', 'UTC');
    clocksShow('2026-12-04T09:00:01Z');
    expect(await site.stranger()).toContain('Tide clock');
    await server.clockwork.look();
    expect(await site.stranger()).toBe('404');
    expect(await times(site.site)).toMatchObject([{ outcome: 'Taken down.' }]);
    await maker.call(undoEdit, { params: { site: site.site }, body: { sure: true } });
    expect((await maker.state(site.site)).site.height).toBe('public');
    expect(await site.stranger()).toBe('404');
    await site.publish();
    expect(await site.stranger()).toContain('Tide clock');
  });
});

describe('times', () => {
  test('can be taken away while they wait, are in the future, and are a maker’s own', async () => {
    const site = await PublishedSite.open(server, maker);
    clocksShow('2026-12-01T10:00:00Z');
    await expect(set(site.site, 'publish', '2026-12-01T10:59')).rejects.toMatchObject({ status: 422 });
    const {
      times: [time],
    } = await set(site.site, 'take-down', '2026-12-02T09:00');
    const other = await server.maker('Ola');
    const params = { site: site.site, time: time?.id ?? '' };
    for (const asked of [
      other.call(listSetTimes, { params }),
      other.call(removeSetTime, { params }),
      other.call(addSetTime, {
        params,
        body: { does: 'publish', local: '2027-01-01T00:00', timeZone: 'UTC' },
      }),
      other.call(removeSetTime, { params: { ...params, site: (await other.site()).site.id } }),
    ])
      await expect(asked).rejects.toMatchObject({ status: 404 });
    expect((await maker.call(removeSetTime, { params })).times).toEqual([]);
    clocksShow('2026-12-03T10:00:00Z');
    await server.clockwork.look();
    expect(await site.stranger()).toContain('Tide clock');
    await expect(maker.call(removeSetTime, { params })).rejects.toMatchObject({ status: 404 });
  });

  test('set twice at once are set once', async () => {
    const site = (await maker.site()).site.id;
    await Promise.all([1, 2, 3].map(() => set(site, 'publish', '2035-01-01T10:00')));
    await set(site, 'take-down', '2035-01-01T10:00');
    expect((await times(site)).map(({ does }) => does).sort()).toEqual(['publish', 'take-down']);
  });

  test('are at most twenty at once', async () => {
    const site = (await maker.site()).site.id;
    for (let day = 10; day < 30; day++) await set(site, 'publish', `2027-01-${day}T09:00`);
    await expect(set(site, 'publish', '2027-02-01T09:00')).rejects.toMatchObject({ status: 409 });
  });
});
