import { PGlite } from '@electric-sql/pglite';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { copyFileSync, cpSync, existsSync, mkdirSync, readlinkSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { DurableFolder, durableStart } from './durable-folder.ts';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-power-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

const start = (fs: DurableFolder) =>
  PGlite.create({ fs, startParams: durableStart(PGlite.defaultStartParams) });

/** Tells of every sync, with the file it was of. */
class Watched extends DurableFolder {
  constructor(
    folder: string,
    readonly onSync: (path: string) => void,
  ) {
    super(folder);
  }

  protected override sync(descriptor: number): void {
    super.sync(descriptor);
    this.onSync(readlinkSync(`/proc/self/fd/${descriptor}`));
  }
}

/** How many rows there are, as a server that starts after the power came back finds them. */
async function rowsIn(image: string): Promise<number> {
  const opened = await start(new DurableFolder(image));
  try {
    const { rows } = await opened.query<{ count: number; highest: number }>(
      'select count(*)::int as count, coalesce(max(id), 0)::int as highest from kept',
    );
    const [row] = rows;
    // Without holes: nothing of a later change is there without the earlier ones.
    expect(row?.count).toBe(row?.highest);
    return row?.count ?? 0;
  } finally {
    await opened.close();
  }
}

describe('a power cut', () => {
  test('costs nothing that was committed: an image of only what had been synced opens with all of it', async () => {
    const live = join(folder, 'live');
    const disk = join(folder, 'disk');
    let watching = false;
    // The disk as a power cut leaves it at worst: each file as it was when it was synced last, or not there at all.
    const database = await start(
      new Watched(live, (path) => {
        if (!watching || !existsSync(path)) return;
        const target = join(disk, relative(live, path));
        mkdirSync(dirname(target), { recursive: true });
        copyFileSync(path, target);
      }),
    );
    await database.query('create table kept (id int primary key, words text)');
    await database.query('checkpoint');
    cpSync(live, disk, { recursive: true });
    watching = true;

    let committed = 0;
    for (const until of [1, 60]) {
      for (; committed < until; committed++)
        await database.query('insert into kept values ($1, $2)', [committed + 1, 'words '.repeat(200)]);
      const image = join(folder, `image-${until}`);
      cpSync(disk, image, { recursive: true });
      expect(await rowsIn(image)).toBe(committed);
    }
    await database.close();
  });

  test('at any moment leaves a folder that opens, with every change whole or not at all', async () => {
    const live = join(folder, 'live');
    const images: { path: string; committed: number }[] = [];
    let [syncs, committed] = [0, 0];
    const database = await start(
      new Watched(live, () => {
        // In the middle of whatever the database is doing, at moments that no boundary of a change explains.
        if (++syncs % 17 !== 0 || images.length >= 4 || committed === 0) return;
        const path = join(folder, `image-${images.length}`);
        cpSync(live, path, { recursive: true });
        images.push({ path, committed });
      }),
    );
    await database.query('create table kept (id int primary key, words text)');
    for (; committed < 80; committed++) {
      await database.query('insert into kept values ($1, $2)', [committed + 1, 'words '.repeat(500)]);
      if (committed % 25 === 24) await database.query('checkpoint');
    }
    expect(images.length).toBe(4);
    for (const image of images) {
      const rows = await rowsIn(image.path);
      expect(rows).toBeGreaterThanOrEqual(image.committed);
      expect(rows).toBeLessThanOrEqual(image.committed + 1);
    }
    await database.close();
  });
});
