import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { listComments } from '#contract/comments.ts';
import { sendCopies } from '#contract/messages.ts';
import { makePasses } from '#contract/passes.ts';
import type { CommentMails } from '#core/comments/comment.ts';
import { accounts, letters } from '../db/schema.ts';
import { newId } from '../db/new-id.ts';
import { lettersDue, triedLetter } from '../mail/letter-rows.ts';
import { writeLetter } from '../mail/write-letter.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';
import { changeComment, takeIn } from './comment-rows.ts';
import { tellMaker } from './tell-maker.ts';

/** Mails that say that comments wait. */
let server: TestServer;
let maker: TestMaker;
let site: string;
let account: string;
let pass: string;
const mailing = { sends: true, look: () => undefined };
const start = new Date('2026-11-29T10:00:00Z');
const after = (minutes: number) => new Date(start.getTime() + minutes * 60_000);

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  const { db } = server.database;
  [{ id: account } = { id: '' }] = await db.select({ id: accounts.id }).from(accounts);
  const { passes } = await maker.call(makePasses, {
    params: { site },
    body: { passes: [{ label: 'Tutors', opens: 'site', timeZone: 'UTC', mayComment: true }] },
  });
  pass = passes[0]?.id ?? '';
});
afterAll(() => server.stop());

const wants = (comments: CommentMails) => maker.call(sendCopies, { body: { comments } });
async function says(words: string, at: Date): Promise<string> {
  const { db } = server.database;
  const id = newId();
  await takeIn(db, {
    ...{
      id,
      site,
      pass,
      page: 'page1111',
      part: null,
      writer: 'w',
      name: 'Tess',
      words,
      about: '',
      at,
      quote: '',
      picture: null,
    },
  });
  await tellMaker(db, mailing, site, at);
  return id;
}
/** Sends what is due, and gives the texts. */
async function sent(now: Date): Promise<string[]> {
  const { db } = server.database;
  const texts: string[] = [];
  for (const row of await lettersDue(db, now)) {
    const letter = await writeLetter(db, row, {
      origin: 'https://wall.example',
      secret: Buffer.alloc(32),
      now,
    });
    if (letter) texts.push(letter.text);
    await triedLetter(db, row, letter ? now : null, null);
  }
  return texts;
}

describe('a mail about comments', () => {
  test('goes to nobody who has not shown that the address is theirs, and to nobody who wants none', async () => {
    await says('Too early.', start);
    expect(await sent(after(5))).toEqual([]);
    await server.database.db.update(accounts).set({ confirmedAt: start }).where(eq(accounts.id, account));
    await wants('none');
    await says('Not wanted.', after(6));
    expect(await sent(after(10))).toEqual([]);
    expect(await server.database.db.select().from(letters)).toEqual([]);
  });

  test('goes once for all that came within minutes, without what was answered meanwhile', async () => {
    await wants('each');
    const first = await says('One of three.', after(20));
    await says('Two of three.', after(20.5));
    await says('Three of three.', after(21));
    expect(await sent(after(21))).toEqual([]);
    await changeComment(server.database.db, account, first, { state: 'kept' }, after(21));
    const texts = await sent(after(23));
    expect(texts).toHaveLength(1);
    expect(texts[0]).toMatch(/Three of three[\s\S]*Two of three/);
    expect(texts[0]).not.toContain('One of three');
    await says('Later.', after(30));
    expect(await sent(after(33))).toHaveLength(1);
  });

  test('goes once a day at most where that is wanted', async () => {
    await wants('day');
    await says('The same day.', after(60));
    expect(await sent(after(120))).toEqual([]);
    expect(await sent(after(33 + 24 * 60))).toHaveLength(1);
  });

  test('goes not at all when nothing waits any more', async () => {
    const { db } = server.database;
    await wants('each');
    await says('Answered at once.', after(3000));
    const { comments } = await maker.call(listComments, {});
    for (const { id } of comments) await changeComment(db, account, id, { state: 'page' }, after(3001));
    expect(await sent(after(3010))).toEqual([]);
  });
});
