import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { changeComment, listComments } from '#contract/comments.ts';
import { changePass, makePasses, type Pass } from '#contract/passes.ts';
import { Mailing } from '../mail/mailing.ts';
import { secretIn } from '../secret.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';
import { type MailBox, startMailBox } from '../../standins/mail-box.ts';

/** Mails to whoever commented, by SMTP, and the way out of them, by HTTP. */
let box: MailBox;
let server: TestServer;
let maker: TestMaker;
let site: PublishedSite;
let pass: Pass;
let mailing: Mailing;
const from = 'wall@kite.example';

beforeAll(async () => {
  box = await startMailBox(0);
  server = await TestServer.start({}, { mail: { smtp: box.url, from } });
  maker = await server.maker();
  site = await PublishedSite.open(server, maker);
  const { passes } = await maker.call(makePasses, {
    params: { site: site.site },
    body: { passes: [{ label: 'Tutors', opens: 'site', timeZone: 'UTC', mayComment: true }] },
  });
  pass = passes[0] as Pass;
  mailing = new Mailing(
    server.database.db,
    { smtp: box.url, from },
    { origin: 'https://wall.example', secret: await secretIn(server.folder) },
    () => new Date(),
    console,
  );
});
afterAll(async () => {
  await mailing.stop();
  await server.stop();
  await box.close();
});

const page = () => server.get(`${pass.link ?? ''}tide-clock/`);
/** Says something, and gives its id; or the status where it was not taken. */
async function says(words: string, to: string): Promise<string> {
  const token = /name="token" value="([^"]+)"/.exec((await page()).body)?.[1] ?? '';
  const reply = await server.app.inject({
    ...{ method: 'POST', url: `${pass.link ?? ''}tide-clock/` },
    headers: { 'content-type': 'application/x-www-form-urlencoded' },
    payload: new URLSearchParams({ comment: '1', token, name: 'Tess', words, to }).toString(),
  });
  return reply.statusCode === 303 ? token : `${reply.statusCode} ${reply.body}`;
}
const answers = (comment: string, answer: string) =>
  maker.call(changeComment, { params: { comment }, body: { answer } });
/** What arrives once it is due, the oldest first. */
async function arrives() {
  const before = box.mails.length;
  await mailing.run(new Date(Date.now() + 10 * 60_000));
  return box.mails.slice(0, box.mails.length - before).reverse();
}
const wayOut = (text: string) => /https:\/\/wall\.example(\/n\/\S+)/.exec(text)?.[1] ?? '';
const presses = (path: string) =>
  server.app.inject({
    ...{ method: 'POST', url: path, payload: '' },
    headers: { 'content-type': 'application/x-www-form-urlencoded' },
  });

test('whoever leaves an address is told of an answer once, and its maker never gets the address', async () => {
  const id = await says('The hinge is hidden.', 'tess@reader.example');
  expect(await arrives()).toEqual([]);
  await answers(id, 'On the forth picture.');
  await answers(id, 'On the fourth picture.');
  const mails = await arrives();
  expect(mails).toMatchObject([{ to: ['tess@reader.example'], subject: 'An answer to what you said' }]);
  const { text = '', raw = '' } = mails[0] ?? {};
  for (const said of [
    'The hinge is hidden.',
    'On the fourth picture.',
    `https://wall.example${pass.link ?? ''}tide-clock/#comment-${id}`,
  ])
    expect(text.includes(said)).toBe(true);
  // RFC 2369: mail programs offer the way out by themselves.
  expect(raw.replace(/\r\n\s+/g, ' ')).toMatch(`List-Unsubscribe: <https://wall.example${wayOut(text)}>`);
  const { comments } = await maker.call(listComments);
  expect([comments[0]?.mails, JSON.stringify(comments).includes('tess@reader')]).toEqual([true, false]);
  expect((await maker.raw('GET', '/api/account/everything.zip')).body.includes('tess@reader')).toBe(false);
  expect((await page()).body.includes('tess@reader')).toBe(false);
});

test('nobody else is told: not who left none, not of what is deleted, not where the link is shut', async () => {
  const none = await says('Without.', '');
  await answers(none, 'Thank you.');
  const gone = await says('Gone soon.', 'gone@reader.example');
  await answers(gone, 'Too late.');
  await maker.call(changeComment, { params: { comment: gone }, body: { deleted: true } });
  expect(await arrives()).toEqual([]);
  const shut = await says('Still here?', 'shut@reader.example');
  await answers(shut, 'Yes.');
  const params = { site: site.site, pass: pass.id };
  await maker.call(changePass, { params, body: { on: false } });
  const [mail] = await arrives();
  expect(mail?.text.includes('/p/')).toBe(false);
  await maker.call(changePass, { params, body: { on: true } });
});

