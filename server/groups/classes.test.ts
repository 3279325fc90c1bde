import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { createAccount, leaveServer } from '#contract/account.ts';
import {
  askOne,
  endClass,
  endEntry,
  getClass,
  listGroups,
  lookAtClass,
  makeGroup,
  openClass,
  removeGroup,
  renewClass,
  writeBack,
} from '#contract/groups.ts';
import {
  changeHandIn,
  doHandIn,
  joinClass,
  listHandIns,
  removeHandIn,
  tellClass,
  undoHandIn,
} from '#contract/hand-ins.ts';
import { changePass, listPasses, makePasses, removePass } from '#contract/passes.ts';
import { getSite } from '#contract/sites.ts';
import { groups } from '../db/schema.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { TestMaker, TestServer } from '../testing/test-server.ts';

/** Class pages, with everything that is shared with one asked from outside by HTTP. */
let server: TestServer;
let tutor: TestMaker;
let maker: TestMaker;
let site: PublishedSite;
beforeAll(async () => {
  server = await TestServer.start();
  tutor = await server.maker('Idris');
  maker = await server.maker('Wren');
  await server.app.listen({ port: 0, host: '127.0.0.1' });
});
afterAll(() => server.stop());
beforeEach(async () => {
  site = await PublishedSite.open(server, maker, 'invited');
});
afterEach(() => {
  server.clock.now = () => new Date();
});

const list = {
  ...{ id: 'list-of-class', name: 'For the crit', by: 'Idris', evidence: 3 },
  lines: [
    { id: 'line-opens', text: 'It opens', essential: true, rule: null },
    { id: 'line-why', text: 'It says why', essential: true, rule: 'facts' },
    { id: 'line-more', text: 'It shows a failure', essential: false, rule: null },
  ],
};
const terms = {
  by: 'Idris',
  words: 'One project, told from its beginning.',
  due: '2026-12-11T17:00',
  timeZone: 'UTC',
};

function first<T>([one]: readonly T[]): T {
  if (one === undefined) throw new Error('There is none.');
  return one;
}

let places = 0;
/** Somebody else with an account, from another place: of one place only so many are made in a minute. */
async function somebody(name: string): Promise<TestMaker> {
  const made = new TestMaker(server.app, `10.0.0.${++places}`);
  await made.call(createAccount, {
    body: {
      name,
      email: `${name.toLowerCase()}-${places}@maker.example`,
      password: 'a long enough password',
    },
  });
  return made;
}

/** A class with its link, as the tutor has it. */
async function aClass(by = tutor, name = 'Waste as a material') {
  const { made: group } = await by.call(makeGroup, {
    body: { name, people: [{ name: 'Wren', more: '' }], list },
  });
  const { groups: all } = await by.call(openClass, { params: { group }, body: terms });
  const link = all.find(({ id }) => id === group)?.classPage?.link ?? '';
  const key = link.split('/').at(-1) ?? '';
  const page = () => by.call(getClass, { params: { group } });
  const one = async () => first((await page()).entries);
  return { group, key, page, one, of: { group } };
}

/** The site of the maker joins a class. */
async function joined(key: string, more: object = {}) {
  const params = { site: site.site };
  const before = (await maker.call(listHandIns, { params })).handIns.map(({ id }) => id);
  const { handIns } = await maker.call(joinClass, {
    params,
    body: { key, name: 'Wren', opens: 'site', ...more },
  });
  const handIn = handIns.find(({ id }) => !before.includes(id));
  return {
    params,
    ofHandIn: { ...params, handIn: handIn?.id ?? '' },
    link: handIn?.link ?? '',
    mine: async () =>
      first((await maker.call(listHandIns, { params })).handIns.filter(({ id }) => id === handIn?.id)),
  };
}
const status = async (link: string | null) => (await server.get(`${link ?? ''}tide-clock/`)).statusCode;
const notHere = { status: 404 };

