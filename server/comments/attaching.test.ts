import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { everythingPath } from '#contract/account.ts';
import { attachmentPath, changeComment, type CommentChange, listComments } from '#contract/comments.ts';
import { changePass, listPasses, makePasses, type Pass } from '#contract/passes.ts';
import { attachmentLimits } from '#core/comments/attachment.ts';
import type { PassTerms } from '#core/passes/pass.ts';
import { commentAttachments, comments } from '../db/schema.ts';
import { sweep } from '../media/sweep.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { PassHolder } from '../testing/pass-holder.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** Files that come with comments, from outside by HTTP: who may send one, who gets it, and what is left of it. */
const run = promisify(execFile);
const demo = join(import.meta.dirname, '../../demo/pictures');
let server: TestServer;
let maker: TestMaker;
let shown: PublishedSite;
let tutors: Pass;
let friends: Pass;
let folder = '';
/** Turned by its EXIF, and with a place in it. */
let photo: Buffer;
let sheet: Buffer;

const terms: PassTerms = {
  ...{ label: 'Tutors', forWhom: '', opens: 'site', from: null, until: null },
  ...{ timeZone: 'Europe/Berlin', mayDownload: true, mayComment: true, asks: '' },
};

const received = async (by = maker) => (await by.call(listComments, {})).comments;
const filesOf = async (comment: string) =>
  (await received()).find(({ id }) => id === comment)?.attachments ?? [];
const change = (comment: string, body: CommentChange) =>
  maker.call(changeComment, { params: { comment }, body });
const fetched = (comment: string, attachment: string, by = maker) =>
  by.raw('GET', `/${attachmentPath(comment, attachment)}`);

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-attaching-'));
  photo = await readFile(join(demo, 'tide-clock/06-bench-shot-rotated.jpg'));
  sheet = await readFile(join(demo, 'bike-trailer/workshop-test-sheet.pdf'));
  server = await TestServer.start();
  maker = await server.maker();
  shown = await PublishedSite.open(server, maker);
  const { passes } = await maker.call(makePasses, {
    params: { site: shown.site },
    body: { passes: [terms, { ...terms, label: 'Friends' }] },
  });
  [tutors, friends] = passes as [Pass, Pass];
});
afterAll(async () => {
  await server?.stop();
  await rm(folder, { recursive: true, force: true });
});
beforeEach(async () => {
  for (const { id } of await received()) await change(id, { deleted: true, blocked: false });
});

