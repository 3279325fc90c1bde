import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { access, mkdir, mkdtemp, readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openPglite } from '../db/connect.ts';
import { lockDataFolder } from '../db/data-folder-lock.ts';
import { FolderBlobStore } from '../media/blob-store.ts';
import { secretIn } from '../secret.ts';
import { backUp, restore } from './backup.ts';

const root = join(import.meta.dirname, '../..');
let folder: string;
const data = () => join(folder, 'data');
const copy = () => join(folder, 'copy');
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-backup-'));
  await mkdir(data());
});
afterEach(() => rm(folder, { recursive: true, force: true }));

const database = () =>
  openPglite({
    folder: join(data(), 'database'),
    template: join(root, '.cache/pglite-template.tar'),
    migrations: join(root, 'server/db/migrations'),
  });

/** Data of a server that has run and stopped: an account by a name, a file, a secret. */
async function server(name: string): Promise<{ secret: string; file: string }> {
  const { db, close } = await database();
  await db.execute(
    sql`insert into account (id, name, email, password_hash) values (${name}, ${name}, ${`${name}@maker.example`}, '')`,
  );
  await close();
  const blobs = await FolderBlobStore.open(join(data(), 'blobs'));
  const hash = await blobs.put(Buffer.from(`What ${name} brought.`));
  return { secret: (await secretIn(data())).toString('hex'), file: hash };
}
async function names(): Promise<string[]> {
  const { db, close } = await database();
  const { rows } = (await db.execute(sql`select name from account order by name`)) as {
    rows: { name: string }[];
  };
  await close();
  return rows.map((row) => row.name);
}

describe('a backup', () => {
  test('is copied while no server runs, and brings back what was there, links and files included', async () => {
    const wren = await server('wren');
    expect(await backUp(data(), copy())).toContain(copy());
    await server('later');
    expect(await names()).toEqual(['later', 'wren']);
    const said = await restore(copy(), data());
    expect(await names()).toEqual(['wren']);
    expect((await secretIn(data())).toString('hex')).toBe(wren.secret);
    const blobs = await FolderBlobStore.open(join(data(), 'blobs'));
    expect((await blobs.read(wren.file)).toString()).toBe('What wren brought.');
    // What was there before is kept beside it.
    const before = /in (\S+-before-\S+)\.$/.exec(said)?.[1] ?? '';
    expect((await readdir(before)).sort()).toEqual(['blobs', 'database', 'secret']);
    expect((await stat(copy())).mode & 0o077).toBe(0);
  });

  test('is put on a machine that has no data yet', async () => {
    await server('wren');
    await backUp(data(), copy());
    await rm(data(), { recursive: true });
    await restore(copy(), data());
    expect(await names()).toEqual(['wren']);
  });

  test('is neither made nor put back while a server runs, nor over something, nor of nothing', async () => {
    await expect(backUp(data(), copy())).rejects.toThrow('There is no data');
    await server('wren');
    await backUp(data(), copy());
    await expect(backUp(data(), copy())).rejects.toThrow('is there already');
    await expect(restore(join(folder, 'nothing'), data())).rejects.toThrow('There is no copy');
    const unlock = await lockDataFolder(data());
    await expect(backUp(data(), join(folder, 'second'))).rejects.toThrow('Another Kite Wall');
    await expect(restore(copy(), data())).rejects.toThrow('Another Kite Wall');
    await expect(access(join(folder, 'second'))).rejects.toThrow();
    await unlock();
    expect(await names()).toEqual(['wren']);
  });
});