describe('joining', () => {
  test('makes a pass and a hand-in of the class’s terms, and says to whom', async () => {
    const { key } = await aClass();
    expect(await maker.call(lookAtClass, { params: { key } })).toEqual({
      ...terms,
      ...{ name: 'Waste as a material', dueAt: '2026-12-11T17:00:00.000Z', list, joined: [] },
    });
    const { mine, params } = await joined(key, { opens: [site.clock], mayComment: true });
    expect(await mine()).toMatchObject({
      ...{ what: 'Waste as a material', forWhom: 'Idris', due: terms.due, handedAt: null },
      ofClass: {
        name: 'Waste as a material',
        by: 'Idris',
        words: terms.words,
        as: 'Wren',
        list,
        ticked: null,
        endedAt: null,
      },
    });
    const { passes } = await maker.call(listPasses, { params });
    expect(passes).toMatchObject([
      { label: 'Waste as a material', opens: [site.clock], mayComment: true, on: true },
    ]);
    expect((await maker.call(lookAtClass, { params: { key } })).joined).toEqual([site.site]);
  });

  test('is done once by a site, also from two tabs at the same time', async () => {
    const { key, page } = await aClass();
    const join = () =>
      maker.call(joinClass, { params: { site: site.site }, body: { key, name: 'Wren', opens: 'site' } });
    const tries = await Promise.allSettled([join(), join(), join()]);
    expect(tries.filter(({ status: went }) => went === 'fulfilled')).toHaveLength(1);
    expect((await page()).entries).toHaveLength(1);
    const params = { site: site.site };
    expect((await maker.call(listPasses, { params })).passes).toHaveLength(1);
    expect((await maker.call(listHandIns, { params })).handIns).toHaveLength(1);
  });

  test('is not done by a link that was made anew, is over, is taken away, or never was', async () => {
    const keys: string[] = ['no-key', 'aaaaaaaaaaaaaaaaaaaaaa'];
    const renewed = await aClass();
    await tutor.call(renewClass, { params: renewed.of });
    const ended = await aClass();
    await tutor.call(endClass, { params: ended.of });
    const removed = await aClass();
    await tutor.call(removeGroup, { params: removed.of });
    const leaver = await somebody('Leaver');
    const left = await aClass(leaver);
    await leaver.call(leaveServer, { body: { password: 'a long enough password' } });
    keys.push(renewed.key, ended.key, removed.key, left.key);
    const answers = await Promise.all(
      keys.map(async (key) => {
        const { statusCode, body } = await maker.raw('GET', `/api/classes/${key}`);
        return `${statusCode} ${body}`;
      }),
    );
    expect(new Set(answers).size).toBe(1);
    expect(answers[0]).toMatch(/^404 .*Nobody joins a class by this link/);
    for (const key of keys.slice(1)) await expect(joined(key)).rejects.toMatchObject(notHere);
    const { groups: all } = await tutor.call(listGroups);
    const fresh =
      all
        .find(({ id }) => id === renewed.group)
        ?.classPage?.link?.split('/')
        .at(-1) ?? '';
    expect((await joined(fresh)).link).not.toBe('');
  });

  test('is for those who are signed in, with a site of their own', async () => {
    const { key } = await aClass();
    expect((await new TestMaker(server.app).raw('GET', `/api/classes/${key}`)).statusCode).toBe(401);
    const other = await somebody('Ode');
    await expect(
      other.call(joinClass, { params: { site: site.site }, body: { key, name: 'Ode', opens: 'site' } }),
    ).rejects.toMatchObject(notHere);
  });

  test('keeps the key nowhere', async () => {
    const { group, key } = await aClass();
    const [row] = await server.database.db.select().from(groups).where(eq(groups.id, group));
    expect(JSON.stringify(row)).not.toContain(key);
  });
});

