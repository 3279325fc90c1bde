import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { Writable } from 'node:stream';
import { eq } from 'drizzle-orm';
import { changeComment, type CommentChange, listComments } from '#contract/comments.ts';
import { countUnread } from '#contract/messages.ts';
import { changePass, listPasses, makePasses, type Pass, removePass } from '#contract/passes.ts';
import { countVisits } from '#contract/visits.ts';
import { commentLimits } from '#core/comments/comment.ts';
import type { PassTerms } from '#core/passes/pass.ts';
import { passes, sites } from '../db/schema.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { PassHolder } from '../testing/pass-holder.ts';
import { PublishedSite, wordsPart } from '../testing/published-site.ts';
import { TestMaker, TestServer } from '../testing/test-server.ts';

/** Comments, asked from outside by HTTP: who wrote one, who holds the same pass or another one, and strangers. */
let server: TestServer;
let maker: TestMaker;
let shown: PublishedSite;
let tutors: Pass;
let friends: Pass;
let silent: Pass;

const terms: PassTerms = {
  ...{ label: 'Tutors', forWhom: 'P. Lunn', opens: 'site', from: null, until: null },
  ...{ timeZone: 'Europe/Berlin', mayDownload: true, mayComment: true, asks: '' },
};

const received = async () => (await maker.call(listComments, {})).comments;
const change = (comment: string, body: CommentChange, by = maker) =>
  by.call(changeComment, { params: { comment }, body });
const newest = async () => (await received())[0]?.id ?? '';
const publicPage = async () => (await server.get(`/${shown.address}/tide-clock/`)).body;

/** What the server warned of. */
let warned = '';
const log = new Writable({
  write: (chunk, _, done) => {
    warned += String(chunk);
    done();
  },
});

beforeAll(async () => {
  server = await TestServer.start({}, {}, log);
  maker = await server.maker();
  shown = await PublishedSite.open(server, maker);
  const { passes } = await maker.call(makePasses, {
    params: { site: shown.site },
    body: {
      passes: [terms, { ...terms, label: 'Friends' }, { ...terms, label: 'Silent', mayComment: false }],
    },
  });
  [tutors, friends, silent] = passes as [Pass, Pass, Pass];
});
afterAll(() => server.stop());
beforeEach(async () => {
  server.clock.now = () => new Date();
  for (const { id } of await received()) await change(id, { deleted: true, blocked: false });
});

