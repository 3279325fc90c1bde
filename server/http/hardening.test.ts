import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { connect } from 'node:net';
import { join } from 'node:path';
import { PassThrough, Readable } from 'node:stream';
import { createAccount, signIn, signInToDemo } from '#contract/account.ts';
import { deleteMaterials, findInWords } from '#contract/materials.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { makePasses } from '#contract/passes.ts';
import { changeSite, getSite } from '#contract/sites.ts';
import { undoEdit } from '#contract/undo.ts';
import { edits } from '../db/schema.ts';
import { sweep } from '../media/sweep.ts';
import { acceptedCoding } from '../serve/ready-responses.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

const pictures = join(import.meta.dirname, '../../demo/pictures');
const photo = () => readFile(join(pictures, 'tide-clock/13-dial-too-small.jpg'));
/** A photo with something after its end: the same picture, and another file. */
const another = async (at: number) => Buffer.concat([await photo(), Buffer.from(`copy ${at}`)]);

let server: TestServer;
let maker: TestMaker;
let site: string;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
});
afterAll(() => server.stop());

const upload = (who: TestMaker, to: string, name: string, contents: Buffer) =>
  who.raw(
    'POST',
    `/api/sites/${to}/materials?${new URLSearchParams({ name }).toString()}`,
    contents,
    'application/octet-stream',
  );

describe('headers', () => {
  test('blanks without end in Accept-Encoding cost nothing', () => {
    const before = process.cpuUsage();
    expect(acceptedCoding(`${' '.repeat(15_000)}gzip`)).toBe('identity');
    expect(acceptedCoding(`gzip${' ,'.repeat(15_000)}`)).toBe('identity');
    // Processor time, not a clock: what other work adds to the machine does not count. It was a second.
    expect(process.cpuUsage(before).user).toBeLessThan(100_000);
  });

  test('private replies are kept by nobody; HTTPS brings a host cookie and strict transport', async () => {
    const reply = await maker.raw('GET', getSite.path.replace(':site', site));
    expect(reply.headers['cache-control']).toBe('no-store');
    const secure = await TestServer.start({ SECURE_COOKIES: '1', PUBLIC_ORIGIN: 'https://kite.example' });
    const made = await secure.app.inject({
      method: 'POST',
      url: createAccount.path,
      headers: { origin: 'https://kite.example', host: 'kite.example' },
      payload: { name: 'W', email: 'w@maker.example', password: 'a long enough password' },
    });
    expect(made.statusCode).toBe(200);
    expect(made.headers['set-cookie']).toMatch(/^__Host-kite_wall=.*; Path=\/; HttpOnly; Secure/);
    expect(made.headers['strict-transport-security']).toMatch(/max-age=\d+/);
    // Readers never see the studio, so every answer says it: also those that are kept at hand, and that there is nothing.
    const live = await PublishedSite.open(secure, await secure.maker());
    for (const path of [`/${live.address}/`, `/${live.address}/`, '/never-was/', '/robots.txt', '/studio/'])
      expect([path, (await secure.get(path)).headers['strict-transport-security']]).toEqual([
        path,
        'max-age=31536000',
      ]);
    expect((await server.get('/never-was/')).headers['strict-transport-security']).toBeUndefined();
    await secure.stop();
  });

  test.each([
    ['another host', 'http://other.test', 403],
    ['another port', 'http://studio.test:81', 403],
    ['another scheme', 'https://studio.test', 403],
    ['nothing', undefined, 403],
    ['words', 'null', 403],
    ['the studio itself', 'http://studio.test', 200],
  ])('a write that says it comes from %s', async (_, origin, status) => {
    const reply = await server.app.inject({
      method: 'PATCH',
      url: changeSite.path.replace(':site', site),
      headers: { host: 'studio.test', cookie: maker.cookie, ...(origin ? { origin } : {}) },
      payload: { seen: 0, label: 'Name', change: { title: 'Wren makes' } },
    });
    expect(reply.statusCode).toBe(status);
  });
});