describe('a file with a comment', () => {
  test('of a picture only what is seen is kept: no place, no camera, and turned as it is seen', async () => {
    const before = join(folder, 'before.jpg');
    await writeFile(before, photo);
    expect((await run('exiftool', ['-GPSPosition', '-s3', before])).stdout.trim()).not.toBe('');
    const tess = new PassHolder(server.app, tutors);
    await tess.says('The hinge, as I would draw it.');
    const comment = tess.said;
    const reply = await tess.sends(comment, 'bench.jpg', photo);
    expect([reply.statusCode, reply.headers.location]).toEqual([
      303,
      `${tutors.link ?? ''}tide-clock/#comment-${comment}`,
    ]);
    const [file] = await filesOf(comment);
    expect(file).toMatchObject({ fileName: 'bench.jpg', kind: 'picture' });
    const kept = await fetched(comment, file?.id ?? '');
    expect(kept.headers).toMatchObject({ 'content-type': 'image/webp', 'x-content-type-options': 'nosniff' });
    const path = join(folder, 'kept.webp');
    await writeFile(path, kept.rawPayload);
    // ExifTool, which has nothing to do with what wrote the file, finds nothing but how large it is.
    const { stdout } = await run('exiftool', ['-a', '-G', '-EXIF:all', '-XMP:all', '-IPTC:all', path]);
    expect(stdout.trim()).toBe('');
    const [was, is] = [await sharp(photo).autoOrient().toBuffer({ resolveWithObject: true }), sharp(path)];
    const { width, height } = await is.metadata();
    expect(width / height).toBeCloseTo(was.info.width / was.info.height, 1);
    // The file itself is nowhere: there is no way back to what was in it.
    expect(await server.blobs.has(createHash('sha256').update(photo).digest('hex'))).toBe(false);
  });

  test('a document is as it was sent, and is saved and never opened in place', async () => {
    const tess = new PassHolder(server.app, tutors);
    await tess.says('My notes are with it.');
    const comment = tess.said;
    expect((await tess.sends(comment, '../../notes on it.pdf', sheet)).statusCode).toBe(303);
    const [file] = await filesOf(comment);
    expect(file).toEqual({
      ...{ id: expect.any(String), kind: 'document', bytes: sheet.length },
      fileName: 'notes on it.pdf',
    });
    const kept = await fetched(comment, file?.id ?? '');
    expect(kept.rawPayload.equals(sheet)).toBe(true);
    expect(kept.headers).toMatchObject({
      'content-type': 'application/octet-stream',
      'content-disposition': "attachment; filename*=UTF-8''notes%20on%20it.pdf",
      'content-security-policy': "default-src 'none'; sandbox",
    });
  });

  test('is its maker’s alone: whoever sent it sees its name, nobody else anything, also when the comment is shown', async () => {
    const tess = new PassHolder(server.app, tutors);
    await tess.says('Shown to everybody.');
    const comment = tess.said;
    await tess.sends(comment, 'secret-name.pdf', sheet);
    await change(comment, { state: 'page' });
    const own = (await tess.get()).body;
    expect(own).toContain('secret-name.pdf');
    expect(await htmlFaults(own)).toEqual([]);
    const others = [
      (await new PassHolder(server.app, tutors).get()).body,
      (await new PassHolder(server.app, friends).get()).body,
      (await server.get(`/${shown.address}/tide-clock/`)).body,
    ];
    for (const page of others) {
      expect(page.includes('Shown to everybody.')).toBe(true);
      expect(page.includes('secret-name')).toBe(false);
      expect(page.includes('name="attach"')).toBe(false);
    }
    const [file] = await filesOf(comment);
    const id = file?.id ?? '';
    const idris = await server.maker('Idris');
    expect((await fetched(comment, id, idris)).statusCode).toBe(404);
    expect((await server.get(`/${attachmentPath(comment, id)}`, { host: 'studio.test' })).statusCode).toBe(
      401,
    );
    expect(await received(idris)).toEqual([]);
    // Of another comment it is not, whoever asks.
    await tess.says('Another one.');
    const other = tess.said;
    expect((await fetched(other, id)).statusCode).toBe(404);
  });

  test('is taken only to one’s own comment, on its page, with its pass, while something can be said', async () => {
    const tess = new PassHolder(server.app, tutors);
    await tess.says('Mine.');
    const comment = tess.said;
    const nothing = async (reply: Awaited<ReturnType<PassHolder['sends']>>) => {
      expect(reply.statusCode).toBe(404);
      expect(await filesOf(comment)).toEqual([]);
    };
    await nothing(await new PassHolder(server.app, tutors).sends(comment, 'a.pdf', sheet));
    const stranger = new PassHolder(server.app, friends);
    stranger.cookie = tess.cookie;
    await nothing(await stranger.sends(comment, 'a.pdf', sheet));
    const other = new PassHolder(server.app, friends);
    await other.says('Theirs.');
    await nothing(await other.sends(comment, 'a.pdf', sheet));
    await nothing(await tess.sends(comment, 'a.pdf', sheet, 'satchel/'));
    await nothing(await tess.sends('__proto__', 'a.pdf', sheet));
    await change(comment, { blocked: true });
    await nothing(await tess.sends(comment, 'a.pdf', sheet));
    await change(comment, { blocked: false });
    const { passes } = await maker.call(listPasses, { params: { site: shown.site } });
    const now = passes.find(({ id }) => id === tutors.id);
    const set = (mayComment: boolean) =>
      maker.call(changePass, {
        params: { site: shown.site, pass: tutors.id },
        body: { terms: { ...terms, mayComment } },
      });
    expect(now?.mayComment).toBe(true);
    await set(false);
    await nothing(await tess.sends(comment, 'a.pdf', sheet));
    await set(true);
    await change(comment, { deleted: true });
    expect((await tess.sends(comment, 'a.pdf', sheet)).statusCode).toBe(404);
    await change(comment, { deleted: false });
    expect((await tess.sends(comment, 'a.pdf', sheet)).statusCode).toBe(303);
  });

  test('what cannot be taken is said at the comment, which is there whatever becomes of the file', async () => {
    const tess = new PassHolder(server.app, tutors, '10.0.0.9');
    await tess.says('With a file, if it works.');
    const comment = tess.said;
    const says = async (name: string, contents: Uint8Array, status: number, sentence: string) => {
      const reply = await tess.sends(comment, name, contents);
      expect([name, reply.statusCode, reply.body.includes(sentence)]).toEqual([name, status, true]);
      expect(reply.body.includes('With a file, if it works.')).toBe(true);
      expect(await htmlFaults(reply.body)).toEqual([]);
      expect(await filesOf(comment)).toEqual([]);
    };
    await says('nothing.pdf', new Uint8Array(), 422, 'Choose a file first.');
    await says('large.pdf', new Uint8Array(attachmentLimits.bytes + 1), 413, 'This is too large');
    await says('half.jpg', photo.subarray(0, 3000), 422, 'This does not open.');
    const sound = await readFile(join(demo, 'tide-clock/narration.mp3'));
    await says('sound.mp3', sound, 415, 'neither a picture nor a document');
    const stored = async () => {
      let count = 0;
      for await (const one of server.blobs.all()) count += one.bytes > 0 ? 1 : 0;
      return count;
    };
    const before = await stored();
    await says('large.pdf', new Uint8Array(attachmentLimits.bytes + 1), 413, 'This is too large');
    expect(await stored()).toBe(before);
  });

  test('a comment has three at most; the same one sent twice lies there once', async () => {
    const tess = new PassHolder(server.app, tutors, '10.0.0.8');
    await tess.says('Three of them.');
    const comment = tess.said;
    const [twice, again] = await Promise.all([
      tess.sends(comment, 'one.pdf', sheet),
      tess.sends(comment, 'one.pdf', sheet),
    ]);
    expect([twice.statusCode, again.statusCode]).toEqual([303, 303]);
    expect(await filesOf(comment)).toHaveLength(1);
    for (const at of [2, 3]) {
      const words = Buffer.from(`Notes, part ${at}.`);
      expect((await tess.sends(comment, `${at}.txt`, words)).statusCode).toBe(303);
    }
    expect((await tess.get()).body.includes('name="attach"')).toBe(false);
    const fourth = await tess.sends(comment, '4.txt', Buffer.from('Notes, part 4.'));
    expect([fourth.statusCode, fourth.body.includes('at most three files')]).toEqual([409, true]);
    expect(await filesOf(comment)).toHaveLength(3);
  });

  test('is in everything that its maker takes along, and gone for good with its comment', async () => {
    const tess = new PassHolder(server.app, tutors, '10.0.0.7');
    await tess.says('Taken along.');
    const comment = tess.said;
    await tess.sends(comment, 'notes.pdf', sheet);
    await tess.sends(comment, 'bench.jpg', photo);
    const zip = unzipSync((await maker.raw('GET', everythingPath)).rawPayload);
    const names = Object.keys(zip).filter((name) => name.startsWith('comments/'));
    expect(names).toHaveLength(2);
    const pdf = names.find((name) => name.endsWith('notes.pdf')) ?? '';
    expect(Buffer.from(zip[pdf] ?? []).equals(sheet)).toBe(true);
    expect(names.some((name) => name.endsWith('bench.jpg.webp'))).toBe(true);

    const { db } = server.database;
    const rows = await db.select({ stored: commentAttachments.stored }).from(commentAttachments);
    const swept = () =>
      sweep(
        { db, blobs: server.blobs, assets: server.assets, limits: { maxTotalBytes: 1e9 } },
        { freshFor: -1, keptMs: -1 },
      );
    await swept();
    expect(await server.blobs.has(rows[0]?.stored ?? '')).toBe(true);
    await db.delete(comments);
    expect(await db.$count(commentAttachments)).toBe(0);
    await swept();
    for (const { stored } of rows) expect(await server.blobs.has(stored)).toBe(false);
  });
});