describe('what whoever leads a class sees', () => {
  test('is a name until it is handed in, then the class’s own link and what its maker told', async () => {
    const { key, page, one } = await aClass();
    const { ofHandIn, link } = await joined(key);
    await maker.call(tellClass, { params: ofHandIn, body: { ticked: ['line-opens', 'line-of-mine'] } });
    expect(await one()).toMatchObject({ name: 'Wren', handedAt: null, link: null, pages: 0, ticked: null });
    // Nothing of the site: no title, no address, no key.
    const before = JSON.stringify((await page()).entries);
    for (const secret of [
      'Wren makes',
      'Tide clock',
      site.address,
      site.site,
      link.split('/')[2] ?? 'no link',
    ])
      expect(before.includes(secret)).toBe(false);
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    expect(await one()).toMatchObject({
      link,
      pages: 3,
      ticked: ['line-opens'],
      handedAt: expect.any(String),
    });
    expect(await status((await one()).link)).toBe(200);
    await maker.call(undoHandIn, { params: ofHandIn });
    expect(await one()).toMatchObject({ link: null, pages: 0, ticked: null, handedAt: null });
  });

  test('opens what the pass opens: nothing of pages that are Private or were not chosen', async () => {
    const { key, one } = await aClass();
    const { ofHandIn } = await joined(key, { opens: [site.clock] });
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    const { link, pages } = await one();
    expect([pages, await status(link)]).toEqual([1, 404]);
    expect((await server.get(link ?? '')).body).toContain('Open words');
    expect((await server.get(`${link ?? ''}satchel/`)).statusCode).toBe(404);
    await site.page(site.clock, { height: 'private' });
    expect((await one()).pages).toBe(0);
  });

  test('is told where the link opens nothing any more', async () => {
    const { key, one } = await aClass();
    const { ofHandIn, params } = await joined(key);
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    const [pass] = (await maker.call(listPasses, { params })).passes;
    await maker.call(changePass, { params: { ...params, pass: pass?.id ?? '' }, body: { on: false } });
    expect((await one()).pages).toBe(0);
  });

  test('is nothing for anybody else: not its page, not a letter, not an end', async () => {
    const { key, group, one } = await aClass();
    const { ofHandIn, link } = await joined(key);
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    const { id: entry } = await one();
    const other = await somebody('Ode');
    const own = await aClass(other, 'My own');
    const returned = { lines: {}, words: 'Mine' };
    for (const who of [other, maker, new TestMaker(server.app)])
      for (const group_ of who === other ? [group, own.group] : [group]) {
        const at = { group: group_, entry };
        const tries = [
          ...(group_ === group
            ? [who.call(getClass, { params: at }), who.call(endClass, { params: at })]
            : []),
          who.call(endEntry, { params: at }),
          who.call(askOne, { params: at, body: { words: 'Give me more' } }),
          who.call(writeBack, { params: at, body: { returned, give: true } }),
        ];
        for (const went of await Promise.allSettled(tries)) expect(went.status).toBe('rejected');
      }
    expect(await one()).toMatchObject({ asked: null, givenBack: null, endedAt: null });
    expect(await status(link)).toBe(200);
  });

  test('reads nothing of a site but by that link', async () => {
    const { key } = await aClass();
    const { ofHandIn, params } = await joined(key);
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    await expect(tutor.call(getSite, { params })).rejects.toMatchObject(notHere);
    await expect(tutor.call(listHandIns, { params })).rejects.toMatchObject(notHere);
    await expect(tutor.call(tellClass, { params: ofHandIn, body: { done: true } })).rejects.toMatchObject(
      notHere,
    );
    expect((await tutor.raw('GET', `/studio/release/${site.site}/1/link/`)).statusCode).toBe(404);
  });
});

