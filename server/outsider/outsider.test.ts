import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { listOutsiderTests, runOutsiderTest } from '#contract/outsider.ts';
import { changePass, makePasses } from '#contract/passes.ts';
import { PublicSites } from '../serve/public-sites.ts';
import { PublishedSite, wordsPart } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** The server opening its own links over HTTP. */
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

async function run(site: string) {
  const { tests } = await maker.call(runOutsiderTest, { params: { site } });
  const [latest] = tests;
  if (!latest) throw new Error('no test was kept');
  const of = (is: 'right' | 'wrong' | 'note') => latest.findings.filter((one) => one.is === is);
  return { ...latest, right: of('right').map(({ says }) => says), wrong: of('wrong'), notes: of('note') };
}
const pass = async (site: string, more: object) =>
  (
    await maker.call(makePasses, {
      params: { site },
      body: { passes: [{ label: 'Boatyard', opens: 'site', timeZone: 'UTC', ...more }] },
    })
  ).passes[0];

describe('the outsider test', () => {
  test('says what opens, what asks, what stays shut, and what search engines are told', async () => {
    const site = await PublishedSite.open(server, maker);
    await site.page(site.satchel, { height: 'private' });
    await site.publish();
    await pass(site.site, { label: 'Tutors', password: 'reed lamp tide' });
    const over = await pass(site.site, { label: 'Fair' });
    await maker.call(changePass, { params: { site: site.site, pass: over?.id ?? '' }, body: { on: false } });
    const { right, wrong, asked, release } = await run(site.site);
    expect(wrong).toEqual([]);
    expect(right).toEqual([
      expect.stringMatching(/^The address opens 2 pages: the front page and Tide clock\.$/),
      expect.stringMatching(/^The link to the site opens 2 pages/),
      'The pass “Tutors” asks for its password.',
      'Satchel and the pass “Fair” stayed shut, and nothing told that they exist.',
      'Search engines are asked to stay away.',
    ]);
    expect(release).toBe(3);
    expect(asked).toBeGreaterThan(10);
  });

  test('finds a page that a pass was made for and does not open, and one that waits', async () => {
    const site = await PublishedSite.open(server, maker);
    await pass(site.site, { opens: [site.clock, site.satchel] });
    await site.page(site.satchel, { height: 'private' });
    const closed = await run(site.site);
    expect(closed.wrong.map(({ says }) => says)).toEqual([
      'The pass “Boatyard” could not open Satchel. It is Private.',
    ]);
    expect(closed.wrong[0]?.repairs.map(({ kind }) => kind)).toEqual(['raise', 'change-pass']);
    await site.page(site.satchel, { height: 'public' });
    expect((await run(site.site)).wrong.map(({ says }) => says)).toEqual([
      'The pass “Boatyard” could not open Satchel. It is not published yet.',
    ]);
    await site.publish();
    expect((await run(site.site)).wrong).toEqual([]);
  });

  test('follows pages to their files, and tells which do not load and where they are named', async () => {
    const site = await PublishedSite.open(server, maker);
    await site.page(site.clock, { opening: { layout: 'strip', pictures: [site.picture] } });
    await site.publish();
    const { read, stream } = server.blobs;
    // A disk that lost every picture.
    const lost = (of: (hash: string) => unknown) => (hash: string) => {
      if (lostHashes.has(hash)) throw new Error('lost');
      return of.call(server.blobs, hash);
    };
    const lostHashes = new Set<string>();
    const found = await new PublicSites(server.database.db).atAddress(site.address);
    if (found && 'entrance' in found)
      for (const file of Object.values(found.entrance.tree))
        if (file.type.startsWith('image/')) lostHashes.add(file.hash);
    expect(lostHashes.size).toBeGreaterThan(0);
    Object.assign(server.blobs, { read: lost(read), stream: lost(stream) });
    try {
      const { wrong } = await run(site.site);
      expect(wrong.map(({ says }) => says)).toEqual([
        expect.stringMatching(
          /^The address: \d files did not load, named on the front page \(status 500\)\.$/,
        ),
        expect.stringMatching(/^The link to the site: \d files did not load/),
      ]);
    } finally {
      Object.assign(server.blobs, { read, stream });
    }
    expect((await run(site.site)).wrong).toEqual([]);
  });

  test('before the first publish there is nothing to open', async () => {
    const { site } = await maker.site();
    const { notes, release } = await run(site.id);
    expect([release, notes.length]).toEqual([null, 1]);
  });

  test('what is open by mistake is told: a way in that is shut and opens', async () => {
    const site = await PublishedSite.open(server, maker);
    await pass(site.site, { label: 'Fair', until: '2026-12-01T09:00' });
    expect((await run(site.site)).right.join()).toContain('The pass “Fair” opens');
    // The door goes by one clock and the test by another, as if closing were broken.
    let asked = 0;
    server.clock.now = () => new Date(asked++ === 0 ? '2026-12-02T00:00:00Z' : '2026-11-30T00:00:00Z');
    const { wrong } = await run(site.site);
    expect(wrong.map(({ says }) => says)).toEqual(['The pass “Fair” is over, and opened all the same.']);
  });

  test('is a maker’s own, kept, and tells no key', async () => {
    const site = await PublishedSite.open(server, maker);
    const made = await pass(site.site, {});
    await run(site.site);
    await run(site.site);
    const other = await server.maker('Ola');
    const params = { site: site.site };
    for (const route of [listOutsiderTests, runOutsiderTest])
      await expect(other.call(route, { params })).rejects.toMatchObject({ status: 404 });
    const { tests } = await maker.call(listOutsiderTests, { params });
    expect(tests).toHaveLength(2);
    const { live } = await maker.state(site.site);
    const keys = [made?.link ?? '', live.siteLinkPath ?? ''].map((path) => path.split('/')[2] ?? '');
    expect(keys.every((key) => key.length === 22)).toBe(true);
    for (const key of keys) expect(JSON.stringify(tests)).not.toContain(key);
  });

  test('a server that cannot reach itself says so', async () => {
    const deaf = await TestServer.start();
    const lonely = await deaf.maker();
    const { site } = await lonely.site();
    await expect(lonely.call(runOutsiderTest, { params: { site: site.id } })).rejects.toMatchObject({
      status: 503,
    });
    await deaf.stop();
  });

  test('follows links on pages to elsewhere, but not into other people’s networks', async () => {
    const site = await PublishedSite.open(server, maker);
    await site.page(site.clock, {
      parts: [
        {
          ...wordsPart(`${site.clock}-link`, ''),
          text: {
            type: 'doc',
            content: [
              {
                type: 'paragraph',
                content: [
                  {
                    type: 'text',
                    text: 'Here',
                    marks: [{ type: 'link', attrs: { href: 'http://10.0.0.1/' } }],
                  },
                ],
              },
            ],
          },
        } as ReturnType<typeof wordsPart>,
      ],
    });
    await site.publish();
    const { notes, wrong } = await run(site.site);
    expect(wrong).toEqual([]);
    expect(notes.map(({ says }) => says)).toEqual([
      expect.stringMatching(/^1 link to elsewhere did not answer/),
    ]);
  });
});
