import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import {
  changeHandIn,
  doHandIn,
  listHandIns,
  makeHandIn,
  removeHandIn,
  undoHandIn,
} from '#contract/hand-ins.ts';
import { listOutsiderTests } from '#contract/outsider.ts';
import { changePass, makePasses, removePass, renewPass } from '#contract/passes.ts';
import { planFile } from '#contract/plan.ts';
import { bringBackRelease } from '#contract/publishing.ts';
import type { GivenLink } from '#core/access/given-link.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** Handing in links, with what their readers get asked from outside by HTTP. */
let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  await server.app.listen({ port: 0, host: '127.0.0.1' });
});
afterAll(() => server.stop());
afterEach(() => {
  server.clock.now = () => new Date();
});

/** A published site with a pass for tutors, and one hand-in by some link. */
async function opened(by: 'pass' | 'address' | 'site-link', more: object = {}) {
  const site = await PublishedSite.open(server, maker);
  const params = { site: site.site };
  const { passes } = await maker.call(makePasses, {
    params,
    body: { passes: [{ label: 'Tutors', opens: 'site', timeZone: 'UTC' }] },
  });
  const [pass] = passes;
  const link: GivenLink = by === 'pass' ? { kind: 'pass', pass: pass?.id ?? '' } : { kind: by };
  const terms = { what: 'Waste as a material', due: '2026-12-11T17:00', timeZone: 'UTC', by: link, ...more };
  const { handIns } = await maker.call(makeHandIn, { params, body: terms });
  const ofHandIn = { ...params, handIn: handIns[0]?.id ?? '' };
  const now = async () => (await maker.call(listHandIns, { params })).handIns[0];
  const reads = async (path = 'tide-clock/') => {
    const reply = await server.get(`${pass?.link ?? ''}${path}`);
    return reply.statusCode === 200 ? reply.body : String(reply.statusCode);
  };
  return { site, params, pass, terms, ofHandIn, now, reads };
}

describe('handing in', () => {
  test('tries the link first, and remembers when it was and what was live', async () => {
    const { ofHandIn, now, params, site, pass } = await opened('pass');
    expect(await now()).toMatchObject({ handedAt: null, release: null, warnings: [], link: pass?.link });
    server.clock.now = () => new Date('2026-12-10T09:00:00Z');
    const { done, findings } = await maker.call(doHandIn, { params: ofHandIn, body: {} });
    expect([done, findings.map(({ says }) => says)]).toEqual([
      true,
      ['The pass “Tutors” opens 3 pages: the front page, Tide clock and Satchel.'],
    ]);
    expect(await now()).toMatchObject({ handedAt: '2026-12-10T09:00:00.000Z', release: 1 });
    const { tests } = await maker.call(listOutsiderTests, { params });
    expect(tests.map(({ why }) => why)).toEqual(['hand-in']);
    // What its readers find otherwise since is told.
    await site.page(site.clock, { summary: 'Newer clock' });
    expect((await now())?.warnings).toEqual([]);
    await site.publish();
    expect((await now())?.warnings).toEqual(['Changed since it was handed in: Tide clock.']);
    const { handIns } = await maker.call(undoHandIn, { params: ofHandIn });
    expect(handIns[0]).toMatchObject({ handedAt: null, release: null, warnings: [] });
  });

  test('is not done by a link that opens nothing, unless its maker wants it so', async () => {
    const { ofHandIn, site, now } = await opened('address');
    await site.change({ height: 'unlisted' });
    expect((await now())?.warnings).toEqual(['Its link opens nothing now.']);
    const tried = await maker.call(doHandIn, { params: ofHandIn, body: {} });
    expect(tried.done).toBe(false);
    expect(tried.findings).toMatchObject([{ is: 'wrong' }]);
    expect((await now())?.handedAt).toBeNull();
    expect((await maker.call(doHandIn, { params: ofHandIn, body: { anyway: true } })).done).toBe(true);
    expect((await now())?.handedAt).not.toBeNull();
  });

  test('is warned of where its pass closes before it is due, is off, or is gone', async () => {
    const { params, pass, now } = await opened('pass');
    server.clock.now = () => new Date('2026-12-01T09:00:00Z');
    const ofPass = { ...params, pass: pass?.id ?? '' };
    const terms = { label: 'Tutors', opens: 'site' as const, timeZone: 'UTC', until: '2026-12-10T20:00' };
    await maker.call(changePass, { params: ofPass, body: { terms } });
    expect((await now())?.warnings).toEqual(['Its pass closes Thu 10 Dec 2026, 20:00, before it is due.']);
    await maker.call(changePass, { params: ofPass, body: { on: false } });
    expect((await now())?.warnings).toEqual(['Its pass is switched off.']);
    await maker.call(removePass, { params: ofPass });
    expect(await now()).toMatchObject({
      link: null,
      warnings: [expect.stringMatching(/not there any more/)],
    });
  });
});