describe('ending', () => {
  test('closes the class’s own pass from the next request on, and no other link', async () => {
    const here = await aClass();
    const there = await aClass(tutor, 'Another class');
    const one = await joined(here.key);
    const two = await joined(there.key);
    const { params } = one;
    const { passes } = await maker.call(makePasses, {
      params,
      body: { passes: [{ label: 'Employer', opens: 'site', timeZone: 'UTC' }] },
    });
    for (const handed of (await maker.call(listHandIns, { params })).handIns)
      await maker.call(doHandIn, { params: { ...params, handIn: handed.id }, body: {} });
    const links = (await maker.call(listHandIns, { params })).handIns.map(({ link }) => link);
    const mine = links.find((link) => link === one.link) ?? '';
    const others = [...links.filter((link) => link !== one.link), passes[0]?.link ?? ''];
    expect([await status(mine), ...(await Promise.all(others.map(status)))]).toEqual([200, 200, 200]);
    await tutor.call(endEntry, { params: { ...here.of, entry: (await here.one()).id } });
    expect([await status(mine), ...(await Promise.all(others.map(status)))]).toEqual([404, 200, 200]);
    expect(await here.one()).toMatchObject({ link: null, pages: 0, endedAt: expect.any(String) });
    expect((await two.mine()).ofClass).toMatchObject({ name: 'Another class', endedAt: null });
    // Its maker may open their own pass again; the class does not learn of it.
    const all = (await maker.call(listPasses, { params })).passes;
    const { id: pass } = first(all.filter(({ link }) => link === mine));
    await maker.call(changePass, { params: { ...params, pass }, body: { on: true } });
    expect([await status(mine), (await here.one()).link]).toEqual([200, null]);
  });

  test('a whole class closes all that was shared with it, and it opens again by a new link alone', async () => {
    const here = await aClass();
    const { ofHandIn, link, mine } = await joined(here.key);
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    const { group } = await tutor.call(endClass, { params: here.of });
    expect(group.classPage).toMatchObject({ link: null, endedAt: expect.any(String) });
    expect(await status(link)).toBe(404);
    expect((await mine()).ofClass?.endedAt).not.toBeNull();
    const { groups: all } = await tutor.call(openClass, { params: here.of, body: terms });
    const fresh = all.find(({ id }) => id === here.group)?.classPage?.link ?? '';
    expect(fresh).not.toContain(here.key);
    expect([await status(link), (await here.one()).link]).toEqual([404, null]);
  });

  test('a maker leaves a class: its page has them no more, and its pass is closed', async () => {
    const here = await aClass();
    const { ofHandIn, link, params } = await joined(here.key);
    await maker.call(doHandIn, { params: ofHandIn, body: {} });
    await maker.call(removeHandIn, { params: ofHandIn });
    expect((await here.page()).entries).toEqual([]);
    expect([await status(link), (await maker.call(listPasses, { params })).passes.length]).toEqual([404, 0]);
  });

  test('what is shared with a class stays its own pass, whatever its maker changes', async () => {
    const here = await aClass();
    const { ofHandIn, link, mine } = await joined(here.key);
    const body = { what: 'My hand-in', timeZone: 'UTC', by: { kind: 'site-link' as const } };
    await maker.call(changeHandIn, { params: ofHandIn, body });
    expect(await mine()).toMatchObject({ what: 'My hand-in', link });
  });

  test('what its maker says of a hand-in changes also once the pass of the class is gone', async () => {
    const here = await aClass();
    const { ofHandIn, mine, params } = await joined(here.key);
    const [pass] = (await maker.call(listPasses, { params })).passes;
    await maker.call(removePass, { params: { ...params, pass: pass?.id ?? '' } });
    expect((await mine()).warnings).toEqual([expect.stringMatching(/^The pass of this class is not there/)]);
    const body = { what: 'Mine', timeZone: 'UTC', by: { kind: 'pass' as const, pass: pass?.id ?? '' } };
    await maker.call(changeHandIn, { params: ofHandIn, body });
    expect(await mine()).toMatchObject({ what: 'Mine', link: null });
  });

  test('a class page twice ends it once', async () => {
    const here = await aClass();
    await joined(here.key);
    const first = await tutor.call(endClass, { params: here.of });
    server.clock.now = () => new Date(Date.now() + 60 * 60 * 1000);
    expect((await tutor.call(endClass, { params: here.of })).group).toEqual(first.group);
  });

  test('of a maker who leaves the server nothing opens', async () => {
    const leaver = await somebody('Ode');
    const here = await aClass();
    const theirs = await PublishedSite.open(server, leaver, 'invited');
    const params = { site: theirs.site };
    const { handIns } = await leaver.call(joinClass, {
      params,
      body: { key: here.key, name: 'Ode', opens: 'site' },
    });
    await leaver.call(doHandIn, { params: { ...params, handIn: handIns[0]?.id ?? '' }, body: {} });
    expect((await here.one()).pages).toBe(3);
    await leaver.call(leaveServer, { body: { password: 'a long enough password' } });
    expect(await here.one()).toMatchObject({ link: null, pages: 0 });
  });
});