describe('odd addresses', () => {
  test.each([
    '/..',
    '/../..',
    '/wren/../../etc/passwd',
    '/%2e%2e/%2e%2e/',
    '/a%2fb/',
    '/%00',
    '/wren/%00/',
    '/l/%00/',
    '/%zz',
    '/%',
    '/l/%ff/',
    `/${'a'.repeat(3000)}/`,
    '//',
    '/wren//x',
  ])('%s gets the page of all wrong addresses', async (path) => {
    const wrong = await server.get('/never-existed/');
    const reply = await server.get(path);
    expect([reply.statusCode, reply.body]).toEqual([404, wrong.body]);
    expect(reply.headers['cache-control']).toBe('no-store');
  });

  test('an expectation that nobody can meet changes nothing', async () => {
    const address = await server.app.listen({ port: 0, host: '127.0.0.1' });
    const said = await new Promise<string>((resolve, reject) => {
      const socket = connect(Number(new URL(address).port), '127.0.0.1', () =>
        socket.end('GET /never-existed/ HTTP/1.1\r\nHost: a\r\nExpect: wonders\r\nConnection: close\r\n\r\n'),
      );
      let text = '';
      socket
        .on('data', (piece) => (text += piece.toString()))
        .on('end', () => resolve(text))
        .on('error', reject);
    });
    expect(said).toMatch(/^HTTP\/1\.1 404 /);
    // A slow line may take as long as it needs (Node ends a request after five minutes by itself).
    expect(server.app.server.requestTimeout).toBe(0);
  });

  test('a preview of what is no id is refused in a sentence', async () => {
    const reply = await maker.raw('GET', '/studio/see/x/maker/');
    expect(reply.statusCode).toBe(400);
  });
});

describe('text that cannot be kept', () => {
  const broken = 'Tide\u0000 clock \ud83d and \u0007bell';
  const mended = 'Tide clock \ufffd and bell';
  test('is mended wherever it comes in, and it is said', async () => {
    const { page } = await maker.call(createPage, {
      params: { site },
      body: { title: broken, materials: [] },
    });
    const { pages, revision } = await maker.state(site);
    expect(pages.find(({ id }) => id === page)?.title).toBe(mended);
    const reply = await maker.raw('PATCH', `/api/sites/${site}/pages/${page}`, {
      seen: revision,
      label: broken,
      change: { summary: broken },
    });
    expect([reply.statusCode, reply.headers['kite-wall-mended']]).toEqual([200, '1']);
    const file = await upload(maker, site, `${broken}.jpg`, await another(1));
    expect(file.statusCode).toBe(200);
    await maker.call(findInWords, { params: { site }, body: { query: broken } });
    const long = await upload(maker, site, `${'🚀'.repeat(140)}.jpg`, await another(2));
    const made = long.json<{
      material: string;
      materials: Record<string, { title: string; fileName: string }>;
    }>();
    const { title, fileName } = made.materials[made.material] ?? { title: '', fileName: '' };
    for (const text of [title, fileName]) expect(text).toMatch(/^(🚀)+(\.jpg)?$/u);
  });

  test('a rank that is no rank is refused', async () => {
    const { pages, revision } = await maker.state(site);
    const [page] = pages;
    for (const rank of ['', '!!', 'a', 'é0', 'A'.repeat(20)])
      await expect(
        maker.call(changePage, {
          params: { site, page: page?.id ?? '' },
          body: { seen: revision, label: 'Rank', change: { rank } },
        }),
      ).rejects.toMatchObject({ status: 400 });
  });
});

describe('the same file', () => {
  test('twenty times at once: twenty good answers and one material', async () => {
    const contents = await another(3);
    const replies = await Promise.all(
      Array.from({ length: 20 }, () => upload(maker, site, 'same.jpg', contents)),
    );
    expect(replies.map(({ statusCode }) => statusCode)).toEqual(Array.from({ length: 20 }, () => 200));
    expect(new Set(replies.map((reply) => reply.json<{ material: string }>().material)).size).toBe(1);
  });

  test('deleted, added again from another site, and the deletion undone: a sentence', async () => {
    const contents = await another(4);
    const { material } = (await upload(maker, site, 'again.jpg', contents)).json<{ material: string }>();
    await maker.call(deleteMaterials, { params: { site }, body: { materials: [material] } });
    const other = (await maker.site('Another site')).site.id;
    expect((await upload(maker, other, 'again.jpg', contents)).statusCode).toBe(200);
    await expect(maker.call(undoEdit, { params: { site } })).rejects.toThrow('added again since');
  });
});

