import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readdir } from 'node:fs/promises';
import { resumeLinesPath } from '#contract/resume.ts';
import { guessedResume } from '#core/resume/taken-in/guessed-resume.ts';
import type { SourceLine } from '#core/resume/taken-in/source-line.ts';
import { sweep } from '../media/sweep.ts';
import { sampleResume } from './sample-resume.ts';
import { resumeDocx } from './resume-docx.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** Old résumés by HTTP, whose lines are for their maker only. */
let server: TestServer;
let wren: TestMaker;
let other: TestMaker;
let site = '';
beforeAll(async () => {
  server = await TestServer.start();
  wren = await server.maker();
  other = await server.maker();
  site = (await wren.site()).site.id;
});
afterAll(() => server.stop());

const send = (maker: TestMaker, name: string, contents: Buffer) =>
  maker.raw('POST', resumeLinesPath(site, name), contents, 'application/octet-stream');
const problemOf = async (maker: TestMaker, name: string, contents: Buffer) => {
  const reply = await send(maker, name, contents);
  return [reply.statusCode, (reply.json() as { message: string }).message] as const;
};

describe('lines of an old résumé', () => {
  test('come back from a file that was taken out here, and say what it said', async () => {
    const reply = await send(wren, 'old.docx', await resumeDocx(sampleResume, 'a4', 'Résumé'));
    expect(reply.statusCode).toBe(200);
    const { lines } = reply.json() as { lines: SourceLine[] };
    const { name, guesses } = guessedResume(lines);
    expect(name).toBe(sampleResume.name);
    expect(guesses.map(({ entry }) => entry)).toMatchObject([
      {
        ...{ section: 'work', title: 'Saturday help', place: 'the boatyard', from: '2025-03', to: 'now' },
        lines: [{ text: 'Sanding, varnishing, stock lists.' }, {}],
      },
      { section: 'work', title: 'Repair café', from: '2024' },
      { section: 'projects', title: 'Tide clock', from: '2025-09', to: '2025-12' },
      { section: 'skills', title: 'Welding thin tube' },
      { section: 'skills', title: 'Varnishing' },
    ]);
  });

  test('are refused in sentences: no document, broken, no words', async () => {
    const png = Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    );
    expect((await problemOf(wren, 'me.png', png))[1]).toContain('This is no document.');
    expect((await problemOf(wren, 'old.pdf', Buffer.from('%PDF-1.7\nnothing')))[0]).toBe(422);
    expect((await problemOf(wren, 'empty.txt', Buffer.from('  \n')))[1]).toContain('No words were found');
    expect((await problemOf(wren, 'large.pdf', Buffer.alloc(9 * 1024 * 1024, 'x')))[0]).toBe(413);
  });

  test('are nobody else’s to ask for, and nothing of the file is added to what was gathered', async () => {
    expect((await problemOf(other, 'old.txt', Buffer.from('Work\n\nHelp, 2024')))[0]).toBe(404);
    expect((await wren.state(site)).materials).toEqual([]);
  });

  test('and what the reading left in the store is gone with the next sweep', async () => {
    const stored = async () =>
      (await readdir(server.folder, { recursive: true, withFileTypes: true }))
        .filter((one) => one.isFile() && one.parentPath.includes('blobs'))
        .map(({ name }) => name);
    const tidy = () =>
      sweep(
        {
          db: server.database.db,
          blobs: server.blobs,
          assets: server.assets,
          limits: { maxTotalBytes: 1e9 },
        },
        { freshFor: 0 },
      );
    await tidy();
    const before = await stored();
    expect(
      (await send(wren, 'old.md', Buffer.from('# Work\n\nDeckhand, the ferry, 2024\n'))).statusCode,
    ).toBe(200);
    expect((await stored()).length).toBeGreaterThan(before.length);
    await tidy();
    expect((await stored()).sort()).toEqual(before.sort());
  });
});
