import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import ical from 'node-ical';
import { changePage, createPage } from '#contract/pages.ts';
import { dropPlanFeed, getPlanFeed, planFile, renewPlanFeed } from '#contract/plan.ts';
import { changeSite } from '#contract/sites.ts';
import type { Height } from '#core/access/height.ts';
import type { AgendaEntry } from '#core/parts/agenda.ts';
import { newPart } from '#core/parts/new-part.ts';
import { partsChange } from '#core/parts/parts-change.ts';
import type { Part } from '#core/parts/parts.ts';
import { shownOn } from '#core/pages/page.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
let stranger: TestMaker;
let site = '';
let page = '';
const task = (id: string, what: string, more: Partial<AgendaEntry> = {}): AgendaEntry =>
  ({
    ...{ id, height: 'public', kind: 'task', what, day: '2026-12-18', time: null, done: null, zone: '' },
    ...more,
  }) as AgendaEntry;
const setAgenda = async (height: Height, entries: AgendaEntry[]) => {
  const { revision, pages } = await maker.state(site);
  const now = pages.find(({ id }) => id === page);
  const was = now ? shownOn(now).parts : [];
  const part = { ...newPart('agenda', 'agenda-part'), height, entries } as Part;
  await maker.call(changePage, {
    params: { site, page },
    body: {
      ...{ seen: revision, label: 'Agenda', change: {} },
      parts: partsChange(was, [...was.filter(({ id }) => id !== part.id), part]),
    },
  });
};
const feed = async (address: string) => server.get(new URL(address).pathname);

beforeAll(async () => {
  server = await TestServer.start();
  [maker, stranger] = [await server.maker(), await server.maker('Sal')];
  site = (await maker.site()).site.id;
  page = (await maker.call(createPage, { params: { site }, body: { title: 'Tide clock', materials: [] } }))
    .page;
  const { revision } = await maker.state(site);
  await maker.call(changeSite, {
    params: { site },
    body: { seen: revision, label: 'Open', change: { height: 'public', address: 'planned' } },
  });
  await maker.call(changePage, {
    params: { site, page },
    body: { seen: (await maker.state(site)).revision, label: 'Open', change: { height: 'public' } },
  });
});
afterAll(() => server.stop());

describe('the feed', () => {
  test('is there once its maker wants it, for whoever has its address, and another parser reads it', async () => {
    await setAgenda('private', [
      task('task-one', 'Hand in the clock'),
      task('task-two', 'Done', { done: '2026-11-01' }),
    ]);
    expect(await maker.call(getPlanFeed, { params: { site } })).toEqual({ address: null });
    const { address } = await maker.call(renewPlanFeed, { params: { site } });
    const reply = await feed(address ?? '');
    expect([reply.statusCode, reply.headers['cache-control']]).toEqual([200, 'no-store']);
    expect(
      Object.values(ical.sync.parseICS(reply.body)).filter((one) => one?.type === 'VEVENT'),
    ).toMatchObject([{ summary: 'Hand in the clock', datetype: 'date', description: 'Tide clock' }]);
  });

  test('opens nothing any more once it is renewed or dropped, like an address that never was', async () => {
    const never = await server.get('/never-existed/');
    const { address: first } = await maker.call(getPlanFeed, { params: { site } });
    const { address: second } = await maker.call(renewPlanFeed, { params: { site } });
    expect(second).not.toBe(first);
    const old = await feed(first ?? '');
    expect([old.statusCode, old.body]).toEqual([404, never.body]);
    expect((await feed(second ?? '')).statusCode).toBe(200);
    await maker.call(dropPlanFeed, { params: { site } });
    expect((await feed(second ?? '')).body).toBe(never.body);
  });

  test('is nobody else’s to see, make or drop', async () => {
    for (const route of [getPlanFeed, renewPlanFeed, dropPlanFeed])
      await expect(stranger.call(route, { params: { site } })).rejects.toMatchObject({ status: 404 });
    expect((await stranger.raw('GET', planFile(site))).statusCode).toBe(404);
    expect((await server.get(planFile(site))).statusCode).toBe(401);
    expect((await maker.raw('GET', planFile(site))).body).toContain('SUMMARY:Hand in the clock');
  });
});

describe('an agenda on a page', () => {
  test('is its maker’s own until it is raised, and shows each reader only what is theirs, in order', async () => {
    await setAgenda('private', [task('task-one', 'Hand in the clock')]);
    await maker.publish(site);
    expect((await server.get('/planned/tide-clock/')).body).not.toContain('Hand in the clock');
    const fair = {
      ...{ kind: 'date', day: '2026-12-05', until: '2026-12-06' },
      ...{ place: 'Quay 4', from: 'secret.ics' },
    };
    await setAgenda('public', [
      task('task-one', 'Hand in the clock'),
      task('task-two', 'Buy the ring', { height: 'private' }),
      task('task-three', 'Ticked off', { done: '2026-11-01' } as Partial<AgendaEntry>),
      { ...task('date-one', 'Winter fair'), ...fair } as AgendaEntry,
    ]);
    await maker.publish(site);
    const { body } = await server.get('/planned/tide-clock/');
    expect(await htmlFaults(body)).toEqual([]);
    expect(body).toMatch(
      /5 December 2026 to 6 December 2026[^]*Winter fair[^]*Quay 4[^]*18 December 2026[^]*Hand in the clock/,
    );
    for (const hidden of ['Buy the ring', 'Ticked off', 'secret.ics']) expect(body).not.toContain(hidden);
    await setAgenda('private', [task('task-one', 'Hand in the clock')]);
    expect((await server.get('/planned/tide-clock/')).body).not.toContain('Hand in the clock');
  });
});