test('a link that was made anew since is told: those who were handed the old one get nothing', async () => {
  const { ofHandIn, now, params, pass, reads } = await opened('pass');
  await maker.call(doHandIn, { params: ofHandIn, body: {} });
  expect((await now())?.warnings).toEqual([]);
  await maker.call(renewPass, { params: { ...params, pass: pass?.id ?? '' } });
  expect(await reads()).toBe('404');
  expect((await now())?.warnings).toEqual([expect.stringMatching(/made anew since/)]);
});

describe('a pass that keeps what was handed in', () => {
  test('goes on opening that release, whatever is published or brought back', async () => {
    const { site, params, ofHandIn, reads, now } = await opened('pass', { keeps: true });
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    await site.page(site.clock, { summary: 'Newer clock' });
    await site.publish();
    expect(await reads()).toContain('One hand for the tide');
    expect(await site.stranger('tide-clock/')).toContain('Newer clock');
    expect((await now())?.warnings).toEqual([]);
    await site.page(site.clock, { summary: 'Newest clock' });
    await site.publish();
    await maker.call(bringBackRelease, { params: { ...params, number: '2' } });
    expect(await reads()).toContain('One hand for the tide');
    // A reader who comes back much later, to a server that has forgotten everything, gets the same.
    expect(await reads('')).toContain('Tide clock');
    await maker.call(undoHandIn, { params: ofHandIn });
    expect(await reads()).toContain('Newer clock');
  });

  test('opens nothing of it that was closed since', async () => {
    const { site, ofHandIn, reads } = await opened('pass', { keeps: true });
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    await site.partHeight(site.clock, `${site.clock}-other`, 'private');
    expect(await reads()).toContain('Open words');
    expect(await reads()).not.toContain('Other words');
    await site.page(site.satchel, { height: 'private' });
    expect(await reads('satchel/')).toBe('404');
    await site.publish();
    expect(await reads('satchel/')).toBe('404');
    await site.change({ height: 'private' });
    expect(await reads('')).toBe('404');
    // Raised again and published, it is what was handed in.
    await site.change({ height: 'public' });
    await site.publish();
    expect(await reads()).toContain('Open words');
    expect(await reads('satchel/')).toBe('404');
  });

  test('lets it go when the hand-in is taken away, and keeps the latest of two', async () => {
    const { site, params, terms, ofHandIn, reads } = await opened('pass', { keeps: true });
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    await site.page(site.clock, { summary: 'Newer clock' });
    await site.publish();
    const { handIns } = await maker.call(makeHandIn, {
      params,
      body: { ...terms, what: 'Second', due: '2026-12-20T17:00' },
    });
    const second = { ...params, handIn: handIns[1]?.id ?? '' };
    server.clock.now = () => new Date(Date.now() + 60_000);
    await maker.call(doHandIn, { params: second, body: {} });
    await site.page(site.clock, { summary: 'Newest clock' });
    await site.publish();
    expect(await reads()).toContain('Newer clock');
    await maker.call(removeHandIn, { params: second });
    expect(await reads()).toContain('One hand for the tide');
    await maker.call(removeHandIn, { params: ofHandIn });
    expect(await reads()).toContain('Newest clock');
  });

  test('what was handed in keeps its link and what it keeps, whatever is said of it later', async () => {
    const { terms, ofHandIn, now } = await opened('pass', { keeps: true });
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    const changed = { ...terms, what: 'Renamed', keeps: false, by: { kind: 'address' as const } };
    await maker.call(changeHandIn, { params: ofHandIn, body: changed });
    expect(await now()).toMatchObject({ what: 'Renamed', keeps: true, by: terms.by });
  });
});

describe('hand-ins', () => {
  test('are a maker’s own', async () => {
    const { params, terms, ofHandIn } = await opened('pass');
    const other = await server.maker('Ola');
    const own = { site: (await other.site()).site.id };
    for (const asked of [
      other.call(listHandIns, { params }),
      other.call(makeHandIn, { params, body: terms }),
      other.call(changeHandIn, { params: ofHandIn, body: terms }),
      other.call(doHandIn, { params: ofHandIn, body: { anyway: true } }),
      other.call(undoHandIn, { params: ofHandIn }),
      other.call(removeHandIn, { params: ofHandIn }),
      other.call(doHandIn, { params: { ...ofHandIn, ...own }, body: { anyway: true } }),
      other.call(removeHandIn, { params: { ...ofHandIn, ...own } }),
    ])
      await expect(asked).rejects.toMatchObject({ status: 404 });
    // A pass of another site is none of one's own.
    await expect(other.call(makeHandIn, { params: own, body: terms })).rejects.toMatchObject({ status: 422 });
  });

  test('that are due stand in the plan’s calendar until they are handed in', async () => {
    const { params, ofHandIn } = await opened('pass', { what: 'Final crit' });
    const calendar = async () => (await maker.raw('GET', planFile(params.site))).body;
    expect(await calendar()).toMatch(/SUMMARY:Hand in: Final crit[\s\S]*DTSTART:20261211T170000Z/);
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    expect(await calendar()).not.toContain('Final crit');
  });
});
