import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { randomUUID } from 'node:crypto';
import VCard from 'vcf';
import type { Part } from '#core/parts/parts.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { PartKind } from '#core/parts/parts.ts';
import { changeSite } from '#contract/sites.ts';
import { changeMessage, countUnread, openBox } from '#contract/messages.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';
import { accounts } from '../db/schema.ts';
import { type MailBox, startMailBox } from '../../standins/mail-box.ts';

/** Readers write to a maker, from outside, by the forms of released pages alone. */
let server: TestServer;
let mailBox: MailBox;
let wren: TestMaker;
let site: string;
let page: string;
let email: string;
let link: string;

const part = (kind: PartKind, id: string, more: object): Part => ({ ...newPart(kind, id), ...more }) as Part;
const change = async (changed: object, label = 'Change') => {
  const { revision } = await wren.state(site);
  await wren.call(changeSite, { params: { site }, body: { seen: revision, label, change: changed } });
};
const changeOfPage = async (changed: object) => {
  const { revision } = await wren.state(site);
  await wren.call(changePage, {
    params: { site, page },
    body: { seen: revision, label: 'Change', change: changed },
  });
};

beforeAll(async () => {
  mailBox = await startMailBox(0);
  server = await TestServer.start({}, { mail: { smtp: mailBox.url, from: 'wall@kite.example' } });
  wren = await server.maker('Wren');
  await server.database.db.update(accounts).set({ confirmedAt: new Date() });
  ({
    site: { id: site },
  } = await wren.site());
  ({ page } = await wren.call(createPage, {
    params: { site },
    body: { title: 'Tide clock', materials: [] },
  }));
  await change({ height: 'public', address: 'wren', contact: 'form', by: 'Wren' });
  await changeOfPage({
    height: 'public',
    parts: [
      part('contact', 'part-write', { words: 'Write to me.', form: true, card: true }),
      part('headline', 'part-head', { text: 'Makes small, useful things; from what is left' }),
      part('full-name', 'part-full', { text: 'Wren Tolliver', height: 'invited' }),
      part('profiles', 'part-links', {
        list: [{ name: 'Pictures', to: 'https://pictures.example/?a=1,2', is: 'pictures' }],
      }),
    ],
  });
  const { live } = await wren.publish(site);
  link = live?.siteLinkPath ?? '';
  ({
    copies: { to: email },
  } = await wren.call(openBox));
});
afterAll(async () => {
  await server.stop();
  await mailBox.close();
});

const somebody = {
  name: 'Ada Quill',
  from: 'ada@reader.example',
  words: 'I liked the clock.\n\nWhere is it?',
};
const post = (path: string, fields: Record<string, string>, headers: Record<string, string> = {}) =>
  server.app.inject({
    method: 'POST',
    url: path,
    headers: { 'content-type': 'application/x-www-form-urlencoded', ...headers },
    payload: new URLSearchParams(fields).toString(),
  });
const hidden = (html: string): Record<string, string> =>
  Object.fromEntries(
    [...html.matchAll(/<input type="hidden" name="([^"]*)" value="([^"]*)"/g)].map(
      ([, name = '', value = '']) => [
        name,
        value.replaceAll('&#x27;', "'").replaceAll('&quot;', '"').replaceAll('&amp;', '&'),
      ],
    ),
  );
const waiting = async () => (await wren.call(openBox)).messages.filter(({ deleted }) => !deleted);
const ids = (box: { id: string }[]) => box.map(({ id }) => id);
/** Reads over and sends, as a person does. */
const write = async (path: string, place: string, words: string, from = '10.0.0.1') => {
  const by = { 'x-forwarded-for': from };
  const over = await post(path, { ...somebody, words, place }, by);
  return post(path, { ...hidden(over.body), do: 'send' }, by);
};

