import { afterAll, beforeAll, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { closeNow } from '#contract/closing.ts';
import {
  changePass,
  listPasses,
  makePasses,
  type Pass,
  removePass,
  renewPass,
  restorePass,
} from '#contract/passes.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { bringBackRelease } from '#contract/publishing.ts';
import { changeSite, setUnderAge } from '#contract/sites.ts';
import type { Height } from '#core/access/height.ts';
import type { Page } from '#core/pages/page.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import type { PassTerms } from '#core/passes/pass.ts';
import type { Site } from '#core/sites/site.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import { passes } from '../db/schema.ts';
import { newId } from '../db/new-id.ts';
import { PassTrees } from './pass-trees.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** Passes, asked from outside by HTTP: who holds one, held one, or guesses at one. */
const pictures = join(import.meta.dirname, '../../demo/pictures');
let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());
beforeEach(() => {
  jest.restoreAllMocks();
  server.clock.now = () => new Date();
});

const words = (id: string, text: string, height: Height = 'public'): Part =>
  ({ ...newPart('words', id), text: fromParagraphs(text), height }) as Part;

const terms: PassTerms = {
  ...{ label: 'Tutors', forWhom: 'P. Lunn', opens: 'site', from: null, until: null },
  ...{ timeZone: 'Europe/Berlin', mayDownload: true, mayComment: false, asks: '' },
};

/** A published site with a page for everybody, one for people with a pass, and one for nobody. */
class Shown {
  private constructor(
    readonly site: string,
    readonly address: string,
    readonly clock: string,
    readonly board: string,
    readonly trailer: string,
  ) {}

  static async start(height: Height = 'public'): Promise<Shown> {
    const site = (await maker.site()).site.id;
    const photo = await readFile(join(pictures, 'tide-clock/13-dial-too-small.jpg'));
    const { material } = await maker.upload(site, 'dial.jpg', photo);
    const make = async (title: string) =>
      (await maker.call(createPage, { params: { site }, body: { title, materials: [] } })).page;
    const shown = new Shown(
      site,
      `passes-${newId()}`,
      await make('Tide clock'),
      await make('Tool board'),
      await make('Bike trailer'),
    );
    const { clock, board, trailer } = shown;
    await shown.page(clock, {
      height: 'public',
      parts: [
        words(`${clock}-open`, 'Clock words'),
        words(`${clock}-told`, 'Told to the invited', 'invited'),
      ],
    });
    await shown.page(board, {
      height: 'invited',
      parts: [
        words(`${board}-open`, 'Board words'),
        { ...newPart('picture', `${board}-photo`), material } as Part,
        words(`${board}-mine`, 'Mine alone', 'private'),
      ],
    });
    await shown.page(trailer, { height: 'private', parts: [words(`${trailer}-open`, 'Trailer words')] });
    await shown.change({ height, address: shown.address });
    await shown.publish();
    return shown;
  }

  change(change: Partial<Site>) {
    const body = { seen: 0, label: `Site ${JSON.stringify(change)}`, change };
    return maker.call(changeSite, { params: { site: this.site }, body });
  }

  async page(page: string, change: Partial<Page>) {
    const { revision } = await maker.state(this.site);
    const body = { seen: revision, label: `Page ${Object.keys(change).join()}`, change };
    return maker.call(changePage, { params: { site: this.site, page }, body });
  }

  publish = () => maker.publish(this.site);

  async pass(more: Partial<PassTerms & { password: string }> = {}): Promise<Pass> {
    const body = { passes: [{ ...terms, ...more }] };
    const { passes } = await maker.call(makePasses, { params: { site: this.site }, body });
    if (!passes[0]) throw new Error('No pass was made.');
    return passes[0];
  }

  changePass = (pass: Pass, body: { terms?: PassTerms; on?: boolean; password?: string | null }) =>
    maker.call(changePass, { params: { site: this.site, pass: pass.id }, body });
}

const linkOf = ({ link }: Pass): string => {
  if (link === null) throw new Error('The link cannot be told.');
  return link;
};
const open = async (pass: Pass, path = '') => server.get(`${linkOf(pass)}${path}`);
const never = () => server.get('/p/AAAAAAAAAAAAAAAAAAAAAA/');

/** All that an answer tells, but for the time. */
const told = ({ statusCode, headers, body }: Awaited<ReturnType<typeof never>>) => {
  const { date: _, ...rest } = headers;
  return { statusCode, headers: rest, body };
};

