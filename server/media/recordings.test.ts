import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { copyFile, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { changeMaterial } from '#contract/materials.ts';
import { createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';
import { cleanRecording } from './clean-recording.ts';

const demo = join(import.meta.dirname, '../../demo/pictures/tide-clock');
let server: TestServer;
let maker: TestMaker;
let site = '';
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site('Recordings')).site.id;
});
afterAll(() => server?.stop());

const exiftool = (path: string): Record<string, string | number> =>
  (
    JSON.parse(execFileSync('exiftool', ['-j', '-n', '-ee', '-G', path], { encoding: 'utf8' })) as Record<
      string,
      string | number
    >[]
  )[0] ?? {};

describe('sound and clips', () => {
  test('length and size agree with exiftool', async () => {
    for (const name of ['narration.mp3', 'hand-time-lapse.mp4']) {
      const { material, materials } = await maker.upload(site, name, await readFile(join(demo, name)));
      const read = exiftool(join(demo, name));
      const facts = materials[material]?.facts;
      if (!facts || !('seconds' in facts)) throw new Error('This is no recording.');
      const theirs = Number(read['QuickTime:Duration'] ?? read['Composite:Duration']);
      expect(Math.abs(facts.seconds - theirs)).toBeLessThan(0.15);
      if ('widthPx' in facts)
        expect([facts.widthPx, facts.heightPx]).toEqual([
          read['QuickTime:ImageWidth'],
          read['QuickTime:ImageHeight'],
        ]);
    }
  });

  test('are published without the place, the names and the device they carried, and still play', async () => {
    const own = await maker.site('Clean recordings');
    const scope = { site: own.site.id };
    const clip = join(server.folder, 'placed.mp4');
    await copyFile(join(demo, 'hand-time-lapse.mp4'), clip);
    execFileSync('exiftool', [
      '-q',
      '-overwrite_original',
      '-Keys:GPSCoordinates=54.1, -3.2, 12',
      '-Keys:Make=Secretphone',
      '-UserData:Author=Secretname',
      clip,
    ]);
    expect(JSON.stringify(exiftool(clip))).toMatch(/Secretphone/);
    expect(Object.keys(exiftool(clip)).some((key) => key.includes('GPS'))).toBe(true);
    const { material } = await maker.upload(scope.site, 'placed.mp4', await readFile(clip));
    const { material: sound } = await maker
      .upload(scope.site, 'narration.mp3', await readFile(join(demo, 'narration.mp3')))
      .catch(async () => ({ material: '' }));
    const { revision: seen } = await maker.state(scope.site);
    await maker.call(changeMaterial, {
      params: { ...scope, material },
      body: {
        seen,
        label: 'Captions',
        change: { transcript: await readFile(join(demo, 'hand-time-lapse.vtt'), 'utf8') },
      },
    });
    await maker.call(createPage, { params: scope, body: { title: 'Clip', materials: [material, sound] } });
    await maker.call(changeSite, {
      params: scope,
      body: { seen: 0, label: 'Open', change: { height: 'public', address: 'clean-recordings' } },
    });
    expect((await maker.publish(scope.site)).state).toBe('done');
    const { body } = await server.get('/clean-recordings/clip/');
    for (const ending of ['mp4', 'mp3']) {
      const name = new RegExp(`files/[0-9a-f]+\\.${ending}`).exec(body)?.[0] ?? '';
      const published = await server.get(`/clean-recordings/${name}`);
      expect(published.statusCode).toBe(200);
      expect(published.rawPayload.toString('latin1')).not.toMatch(/Secret|spoken introduction/i);
      const path = join(server.folder, `published.${ending}`);
      await writeFile(path, published.rawPayload);
      const read = exiftool(path);
      expect(Object.keys(read).filter((key) => /GPS|Make|Author|Title|Artist|Software/i.test(key))).toEqual(
        [],
      );
      const was = exiftool(join(demo, ending === 'mp4' ? 'hand-time-lapse.mp4' : 'narration.mp3'));
      const length = (of: Record<string, string | number>) =>
        Number(of['QuickTime:Duration'] ?? of['Composite:Duration']);
      expect(Math.abs(length(read) - length(was))).toBeLessThan(0.2);
    }
    const captions = /files\/[0-9a-f]+\.vtt/.exec(body)?.[0] ?? '';
    const track = await server.get(`/clean-recordings/${captions}`);
    expect([track.headers['content-type'], track.body.startsWith('WEBVTT')]).toEqual([
      'text/vtt; charset=utf-8',
      true,
    ]);
    expect((await server.get('/clean-recordings/clip/')).headers['content-security-policy']).toContain(
      "media-src 'self'",
    );
  });

  // Requests and answers as RFC 9110, section 14, words them.
  test('are handed out in pieces', async () => {
    const { body } = await server.get('/clean-recordings/clip/');
    const path = `/clean-recordings/${/files\/[0-9a-f]+\.mp4/.exec(body)?.[0] ?? ''}`;
    const whole = (await server.get(path)).rawPayload;
    const ask = (range: string, more: Record<string, string> = {}) => server.get(path, { range, ...more });
    const first = await ask('bytes=0-499');
    expect([first.statusCode, first.headers['content-range']]).toEqual([206, `bytes 0-499/${whole.length}`]);
    expect(first.rawPayload).toEqual(whole.subarray(0, 500));
    const last = await ask('bytes=-500');
    expect(last.rawPayload).toEqual(whole.subarray(-500));
    const rest = await ask('bytes=1000-');
    expect(rest.rawPayload).toEqual(whole.subarray(1000));
    const beyond = await ask(`bytes=${whole.length}-`);
    expect([beyond.statusCode, beyond.headers['content-range']]).toEqual([416, `bytes */${whole.length}`]);
    expect((await ask('bytes=0-4', { 'if-range': '"something older"' })).statusCode).toBe(200);
    expect((await ask('bytes=0-4', { 'if-range': String(first.headers['etag']) })).statusCode).toBe(206);
    expect((await ask('lines=1-2')).statusCode).toBe(200);
  });

  test('of a maker are nobody else’s to fetch', async () => {
    const [one] = (await maker.state(site)).materials;
    const path = `/api/materials/${one?.id ?? ''}/file/play`;
    expect((await maker.raw('GET', path)).statusCode).toBe(200);
    const other = await server.maker('Somebody');
    expect((await other.raw('GET', path)).statusCode).toBe(404);
    expect((await server.get(path)).statusCode).toBe(401);
  });

  test('half a film is told from a whole one, also when its index stands at the front', async () => {
    const whole = await cleanRecording(join(demo, 'hand-time-lapse.mp4'), 'mp4');
    await expect(
      maker.upload(site, 'half.mp4', whole.subarray(0, Math.floor(whole.length / 2))),
    ).rejects.toThrow('Only the first part of this recording is here');
  });

  test('a maker who has no room left is told so, and nothing is stored', async () => {
    const small = await TestServer.start({ MAX_TOTAL_MB: '0.2' });
    try {
      const poor = await small.maker();
      const { site: own } = await poor.site();
      await expect(
        poor.upload(own.id, 'narration.mp3', await readFile(join(demo, 'narration.mp3'))),
      ).rejects.toThrow(/of 1 MB, and this has 1 MB/);
      expect((await poor.state(own.id)).materials).toEqual([]);
    } finally {
      await small.stop();
    }
  });
});