describe('a comment', () => {
  test('is seen by its maker and on the device it came from, and by nobody else before it is shown', async () => {
    const tess = new PassHolder(server.app, tutors);
    const before = await received();
    expect((await tess.says('The hinge is the best of it.')).statusCode).toBe(303);
    expect(await received()).toHaveLength(before.length + 1);
    expect((await received())[0]).toMatchObject({
      ...{ name: 'Tess', words: 'The hinge is the best of it.', state: 'waiting', pass: 'Tutors', about: '' },
      page: { id: shown.clock },
    });
    expect((await tess.get()).body).toContain('The hinge is the best of it.');
    expect((await tess.get('satchel/')).body).not.toContain('The hinge');
    expect((await new PassHolder(server.app, tutors).get()).body).not.toContain('The hinge');
    expect((await new PassHolder(server.app, friends).get()).body).not.toContain('The hinge');
    expect(await publicPage()).not.toContain('The hinge');
    // With the cookie of one pass nobody is known at another.
    const elsewhere = new PassHolder(server.app, friends);
    elsewhere.cookie = tess.cookie;
    expect((await elsewhere.get()).body).not.toContain('The hinge');
  });

  test.each([
    ['kept', true, false, false, false],
    ['refused', true, false, false, false],
    ['pass', true, true, false, false],
    ['page', true, true, true, true],
    ['waiting', true, false, false, false],
  ] as const)(
    'that is %s: its writer %s, its pass %s, another pass %s, strangers %s, from the next request on',
    async (state, writer, pass, other, strangers) => {
      const tess = new PassHolder(server.app, tutors);
      await tess.says('Show me.');
      // What was answered before is kept nowhere.
      await publicPage();
      await publicPage();
      await change(await newest(), { state: 'page' });
      expect(await publicPage()).toContain('Show me.');
      await change(await newest(), { state });
      const seen = async (body: Promise<string>) => (await body).includes('Show me.');
      const body = async (holder: PassHolder) => (await holder.get()).body;
      expect(await seen(body(tess))).toBe(writer);
      expect(await seen(body(new PassHolder(server.app, tutors)))).toBe(pass);
      expect(await seen(body(new PassHolder(server.app, silent)))).toBe(other);
      expect(await seen(publicPage())).toBe(strangers);
    },
  );

  test('that is deleted is gone for everybody on the next request, and in no release', async () => {
    const tess = new PassHolder(server.app, tutors);
    await tess.says('Take me away.');
    const id = await newest();
    await change(id, { state: 'page', answer: 'Gladly.' });
    expect(await publicPage()).toContain('Gladly.');
    await maker.publish(shown.site);
    await change(id, { deleted: true });
    expect(await publicPage()).not.toMatch(/Take me away|Gladly/);
    expect((await tess.get()).body).not.toMatch(/Take me away|Gladly/);
    await change(id, { deleted: false });
    expect(await publicPage()).toContain('Take me away.');
  });

  test('quotes words of the page and is of the part they stand in; words that do not stand there are not taken', async () => {
    const tess = new PassHolder(server.app, tutors);
    const wrong = await tess.says('Which ones?', { quote: 'No such words' });
    expect(wrong.statusCode).toBe(422);
    expect(wrong.body).toContain('These words do not stand on this page.');
    for (const kept of ['Which ones?', 'No such words']) expect(wrong.body).toContain(kept);
    expect(await htmlFaults(wrong.body)).toEqual([]);
    expect((await tess.says('Which ones?', { quote: ' open\nWORDS ' })).statusCode).toBe(303);
    expect((await received())[0]).toMatchObject({
      ...{ quote: 'open WORDS', part: `${shown.clock}-open`, about: 'Open words' },
    });
    await change(await newest(), { state: 'page' });
    const page = await publicPage();
    expect(page).toContain('<blockquote>open WORDS</blockquote>');
    expect(await htmlFaults(page)).toEqual([]);
  });

  test('quotes nothing to a reader that they do not get themselves, and says when it is changed', async () => {
    const part = `${shown.clock}-other`;
    await shown.partHeight(shown.clock, part, 'invited');
    await shown.publish();
    const tess = new PassHolder(server.app, tutors);
    // Over the end of a part, so that it is of the page.
    await tess.says('From here to there?', { quote: 'Open words Other words' });
    expect((await received())[0]).toMatchObject({ part: null, quote: 'Open words Other words' });
    await change(await newest(), { state: 'page' });
    expect((await tess.get()).body).toContain('<blockquote>Open words Other words</blockquote>');
    const stranger = await publicPage();
    expect(stranger).toContain('From here to there?');
    expect(stranger).toContain('It speaks of words that do not stand here any more.');
    expect(stranger).not.toContain('Other words');
    await shown.partHeight(shown.clock, part, 'public');
    await shown.publish();
    expect(await publicPage()).toContain('<blockquote>Open words Other words</blockquote>');
    const { parts = [] } = (await maker.project(shown.site, shown.clock)) ?? {};
    const said = (text: string) =>
      shown.page(shown.clock, { parts: parts.map((one) => (one.id === part ? wordsPart(part, text) : one)) });
    await said('Better words');
    await shown.publish();
    expect((await tess.get()).body).toContain('It speaks of words that do not stand here any more.');
    expect((await tess.get()).body).not.toContain('Other words');
    await said('Other words');
    await shown.publish();
  });

  test('about a part is seen where the part is, and nowhere once its height is lowered', async () => {
    const tess = new PassHolder(server.app, tutors);
    const part = /<section id="at-([^"]+)"/.exec((await tess.get()).body)?.[1] ?? '';
    await tess.says('Of this part.', { part });
    const [comment] = await received();
    expect(comment).toMatchObject({ part, page: { id: shown.clock } });
    expect(comment?.about).not.toBe('');
    await change(comment?.id ?? '', { state: 'page' });
    expect(await publicPage()).toContain('Of this part.');
    await shown.partHeight(shown.clock, part, 'private');
    expect(await publicPage()).not.toContain('Of this part.');
    expect((await new PassHolder(server.app, tutors).get()).body).not.toContain('Of this part.');
  });

  test('arrives once, however often it is sent', async () => {
    const tess = new PassHolder(server.app, tutors);
    const before = (await received()).length;
    const token = 'once-and-no-more';
    await tess.says('Once.', { token });
    await tess.says('Another thing under the same name.', { token });
    expect((await received()).length).toBe(before + 1);
    expect((await received())[0]?.words).toBe('Once.');
  });

  test('is written as text: markup in it is none', async () => {
    const tess = new PassHolder(server.app, tutors);
    await tess.says('<img src=x onerror=alert(1)> </main><script>1</script>', { name: '<b>Tess' });
    await change(await newest(), { state: 'page', answer: '</ol><script>2</script>' });
    const body = await publicPage();
    expect(body).toContain('&lt;img src=x');
    expect(body).not.toMatch(/<script>[12]/);
    expect(await htmlFaults(body)).toEqual([]);
    expect(await htmlFaults((await tess.get()).body)).toEqual([]);
  });
});

