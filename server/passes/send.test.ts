import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import {
  changePass,
  makePasses,
  mostSentInADay,
  type Pass,
  sendPass,
  writePassLetter,
} from '#contract/passes.ts';
import { type MailBox, startMailBox } from '../../standins/mail-box.ts';
import { accounts } from '../db/schema.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

const day = 24 * 60 * 60 * 1000;
let box: MailBox;
let server: TestServer;
let maker: TestMaker;
let site: string;
let at: number;
beforeAll(async () => {
  box = await startMailBox(0);
  server = await TestServer.start({ SMTP_URL: box.url, PUBLIC_ORIGIN: 'http://studio.test' });
  at = Date.parse('2026-11-28T12:00:00Z');
  server.clock.now = () => new Date(at);
  maker = await server.maker('Wren');
  site = (await PublishedSite.open(server, maker)).site;
});
afterAll(async () => {
  await server.stop();
  await box.close();
});

async function pass(more: object = {}): Promise<Pass> {
  const terms = {
    label: 'Tutors',
    opens: 'site' as const,
    timeZone: 'Europe/Berlin',
    password: null,
    ...more,
  };
  const { passes } = await maker.call(makePasses, { params: { site }, body: { passes: [terms] } });
  if (!passes[0]) throw new Error('No pass was made.');
  return passes[0];
}
const params = ({ id }: Pass) => ({ site, pass: id });
const send = (one: Pass, to: string[], more: object = {}, by = maker) =>
  by.call(sendPass, { params: params(one), body: { to, ...more } });
const status = (asking: Promise<unknown>) =>
  asking.then(
    () => 200,
    (error: { status: number }) => error.status,
  );
const mailsTo = (to: string) => box.mails.filter((mail) => mail.to.includes(to));
async function waitFor(to: string, many: number) {
  for (let tries = 0; tries < 200 && mailsTo(to).length < many; tries++)
    await new Promise((resolve) => setTimeout(resolve, 25));
  expect(mailsTo(to)).toHaveLength(many);
  return mailsTo(to);
}

describe('the link of a pass by mail', () => {
  test('is not sent from an address that nobody has confirmed', async () => {
    const one = await pass();
    expect(await status(send(one, ['ada@reader.example']))).toBe(409);
    await server.database.db.update(accounts).set({ confirmedAt: new Date() });
  });

  test('goes to each by itself, as it was shown before, once, and opens', async () => {
    const one = await pass({ password: 'open up now' });
    const note = 'The clock is on the second page.';
    const shown = await maker.call(writePassLetter, { params: params(one), body: { note } });
    expect(
      await send(one, ['ada@reader.example', 'bo@reader.example', 'ADA@reader.example'], { note }),
    ).toEqual({
      sent: 2,
    });
    const [mail] = await waitFor('ada@reader.example', 1);
    await waitFor('bo@reader.example', 1);
    expect(mail?.to).toEqual(['ada@reader.example']);
    expect([mail?.subject, mail?.text.trim()]).toEqual([shown.subject, shown.text.trim()]);
    expect(mail?.raw).not.toContain('bo@reader.example');
    expect(mail?.replyTo).toContain('@maker.example');
    expect(mail?.text).not.toContain('open up now');
    const url = /http:\/\/studio\.test(\/p\/[\w-]+\/)/.exec(mail?.text ?? '')?.[1] ?? 'none';
    expect((await server.get(url)).statusCode).toBe(200);
    // Nowhere in the database.
    const rows = (await server.database.db.execute(sql`select * from letter`)) as { rows: object[] };
    expect(JSON.stringify(rows.rows)).not.toContain(url.split('/')[2]);
    const again = await maker.call(writePassLetter, { params: params(one), body: {} });
    expect(again.known.sort()).toEqual(['ada@reader.example', 'bo@reader.example']);
  });

  test('is of its maker’s own passes only, and of none that is off or over', async () => {
    const one = await pass();
    const other = await server.maker('Sal');
    await server.database.db.update(accounts).set({ confirmedAt: new Date() });
    expect(await status(send(one, ['ada@reader.example'], {}, other))).toBe(404);
    const theirs = (await other.site()).site.id;
    const crossed = other.call(sendPass, {
      params: { site: theirs, pass: one.id },
      body: { to: ['ada@reader.example'] },
    });
    expect(await status(crossed)).toBe(404);
    await maker.call(changePass, { params: params(one), body: { on: false } });
    expect(await status(send(one, ['ada@reader.example']))).toBe(409);
    expect(await status(send(await pass({ until: '2026-11-01T10:00' }), ['ada@reader.example']))).toBe(409);
    expect(await status(send(await pass(), ['no address']))).toBe(400);
  });

  test('is told again three days before it closes, at the time it closes by then; not once it is off', async () => {
    const until = (local: string) => ({
      from: null,
      until: local,
      label: 'Tutors',
      opens: 'site' as const,
      timeZone: 'UTC',
    });
    const one = await pass(until('2026-12-10T12:00'));
    const off = await pass(until('2026-12-10T12:00'));
    const near = await pass(until('2026-11-30T12:00'));
    await send(one, ['cleo@reader.example'], { remind: true });
    await send(off, ['dora@reader.example'], { remind: true });
    await send(near, ['emil@reader.example'], { remind: true });
    for (const to of ['cleo', 'dora', 'emil']) await waitFor(`${to}@reader.example`, 1);
    await maker.call(changePass, { params: params(off), body: { on: false } });
    await maker.call(changePass, { params: params(one), body: { terms: until('2026-12-20T12:00') } });
    const run = async (to: number) => {
      at = to;
      await send(await pass(), ['zoe@reader.example'], { note: String(to) });
      await waitFor('zoe@reader.example', mailsTo('zoe@reader.example').length + 1).catch(() => undefined);
      await new Promise((resolve) => setTimeout(resolve, 200));
    };
    await run(Date.parse('2026-12-08T12:00:00Z'));
    expect(mailsTo('cleo@reader.example')).toHaveLength(1);
    await run(Date.parse('2026-12-17T12:00:01Z'));
    const [closing] = await waitFor('cleo@reader.example', 2);
    expect(closing?.subject).toContain('closes soon');
    expect(closing?.text).toContain('It closes on Sun 20 Dec 2026, 12:00 (UTC).');
    expect(mailsTo('dora@reader.example')).toHaveLength(1);
    expect(mailsTo('emil@reader.example')).toHaveLength(1);
  });

  test('goes to a hundred in a day, and the day after to others', async () => {
    at += 2 * day;
    const one = await pass();
    const people = (from: number) =>
      Array.from({ length: 20 }, (_, n) => `reader-${from + n}@reader.example`);
    for (let from = 0; from < mostSentInADay; from += 20) await send(one, people(from));
    expect(await status(send(one, ['late@reader.example']))).toBe(429);
    at += day + 1000;
    expect(await status(send(one, ['late@reader.example']))).toBe(200);
  });
});
