import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { makePasses, removePass } from '#contract/passes.ts';
import {
  askForSecondLook,
  endSecondLook,
  listSecondLooks,
  removeSecondLook,
  type SecondLook,
} from '#contract/second-looks.ts';
import type { LookedAtAs } from '#core/second-look/second-look.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** Second looks at a draft, asked from outside by HTTP: by whoever has the link, by strangers and by another maker. */
let server: TestServer;
let maker: TestMaker;
let shown: PublishedSite;

const lines = [
  { id: 'line-what', text: 'I can tell what it is' },
  { id: 'line-kept', text: 'Nothing here should stay private' },
];
const clock = 'tide-clock/';

async function ask(as: LookedAtAs = { kind: 'whole' }, days = 7): Promise<SecondLook> {
  const { looks } = await maker.call(askForSecondLook, {
    params: { site: shown.site },
    body: { who: 'Juno', as, lines, days },
  });
  const [look] = looks;
  if (!look) throw new Error('There is no second look.');
  return look;
}
const listed = async () => (await maker.call(listSecondLooks, { params: { site: shown.site } })).looks;
const get = (look: SecondLook, path = clock) =>
  server.app.inject({ method: 'GET', url: `${look.link ?? ''}${path}` });
const never = () => server.app.inject({ method: 'GET', url: `/d/${'x'.repeat(22)}/` });

/** Sends the list as a browser would that has drawn it: what is not said again goes as the form has it. */
async function says(look: SecondLook, said: Record<string, string>, { path = clock, form = '' } = {}) {
  const html = form || (await get(look, path)).body;
  const had = [...html.matchAll(/name="(had-[\w-]+)" value="(\w+)"/g)].map(([, name = '', value = '']) => [
    name,
    value,
  ]);
  return server.app.inject({
    ...{ method: 'POST', url: `${look.link ?? ''}${path}` },
    headers: { 'content-type': 'application/x-www-form-urlencoded' },
    payload: new URLSearchParams({ 'second-look': '1', ...Object.fromEntries(had), ...said }).toString(),
  });
}
const expectClosed = async (reply: Awaited<ReturnType<typeof get>>) => {
  const closed = await never();
  expect([reply.statusCode, reply.body]).toEqual([404, closed.body]);
  expect(Object.keys(reply.headers).sort()).toEqual(Object.keys(closed.headers).sort());
};

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  shown = await PublishedSite.open(server, maker);
});
afterAll(() => server.stop());
beforeEach(async () => {
  for (const { id } of await listed())
    await maker.call(removeSecondLook, { params: { site: shown.site, look: id } });
});

