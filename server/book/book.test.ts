import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { type BookJob, bookFile, cancelBookJob, getBook, getBookJob, makeBook } from '#contract/book.ts';
import { changeMaterial } from '#contract/materials.ts';
import { changePass, makePasses } from '#contract/passes.ts';
import { PublishedSite, wordsPart } from '../testing/published-site.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** The site as one PDF, read by tools that know PDFs and not us: poppler's and qpdf. */
const run = promisify(execFile);
let folder: string;
let server: TestServer;
let maker: TestMaker;
let site: PublishedSite;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-book-test-'));
  server = await TestServer.start({ PUBLIC_ORIGIN: 'https://wall.example' });
  maker = await server.maker();
  site = await PublishedSite.open(server, maker);
  await site.page(site.clock, {
    opening: { layout: 'full', pictures: [site.picture] },
    parts: [
      wordsPart(`${site.clock}-open`, 'Open words'),
      { ...wordsPart(`${site.clock}-unlisted`, 'Told by link alone'), height: 'unlisted' },
      { ...wordsPart(`${site.clock}-mine`, 'Mine alone'), height: 'private' },
    ],
  });
  await site.page(site.satchel, { height: 'invited' });
  const { revision: seen } = await maker.state(site.site);
  await maker.call(changeMaterial, {
    params: { site: site.site, material: site.picture },
    body: { seen, label: 'Alt text', change: { alt: 'A dial with one hand' } },
  });
  await site.publish();
});
afterAll(async () => {
  await server.stop();
  await rm(folder, { recursive: true, force: true });
});

const params = (link: string) => ({ site: site.site, link });
async function ended(job: BookJob): Promise<BookJob> {
  let now = job;
  while (now.state === 'running') {
    await new Promise((resolve) => setTimeout(resolve, 20));
    now = await maker.call(getBookJob, { params: { site: site.site, job: job.id } });
  }
  return now;
}
/** The PDF of a link, saved. */
async function saved(link: string, paper: 'a4' | 'letter' = 'a4'): Promise<string> {
  const job = await ended(await maker.call(makeBook, { params: params(link), body: { paper } }));
  expect([job.state, job.message]).toEqual(['done', null]);
  const reply = await maker.raw('GET', bookFile(site.site, job.id));
  expect(reply.headers['content-type']).toBe('application/pdf');
  expect(Number(reply.headers['content-length'])).toBe(reply.rawPayload.byteLength);
  const path = join(folder, `${link}-${paper}-${job.id}.pdf`);
  await writeFile(path, reply.rawPayload);
  return path;
}
const told = async (program: string, ...given: string[]) =>
  (await run(program, given, { maxBuffer: 64 * 1024 * 1024 })).stdout;
const words = (path: string) => told('pdftotext', '-layout', path, '-');