describe('asking and giving back', () => {
  test('what a class asks stands with the hand-in, until its maker says that it is done', async () => {
    const here = await aClass();
    const { ofHandIn, mine } = await joined(here.key);
    const at = { ...here.of, entry: (await here.one()).id };
    await tutor.call(askOne, { params: at, body: { words: 'Show the hinge.' } });
    expect((await mine()).ofClass?.asked).toMatchObject({ words: 'Show the hinge.', done: false });
    await maker.call(tellClass, { params: ofHandIn, body: { done: true } });
    expect((await here.one()).asked?.done).toBe(true);
    await tutor.call(askOne, { params: at, body: { words: 'And the feet.' } });
    expect((await mine()).ofClass?.asked).toMatchObject({ words: 'And the feet.', done: false });
  });

  test('what is being written is seen by nobody before it is given back, and then as one letter', async () => {
    const here = await aClass();
    const { mine } = await joined(here.key);
    const params = { ...here.of, entry: (await here.one()).id };
    const empty = { lines: {}, words: '' };
    await expect(tutor.call(writeBack, { params, body: { returned: empty, give: true } })).rejects.toThrow(
      /Say something/,
    );
    const returned = {
      lines: { 'line-why': { level: 'nearly' as const, words: 'Say what failed first.' } },
      words: 'A good start.',
    };
    await tutor.call(writeBack, { params, body: { returned, give: false } });
    expect(JSON.stringify(await mine()).includes('failed first')).toBe(false);
    expect((await here.one()).writing).toEqual(returned);
    await tutor.call(writeBack, { params, body: { returned, give: true } });
    const letter = {
      lines: [{ id: 'line-why', text: 'It says why', level: 'nearly', words: 'Say what failed first.' }],
      words: 'A good start.',
    };
    expect((await mine()).ofClass?.givenBack).toMatchObject(letter);
    // It is the maker's: it stays when the class is gone.
    await server.database.db.delete(groups).where(eq(groups.id, here.group));
    expect((await mine()).ofClass).toMatchObject({
      name: 'Waste as a material',
      list: null,
      givenBack: letter,
    });
  });

  test('a due date that moves does so for those who have it as the class said it', async () => {
    const here = await aClass();
    const { mine, ofHandIn } = await joined(here.key);
    const later = { ...terms, due: '2026-12-18T17:00' };
    await tutor.call(openClass, { params: here.of, body: later });
    expect((await mine()).dueAt).toBe('2026-12-18T17:00:00.000Z');
    const by = { kind: 'site-link' as const };
    const own = { what: 'Mine', due: '2026-12-15T09:00', timeZone: 'UTC', by };
    await maker.call(changeHandIn, { params: ofHandIn, body: own });
    await tutor.call(openClass, { params: here.of, body: terms });
    expect((await mine()).dueAt).toBe('2026-12-15T09:00:00.000Z');
  });
});