describe('what a second look opens', () => {
  test('is the draft as it is now, marked as one, for no search engine and no cache', async () => {
    const look = await ask();
    await shown.page(shown.clock, { summary: 'Not published yet' });
    const reply = await get(look);
    expect(reply.statusCode).toBe(200);
    expect(reply.body).toContain('Not published yet');
    expect(reply.body).toContain('A draft, shown to Juno until');
    expect(reply.headers['x-robots-tag']).toBe('noindex');
    expect(reply.headers['cache-control']).toBe('private, no-cache');
    expect(reply.headers['referrer-policy']).toBe('no-referrer');
    expect(reply.body).toContain('<meta name="robots" content="noindex"/>');
    expect(await htmlFaults(reply.body)).toEqual([]);
    // Readers have what was published.
    const published = await server.app.inject({ method: 'GET', url: `/${shown.address}/${clock}` });
    expect(published.body).not.toContain('Not published yet');
    expect(published.body).not.toContain('second-look');
    await shown.page(shown.clock, { summary: 'Changed again' });
    expect((await get(look)).body).toContain('Changed again');
  });

  test('is nothing Private, whoever it is shown as, and of what lies lower only what that reader gets', async () => {
    const other = `${shown.clock}-other`;
    const as = async (one: LookedAtAs) => {
      const { body } = await get(await ask(one));
      return ['Open words', 'Other words'].filter((words) => body.includes(words));
    };
    const readers: LookedAtAs[] = [{ kind: 'stranger' }, { kind: 'site-link' }, { kind: 'whole' }];
    const got = async () => {
      const all: number[] = [];
      for (const one of readers) all.push((await as(one)).length);
      return all;
    };
    expect(await got()).toEqual([2, 2, 2]);
    await shown.partHeight(shown.clock, other, 'invited');
    expect(await got()).toEqual([1, 1, 2]);
    await shown.partHeight(shown.clock, other, 'private');
    expect(await got()).toEqual([1, 1, 1]);
    await shown.partHeight(shown.clock, other, 'public');
  });

  test('goes with what its maker lowers, from the next request on, files as well', async () => {
    const look = await ask();
    await shown.page(shown.clock, { cover: { picture: shown.picture, focus: null } });
    const [, picture = ''] = /<img[^>]* src="([^"]+)"/.exec((await get(look, '')).body) ?? [];
    expect([picture === '', (await get(look, picture)).statusCode]).toEqual([false, 200]);
    await shown.page(shown.clock, { height: 'private' });
    await expectClosed(await get(look));
    await expectClosed(await get(look, picture));
    await shown.page(shown.clock, { height: 'public' });
    expect((await get(look)).statusCode).toBe(200);
  });

  test('as a pass is what the pass would open, and nothing once that is taken away', async () => {
    const terms = {
      label: 'Tutors',
      forWhom: '',
      from: null,
      until: null,
      timeZone: 'UTC',
      mayDownload: true,
    };
    const { passes } = await maker.call(makePasses, {
      params: { site: shown.site },
      body: { passes: [{ ...terms, opens: [shown.satchel], password: null }] },
    });
    const pass = passes.at(-1)?.id ?? '';
    const look = await ask({ kind: 'pass', pass });
    // A pass for one page enters at it.
    expect((await get(look, '')).body).toContain('Sail words');
    await expectClosed(await get(look));
    await maker.call(removePass, { params: { site: shown.site, pass } });
    await expectClosed(await get(look, ''));
  });
});

describe('its link', () => {
  test('ends by itself, and when its maker ends it, like a link that never was', async () => {
    const one = await ask({ kind: 'whole' }, 1);
    const two = await ask();
    expect((await get(one)).statusCode).toBe(200);
    await maker.call(endSecondLook, { params: { site: shown.site, look: two.id } });
    await expectClosed(await get(two));
    await expectClosed(await get(two, 'second-look.css'));
    await expectClosed(await says(two, { 'says-line-what': 'yes' }));
    const before = server.clock.now;
    const later = new Date(before().getTime() + 24 * 60 * 60 * 1000 + 1000);
    server.clock.now = () => later;
    try {
      await expectClosed(await get(one));
      expect((await listed()).map(({ link }) => link)).toEqual([null, null]);
    } finally {
      server.clock.now = before;
    }
  });

  test('is nobody else’s to make, end, read or delete', async () => {
    const look = await ask();
    const other = await server.maker();
    const params = { site: shown.site, look: look.id };
    const own = (await other.site()).site.id;
    const tried = [
      other.call(listSecondLooks, { params: { site: shown.site } }),
      other.call(endSecondLook, { params }),
      other.call(removeSecondLook, { params }),
      other.call(removeSecondLook, { params: { site: own, look: look.id } }),
      other.call(endSecondLook, { params: { site: own, look: look.id } }),
      other.call(askForSecondLook, {
        params: { site: shown.site },
        body: { who: 'Me', as: { kind: 'whole' }, lines, days: 3 },
      }),
    ];
    for (const one of await Promise.allSettled(tried))
      expect([one.status, (one as { reason?: { status?: number } }).reason?.status]).toEqual([
        'rejected',
        404,
      ]);
    expect((await get(look)).statusCode).toBe(200);
    expect(await listed()).toHaveLength(1);
  });
});

