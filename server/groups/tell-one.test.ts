import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { eq, isNotNull } from 'drizzle-orm';
import { askOne, getClass, makeGroup, openClass, writeBack } from '#contract/groups.ts';
import { joinClass, listHandIns, removeHandIn, tellClass } from '#contract/hand-ins.ts';
import { sendCopies } from '#contract/messages.ts';
import type { CommentMails } from '#core/comments/comment.ts';
import { accounts, letters } from '../db/schema.ts';
import { lettersDue, triedLetter } from '../mail/letter-rows.ts';
import { writeLetter } from '../mail/write-letter.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';
import { tellOne } from './tell-one.ts';

/** Mails that say what a class asks and gives back. */
let server: TestServer;
let tutor: TestMaker;
let maker: TestMaker;
let ofHandIn: { site: string; handIn: string };
let ofEntry: { group: string; entry: string };
const now = new Date('2026-11-29T10:00:00Z');
const mailing = { sends: true, look: () => undefined };
const confirmed = (at: Date | null) => server.database.db.update(accounts).set({ confirmedAt: at });
const wants = (comments: CommentMails) => maker.call(sendCopies, { body: { comments } });

beforeAll(async () => {
  server = await TestServer.start();
  tutor = await server.maker('Idris');
  maker = await server.maker('Wren');
  const { made: group } = await tutor.call(makeGroup, { body: { name: 'Waste as a material', people: [] } });
  const { groups } = await tutor.call(openClass, {
    params: { group },
    body: { by: 'Idris', timeZone: 'UTC' },
  });
  const params = { site: (await maker.site()).site.id };
  const key = groups[0]?.classPage?.link?.split('/').at(-1) ?? '';
  await maker.call(joinClass, { params, body: { key, name: 'Wren', opens: 'site' } });
  const { entries } = await tutor.call(getClass, { params: { group } });
  ofEntry = { group, entry: entries[0]?.id ?? '' };
  const { handIns } = await maker.call(listHandIns, { params });
  ofHandIn = { ...params, handIn: handIns[0]?.id ?? '' };
});
afterAll(() => server.stop());

/** What is sent when it is due, to whom. */
async function sent(): Promise<{ to: string; subject: string; text: string }[]> {
  const { db } = server.database;
  const due = await lettersDue(db, new Date(now.getTime() + 10 * 60_000));
  const texts = [];
  for (const row of due) {
    const facts = { origin: 'https://wall.example', secret: Buffer.alloc(32), now };
    const letter = await writeLetter(db, row, facts);
    if (letter) texts.push({ ...letter, to: row.to });
    await triedLetter(db, row, letter ? now : null, null);
  }
  return texts;
}
const ask = async (words: string) => {
  await tutor.call(askOne, { params: ofEntry, body: { words } });
  await tellOne(server.database.db, mailing, ofHandIn.site, { entry: ofEntry.entry, says: 'asked' }, now);
};

test('goes to nobody who has not shown that the address is theirs, and to nobody who wants none', async () => {
  await ask('Too early.');
  expect(await sent()).toEqual([]);
  await confirmed(now);
  await wants('none');
  await ask('Not wanted.');
  expect(await sent()).toEqual([]);
});

test('is one mail of what was asked last, to the maker alone', async () => {
  await wants('each');
  await ask('Show the hing.');
  await ask('Show the hinge.');
  const mails = await sent();
  expect(mails).toHaveLength(1);
  const [row] = await server.database.db
    .select({ to: accounts.email })
    .from(accounts)
    .where(eq(accounts.name, 'Wren'));
  expect(mails[0]).toMatchObject({ to: row?.to, subject: 'Idris asks for something: Waste as a material' });
  expect(mails[0]?.text).toMatch(/Show the hinge\./);
});

test('is not sent of what is done by then', async () => {
  await ask('Name the wood.');
  await maker.call(tellClass, { params: ofHandIn, body: { done: true } });
  expect(await sent()).toEqual([]);
});

test('brings what was given back, and nothing once the hand-in is gone', async () => {
  const returned = { lines: {}, words: 'A good start.' };
  const give = async () => {
    await tutor.call(writeBack, { params: ofEntry, body: { returned, give: true } });
    await tellOne(
      server.database.db,
      mailing,
      ofHandIn.site,
      { entry: ofEntry.entry, says: 'given-back' },
      now,
    );
  };
  await give();
  expect((await sent()).map(({ text }) => text)).toEqual([expect.stringMatching(/A good start\./)]);
  await give();
  await maker.call(removeHandIn, { params: ofHandIn });
  expect(await sent()).toEqual([]);
  expect(await server.database.db.select().from(letters).where(isNotNull(letters.next))).toEqual([]);
});