describe('room', () => {
  test('what arrives at the same moment is not more than there is room for', async () => {
    const small = await TestServer.start({ MAX_TOTAL_MB: '1' });
    const one = await small.maker();
    const own = (await one.site()).site.id;
    const size = (await photo()).length;
    const fits = Math.floor((1024 * 1024) / (size + 10));
    const replies = await Promise.all(
      Array.from({ length: fits + 6 }, async (_, at) => upload(one, own, `${at}.jpg`, await another(at))),
    );
    expect(replies.filter(({ statusCode }) => statusCode === 200)).toHaveLength(fits);
    expect(replies.filter(({ statusCode }) => statusCode === 413)).toHaveLength(6);
    const kept = (await one.state(own)).materials.reduce((sum, { bytes }) => sum + bytes, 0);
    expect(kept).toBeLessThanOrEqual(1024 * 1024);
    await small.stop();
  });

  test('what nothing names is swept; what undo, a release or a page needs is not', async () => {
    const own = await TestServer.start();
    const one = await own.maker();
    const { site: made } = await one.site();
    const params = { site: made.id };
    const stored = async () => {
      let bytes = 0;
      for await (const blob of own.blobs.all()) bytes += blob.bytes;
      return bytes;
    };
    const { config } = { config: { maxTotalBytes: 1e9 } };
    const deps = { db: own.database.db, blobs: own.blobs, assets: own.assets, limits: config };
    const empty = await stored();
    for (let at = 0; at < 3; at++) {
      const { material } = await one.upload(made.id, `${at}.jpg`, await another(at));
      await one.call(deleteMaterials, { params, body: { materials: [material] } });
    }
    await upload(one, made.id, 'broken.jpg', (await photo()).subarray(0, 2000));
    const kept = await one.upload(made.id, 'kept.jpg', await another(9));
    await one.call(createPage, { params, body: { title: 'A', materials: [kept.material] } });
    await one.call(changeSite, {
      params,
      body: { seen: 0, label: 'Open', change: { height: 'public', address: 'swept' } },
    });
    // Pages that only holders of a pass get.
    const invited = await one.call(createPage, { params, body: { title: 'B', materials: [] } });
    await one.call(changePage, {
      params: { ...params, page: invited.page },
      body: { seen: (await one.state(made.id)).revision, label: 'B', change: { height: 'invited' } },
    });
    await one.publish(made.id);
    const guests = await one.call(makePasses, {
      params: { site: made.id },
      body: { passes: [{ label: 'Tutors', opens: 'site', timeZone: 'UTC' }] },
    });
    const pass = guests.passes[0]?.link ?? '';
    expect((await own.get(`${pass}a/`)).statusCode).toBe(200);
    const page = await own.get('/swept/a/');
    const file = /files\/[\w.]+/.exec(page.body)?.[0] ?? '';

    // Undo still names what was deleted.
    await sweep(deps, { freshFor: -1 });
    expect((await one.raw('GET', `/api/materials/${kept.material}/preview/480`)).statusCode).toBe(200);
    expect((await own.get(`/swept/${file}`)).statusCode).toBe(200);
    const withUndo = await stored();
    // After its time it does not, and all of it goes; the published page and the kept picture stay.
    const steps = () => own.database.db.$count(edits);
    const before = await steps();
    const would = await sweep(deps, { freshFor: -1, keptMs: -1, dryRun: true });
    expect(would.files).toBeGreaterThan(2);
    expect([await stored(), await steps()]).toEqual([withUndo, before]);
    expect(await sweep(deps, { freshFor: -1, keptMs: -1 })).toEqual(would);
    expect(await steps()).toBeLessThan(before);
    expect(await stored()).toBeLessThan(withUndo - 2 * (await photo()).length);
    expect(await stored()).toBeGreaterThan(empty);
    expect((await one.raw('GET', `/api/materials/${kept.material}/preview/480`)).statusCode).toBe(200);
    expect((await own.get('/swept/a/')).body).toBe(page.body);
    // Asked for the first time: it is not at hand, but read from the store.
    expect((await own.get(pass)).statusCode).toBe(200);
    expect((await own.get(`/swept/${file}`)).statusCode).toBe(200);
    await one.publish(made.id);
    expect((await own.get(`/swept/${file}`)).statusCode).toBe(200);
    await own.stop();
  });

  test('an upload that stalls is given up in a sentence; one that is only slow is not', async () => {
    const stalled = new Readable({ read() {} });
    stalled.push(Buffer.from('some bytes'));
    await expect(server.blobs.receive(stalled, 1e6, 100)).rejects.toThrow(
      'Nothing more of this file arrived',
    );
    const slow = Readable.from(
      (async function* () {
        for (let at = 0; at < 5; at++) {
          await new Promise((resolve) => setTimeout(resolve, 60));
          yield Buffer.from('piece ');
        }
      })(),
    );
    const arrival = await server.blobs.receive(slow, 1e6, 250);
    expect(arrival.bytes).toBe(30);
    await server.blobs.discard(arrival);
  });
});