describe('the list', () => {
  test('is ticked and asked about; its maker has it, with where', async () => {
    const look = await ask();
    const sent = await says(look, {
      'says-line-what': 'yes',
      'says-line-kept': 'unsure',
      'words-line-kept': 'Is that your\r\nhouse number?',
      'at-line-kept': `${shown.clock}-other`,
    });
    expect([sent.statusCode, sent.headers.location]).toEqual([
      303,
      `${look.link ?? ''}${clock}?kept=1#second-look`,
    ]);
    expect((await get(look, `${clock}?kept=1`)).body).toContain('Kept: 2 of 2 lines.');
    const [now] = await listed();
    expect(now?.answers).toEqual({
      'line-what': { says: 'yes' },
      'line-kept': {
        ...{ says: 'unsure', words: 'Is that your\nhouse number?' },
        at: { page: shown.clock, part: `${shown.clock}-other`, about: 'Other words' },
      },
    });
    expect(now?.answeredAt).not.toBeNull();
    // On another page it says where it was asked, and a form that is sent as it stands changes nothing.
    const elsewhere = await get(look, 'satchel/');
    expect(elsewhere.body).toContain('<option value="as-before" selected="">Other words</option>');
    await says(
      look,
      {
        'says-line-what': 'yes',
        'says-line-kept': 'unsure',
        'words-line-kept': 'Is that your\r\nhouse number?',
        'at-line-kept': 'as-before',
      },
      { path: 'satchel/' },
    );
    expect((await listed())[0]?.answers).toEqual(now?.answers);
  });

  test('takes nothing from another tab that was there before', async () => {
    const look = await ask();
    const form = (await get(look)).body;
    await says(look, { 'says-line-what': 'yes' }, { form });
    await says(look, { 'says-line-kept': 'yes' }, { form });
    expect((await listed())[0]?.answers).toEqual({
      'line-what': { says: 'yes' },
      'line-kept': { says: 'yes' },
    });
    // And a tick can be taken off again.
    await says(look, { 'says-line-what': 'yes' });
    expect((await listed())[0]?.answers).toEqual({ 'line-what': { says: 'yes' } });
  });

  test('keeps what is sent from a page that was taken back meanwhile, and shows no more of it', async () => {
    const look = await ask();
    const form = (await get(look)).body;
    await shown.page(shown.clock, { height: 'private' });
    const sent = await says(look, { 'words-line-what': 'Why is it so?' }, { form });
    expect([sent.statusCode, sent.headers.location]).toEqual([303, `${look.link ?? ''}?kept=1#second-look`]);
    expect((await listed())[0]?.answers).toEqual({
      'line-what': { says: 'unsure', words: 'Why is it so?', at: null },
    });
    await shown.page(shown.clock, { height: 'public' });
  });

  test('keeps what was typed where it cannot be kept, and takes no line that it does not have', async () => {
    const look = await ask();
    const sent = await says(look, {
      'says-line-kept': 'unsure',
      'words-line-kept': 'why '.repeat(200),
      'says-line-none': 'yes',
    });
    expect(sent.statusCode).toBe(422);
    expect(sent.body).toContain('A question can be at most 500 characters long.');
    expect(sent.body).toContain('why why why');
    expect(await htmlFaults(sent.body)).toEqual([]);
    await says(look, { 'says-line-none': 'yes', 'words-line-what': '<b>Why</b>' });
    expect((await listed())[0]?.answers).toEqual({
      'line-what': {
        ...{ says: 'unsure', words: '<b>Why</b>' },
        at: { page: shown.clock, part: null, about: 'Tide clock' },
      },
    });
    expect((await get(look)).body).toContain('&lt;b&gt;Why&lt;/b&gt;');
  });

  test('is not sent without end', async () => {
    const look = await ask();
    const form = (await get(look)).body;
    let last = 303;
    for (let n = 0; n < 125 && last === 303; n++)
      last = (await says(look, { 'says-line-what': 'yes' }, { form })).statusCode;
    expect(last).toBe(429);
  });

  test('can be none', async () => {
    const { looks } = await maker.call(askForSecondLook, {
      params: { site: shown.site },
      body: { who: 'Juno', as: { kind: 'whole' }, lines: [], days: 3 },
    });
    const [look] = looks;
    expect(look && (await get(look)).body).toContain('There is no list.');
  });
});
