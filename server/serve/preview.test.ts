import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { htmlFaults } from '../testing/html-faults.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** The draft as its maker looks at it in the place of somebody else: as who, in which manner, and for nobody but them. */
let server: TestServer;
let maker: TestMaker;
let shown: PublishedSite;

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  shown = await PublishedSite.open(server, maker);
});
afterAll(() => server.stop());

const see = (as: string, path = 'tide-clock/', by = maker) =>
  by.raw('GET', `/studio/see/${shown.site}/${as}/${path}`);
const policy = (reply: Awaited<ReturnType<typeof see>>) => String(reply.headers['content-security-policy']);
const sharePicture = (as: string, page: string, by = maker) =>
  by.raw('GET', `/studio/share-picture/${shown.site}/${as}/${page}`);

describe('a manner', () => {
  test('by night has the colours of the night, and its links stay in it', async () => {
    const sheetOf = async (as: string) => {
      const { body } = await see(as);
      expect(await htmlFaults(body)).toEqual([]);
      const sheet = /rel="stylesheet" href="([^"]+)"/.exec(body)?.[1] ?? '';
      expect(sheet).toMatch(/^\.\.\//);
      return (await see(as, sheet.replace('../', ''))).body;
    };
    const [day, night] = [await sheetOf('stranger~light'), await sheetOf('stranger~dark')];
    expect(night).not.toBe(day);
    expect(night.includes('color-scheme:dark')).toBe(true);
    expect(day.includes('color-scheme:dark')).toBe(false);
    // Every way on a page is said from where it stands, and so in the same manner.
    const { body } = await see('stranger~dark');
    const ways = [...body.matchAll(/<a [^>]*href="([^"#]*)"/g)].map(([, href = '']) => href);
    expect(ways.length).toBeGreaterThan(0);
    expect(ways.filter((href) => href.startsWith('/'))).toEqual([]);
  });

  test('without pictures or script, the browser is told to let none arrive', async () => {
    const plain = policy(await see('stranger'));
    expect(plain).toContain("img-src 'self'");
    expect(plain).not.toContain('sandbox');
    const bare = policy(await see('stranger~without-pictures~without-script'));
    expect(bare).toContain("img-src 'none'");
    expect(bare).toContain("media-src 'none'");
    expect(bare).toMatch(/; sandbox (?!.*allow-scripts)/);
    expect(bare).toContain("frame-ancestors 'self'");
  });

  test('on paper has the sheet for printing on the screen; framed leaves the notice to what is around it', async () => {
    expect((await see('stranger')).body).toMatch(/preview-notice[^<]*Preview: what a stranger gets/);
    const { body } = await see('stranger~on-paper~framed');
    expect(body).not.toContain('<aside class="preview-notice"');
    expect(body).toMatch(/href="[^"]*print[^"]*" media="all"/);
    const released = await shown.stranger('tide-clock/');
    expect(released).toMatch(/href="[^"]*print[^"]*" media="print"/);
  });

  test('that is none is no page', async () => {
    expect((await see('stranger~upside-down')).statusCode).toBe(400);
    expect((await see('nobody~dark')).statusCode).toBe(400);
  });

  test('opens nothing more: what a reader does not get, they get in no manner, and nobody but its maker sees any', async () => {
    await shown.partHeight(shown.clock, `${shown.clock}-other`, 'private');
    for (const as of ['stranger', 'stranger~framed', 'link~dark~on-paper~framed']) {
      const { body } = await see(as);
      expect([as, body.includes('Open words'), body.includes('Other words')]).toEqual([as, true, false]);
    }
    await shown.partHeight(shown.clock, `${shown.clock}-other`, 'public');
    const other = await server.maker();
    expect((await see('stranger~framed', '', other)).statusCode).toBe(404);
    const signedOut = await server.get(`/studio/see/${shown.site}/stranger~framed/`);
    expect([signedOut.statusCode, signedOut.body.includes('Open words')]).toEqual([401, false]);
  });
});

describe('the picture a link is passed on with', () => {
  test('is drawn from the draft, as large as a released one', async () => {
    const reply = await sharePicture('stranger', shown.clock);
    expect([reply.statusCode, reply.headers['content-type']]).toEqual([200, 'image/jpeg']);
    expect(reply.headers['cache-control']).toBe('private, no-store');
    const { width, height, format } = await sharp(reply.rawPayload).metadata();
    expect({ width, height, format }).toEqual({ width: 1200, height: 630, format: 'jpeg' });
    await shown.page(shown.clock, { cover: { picture: shown.picture, focus: null } });
    const pictured = await sharePicture('stranger', shown.clock);
    expect(pictured.rawPayload.equals(reply.rawPayload)).toBe(false);
  });

  test('is there of no page that its reader does not get, and for nobody but its maker', async () => {
    await shown.page(shown.satchel, { height: 'private' });
    expect((await sharePicture('stranger', shown.satchel)).statusCode).toBe(404);
    expect((await sharePicture('maker', shown.satchel)).statusCode).toBe(200);
    expect((await sharePicture('stranger', shown.clock, await server.maker())).statusCode).toBe(404);
    expect((await server.get(`/studio/share-picture/${shown.site}/maker/${shown.clock}`)).statusCode).toBe(
      401,
    );
  });
});