describe('the site as one PDF', () => {
  test('is a sound tagged file with contents, page numbers, bookmarks, pictures and links', async () => {
    const path = await saved('address');
    const info = await told('pdfinfo', path);
    expect(info).toMatch(/Title: +Wren makes/);
    expect(info).toMatch(/Tagged: +yes/);
    expect(info).toMatch(/Page size: +595\.28 x 841\.89 pts \(A4\)/);
    expect(await told('qpdf', '--check', path)).toContain('No syntax or stream encoding errors found');
    const text = await words(path);
    const [cover = '', contents = '', clock = ''] = text.split('\f');
    expect(cover).toContain('Wren makes');
    expect(cover).toContain(`wall.example/${site.address}/`);
    expect(contents).toMatch(/Contents\s+Tide clock\s+3\s/);
    expect(clock).toMatch(/Tide clock\s+One hand for the tide\s+Open words/);
    expect(clock.trim()).toMatch(/Wren makes\s+3$/);
    expect(await told('pdfimages', '-list', path)).toMatch(/\n +3 +\d+ image +\d+ +\d+ .*jpeg/);
    const all = await told('qpdf', '--json', '--decode-level=none', path);
    expect(all.includes('"/S": "/GoTo"')).toBe(true);
    expect(all.includes('"/Title": "u:Tide clock"')).toBe(true);
    const tree = await told('pdfinfo', '-struct-text', path);
    expect(tree).toMatch(
      /H1[\s\S]*Wren makes[\s\S]*TOCI[\s\S]*Link[\s\S]*Tide clock[\s\S]*Figure[\s\S]*H1[\s\S]*Tide clock/,
    );
    expect(await told('pdfinfo', await saved('address', 'letter'))).toMatch(/612 x 792 pts \(letter\)/);
  });

  test('holds for each link what its readers get, and no key', async () => {
    const address = await words(await saved('address'));
    expect(address).not.toContain('Told by link alone');
    expect(address).not.toContain('Satchel');
    const link = await saved('site-link');
    const byLink = await words(link);
    expect(byLink).toContain('Told by link alone');
    expect(byLink).not.toContain('Satchel');
    const key = /\/l\/([^/]+)\//.exec((await maker.state(site.site)).live.siteLinkPath ?? '')?.[1] ?? 'none';
    const bare = join(folder, 'bare.pdf');
    await told('qpdf', '--qdf', '--object-streams=disable', link, bare);
    expect((await readFile(bare)).includes(key)).toBe(false);
    expect(byLink).not.toContain('wall.example');

    const terms = { opens: 'site' as const, from: null, until: null, timeZone: 'UTC', mayDownload: true };
    const made = await maker.call(makePasses, {
      params: { site: site.site },
      body: {
        passes: [
          { ...terms, label: 'Tutors', forWhom: '' },
          { ...terms, label: 'Board', forWhom: '', opens: [site.satchel] },
        ],
      },
    });
    const [all, one] = made.passes;
    const byPass = await words(await saved(`pass-${all?.id}`));
    expect(byPass).toContain('Sail words');
    expect(byPass).toContain('Told by link alone');
    const byOne = await words(await saved(`pass-${one?.id}`));
    expect(byOne).toContain('Sail words');
    expect(byOne).not.toContain('Tide clock');
    for (const text of [address, byLink, byPass, byOne]) expect(text).not.toContain('Mine alone');

    // Once it is switched off there is nothing to save.
    await maker.call(changePass, { params: { site: site.site, pass: one?.id ?? '' }, body: { on: false } });
    expect((await maker.call(getBook, { params: params(`pass-${one?.id}`) })).problem).toContain(
      'get nothing now',
    );
    await expect(
      maker.call(makeBook, { params: params(`pass-${one?.id}`), body: { paper: 'a4' } }),
    ).rejects.toMatchObject({ status: 409 });
  });

  test('has what was closed in none that is made from then on', async () => {
    const other = await PublishedSite.open(server, maker);
    const make = async () => {
      const started = await maker.call(makeBook, {
        params: { site: other.site, link: 'address' },
        body: { paper: 'a4' },
      });
      let job = started;
      while (job.state === 'running') {
        await new Promise((resolve) => setTimeout(resolve, 20));
        job = await maker.call(getBookJob, { params: { site: other.site, job: job.id } });
      }
      const path = join(folder, `${job.id}.pdf`);
      await writeFile(path, (await maker.raw('GET', bookFile(other.site, job.id))).rawPayload);
      return words(path);
    };
    expect(await make()).toContain('Sail words');
    const offered = async () =>
      (await maker.call(getBook, { params: { site: other.site, link: 'address' } })).job?.state;
    expect(await offered()).toBe('done');
    await other.page(other.satchel, { height: 'private' });
    // What was made before is not offered as what readers get.
    expect(await offered()).toBeUndefined();
    const after = await make();
    expect(after).not.toContain('Sail words');
    expect(after).not.toContain('Satchel');
    expect(after).toContain('Open words');
  });

  test('says which letters its fonts do not have', async () => {
    const other = await PublishedSite.open(server, maker);
    await other.page(other.clock, { parts: [wordsPart(`${other.clock}-words`, 'Slip 潮 and שלום, ok')] });
    await other.publish();
    let job = await maker.call(makeBook, {
      params: { site: other.site, link: 'address' },
      body: { paper: 'a4' },
    });
    while (job.state === 'running') {
      await new Promise((resolve) => setTimeout(resolve, 20));
      job = await maker.call(getBookJob, { params: { site: other.site, job: job.id } });
    }
    expect(job.missing).toEqual(expect.arrayContaining(['潮', 'ש']));
    expect(job.missing.filter((letter) => /[A-Za-z,]/.test(letter))).toEqual([]);
  });

  test('is for its maker alone', async () => {
    const job = await ended(await maker.call(makeBook, { params: params('address'), body: { paper: 'a4' } }));
    const stranger = await server.maker('Sal');
    const own = (await stranger.site()).site.id;
    for (const asked of [
      stranger.call(getBook, { params: params('address') }),
      stranger.call(makeBook, { params: params('address'), body: { paper: 'a4' } }),
      stranger.call(getBookJob, { params: { site: site.site, job: job.id } }),
      stranger.call(getBookJob, { params: { site: own, job: job.id } }),
      stranger.call(cancelBookJob, { params: { site: own, job: job.id } }),
    ])
      await expect(asked).rejects.toMatchObject({ status: 404 });
    for (const at of [site.site, own])
      expect((await stranger.raw('GET', bookFile(at, job.id))).statusCode).toBe(404);
    expect((await server.get(bookFile(site.site, job.id))).statusCode).toBe(401);
    expect((await maker.raw('GET', bookFile(site.site, job.id))).statusCode).toBe(200);
  });

  test('that is asked for by another link while one is made is of that link', async () => {
    const make = (link: string) => maker.call(makeBook, { params: params(link), body: { paper: 'a4' } });
    const byLink = await make('site-link');
    const again = await make('site-link');
    expect(again.id).toBe(byLink.id);
    // Whoever loads the studio anew meanwhile finds it again.
    expect((await maker.call(getBook, { params: params('site-link') })).job?.id).toBe(byLink.id);
    const byAddress = await make('address');
    expect(byAddress.id).not.toBe(byLink.id);
    expect((await ended(byLink)).state).toBe('cancelled');
    expect((await maker.call(getBook, { params: params('site-link') })).job).toBeNull();
    const done = await ended(byAddress);
    const path = join(folder, 'other.pdf');
    await writeFile(path, (await maker.raw('GET', bookFile(site.site, done.id))).rawPayload);
    expect(await words(path)).not.toContain('Told by link alone');
  });

  test('can be given up, and leaves no file behind when the server stops', async () => {
    const other = await TestServer.start();
    const hers = await other.maker();
    const live = await PublishedSite.open(other, hers);
    const before = (await readdir(tmpdir())).filter((name) => name.startsWith('kite-wall-book-'));
    const at = { site: live.site, link: 'address' };
    const job = await hers.call(makeBook, { params: at, body: { paper: 'a4' } });
    await hers.call(cancelBookJob, { params: { site: live.site, job: job.id } });
    let now = job;
    while (now.state === 'running') {
      await new Promise((resolve) => setTimeout(resolve, 20));
      now = await hers.call(getBookJob, { params: { site: live.site, job: job.id } });
    }
    expect(now.state).toBe('cancelled');
    expect((await hers.raw('GET', bookFile(live.site, job.id))).statusCode).toBe(409);
    await hers.call(makeBook, { params: at, body: { paper: 'a4' } });
    await other.stop();
    const after = (await readdir(tmpdir())).filter((name) => name.startsWith('kite-wall-book-'));
    expect(after.filter((name) => !before.includes(name))).toEqual([]);
  });
});