describe('a reader', () => {
  test('reads over what they wrote, sends it, and is told what is known', async () => {
    const over = await post('/wren/tide-clock/', { ...somebody, place: 'part-write' });
    expect(over.statusCode).toBe(200);
    expect(over.body).toContain('This will be sent. Is it right?');
    expect(over.body).toContain('ada@reader.example');
    expect(await htmlFaults(over.body)).toEqual([]);
    expect(await waiting()).toEqual([]);
    const sent = await post('/wren/tide-clock/', { ...hidden(over.body), do: 'send' });
    expect(sent.body).toContain('<title>Sent: ');
    expect(await htmlFaults(sent.body)).toEqual([]);
    const [message, ...more] = await waiting();
    expect(more).toEqual([]);
    expect(message).toMatchObject({ ...somebody, page: 'Tide clock', read: false, site: { id: site } });
    // Pressed twice, or loaded again: it is the same message.
    await post('/wren/tide-clock/', { ...hidden(over.body), do: 'send' });
    expect(await waiting()).toHaveLength(1);
  });

  test('gets what they typed back with what is wrong, also by the secret link', async () => {
    for (const path of ['/wren/tide-clock/', `${link}_write/`]) {
      const place = path.endsWith('_write/') ? 'site' : 'part-write';
      const { statusCode, body, headers } = await post(path, { ...somebody, from: 'ada at <reader>', place });
      expect(statusCode).toBe(422);
      expect(body).toContain('This is no e-mail address.');
      expect(body).toContain('value="ada at &lt;reader&gt;"');
      expect(body).toContain('Where is it?</textarea>');
      expect(await htmlFaults(body)).toEqual([]);
      expect(headers['cache-control']).toBe('no-store');
      expect(headers['content-security-policy']).toContain("form-action 'self'");
    }
  });

  test('is told of a field that only programs fill in, and nothing is sent', async () => {
    const before = await waiting();
    const trapped = await post('/wren/_write/', {
      ...somebody,
      place: 'site',
      website: 'https://buy.example',
    });
    expect(trapped.statusCode).toBe(422);
    expect(trapped.body).toContain('A field that people do not see was filled in');
    expect(trapped.body).toContain('value="Ada Quill"');
    expect(ids(await waiting())).toEqual(ids(before));
  });

  test('sends nothing that was not read over, or was changed after it', async () => {
    const before = await waiting();
    const over = await post('/wren/_write/', { ...somebody, place: 'site' });
    const right = hidden(over.body);
    for (const wrong of [
      { ...right, token: '' },
      { ...right, token: `${randomUUID()}.1.x` },
      { ...right, words: 'Buy kites' },
      { ...right, from: 'other@reader.example' },
      { ...somebody, place: 'site' },
    ])
      expect((await post('/wren/_write/', { ...wrong, do: 'send' })).statusCode).toBe(409);
    // Of one form, and not of another one.
    expect((await post('/wren/tide-clock/', { ...right, place: 'part-write', do: 'send' })).statusCode).toBe(
      409,
    );
    expect((await post(`${link}_write/`, { ...right, do: 'send' })).statusCode).toBe(409);
    expect(ids(await waiting())).toEqual(ids(before));
  });

  test('can send ten messages an hour from one place, and loses none of the eleventh', async () => {
    for (let at = 1; at <= 10; at++) await write('/wren/_write/', 'site', `Message ${at}`, '10.0.0.9');
    const one = await write('/wren/_write/', 'site', 'One too many', '10.0.0.9');
    expect(one.statusCode).toBe(429);
    expect(one.body).toContain('One too many</textarea>');
    const words = (await waiting()).map((message) => message.words);
    expect(words).toContain('Message 10');
    expect(words).not.toContain('One too many');
    expect((await write('/wren/_write/', 'site', 'From elsewhere', '10.0.0.10')).statusCode).toBe(200);
  });
});