test('what is no address is told beside its field, and nothing is lost', async () => {
  const refused = await says('Kept words.', 'tess at home');
  expect(refused).toMatch(/^422 /);
  expect(refused).toMatch(/This does not look like an e-mail address/);
  expect(refused.includes('value="tess at home"')).toBe(true);
  expect(await htmlFaults(refused.slice(4))).toEqual([]);
});

test('the way out is opened without a change, and ends all mails of that site to the address when it is pressed', async () => {
  const one = await says('One.', 'out@reader.example');
  const two = await says('Two.', 'out@reader.example');
  const other = await says('Other.', 'stays@reader.example');
  await answers(one, 'First.');
  const [mail] = await arrives();
  const path = wayOut(mail?.text ?? '');
  const opened = await server.get(path);
  expect([opened.statusCode, await htmlFaults(opened.body)]).toEqual([200, []]);
  for (const secret of ['out@', 'One.', 'Tide clock', 'Wren'])
    expect(opened.body.includes(secret)).toBe(false);
  await answers(two, 'Second.');
  expect(await arrives()).toHaveLength(1);
  const german = await server.get(path, { 'accept-language': 'de' });
  expect(german.body).toMatch(/Keine mehr schicken/);
  expect((await presses(path)).body).toMatch(/No more mails go to this address/);
  expect((await server.get(path)).body).toMatch(/No more mails go to this address/);
  for (const id of [one, two, other]) await answers(id, 'Once more.');
  expect((await arrives()).map(({ to }) => to)).toEqual([['stays@reader.example']]);
});

test('a key that is wrong opens what everything closed opens, and ends nothing', async () => {
  const id = await says('Mine.', 'mine@reader.example');
  await answers(id, 'Yours.');
  const [mail] = await arrives();
  const path = wayOut(mail?.text ?? '');
  const wrong = [`${path.slice(0, -1)}${path.endsWith('A') ? 'B' : 'A'}`, `/n/${id}/short`, '/n/nobody/key'];
  const never = await server.get('/p/aaaaaaaaaaaaaaaaaaaaaa/');
  for (const one of wrong) {
    const reply = await presses(one);
    expect([reply.statusCode, reply.body === never.body]).toEqual([404, true]);
  }
  await answers(id, 'Again.');
  expect(await arrives()).toHaveLength(1);
});

test('one address gets so many in a day and no more', async () => {
  for (let n = 0; n < 12; n += 1) await answers(await says(`Words ${n}.`, 'many@reader.example'), 'Yes.');
  expect(await arrives()).toHaveLength(10);
});

test('a mail leads to the page where it stands now, and tells nothing of one that is closed', async () => {
  const id = await says('Where is it?', 'where@reader.example');
  await answers(id, 'Here.');
  await site.page(site.clock, { slug: 'the-clock-of-tides' });
  await site.publish();
  const [moved] = await arrives();
  const path = /https:\/\/wall\.example(\/p\/\S+?)#/.exec(moved?.text ?? '')?.[1] ?? '';
  expect(path).toBe(`${pass.link ?? ''}the-clock-of-tides/`);
  const opened = await server.get(path);
  // This server sends mails, and so asks for an address.
  expect([opened.statusCode, opened.body.includes('remark-to')]).toEqual([200, true]);
  await answers(id, 'Here, and lower.');
  await site.page(site.clock, { height: 'private' });
  const [closed] = await arrives();
  expect(closed?.text).toContain('Here, and lower.');
  expect(closed?.text).not.toMatch(/\/p\/|clock/);
});

test('a server that sends no mail asks for no address', async () => {
  const silent = await TestServer.start();
  const other = await silent.maker();
  const there = await PublishedSite.open(silent, other);
  const { passes } = await other.call(makePasses, {
    params: { site: there.site },
    body: { passes: [{ label: 'Tutors', opens: 'site', timeZone: 'UTC', mayComment: true }] },
  });
  const html = (await silent.get(`${passes[0]?.link ?? ''}tide-clock/`)).body;
  expect([html.includes('remark-words'), html.includes('remark-to')]).toEqual([true, false]);
  await silent.stop();
});