/** Every address that pages of an entrance lead to, pictures and files among them. */
async function walked(pass: Pass): Promise<Map<string, string>> {
  const found = new Map<string, string>();
  const waiting = [''];
  for (let path = waiting.pop(); path !== undefined; path = waiting.pop()) {
    if (found.has(path)) continue;
    const reply = await open(pass, path);
    expect([path, reply.statusCode]).toEqual([path, 200]);
    found.set(path, reply.body);
    if (!String(reply.headers['content-type']).startsWith('text/html')) continue;
    for (const [, to = ''] of reply.body.matchAll(/(?:href|src|srcset|data-full)="([^"#]+)/g)) {
      if (/^[a-z]+:|^\/\//.test(to)) continue;
      const at = new URL(to.split(/[ ,]/)[0] ?? '', `http://x${linkOf(pass)}${path}`).pathname;
      expect(at.startsWith(linkOf(pass))).toBe(true);
      waiting.push(at.slice(linkOf(pass).length));
    }
  }
  return found;
}

describe('a pass', () => {
  test('opens what its readers may see, from the release that is live, without another publish', async () => {
    const site = await Shown.start();
    const pass = await site.pass();
    const pages = await walked(pass);
    const all = [...pages.values()].join('\n');
    expect(all).toContain('Clock words');
    expect(all).toContain('Told to the invited');
    expect(all).toContain('Board words');
    expect(all).not.toContain('Mine alone');
    expect(all).not.toContain('Trailer words');
    expect(all).not.toContain('Bike trailer');
    // No key and no address stands in a page.
    expect(all).not.toContain(linkOf(pass));
    expect(all).not.toContain(site.address);
    expect([...pages.keys()].filter((path) => path.startsWith('files/')).length).toBeGreaterThan(0);
    const strangers = await server.get(`/${site.address}/`);
    expect(strangers.body).not.toContain('Tool board');
    expect((await server.get(`/${site.address}/tool-board/`)).statusCode).toBe(404);
  });

  test('opens chosen pages alone, behind a page that leads to them', async () => {
    const site = await Shown.start();
    const one = await site.pass({ opens: [site.board] });
    const pages = await walked(one);
    expect(pages.get('')).toContain('Board words');
    expect([...pages.values()].join('\n')).not.toContain('Tide clock');
    const two = await site.pass({ opens: [site.board, site.clock, site.trailer] });
    const both = await walked(two);
    expect(both.get('')).toContain('Tool board');
    expect(both.get('')).toContain('Tide clock');
    expect([...both.keys()]).toEqual(expect.arrayContaining(['tool-board/', 'tide-clock/']));
    expect([...both.values()].join('\n')).not.toContain('Bike trailer');
    const none = await site.pass({ opens: [site.trailer] });
    expect(told(await open(none))).toEqual(told(await never()));
  });

  test('has nothing of what was changed since, and all of it with the next publish', async () => {
    const site = await Shown.start();
    const pass = await site.pass();
    await site.page(site.board, { parts: [words(`${site.board}-open`, 'Newer words')] });
    expect((await open(pass, 'tool-board/')).body).toContain('Board words');
    await site.publish();
    const newer = (await open(pass, 'tool-board/')).body;
    expect(newer).toContain('Newer words');
    expect(newer).not.toContain('Board words');
    await maker.call(bringBackRelease, { params: { site: site.site, number: '1' } });
    expect((await open(pass, 'tool-board/')).body).toContain('Board words');
  });

  test('opens nothing of a site that is Private, and of one that is Invited what nobody else can open', async () => {
    const site = await Shown.start('invited');
    const pass = await site.pass();
    expect((await open(pass, 'tide-clock/')).statusCode).toBe(200);
    expect((await server.get(`/${site.address}/`)).statusCode).toBe(404);
    await site.change({ height: 'private' });
    expect(told(await open(pass, 'tide-clock/'))).toEqual(told(await never()));
  });
});

describe('what is closed', () => {
  test('is closed to holders of passes on the next request, be it a page, a part or all', async () => {
    const site = await Shown.start();
    const pass = await site.pass();
    expect((await open(pass, 'tool-board/')).statusCode).toBe(200);
    await site.page(site.board, { height: 'private' });
    expect(told(await open(pass, 'tool-board/'))).toEqual(told(await never()));
    expect((await open(pass)).body).not.toContain('Tool board');
    const { parts } = (await maker.project(site.site, site.clock)) ?? { parts: [] };
    await site.page(site.clock, {
      parts: parts.map((part) => (part.id === `${site.clock}-told` ? { ...part, height: 'private' } : part)),
    });
    expect((await open(pass, 'tide-clock/')).body).not.toContain('Told to the invited');
  });

  test('takes its pictures along, and a material that is deleted for readers now', async () => {
    const site = await Shown.start();
    const pass = await site.pass();
    const picture = [...(await walked(pass)).keys()].find((path) => path.startsWith('files/')) ?? '';
    expect((await open(pass, picture)).statusCode).toBe(200);
    const [material] = (await maker.state(site.site)).materials;
    await maker.call(closeNow, { params: { site: site.site }, body: { things: [material?.id ?? ''] } });
    expect((await open(pass, picture)).statusCode).toBe(404);
  });
});

describe('what is closed while it is made for its first reader', () => {
  test('is closed when it is handed out', async () => {
    const site = await Shown.start();
    // Nothing is made ahead; the first who asks waits until something was closed meanwhile.
    const ahead = jest.spyOn(PassTrees.prototype, 'ahead').mockImplementation(() => {});
    const real = PassTrees.prototype.of;
    jest.spyOn(PassTrees.prototype, 'of').mockImplementationOnce(async function (this: PassTrees, ...of) {
      const made = await real.apply(this, of);
      await site.page(site.board, { height: 'private' });
      return made;
    });
    const pass = await site.pass();
    expect(told(await open(pass, 'tool-board/'))).toEqual(told(await never()));
    expect((await open(pass, 'tide-clock/')).statusCode).toBe(200);
    expect(ahead).toHaveBeenCalled();
  });
});

describe('a pass ends', () => {
  test('when it is switched off, taken away, or renewed: on the next request, as if it had never been', async () => {
    const site = await Shown.start();
    const pass = await site.pass();
    expect((await open(pass, 'tide-clock/')).statusCode).toBe(200);
    await site.changePass(pass, { on: false });
    for (const path of ['', 'tide-clock/', 'nowhere/', 'assets/x.css'])
      expect(told(await open(pass, path))).toEqual(told(await never()));
    expect(told(await server.get(linkOf(pass).slice(0, -1)))).toEqual(told(await never()));
    await site.changePass(pass, { on: true });
    expect((await open(pass)).statusCode).toBe(200);
    const renewed = await maker.call(renewPass, { params: { site: site.site, pass: pass.id } });
    expect(told(await open(pass))).toEqual(told(await never()));
    expect((await open(renewed)).statusCode).toBe(200);
    await maker.call(removePass, { params: { site: site.site, pass: pass.id } });
    expect(told(await open(renewed))).toEqual(told(await never()));
    // It comes back switched off.
    const back = await maker.call(restorePass, { params: { site: site.site, pass: pass.id } });
    expect([back.on, (await open(back)).statusCode]).toEqual([false, 404]);
    await site.changePass(back, { on: true });
    expect((await open(back)).statusCode).toBe(200);
  });

  // Changes of clocks: Europe/Berlin, 2027-03-28 and 2026-10-25 at 01:00 UTC (Directive 2000/84/EC).
  test.each([
    ['2026-10-24T12:00', '2026-10-25T12:00', '2026-10-24T10:00:00Z', '2026-10-25T11:00:00Z'],
    ['2027-03-27T12:00', '2027-03-28T12:00', '2027-03-27T11:00:00Z', '2027-03-28T10:00:00Z'],
    ['2026-10-25T02:30', '2026-10-25T02:30', '2026-10-25T00:30:00Z', '2026-10-25T01:30:00Z'],
  ])('at the minute its maker said, %s to %s', async (from, until, opens, closes) => {
    const site = await Shown.start();
    const pass = await site.pass({ from, until });
    const at = async (instant: Date) => {
      server.clock.now = () => instant;
      return told(await open(pass));
    };
    const before = (text: string) => new Date(new Date(text).getTime() - 1);
    const nothing = told(await never());
    expect(await at(before(opens))).toEqual(nothing);
    expect((await at(new Date(opens))).statusCode).toBe(200);
    expect((await at(before(closes))).statusCode).toBe(200);
    expect(await at(new Date(closes))).toEqual(nothing);
    // A request that came before says nothing about the next one.
    expect((await at(before(closes))).statusCode).toBe(200);
  });

  test('that would close before it opens is refused with a sentence', async () => {
    const site = await Shown.start();
    await expect(site.pass({ from: '2026-12-04T20:00', until: '2026-12-04T19:00' })).rejects.toThrow(
      'The pass would close before it opens.',
    );
  });
});

describe('a password', () => {
  const send = (pass: Pass, password: string, path = '', cookie = '') =>
    server.app.inject({
      method: 'POST',
      url: `${linkOf(pass)}${path}`,
      headers: { 'content-type': 'application/x-www-form-urlencoded', ...(cookie ? { cookie } : {}) },
      payload: new URLSearchParams({ password }).toString(),
    });
  const cookieOf = (reply: Awaited<ReturnType<typeof send>>) =>
    String(reply.headers['set-cookie'] ?? '').split(';')[0] ?? '';
  const get = (pass: Pass, path: string, cookie: string) =>
    server.app.inject({ method: 'GET', url: `${linkOf(pass)}${path}`, headers: { cookie } });

  test('is asked for at every address below, and tells nothing of what there is', async () => {
    const site = await Shown.start();
    const pass = await site.pass({ password: 'reed-lamp-tide' });
    expect(pass.hasPassword).toBe(true);
    const door = told(await open(pass));
    expect(door.statusCode).toBe(200);
    expect(door.body).toContain('This link asks for a password.');
    for (const path of ['tool-board/', 'nowhere/', 'index.html', 'resume.pdf'])
      expect(told(await open(pass, path))).toEqual(door);
    const other = await (await Shown.start()).pass({ password: 'another-one' });
    expect(told(await open(other))).toEqual(door);
    for (const word of ['Tutors', 'Lunn', 'Tide', site.address]) expect(door.body).not.toContain(word);
  });

  test('lets somebody in who knows it, at this pass alone and until it is another one', async () => {
    const site = await Shown.start();
    const pass = await site.pass({ password: 'reed-lamp-tide' });
    const wrong = await send(pass, 'reed-lamp-tides');
    expect([wrong.statusCode, wrong.headers['set-cookie']]).toEqual([403, undefined]);
    expect(wrong.body).toContain('This is not the password.');
    const right = await send(pass, ' reed-lamp-tide ', 'tool-board/');
    expect([right.statusCode, right.headers.location]).toEqual([303, `${linkOf(pass)}tool-board/`]);
    const set = String(right.headers['set-cookie']);
    expect(set).toContain(`Path=${linkOf(pass)}`);
    expect(set).toMatch(/HttpOnly/);
    expect(set).toMatch(/SameSite=Lax/);
    const cookie = cookieOf(right);
    expect((await get(pass, 'tool-board/', cookie)).body).toContain('Board words');
    // Nor does an answer stay in front of the server for somebody else.
    expect((await open(pass, 'tool-board/')).body).not.toContain('Board words');
    const same = await site.pass({ password: 'reed-lamp-tide' });
    expect((await get(same, 'tool-board/', cookie)).body).not.toContain('Board words');
    await site.changePass(pass, { password: 'a-newer-one' });
    expect((await get(pass, 'tool-board/', cookie)).body).not.toContain('Board words');
    await site.changePass(pass, { password: null });
    expect((await open(pass, 'tool-board/')).body).toContain('Board words');
  });

  test('is asked for again after a day, and a made-up cookie opens nothing', async () => {
    const site = await Shown.start();
    const pass = await site.pass({ password: 'reed-lamp-tide' });
    const cookie = cookieOf(await send(pass, 'reed-lamp-tide'));
    const day = 24 * 60 * 60 * 1000;
    const later = (ms: number) => {
      const at = new Date(Date.now() + ms);
      server.clock.now = () => at;
    };
    later(day - 60_000);
    expect((await get(pass, 'tool-board/', cookie)).body).toContain('Board words');
    later(day + 60_000);
    expect((await get(pass, 'tool-board/', cookie)).body).not.toContain('Board words');
    later(0);
    const [name = '', token = ''] = cookie.split('=');
    const [at = '', mac = ''] = token.split('.');
    for (const forged of [
      `${at}x.${mac}`,
      `${at}.${mac.slice(0, -1)}A`,
      at,
      '',
      '.',
      `${at}.${mac}.x`.slice(0, -3),
    ])
      if (forged !== token)
        expect((await get(pass, 'tool-board/', `${name}=${forged}`)).body).not.toContain('Board words');
  });

  test('can be tried so often and no more, without a word on whether the last one was right', async () => {
    const site = await Shown.start();
    const pass = await site.pass({ password: 'reed-lamp-tide' });
    for (let tries = 0; tries < 60; tries++)
      expect((await send(pass, `guess-${tries}`)).statusCode).toBe(403);
    const [right, wrong] = [await send(pass, 'reed-lamp-tide'), await send(pass, 'guess')];
    expect([right.statusCode, wrong.statusCode]).toEqual([429, 429]);
    expect(right.body).toBe(wrong.body);
    // At another pass nobody notices.
    const other = await site.pass({ password: 'reed-lamp-tide' });
    expect((await send(other, 'reed-lamp-tide')).statusCode).toBe(303);
  });

  test('is refused where it is no password, and kept as argon2id', async () => {
    const site = await Shown.start();
    await expect(site.pass({ password: '  abc  ' })).rejects.toThrow('at least 6 characters');
    const pass = await site.pass({ password: 'reed-lamp-tide' });
    const rows = await server.database.db.select().from(passes);
    const row = rows.find(({ id }) => id === pass.id);
    expect(row?.passwordHash).toMatch(/^\$argon2id\$/);
    // Nor does the key stand anywhere in the database.
    const key = linkOf(pass).split('/')[2] ?? '';
    expect(key).toMatch(/^[\w-]{22}$/);
    expect(JSON.stringify(rows)).not.toContain(key);
    expect(JSON.stringify(rows)).not.toContain('reed-lamp-tide');
  });

  test('speaks the language its reader likes', async () => {
    const pass = await (await Shown.start()).pass({ password: 'reed-lamp-tide' });
    const reply = await server.get(linkOf(pass), { 'accept-language': 'fr-CH, fr;q=0.9, en;q=0.8' });
    expect(reply.body).toContain('<html lang="fr">');
    expect(reply.body).toContain('Ce lien demande un mot de passe.');
    expect(reply.headers.vary).toContain('accept-language');
  });
});

describe('for its maker', () => {
  test('several are made at once, listed in order, and told their links again', async () => {
    const site = await Shown.start();
    const names = Array.from({ length: 40 }, (_, at) => `Reader ${at + 1}`);
    const body = { passes: names.map((label) => ({ ...terms, label })) };
    const made = await maker.call(makePasses, { params: { site: site.site }, body });
    expect(made.passes.map(({ label }) => label)).toEqual(names);
    const listed = await maker.call(listPasses, { params: { site: site.site } });
    expect(listed.passes.map(({ link }) => link)).toEqual(made.passes.map(({ link }) => link));
    expect(new Set(listed.passes.map(({ link }) => link)).size).toBe(40);
  });

  test('nobody else’s are listed, made, changed, renewed, taken away, brought back or looked through', async () => {
    const site = await Shown.start();
    const pass = await site.pass();
    const other = await server.maker('Juno');
    const own = (await other.site()).site.id;
    const at = { site: site.site, pass: pass.id };
    const through = { site: own, pass: pass.id };
    const refusals = [
      other.call(listPasses, { params: { site: site.site } }),
      other.call(makePasses, { params: { site: site.site }, body: { passes: [terms] } }),
      ...[at, through].flatMap((params) => [
        other.call(changePass, { params, body: { on: false } }),
        other.call(changePass, { params, body: {} }),
        other.call(renewPass, { params }),
        other.call(restorePass, { params }),
      ]),
      other.call(removePass, { params: at }),
    ];
    for (const refused of await Promise.allSettled(refusals))
      expect(refused).toMatchObject({ status: 'rejected', reason: { status: 404 } });
    // Of one's own site it takes away nothing of another.
    await other.call(removePass, { params: through });
    expect((await open(pass)).statusCode).toBe(200);
    const seen = await other.raw('GET', `/studio/see/${own}/pass-${pass.id}/`);
    expect(seen.body).not.toContain('Tide clock');
    expect((await other.raw('GET', `/studio/see/${site.site}/pass-${pass.id}/`)).statusCode).toBe(404);
  });

  test('“See it as” shows what a pass will open with the next publish', async () => {
    const site = await Shown.start();
    const pass = await site.pass({ label: 'Boatyard', opens: [site.board] });
    await site.page(site.board, { parts: [words(`${site.board}-open`, 'Words to come')] });
    const seen = await maker.raw('GET', `/studio/see/${site.site}/pass-${pass.id}/`);
    expect(seen.body).toContain('Words to come');
    expect(seen.body).toContain('whoever holds the pass “Boatyard”');
    expect((await open(pass)).body).toContain('Board words');
    // A page is found for its reader, wherever it stands for them; one that they do not get is not.
    const to = async (page: string) => {
      const reply = await maker.raw('GET', `/studio/see/${site.site}/pass-${pass.id}/?page=${page}`);
      return reply.headers.location ?? reply.body;
    };
    expect(await to(site.board)).toBe(`/studio/see/${site.site}/pass-${pass.id}/`);
    expect(await to(site.clock)).toContain('This reader gets nothing of this page.');
    expect(await to(site.trailer)).toContain('This reader gets nothing of this page.');
  });

  test('there are not more than a site can have', async () => {
    const site = await Shown.start();
    const many = { passes: Array.from({ length: 200 }, () => terms) };
    for (let round = 0; round < 2; round++)
      await maker.call(makePasses, { params: { site: site.site }, body: many });
    await expect(maker.call(makePasses, { params: { site: site.site }, body: many })).rejects.toThrow(
      'A site has at most 500 passes.',
    );
  });
});

test('readers of a pass can write to somebody under 18, whom no stranger can', async () => {
  const site = await Shown.start();
  await site.change({ contact: 'form' });
  await maker.call(setUnderAge, { params: { site: site.site }, body: { underAge: true } });
  await site.publish();
  const { siteLinkPath } = (await maker.state(site.site)).live;
  expect((await server.get(`/${site.address}/_write/`)).statusCode).toBe(404);
  expect((await server.get(`${siteLinkPath}_write/`)).statusCode).toBe(404);
  expect((await server.get(`${siteLinkPath}tide-clock/`)).statusCode).toBe(200);
  const pass = await site.pass();
  const form = await open(pass, '_write/');
  expect(form.body).toContain('<form');
  const over = await server.app.inject({
    method: 'POST',
    url: `${linkOf(pass)}_write/`,
    headers: { 'content-type': 'application/x-www-form-urlencoded' },
    payload: new URLSearchParams({
      name: 'P',
      from: 'p@tutors.example',
      words: 'Well made',
      place: 'site',
    }).toString(),
  });
  expect([over.statusCode, over.body.includes('Well made')]).toEqual([200, true]);
});

test('no answer is kept in front of the server, for whoever comes after', async () => {
  // Over a socket: what is kept answers before anything looks at the request.
  const own = await TestServer.start();
  const origin = await own.app.listen({ port: 0, host: '127.0.0.1' });
  const before = { server, maker };
  [server, maker] = [own, await own.maker()];
  try {
    const site = await Shown.start();
    const pass = await site.pass({ password: 'reed-lamp-tide', until: '2031-01-01T12:00' });
    const url = `${origin}${linkOf(pass)}tool-board/`;
    const form = new URLSearchParams({ password: 'reed-lamp-tide' });
    const right = await fetch(url, { method: 'POST', body: form, redirect: 'manual' });
    const cookie = right.headers.get('set-cookie')?.split(';')[0] ?? '';
    const text = async (headers: Record<string, string> = {}) => (await fetch(url, { headers })).text();
    expect(await text({ cookie })).toContain('Board words');
    expect(await text()).not.toContain('Board words');
    expect(await text({ cookie })).toContain('Board words');
    own.clock.now = () => new Date('2031-01-01T11:00:00Z');
    expect((await fetch(url, { headers: { cookie } })).status).toBe(404);
  } finally {
    ({ server, maker } = before);
    await own.stop();
  }
});

test('without its page, nothing of a pass is asked of other addresses', async () => {
  const odd = [
    '/p/',
    '/p/short/',
    '/p/../p/x/',
    '/p/%00%00/',
    `/p/${'A'.repeat(22)}/%2e%2e/`,
    `/p/${'A'.repeat(23)}/`,
  ];
  const nothing = told(await never());
  for (const path of odd) expect([path, told(await server.get(path))]).toEqual([path, nothing]);
  expect((await server.get('/robots.txt')).body).toContain('Disallow: /p/\n');
});
