import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createAccount, getMe, signIn, signInToDemo, signOut } from '#contract/account.ts';
import { changePage, createPage, deletePage } from '#contract/pages.ts';
import { changeSite, getSite, renewLink } from '#contract/sites.ts';
import { redoEdit, undoEdit } from '#contract/undo.ts';
import { bringBackRelease, listReleases, startPublish } from '#contract/publishing.ts';
import { TestMaker, TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const body = { name: 'Wren', email: 'wren@maker.example', password: 'a harbour at low water' };

describe('accounts', () => {
  test('create, leave, come back; the password is stored as argon2id', async () => {
    const maker = new TestMaker(server.app);
    expect((await maker.call(createAccount, { body })).account?.email).toBe(body.email);
    await maker.call(signOut);
    maker.cookie = '';
    expect((await maker.call(getMe)).account).toBeNull();
    await expect(
      maker.call(signIn, { body: { email: body.email, password: 'wrong' } }),
    ).rejects.toMatchObject({ status: 401 });
    expect(
      (await maker.call(signIn, { body: { email: ' WREN@maker.example ', password: body.password } })).account
        ?.name,
    ).toBe('Wren');
    const [row] = await server.database.db.query.accounts.findMany();
    expect(row?.passwordHash).toMatch(/^\$argon2id\$/);
  });

  test('a wrong e-mail and a wrong password are told apart by nothing', async () => {
    const maker = new TestMaker(server.app);
    const say = (email: string) =>
      maker.call(signIn, { body: { email, password: 'wrong' } }).catch((error: Error) => error.message);
    expect(await say('nobody@maker.example')).toBe(await say(body.email));
  });

  test('guessing is slowed down', async () => {
    const maker = new TestMaker(server.app);
    const answers = [];
    for (let n = 0; n < 12; n++)
      answers.push(
        await maker
          .call(signIn, { body: { email: body.email, password: `guess ${n}` } })
          .catch((error: { status: number }) => error.status),
      );
    expect(answers).toContain(429);
  });

  test('the demo account exists only in demo mode', async () => {
    await expect(new TestMaker(server.app).call(signInToDemo)).rejects.toMatchObject({ status: 404 });
    expect((await new TestMaker(server.app).call(getMe)).demo).toBe(false);
  });

  test('writes from another origin, and without one, are refused', async () => {
    for (const headers of [{ origin: 'http://elsewhere.test' }, {}] as Record<string, string>[]) {
      const reply = await server.app.inject({
        method: 'POST',
        url: '/api/session',
        headers: { host: 'studio.test', ...headers },
        payload: body,
      });
      expect(reply.statusCode).toBe(403);
    }
  });

  test('nothing of one maker can be read or changed by another, or by nobody', async () => {
    const owner = await server.maker();
    const { site } = await owner.site('Mine');
    const { page } = await owner.call(createPage, {
      params: { site: site.id },
      body: { title: 'Secret', materials: [] },
    });
    const params = { site: site.id, page, thing: site.id, number: '1' };
    const change = { seen: 1e9, label: 'x', change: { title: 'taken' } };
    for (const other of [await server.maker(), new TestMaker(server.app)]) {
      for (const attempt of [
        () => other.call(getSite, { params }),
        () => other.call(changeSite, { params, body: change }),
        () => other.call(changePage, { params, body: change }),
        () => other.call(deletePage, { params }),
        () => other.call(createPage, { params, body: { title: 'x', materials: [] } }),
        () => other.call(undoEdit, { params }),
        () => other.call(redoEdit, { params }),
        () => other.call(startPublish, { params, body: {} }),
        () => other.call(listReleases, { params }),
        () => other.call(bringBackRelease, { params }),
        () => other.call(renewLink, { params }),
        () => other.upload(site.id, 'x.jpg', Buffer.from('x')),
      ]) {
        const refused = await attempt().then(
          () => null,
          (error: Error & { status: number }) => error,
        );
        expect(refused?.status).toBeGreaterThanOrEqual(401);
        expect(refused?.message).not.toContain('Secret');
      }
      const preview = await other.raw('GET', `/studio/see/${site.id}/maker/`);
      expect(preview.statusCode).toBeGreaterThanOrEqual(401);
      expect(preview.body).not.toContain('Secret');
    }
    expect((await owner.state(site.id)).pages.find(({ id }) => id === page)?.title).toBe('Secret');
  });
});
