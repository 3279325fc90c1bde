import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { addNote } from '#contract/links-and-notes.ts';
import { changeMaterial } from '#contract/materials.ts';
import { changeSite } from '#contract/sites.ts';
import { redoEdit, undoEdit } from '#contract/undo.ts';
import type { Height } from '#core/access/height.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

describe('two tabs on the settings of one site', () => {
  /** What a tab sends that saw the site as it is now. */
  async function tab() {
    const { site, revision } = await maker.site();
    const params = { site: site.id };
    const send = (change: object, decided?: 'mine' | 'theirs') => {
      const was = Object.fromEntries(Object.keys(change).map((name) => [name, site[name as 'title']]));
      return maker.call(changeSite, {
        params,
        body: { seen: revision, label: 'Here', change, was, decided },
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
    await send({ title: 'Mine' }, 'mine');
    expect((await now()).title).toBe('Mine');
  });

  test('who takes the newer one has their own back by an undo, even where it was typed a moment ago', async () => {
    const { site, revision } = await maker.site();
    const params = { site: site.id };
    const type = (title: string, more: object = {}) =>
      maker.call(changeSite, {
        params,
        body: {
          ...{ seen: revision, label: 'Name of the site', mergeKey: 'name', ...more },
          ...{ change: { title }, was: { title: site.title } },
        },
      });
    const title = async () => (await maker.state(site.id)).site.title;
    await type('Theirs');
    await expect(type('Mine')).rejects.toMatchObject({ status: 409 });
    const taken = await type('Mine', { decided: 'theirs' });
    expect(taken.site?.title).toBe('Theirs');
    expect(taken.history.undo?.label).toBe('The newer one taken: Name of the site');
    expect(await title()).toBe('Theirs');
    await maker.call(undoEdit, { params });
    expect(await title()).toBe('Mine');
    for (const before of ['Theirs', site.title]) {
      await maker.call(undoEdit, { params });
      expect(await title()).toBe(before);
    }
    for (const again of ['Theirs', 'Mine', 'Theirs']) {
      await maker.call(redoEdit, { params });
      expect(await title()).toBe(again);
    }
  });

  test('what is given up lowers nothing and takes no address', async () => {
    const { site, revision } = await maker.site();
    const params = { site: site.id };
    await maker.call(changeSite, {
      params,
      body: { seen: revision, label: 'Up', change: { height: 'unlisted' } },
    });
    await maker.call(changeSite, {
      params,
      body: {
        ...{ seen: revision, label: 'Here', decided: 'theirs' },
        change: { height: 'private', address: 'given-up-harbour' },
        was: { height: site.height, address: site.address },
      },
    });
    expect((await maker.state(site.id)).site).toMatchObject({ height: 'unlisted', address: null });
    await maker.call(undoEdit, { params });
    expect((await maker.state(site.id)).site).toMatchObject({ height: 'private', address: null });
  });

  test('a raise that was given up is not done by an undo without a yes', async () => {
    const { site, revision } = await maker.site();
    const params = { site: site.id };
    await maker.call(changeSite, {
      params,
      body: { seen: revision, label: 'Up', change: { height: 'unlisted' } },
    });
    await maker.publish(site.id);
    await maker.call(changeSite, {
      params,
      body: {
        ...{ seen: revision, label: 'Height', decided: 'theirs' },
        ...{ change: { height: 'public' }, was: { height: 'private' } },
      },
    });
    await expect(maker.call(undoEdit, { params })).rejects.toMatchObject({ status: 409 });
    expect((await maker.state(site.id)).site.height).toBe('unlisted');
    await maker.call(undoEdit, { params, body: { sure: true } });
    expect((await maker.state(site.id)).site.height).toBe('public');
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