describe('signing in', () => {
  const refused = (password: string) =>
    maker.call(createAccount, { body: { name: 'W', email: 'new@maker.example', password } });
  test.each([
    'short words',
    'password1234',
    'Qwertyuiop123',
    '123456789012',
    'aaaaaaaaaaaaaa',
    '1111password1111',
  ])('refuses the password %s', async (password) => {
    await expect(refused(password)).rejects.toMatchObject({ status: 400 });
  });

  test('is limited for each account, from whatever address, and for the demo and new accounts', async () => {
    const own = await TestServer.start({ DEMO: '1' });
    const from = (at: number) => `10.0.${Math.floor(at / 200)}.${(at % 200) + 1}`;
    const ask = (path: string, payload: object, at: number) =>
      own.app.inject({
        method: 'POST',
        url: path,
        remoteAddress: from(at),
        headers: { origin: 'http://studio.test', host: 'studio.test' },
        payload,
      });
    const body = { email: 'somebody@maker.example', password: 'not the password' };
    const statuses: number[] = [];
    for (let at = 0; at < 103; at++) statuses.push((await ask(signIn.path, body, at)).statusCode);
    expect(statuses.filter((status) => status === 401)).toHaveLength(100);
    expect(statuses.slice(100)).toEqual([429, 429, 429]);
    // Another account from the same addresses is another account.
    expect((await ask(signIn.path, { ...body, email: 'other@maker.example' }, 1)).statusCode).toBe(401);
    const demo = [];
    for (let at = 0; at < 61; at++) demo.push((await ask(signInToDemo.path, {}, 0)).statusCode);
    expect(demo.at(-1)).toBe(429);
    const made = [];
    for (let at = 0; at < 11; at++)
      made.push((await ask(createAccount.path, { name: 'W', ...body, email: 'x' }, 5000)).statusCode);
    expect(made.at(-1)).toBe(429);
    await own.stop();
  });
});

describe('logs', () => {
  test('hold no values of queries, no addresses, names, hashes or keys; refusals are in them', async () => {
    const lines: string[] = [];
    const stream = new PassThrough();
    stream.on('data', (line: Buffer) => lines.push(line.toString()));
    const own = await TestServer.start({}, {}, stream);
    const one = await own.maker();
    const state = await one.site('Secret harbour');
    await own.app.inject({
      method: 'POST',
      url: signIn.path,
      headers: { origin: 'http://studio.test', host: 'studio.test' },
      payload: { email: 'somebody@maker.example', password: 'my secret words' },
    });
    // A query that fails: the table is gone.
    await own.database.db.execute('drop table material cascade');
    const reply = await one.raw('POST', `/api/sites/${state.site.id}/materials/find?secret=1`, {
      query: 'secret words',
    });
    expect(reply.statusCode).toBe(500);
    await own.stop();
    const all = lines.join('');
    expect(all).toContain('"code":"wrong-sign-in"');
    expect(all).toContain('A query failed.');
    for (const secret of [
      state.site.id,
      'secret',
      'Secret',
      'maker.example',
      'select ',
      one.cookie.slice(10),
    ])
      expect(all).not.toContain(secret);
  });
});
