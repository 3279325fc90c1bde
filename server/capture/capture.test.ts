import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { capturePlaces, sendCaptured } from '#contract/capture.ts';
import { createPage, deletePage, movePart } from '#contract/pages.ts';
import { undoEdit } from '#contract/undo.ts';
import type { Captured } from '#core/capture/captured.ts';
import { momentsOf } from '#core/moments/moments-of.ts';
import { shownOn } from '#core/pages/page.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
let stranger: TestMaker;
let site = '';
let page = '';
beforeAll(async () => {
  server = await TestServer.start();
  [maker, stranger] = [await server.maker(), await server.maker('Sal')];
  site = (await maker.site()).site.id;
  page = await newPage('Tide clock');
});
afterAll(() => server.stop());

const newPage = async (title: string) =>
  (await maker.call(createPage, { params: { site }, body: { title, materials: [] } })).page;
let count = 0;
/** A thing as a device makes it up. */
const thing = (capture: string, what: Captured['what']) =>
  ({ id: `thing-${count++}`, capture, day: '2026-11-25', what }) as const;
const words = (text: string): Captured['what'] => ({ kind: 'words', as: 'happened', words: text });
const send = (one: Captured, to = page, who = maker) =>
  who.call(sendCaptured, { params: { site }, body: { ...one, page: to } });
const moments = async (on = page) => {
  const found = (await maker.state(site)).pages.find(({ id }) => id === on);
  return found ? momentsOf(shownOn(found).parts) : [];
};
const photo = () =>
  readFile(join(import.meta.dirname, '../../demo/pictures/tide-clock/13-dial-too-small.jpg'));

describe('what is captured', () => {
  test('is one moment of its day, with a material that belongs to the project', async () => {
    const { material } = await maker.upload(site, 'dial.jpg', await photo());
    await send(thing('first-capture', { kind: 'material', material }));
    await send(thing('first-capture', words('Too small.')));
    expect(await moments()).toMatchObject([
      { date: '2026-11-25', materials: [material], happened: 'Too small.' },
    ]);
    expect((await maker.state(site)).materials.find(({ id }) => id === material)?.project).toBe(page);
  });

  test('is there once, however often it is sent, one after the other or at once', async () => {
    const one = thing('once-capture', words('Once.'));
    const answers = [await send(one), await send(one)];
    answers.push(...(await Promise.all(Array.from({ length: 12 }, () => send(one)))));
    expect(new Set(answers.map(({ moment }) => moment)).size).toBe(1);
    expect((await moments()).filter(({ happened }) => happened.includes('Once.'))).toMatchObject([
      { happened: 'Once.' },
    ]);
  });

  test('stays away once it was undone, though it is sent again; what follows it begins another moment', async () => {
    const one = thing('undone-capture', words('Not so.'));
    await send(one);
    await maker.call(undoEdit, { params: { site }, body: { sure: true } });
    await send(one);
    expect((await moments()).some(({ happened }) => happened === 'Not so.')).toBe(false);
    await send(thing('undone-capture', words('But so.')));
    expect((await moments()).some(({ happened }) => happened === 'But so.')).toBe(true);
  });

  test('follows its moment to the page it was moved to', async () => {
    const other = await newPage('Float lamp');
    const { moment } = await send(thing('moved-capture', words('Here.')));
    await maker.call(movePart, {
      params: { site, page, part: moment },
      body: {
        to: other,
        seen: (await maker.state(site)).revision,
        seenThere: (await maker.state(site)).revision,
      },
    });
    expect(await send(thing('moved-capture', words('There.')))).toEqual({ moment, page: other });
    expect(await moments(other)).toMatchObject([{ happened: 'Here.\n\nThere.' }]);
  });

  test('is refused in a sentence where its page is gone, and can be sent to another', async () => {
    const gone = await newPage('Given up');
    await maker.call(deletePage, { params: { site, page: gone } });
    const one = thing('gone-capture', words('Still here.'));
    await expect(send(one, gone)).rejects.toThrow('not there any more');
    await send(one);
    expect((await moments()).at(-1)?.happened).toBe('Still here.');
  });
});

describe('somebody else', () => {
  test('can put nothing into a site of mine, nor take a material of mine into theirs', async () => {
    const before = await moments();
    await expect(send(thing('foreign-capture', words('Mine now.')), page, stranger)).rejects.toMatchObject({
      status: 404,
    });
    expect(await moments()).toEqual(before);
    const { material } = await maker.upload(site, 'mine.txt', Buffer.from('Mine.'));
    const theirs = (await stranger.site()).site.id;
    const their = (
      await stranger.call(createPage, { params: { site: theirs }, body: { title: 'A', materials: [] } })
    ).page;
    await expect(
      stranger.call(sendCaptured, {
        params: { site: theirs },
        body: { ...thing('taking-capture', { kind: 'material', material }), page: their },
      }),
    ).rejects.toMatchObject({ status: 404 });
  });

  test('is told of their own pages only', async () => {
    const { account, pages } = await stranger.call(capturePlaces);
    expect([account.name, pages.map(({ title }) => title)]).toEqual(['Sal', expect.arrayContaining(['A'])]);
    expect(pages.some((one) => one.site === site)).toBe(false);
    expect((await server.get('/api/capture')).statusCode).toBe(401);
  });

  test('what was worked on last comes first', async () => {
    await send(thing('last-capture', words('At the clock again.')));
    const [first] = (await maker.call(capturePlaces)).pages;
    expect(first).toMatchObject({ page, site, title: 'Tide clock' });
  });
});