test('what its maker would like to hear stands over the form, and is changed from the next request on', async () => {
  const { passes } = await maker.call(makePasses, {
    params: { site: shown.site },
    body: { passes: [{ ...terms, label: 'Asked', asks: 'Look at <the hinge>.' }] },
  });
  const [pass] = passes as [Pass];
  const holder = new PassHolder(server.app, pass);
  expect((await holder.get()).body).toContain('Look at &lt;the hinge&gt;.');
  // What makes a comment specific stands there whether anything is asked for or not.
  expect((await holder.get()).body).toContain('Where did you stop?');
  expect(await publicPage()).not.toContain('the hinge&gt;');
  await maker.call(changePass, {
    params: { site: shown.site, pass: pass.id },
    body: { terms: { ...terms, label: 'Asked', asks: '' } },
  });
  expect((await holder.get()).body).not.toContain('the hinge&gt;');
  expect((await holder.get()).body).toContain('Where did you stop?');
});

describe('who may write', () => {
  test('a pass that does not say so has no form and takes nothing', async () => {
    const before = (await received()).length;
    const reply = await new PassHolder(server.app, silent).says('Let me in.');
    expect(reply.statusCode).toBe(404);
    expect((await new PassHolder(server.app, silent).get()).body).not.toContain('id="remark"');
    const { address } = shown;
    const stranger = await server.app.inject({
      ...{ method: 'POST', url: `/${address}/tide-clock/` },
      headers: { 'content-type': 'application/x-www-form-urlencoded' },
      payload: 'comment=1&name=Tess&words=Hello&token=abcdefgh',
    });
    expect(stranger.statusCode).toBe(404);
    expect((await received()).length).toBe(before);
  });

  test('a pass that is closed to comments, switched off or taken away takes none from that moment on', async () => {
    const { passes } = await maker.call(makePasses, {
      params: { site: shown.site },
      body: { passes: [{ ...terms, label: 'For a while' }] },
    });
    const [pass] = passes as [Pass];
    const at = { site: shown.site, pass: pass.id };
    const holder = new PassHolder(server.app, pass);
    expect((await holder.says('One.')).statusCode).toBe(303);
    await maker.call(changePass, { params: at, body: { terms: { ...terms, mayComment: false } } });
    expect((await holder.says('Two.')).statusCode).toBe(404);
    expect((await holder.get()).statusCode).toBe(200);
    await maker.call(changePass, { params: at, body: { terms, on: false } });
    expect((await holder.says('Three.')).statusCode).toBe(404);
    await maker.call(changePass, { params: at, body: { on: true } });
    await maker.call(removePass, { params: at });
    expect((await holder.says('Four.')).statusCode).toBe(404);
    expect((await received()).filter(({ name, deleted }) => name === 'Tess' && !deleted)).toHaveLength(1);
  });

  test('of a page that the pass does not open nothing can be said', async () => {
    const { passes } = await maker.call(makePasses, {
      params: { site: shown.site },
      body: { passes: [{ ...terms, label: 'Satchel alone', opens: [shown.satchel] }] },
    });
    const [pass] = passes as [Pass];
    const before = (await received()).length;
    expect((await new PassHolder(server.app, pass).says('Of the clock.')).statusCode).toBe(404);
    expect((await received()).length).toBe(before);
  });

  test('too long, too many links, or filled in by a program: nothing is taken, and nothing typed is lost', async () => {
    const tess = new PassHolder(server.app, tutors);
    const before = (await received()).length;
    const wrong: [string, Record<string, string>][] = [
      ['a'.repeat(commentLimits.words + 1), {}],
      ['http://a.example http://b.example http://c.example', {}],
      ['', {}],
      ['Good.', { name: '' }],
      ['Good.', { website: 'http://a.example' }],
    ];
    for (const [words, more] of wrong) {
      const reply = await tess.says(words, more);
      expect(reply.statusCode).toBe(422);
      expect(reply.body).toContain('role="alert"');
      if (words) expect(reply.body).toContain(words.slice(0, 40));
    }
    expect((await received()).length).toBe(before);
  });

  test('so often from one place, and no more', async () => {
    const holder = new PassHolder(server.app, friends, '203.0.113.9');
    let last = 303;
    for (let sent = 0; sent < 62 && last === 303; sent++)
      last = (await holder.says(`Number ${sent}.`)).statusCode;
    expect(last).toBe(429);
  });

  test('nothing more is taken from a device that its maker shut out', async () => {
    const tess = new PassHolder(server.app, tutors, '203.0.113.10');
    await tess.says('Rude.');
    await change(await newest(), { blocked: true });
    const reply = await tess.says('Ruder.');
    expect(reply.statusCode).toBe(507);
    expect(reply.body).toContain('Ruder.');
    expect((await new PassHolder(server.app, tutors, '203.0.113.10').says('Somebody else.')).statusCode).toBe(
      303,
    );
    await change((await received()).find(({ words }) => words === 'Rude.')?.id ?? '', { blocked: false });
    expect((await tess.says('Sorry.')).statusCode).toBe(303);
  });
});

