import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import type { LinkFacts } from '#core/materials/link.ts';
import { Outgoing } from '#server/links/outgoing.ts';
import { type LinkDeps, readLink } from '#server/links/read-link.ts';
import { TestServer } from '#server/testing/test-server.ts';
import { type StandIns, startStandIns } from '../standins/stand-ins.ts';

/** The demo's outside, read the way the studio reads any page. */
const pictures = join(import.meta.dirname, 'pictures');
let server: TestServer;
let standIns: StandIns;
let deps: LinkDeps;
beforeAll(async () => {
  server = await TestServer.start();
  standIns = await startStandIns(0, pictures);
  deps = {
    db: server.database.db,
    blobs: server.blobs,
    reading: server.reading,
    outgoing: new Outgoing([standIns.origin]),
    limits: { maxPixels: 1e8 },
  };
});
afterAll(async () => {
  await deps.outgoing.close();
  await standIns.close();
  await server.stop();
});

const read = (path: string): Promise<LinkFacts> =>
  readLink(deps, 'somebody', standIns.origin + path, 'http://studio.test');

describe('stand-ins', () => {
  test('one page may be shown inside others, one refuses; both bring a picture that is kept here', async () => {
    const [open, refusing] = [await read('/open'), await read('/refusing')];
    expect(open).toMatchObject({ state: 'read', framing: 'allowed', site: 'Quay Lane Allotments' });
    expect(refusing).toMatchObject({ state: 'read', framing: 'refused', title: 'Tide tables since 1880' });
    for (const { picture } of [open, refusing]) expect(await deps.blobs.has(picture?.hash ?? '')).toBe(true);
  });

  test('one is gone, and one answers after longer than anybody waits', async () => {
    expect(await read('/gone')).toMatchObject({ state: 'gone', picture: null });
    expect(await read('/slow')).toMatchObject({ state: 'slow', framing: 'refused' });
  });

  test('one has moved to another for good, and says so', async () => {
    expect(await read('/moved')).toMatchObject({ state: 'read', movedTo: `${standIns.origin}/open` });
    expect(await read('/open')).toMatchObject({ movedTo: null });
  });

  test('the clip host speaks oEmbed: its page refuses, its player does not, and it plays by pieces', async () => {
    const clip = await read('/clips/one-tide');
    expect(clip).toMatchObject({
      title: 'One tide in twelve seconds',
      framing: 'refused',
      player: { url: `${standIns.origin}/player/one-tide`, widthPx: 1280, heightPx: 720 },
    });
    const player = await (await fetch(clip.player?.url ?? '')).text();
    const [, source = ''] = /<video[^>]* src="([^"]+)"/.exec(player) ?? [];
    const piece = await fetch(standIns.origin + source, { headers: { range: 'bytes=0-99' } });
    expect([piece.status, (await piece.arrayBuffer()).byteLength]).toEqual([206, 100]);
  });

  test('a taken port is no trouble: the next free one is used', async () => {
    const port = Number(new URL(standIns.origin).port);
    const second = await startStandIns(port, pictures);
    expect(second.origin).not.toBe(standIns.origin);
    expect((await fetch(`${second.origin}/open`)).status).toBe(200);
    await second.close();
  });

  test('they are reached only where the server was told so', async () => {
    const strict = new Outgoing();
    await expect(
      readLink({ ...deps, outgoing: strict }, 'somebody', `${standIns.origin}/open`, 'http://studio.test'),
    ).rejects.toThrow('private network');
    await strict.close();
  });
});