describe('the maker', () => {
  test('gets a copy by mail that answers to the sender, and no header of it can be added to', async () => {
    await write('/wren/_write/', 'site', 'By mail');
    const over = await post('/wren/_write/', {
      ...somebody,
      name: 'Ada\r\nBcc: all@reader.example',
      place: 'site',
    });
    await post('/wren/_write/', { ...hidden(over.body), do: 'send' });
    await until(async () => (await waiting()).every(({ mailed }) => mailed === 'yes'));
    const mail = mailBox.mails.find(({ text }) => text.includes('By mail'));
    expect(mail).toMatchObject({
      to: [email],
      subject: `Ada Quill wrote to you on ${(await wren.state(site)).site.title}`,
    });
    expect(mail?.replyTo).toContain('ada@reader.example');
    for (const { to, raw } of mailBox.mails) {
      expect(to).toEqual([email]);
      expect(raw.split('\r\n\r\n')[0]).not.toMatch(/^bcc:/im);
    }
  });

  test('has an address that stands in no page, file or header', async () => {
    const read = async (path: string) => {
      const reply = await server.get(path);
      return JSON.stringify([reply.headers, reply.body]);
    };
    const over = await post('/wren/_write/', { ...somebody, place: 'site' });
    const told = [
      ...(await Promise.all(
        ['/wren/', '/wren/tide-clock/', '/wren/_write/', '/wren/contact.vcf', '/wren/feed.xml', link].map(
          read,
        ),
      )),
      JSON.stringify([over.headers, over.body]),
    ].join();
    expect(told).toContain('form class=');
    expect(told).not.toContain(email);
    expect(told).not.toContain('mailto:');
  });

  test('reads their own box only', async () => {
    const other = await server.maker('Ash');
    expect((await other.call(openBox)).messages).toEqual([]);
    expect(await other.call(countUnread)).toEqual({ unread: 0 });
    expect(await wren.call(countUnread)).toEqual({ unread: (await waiting()).length });
    const [message] = await waiting();
    await expect(
      other.call(changeMessage, { params: { message: message?.id ?? '' }, body: { deleted: true } }),
    ).rejects.toThrow();
    expect((await waiting())[0]).toMatchObject({ id: message?.id, deleted: false });
  });

  test('deletes a message and has it back', async () => {
    const [message] = await waiting();
    const params = { message: message?.id ?? '' };
    await wren.call(changeMessage, { params, body: { deleted: true } });
    expect(ids(await waiting())).not.toContain(message?.id);
    await wren.call(changeMessage, { params, body: { deleted: false } });
    expect(ids(await waiting())).toContain(message?.id);
  });
});

describe('a contact card', () => {
  test('says what this reader may know, read by two programs that know vCards', async () => {
    const { body, headers } = await server.get('/wren/contact.vcf');
    expect(headers['content-type']).toMatch(/^text\/vcard/);
    expect(headers['content-disposition']).toContain('attachment');
    // RFC 6350, section 3.2: lines end in CRLF and are at most 75 octets long.
    for (const line of body.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    const [card] = VCard.parse(body);
    expect(card?.get('fn').valueOf()).toBe('Wren');
    expect(card?.version).toBe('4.0');
    const read = new ICAL.Component(ICAL.parse(body) as unknown as string);
    expect(read.getFirstPropertyValue('title')).toBe('Makes small, useful things; from what is left');
    expect(read.getAllProperties('url').map((one) => one.getFirstValue())).toContain(
      'https://pictures.example/?a=1%2C2',
    );
    expect(body).not.toMatch(/Tolliver|EMAIL|TEL/);
  });

  test('is no file of a site without one', async () => {
    const ash = await server.maker('Ash');
    const { site: own } = await ash.site();
    const { revision } = await ash.state(own.id);
    await ash.call(changeSite, {
      params: { site: own.id },
      body: { seen: revision, label: 'Open', change: { height: 'public', address: 'ash' } },
    });
    await ash.publish(own.id);
    for (const path of ['/ash/contact.vcf', '/ash/_write/'])
      expect((await server.get(path)).statusCode).toBe(404);
    expect((await post('/ash/_write/', { ...somebody, place: 'site' })).statusCode).toBe(404);
  });
});

describe('what is closed', () => {
  test('takes nothing from the next request on, and says nothing of what was there', async () => {
    const over = await post('/wren/tide-clock/', { ...somebody, place: 'part-write' });
    const { draft } = await wren.state(site).then((state) => ({ draft: state }));
    const parts = draft.pages.flatMap((one) => (one.id === page && 'parts' in one ? one.parts : []));
    await changeOfPage({
      parts: parts.map((one) => (one.id === 'part-write' ? { ...one, height: 'private' } : one)),
    });
    const before = await waiting();
    const nowhere = await post('/nobody/', { ...somebody, place: 'site' });
    for (const fields of [
      { ...somebody, place: 'part-write' },
      { ...hidden(over.body), do: 'send' },
    ]) {
      const refused = await post('/wren/tide-clock/', fields);
      expect(refused.statusCode).toBe(404);
      expect(refused.body).toBe(nowhere.body);
    }
    expect((await server.get('/wren/contact.vcf')).statusCode).toBe(404);
    await change({ height: 'private' });
    expect((await post('/wren/_write/', { ...somebody, place: 'site' })).body).toBe(nowhere.body);
    expect(ids(await waiting())).toEqual(ids(before));
  });
});

async function until(is: () => Promise<boolean>): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    if (await is()) return;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error('It did not come to that.');
}