test('what was handed in stays as it was: nothing is said on it, and nothing shown', async () => {
  const tess = new PassHolder(server.app, tutors);
  await tess.says('Of what is live.');
  await change(await newest(), { state: 'page' });
  const { passes: made } = await maker.call(makePasses, {
    params: { site: shown.site },
    body: { passes: [{ ...terms, label: 'Handed in' }] },
  });
  const [pass] = made as [Pass];
  const holder = new PassHolder(server.app, pass);
  expect((await holder.get()).body).toContain('Of what is live.');
  const { db } = server.database;
  const [live] = await db.select({ id: sites.liveRelease }).from(sites).where(eq(sites.id, shown.site));
  await db
    .update(passes)
    .set({ pinned: live?.id ?? null })
    .where(eq(passes.id, pass.id));
  await maker.call(changePass, { params: { site: shown.site, pass: pass.id }, body: { on: true } });
  const body = (await holder.get()).body;
  expect(body).toContain('Other words');
  expect(body).not.toMatch(/Of what is live|id="remark"/);
  expect((await holder.says('Late.')).statusCode).toBe(404);
});

test('a page with what is said on it is counted as opened, like any other', async () => {
  const params = { site: shown.site };
  await maker.call(countVisits, { params, body: { on: true } });
  const { passes: made } = await maker.call(makePasses, { params, body: { passes: [terms] } });
  const [pass] = made as [Pass];
  const reply = await server.get(`${pass.link ?? ''}tide-clock/`, {
    'user-agent': 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0',
  });
  expect(reply.body).toContain('id="remark"');
  expect((await maker.call(listPasses, { params })).visits[pass.id]?.visits).toBe(1);
});

describe('its maker', () => {
  test('alone lists, shows and answers it', async () => {
    await new PassHolder(server.app, tutors).says('For Wren.');
    const id = await newest();
    const other = await server.maker('Odo');
    expect((await other.call(listComments, {})).comments).toEqual([]);
    const refused = await other.raw('PATCH', `/api/comments/${id}`, { state: 'page' });
    expect(refused.statusCode).toBe(404);
    const nobody = await new TestMaker(server.app).raw('GET', '/api/comments');
    expect(nobody.statusCode).toBe(401);
    expect((await received()).find((one) => one.id === id)?.state).toBe('waiting');
  });

  test('is told how many wait', async () => {
    const before = (await maker.call(countUnread, {})).unread;
    await new PassHolder(server.app, tutors).says('Count me.');
    expect((await maker.call(countUnread, {})).unread).toBe(before + 1);
    await change(await newest(), { state: 'kept' });
    expect((await maker.call(countUnread, {})).unread).toBe(before);
  });

  test('answers, and says that it is taken up: so it stands for whoever sees the comment', async () => {
    const tess = new PassHolder(server.app, tutors);
    await tess.says('Make the dial larger.');
    await change(await newest(), { answer: 'It is now.', takenUp: 'yes' });
    expect((await tess.get()).body).toContain('It is now.');
    expect((await tess.get()).body).toContain('Taken up');
    expect(await publicPage()).not.toContain('It is now.');
    const long = await maker.raw('PATCH', `/api/comments/${await newest()}`, {
      answer: 'a'.repeat(commentLimits.answer + 1),
    });
    expect(long.statusCode).toBe(400);
  });
});

test('what is to be taken up with the next publish is so once its page is published, and no sooner', async () => {
  const tess = new PassHolder(server.app, tutors);
  await tess.says('Make the dial larger.');
  await change(await newest(), { takenUp: 'next', thanked: true });
  const isTaken = async () => (await tess.get()).body.includes('Taken up.');
  const said = async () => (await received())[0]?.takenUp;
  expect((await tess.get()).body).toContain('Whoever made this says thank you.');
  expect([await said(), await isTaken()]).toEqual(['next', false]);
  // Published, but for the page that it speaks of.
  await shown.page(shown.clock, { summary: 'One hand for the tide, and larger' });
  await shown.publish([shown.clock]);
  expect([await said(), await isTaken()]).toEqual(['next', false]);
  await shown.publish();
  expect([await said(), await isTaken()]).toEqual(['yes', true]);
  await change(await newest(), { takenUp: 'no', thanked: false });
  await shown.publish();
  expect([await said(), await isTaken()]).toEqual(['no', false]);
  expect((await tess.get()).body).not.toContain('says thank you');
});

test('each of all these requests was answered once', () => {
  // A refusal or two is meant.
  expect(warned).not.toMatch(/already sent/i);
});
