import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import { posix } from 'node:path';
import { folderFile, getFolder } from '#contract/folder.ts';
import { makePasses } from '#contract/passes.ts';
import { changeSite } from '#contract/sites.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { TestMaker, TestServer } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
let site: PublishedSite;
let pass: { id: string; link: string | null };
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = await PublishedSite.open(server, maker);
  const made = await maker.call(makePasses, {
    params: { site: site.site },
    body: {
      passes: [
        {
          label: 'Tutors',
          opens: [site.clock],
          timeZone: 'Europe/Berlin',
          password: 'open up now',
          from: '2090-01-01T00:00',
        },
      ],
    },
  });
  pass = made.passes[0] ?? { id: '', link: null };
});
afterAll(() => server.stop());

const about = (link: string, by = maker) => by.call(getFolder, { params: { site: site.site, link } });
async function folder(link: string) {
  const reply = await maker.raw('GET', folderFile(site.site, link));
  expect([reply.statusCode, reply.headers['content-type']]).toEqual([200, 'application/zip']);
  expect(Number(reply.headers['content-length'])).toBe(reply.rawPayload.length);
  const files = unzipSync(reply.rawPayload);
  const text = Object.values(files)
    .map((file) => Buffer.from(file).toString('latin1'))
    .join('\n');
  return { files, text, told: await about(link) };
}

/** Addresses in a page that lead nowhere in its folder. */
function broken(files: Record<string, Uint8Array>): string[] {
  return Object.entries(files)
    .filter(([path]) => path.endsWith('.html'))
    .flatMap(([path, bytes]) =>
      [
        ...Buffer.from(bytes)
          .toString()
          .matchAll(/ (?:href|src)="([^"]*)"/g),
      ]
        .map(([, address = '']) => address)
        .filter((address) => !/^(?:[a-z]+:|#|$)/.test(address))
        .filter((address) => !files[posix.join(posix.dirname(path), address.replace(/[#?].*/, ''))])
        .map((address) => `${path}: ${address}`),
    );
}

describe('the site as a folder', () => {
  test('has for strangers the files that they get, with links that need no server', async () => {
    const { files, told } = await folder('address');
    expect(told).toMatchObject({ problem: null, files: Object.keys(files).length });
    expect(told.pages).toBeGreaterThan(2);
    expect(broken(files)).toEqual([]);
    for (const [path, bytes] of Object.entries(files)) {
      const served = await server.get(`/${site.address}/${path.replace(/index\.html$/, '')}`, {
        'accept-encoding': 'identity',
      });
      expect([path, served.statusCode]).toEqual([path, 200]);
      if (path.endsWith('.html')) continue;
      expect([path, Buffer.from(bytes).equals(served.rawPayload)]).toEqual([path, true]);
    }
  });

  test('has for holders of a pass what the pass opens and nothing else, and no key', async () => {
    const { files, text } = await folder(`pass-${pass.id}`);
    expect(text.includes('Tide clock')).toBe(true);
    expect(Object.keys(files).some((path) => path.includes('satchel'))).toBe(false);
    expect(text.includes(pass.link?.split('/')[2] ?? 'none')).toBe(false);
    expect(text.includes('$argon2')).toBe(false);
    expect(broken(files)).toEqual([]);
    const { text: ofLink } = await folder('site-link');
    const key = (await maker.state(site.site)).live.siteLinkPath?.split('/')[2] ?? 'none';
    expect(ofLink.includes(key)).toBe(false);
  });

  test('is there for its maker only', async () => {
    const other = await server.maker('Sal');
    await expect(about('address', other)).rejects.toMatchObject({ status: 404 });
    const of = (by: TestMaker) => by.raw('GET', folderFile(site.site, 'address'));
    expect((await of(other)).statusCode).toBe(404);
    expect((await of(new TestMaker(server.app))).statusCode).toBe(401);
    expect((await maker.raw('GET', folderFile(site.site, 'pass-never-made'))).statusCode).toBe(409);
  });

  test('is not there of what is closed, said in a sentence', async () => {
    const { revision } = await maker.state(site.site);
    const change = { seen: revision, label: 'Lower', change: { height: 'unlisted' as const } };
    await maker.call(changeSite, { params: { site: site.site }, body: change });
    expect((await about('address')).problem).toContain('Readers of this link get nothing now');
    expect((await maker.raw('GET', folderFile(site.site, 'address'))).statusCode).toBe(409);
    expect((await about('site-link')).problem).toBeNull();
  });
});
