import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { deleteMaterials } from '#contract/materials.ts';
import { lookAtPictures } from '#contract/pictures.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

const pictures = join(import.meta.dirname, '../../demo/pictures/tide-clock');
let server: TestServer;
let maker: TestMaker;
let site: string;
const ids: Record<string, string> = {};

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  for (const name of ['04-gears-and-motor.jpg', '12-gears-blurred.jpg', '01-sketch.jpg'])
    ids[name] = (await maker.upload(site, name, await readFile(join(pictures, name)))).material;
});
afterAll(() => server.stop());

describe('looking at pictures', () => {
  const looked = () => maker.call(lookAtPictures, { params: { site } });

  test('reads what is unread, tells look-alikes and what may be wrong, and says the same again', async () => {
    const first = await looked();
    expect(first).toEqual({
      unread: 0,
      groups: [[ids['04-gears-and-motor.jpg'], ids['12-gears-blurred.jpg']]],
      warnings: { [ids['12-gears-blurred.jpg'] ?? '']: ['perhaps-blurred'] },
    });
    expect(await looked()).toEqual(first);
    expect(await Promise.all([looked(), looked()])).toEqual([first, first]);
  });

  test('a deleted picture is like no other', async () => {
    await maker.call(deleteMaterials, {
      params: { site },
      body: { materials: [ids['12-gears-blurred.jpg'] ?? ''] },
    });
    expect(await looked()).toEqual({ unread: 0, groups: [], warnings: {} });
  });

  test('another maker with the same pictures is told of their own only, and nobody else’s site can be asked', async () => {
    const other = await server.maker('Idris');
    const theirs = (await other.site()).site.id;
    const own = await other.upload(
      theirs,
      'gears.jpg',
      await readFile(join(pictures, '04-gears-and-motor.jpg')),
    );
    const answer = await other.call(lookAtPictures, { params: { site: theirs } });
    expect(JSON.stringify(answer)).not.toContain(ids['04-gears-and-motor.jpg'] ?? 'none');
    expect(own.material).not.toBe(ids['04-gears-and-motor.jpg']);
    await expect(other.call(lookAtPictures, { params: { site } })).rejects.toMatchObject({ status: 404 });
  });
});
