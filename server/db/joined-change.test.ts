import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { addNote } from '#contract/links-and-notes.ts';
import { changeMaterial } from '#contract/materials.ts';
import { changeSite } from '#contract/sites.ts';
import type { Height } from '#core/access/height.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
}, 60_000);
afterAll(() => server.stop());

describe('two tabs on the settings of one site', () => {
  /** What a tab sends that saw the site as it is now. */
  async function tab() {
    const { site, revision } = await maker.site();
    const params = { site: site.id };
    const send = (change: object, overwrite = false) => {
      const was = Object.fromEntries(Object.keys(change).map((name) => [name, site[name as 'title']]));
      return maker.call(changeSite, {
        params,
        body: { seen: revision, label: 'Here', change, was, overwrite },
      });
    };
    const elsewhere = (change: object) =>
      maker.call(changeSite, { params, body: { seen: 0, label: 'Elsewhere', change } });
    return { send, elsewhere, now: async () => (await maker.state(site.id)).site };
  }

  test('each changed another setting: both hold', async () => {
    const { send, elsewhere, now } = await tab();
    await elsewhere({ evidenceWanted: 5 });
    await send({ title: 'Mine' });
    expect(await now()).toMatchObject({ title: 'Mine', evidenceWanted: 5 });
  });

  test('both changed the same: the second is told, with what stands there, and decides', async () => {
    const { send, elsewhere, now } = await tab();
    await elsewhere({ title: 'Theirs' });
    await expect(send({ title: 'Mine' })).rejects.toMatchObject({
      status: 409,
      reply: { code: 'newer', details: { theirs: { title: 'Theirs' } } },
    });
    expect((await now()).title).toBe('Theirs');
    await send({ title: 'Mine' }, true);
    expect((await now()).title).toBe('Mine');
  });

  test('the same words twice are no question', async () => {
    const { send, elsewhere, now } = await tab();
    await elsewhere({ title: 'Same' });
    await send({ title: 'Same' });
    expect((await now()).title).toBe('Same');
  });

  test.each<[theirs: Height, mine: Height]>([
    ['public', 'unlisted'],
    ['unlisted', 'invited'],
  ])('theirs %s, here %s: closing is never held up by a question', async (theirs, mine) => {
    const { send, elsewhere, now } = await tab();
    await elsewhere({ height: theirs });
    await send({ height: mine });
    expect((await now()).height).toBe(mine);
  });

  test('what was closed elsewhere is not raised by a tab that did not know', async () => {
    const { send, elsewhere, now } = await tab();
    await elsewhere({ height: 'invited' });
    await expect(send({ height: 'public' })).rejects.toMatchObject({ status: 409 });
    expect((await now()).height).toBe('invited');
  });
});

test('two tabs that wrote different words of one picture both keep them, and the second is told', async () => {
  const { site } = await maker.site();
  const added = await maker.call(addNote, {
    params: { site: site.id },
    body: { text: 'A note', writtenOn: '2026-01-05' },
  });
  const send = (change: object, was?: object) =>
    maker.call(changeMaterial, {
      params: { site: site.id, material: added.material },
      body: { seen: added.revision, label: 'Words', change, was },
    });
  expect((await send({ caption: 'Theirs' })).joined).toBe(false);
  await expect(send({ title: 'Mine' })).rejects.toMatchObject({ status: 409 });
  const { joined, materials } = await send({ title: 'Mine' }, { title: 'A note' });
  expect([joined, materials[added.material]]).toEqual([
    true,
    expect.objectContaining({ title: 'Mine', caption: 'Theirs' }),
  ]);
  await expect(send({ caption: 'Mine' }, { caption: '' })).rejects.toMatchObject({ status: 409 });
});
