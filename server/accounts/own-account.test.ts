import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { eq, type SQL, sql } from 'drizzle-orm';
import { unzipSync } from 'fflate';
import { createHash } from 'node:crypto';
import {
  changeAddress,
  changeName,
  changePassword,
  confirmAddress,
  createAccount,
  endOneSession,
  endOtherSessions,
  everythingPath,
  forgotPassword,
  getAccount,
  getMe,
  leaveServer,
  resetPassword,
  sendConfirmation,
  signIn,
  stayOnServer,
} from '#contract/account.ts';
import { makePasses } from '#contract/passes.ts';
import { listPublicSites, setListed } from '#contract/public-sites.ts';
import { makeShortCode } from '#contract/codes.ts';
import { type MailBox, startMailBox } from '../../standins/mail-box.ts';
import { sessions } from '../db/schema.ts';
import { putIn } from '../messages/box.ts';
import { sweep } from '../media/sweep.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { TestMaker, TestServer } from '../testing/test-server.ts';

const password = 'a harbour at low water';
const other = 'a lighthouse @ the point';
const day = 24 * 60 * 60 * 1000;

let box: MailBox;
let server: TestServer;
let at: number;
beforeAll(async () => {
  box = await startMailBox(0);
  server = await TestServer.start({ SMTP_URL: box.url, MAIL_FROM: 'wall@kite.example' });
  at = Date.now();
  server.clock.now = () => new Date(at);
});
afterAll(async () => {
  await server.stop();
  await box.close();
});

let count = 0;
/** Every maker comes from another place: a door takes ten accounts a minute from one. */
async function newMaker(): Promise<{ maker: TestMaker; email: string }> {
  const maker = new TestMaker(server.app, `192.0.2.${++count}`);
  const email = `maker-${count}@maker.example`;
  await maker.call(createAccount, { body: { name: 'Wren', email, password } });
  return { maker, email };
}
const again = async (email: string, word = password) => {
  const maker = new TestMaker(server.app, `198.51.100.${++count}`);
  await maker.call(signIn, { body: { email, password: word } });
  return maker;
};
const nobody = () => new TestMaker(server.app, `203.0.113.${++count}`);

/** The newest mail to an address, once it has come. */
async function mailTo(email: string, subject: RegExp) {
  for (let tries = 0; tries < 200; tries++) {
    const found = box.mails.find((mail) => mail.to.includes(email) && subject.test(mail.subject));
    if (found) return found;
    await new Promise((resolve) => setTimeout(resolve, 25));
  }
  throw new Error(`No mail to ${email} about ${String(subject)}.`);
}
const tokenIn = ({ text }: { text: string }) => /#([\w-]{43})/.exec(text)?.[1] ?? '';
const refusal = (asking: Promise<unknown>) =>
  asking.then(
    () => null,
    (error: { status: number; message: string }) => ({ status: error.status, message: error.message }),
  );
/** All the rows of the database as text, to look for what must not stand there. */
async function rowsOf<Row extends object>(query: SQL): Promise<Row[]> {
  return ((await server.database.db.execute(query)) as { rows: Row[] }).rows;
}
async function allRows(): Promise<string> {
  const tables = await rowsOf<{ name: string }>(
    sql`select tablename as name from pg_tables where schemaname = 'public'`,
  );
  const texts = [];
  for (const { name } of tables)
    texts.push(JSON.stringify(await rowsOf(sql`select * from ${sql.identifier(name)}`)));
  return texts.join('\n');
}

describe('an address', () => {
  test('is confirmed by the mail to it, once, and copies of messages wait for that', async () => {
    const { maker, email } = await newMaker();
    const { site } = await maker.site();
    expect((await maker.call(getAccount)).confirmed).toBe(false);
    const token = tokenIn(await mailTo(email, /your address/));
    expect(await allRows()).not.toContain(token);
    const arriving = {
      ...{ id: 'message-before', site: site.id, place: '', name: 'Ada' },
      ...{ from: 'ada@reader.example', words: 'Before it was confirmed' },
    };
    await putIn(server.database.db, arriving, true);
    expect(await nobody().call(confirmAddress, { body: { token } })).toEqual({ email });
    expect((await maker.call(getAccount)).confirmed).toBe(true);
    expect(await refusal(nobody().call(confirmAddress, { body: { token } }))).toMatchObject({ status: 410 });
    await putIn(server.database.db, { ...arriving, id: 'message-after', words: 'After it' }, true);
    await maker.call(changeName, { body: { name: 'Wren H.' } });
    expect((await maker.call(getMe)).account?.name).toBe('Wren H.');
    const waiting = sql`select id from message where site_id = ${site.id} and mail_next is not null`;
    expect(await rowsOf(waiting)).toEqual([{ id: 'message-after' }]);
  });

  test('too late it is not confirmed, and another mail is', async () => {
    const { maker, email } = await newMaker();
    const token = tokenIn(await mailTo(email, /your address/));
    at += 8 * day;
    expect(await refusal(nobody().call(confirmAddress, { body: { token } }))).toMatchObject({ status: 410 });
    await maker.call(sendConfirmation);
    await waitFor(() => box.mails.filter((mail) => mail.to.includes(email)).length === 2);
    await nobody().call(confirmAddress, { body: { token: tokenIn(await mailTo(email, /your address/)) } });
  });

  test('is changed with the password, once the new one is confirmed; the old one is told', async () => {
    const { maker, email } = await newMaker();
    const fresh = `fresh-${email}`;
    const wrong = { email: fresh, password: 'not the password' };
    expect(await refusal(maker.call(changeAddress, { body: wrong }))).toMatchObject({ status: 403 });
    const waiting = await maker.call(changeAddress, { body: { email: fresh, password } });
    expect(waiting).toMatchObject({ email, coming: fresh });
    const token = tokenIn(await mailTo(fresh, /new address/));
    await again(email);
    await nobody().call(confirmAddress, { body: { token } });
    expect(await maker.call(getAccount)).toMatchObject({ email: fresh, coming: null, confirmed: true });
    expect((await mailTo(email, /another address/)).text).toContain(fresh);
    expect(await refusal(again(email))).toMatchObject({ status: 401 });
    await again(fresh);
  });

  test('that another account has is told to nobody but them', async () => {
    const { email: taken } = await newMaker();
    const { maker, email } = await newMaker();
    const free = `free-${email}`;
    const ofFree = await maker.call(changeAddress, { body: { email: free, password } });
    const late = tokenIn(await mailTo(free, /new address/));
    const ofTaken = await maker.call(changeAddress, { body: { email: taken, password } });
    expect({ ...ofTaken, coming: '', sessions: [] }).toEqual({ ...ofFree, coming: '', sessions: [] });
    expect(ofTaken.coming).toBe(taken);
    expect(tokenIn(await mailTo(taken, /for another account/))).toBe('');
    // The mail to the address before the last proves nothing any more.
    expect(await refusal(nobody().call(confirmAddress, { body: { token: late } }))).toMatchObject({
      status: 410,
    });
    expect(await maker.call(changeAddress, { body: { email, password } })).toMatchObject({ coming: null });
  });

  test('that somebody took between the mail and its confirming stays theirs', async () => {
    const { maker, email } = await newMaker();
    const wanted = `wanted-${email}`;
    await maker.call(changeAddress, { body: { email: wanted, password } });
    const token = tokenIn(await mailTo(wanted, /new address/));
    await nobody().call(createAccount, { body: { name: 'Sal', email: wanted, password } });
    expect(await refusal(nobody().call(confirmAddress, { body: { token } }))).toMatchObject({ status: 409 });
    expect((await maker.call(getAccount)).email).toBe(email);
  });
});

async function waitFor(is: () => boolean): Promise<void> {
  for (let tries = 0; tries < 200 && !is(); tries++) await new Promise((resolve) => setTimeout(resolve, 25));
  expect(is()).toBe(true);
}

describe('a forgotten password', () => {
  test('is chosen anew by the mail, once; all sessions end, and its maker is told', async () => {
    const { maker, email } = await newMaker();
    const known = await nobody().raw('POST', forgotPassword.path, { email });
    const unknown = await nobody().raw('POST', forgotPassword.path, { email: 'nobody@maker.example' });
    expect([unknown.statusCode, unknown.body]).toEqual([known.statusCode, known.body]);
    const names = (reply: typeof known) =>
      Object.keys(reply.headers).filter((name) => !/^(date|x-ratelimit)/.test(name));
    expect(names(unknown)).toEqual(names(known));
    const mail = await mailTo(email, /new password/);
    const token = tokenIn(mail);
    expect(mail.text).toContain(`/studio/new-password#${token}`);
    expect(await allRows()).not.toContain(token);
    const choose = (word: string) => nobody().call(resetPassword, { body: { token, password: word } });
    expect(await refusal(choose('password1234'))).toMatchObject({ status: 400 });
    expect(await refusal(choose(`it is ${email}`))).toMatchObject({ status: 400 });
    await choose(other);
    expect(await refusal(choose('another sentence of mine'))).toMatchObject({ status: 410 });
    expect((await maker.call(getMe)).account).toBeNull();
    expect(await refusal(again(email))).toMatchObject({ status: 401 });
    expect((await (await again(email, other)).call(getAccount)).confirmed).toBe(true);
    await mailTo(email, /was changed/);
    expect(box.mails.some((one) => one.to.includes('nobody@maker.example'))).toBe(false);
  });

  test('two presses at once use a link up once', async () => {
    const { email } = await newMaker();
    await nobody().call(forgotPassword, { body: { email } });
    const token = tokenIn(await mailTo(email, /new password/));
    const both = await Promise.all(
      [other, 'a third sentence of mine'].map((word) =>
        refusal(nobody().call(resetPassword, { body: { token, password: word } })),
      ),
    );
    expect(both.filter((one) => one === null)).toHaveLength(1);
  });

  test('an hour later the link is over; a second mail makes the first one void', async () => {
    const { email } = await newMaker();
    await nobody().call(forgotPassword, { body: { email } });
    const first = tokenIn(await mailTo(email, /new password/));
    await nobody().call(forgotPassword, { body: { email } });
    await waitFor(() => box.mails.filter((mail) => mail.to.includes(email)).length === 3);
    const second = tokenIn(await mailTo(email, /new password/));
    expect(second).not.toBe(first);
    const choose = (token: string) =>
      refusal(nobody().call(resetPassword, { body: { token, password: other } }));
    expect(await choose(first)).toMatchObject({ status: 410 });
    at += 61 * 60 * 1000;
    expect(await choose(second)).toMatchObject({ status: 410 });
  });

  test('somebody else’s box is not filled: five an hour, and nobody is told which was the last', async () => {
    const { email } = await newMaker();
    for (let n = 0; n < 8; n++) {
      await nobody().call(forgotPassword, { body: { email } });
      await waitFor(
        () => box.mails.filter((mail) => mail.to.includes(email)).length >= 1 + Math.min(n + 1, 5),
      );
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
    expect(box.mails.filter((mail) => mail.to.includes(email) && /password/.test(mail.subject))).toHaveLength(
      5,
    );
  });

  test('a link that confirms an address chooses no password, nor the other way round', async () => {
    const { email } = await newMaker();
    const confirms = tokenIn(await mailTo(email, /your address/));
    await nobody().call(forgotPassword, { body: { email } });
    const resets = tokenIn(await mailTo(email, /new password/));
    expect(
      await refusal(nobody().call(resetPassword, { body: { token: confirms, password: other } })),
    ).toMatchObject({ status: 410 });
    expect(await refusal(nobody().call(confirmAddress, { body: { token: resets } }))).toMatchObject({
      status: 410,
    });
  });
});

describe('sessions', () => {
  test('are listed with what they are in, ended one by one, and all others by a new password', async () => {
    const { maker, email } = await newMaker();
    const laptop = await again(email);
    const phone = await again(email);
    const { sessions } = await maker.call(getAccount);
    expect(sessions).toHaveLength(3);
    expect(sessions.filter((one) => one.this)).toHaveLength(1);
    const ofPhone = (await phone.call(getAccount)).sessions.find((one) => one.this)?.id ?? '';
    const { maker: stranger } = await newMaker();
    expect(await refusal(stranger.call(endOneSession, { params: { session: ofPhone } }))).toMatchObject({
      status: 404,
    });
    await maker.call(endOneSession, { params: { session: ofPhone } });
    expect((await phone.call(getMe)).account).toBeNull();
    expect((await laptop.call(getMe)).account).not.toBeNull();
    expect(
      await refusal(maker.call(changePassword, { body: { old: 'not it at all', password: other } })),
    ).toMatchObject({ status: 403 });
    await maker.call(changePassword, { body: { old: password, password: other } });
    expect((await laptop.call(getMe)).account).toBeNull();
    expect((await maker.call(getAccount)).sessions).toHaveLength(1);
    await mailTo(email, /was changed/);
    const tablet = await again(email, other);
    await maker.call(endOtherSessions);
    expect((await tablet.call(getMe)).account).toBeNull();
    expect((await stranger.call(getMe)).account).not.toBeNull();
  });
});

describe('a session', () => {
  test('that nobody has used for fourteen days is over, and is listed no more', async () => {
    const { maker, email } = await newMaker();
    const other = await again(email);
    const mine = (await other.call(getAccount)).sessions.find((one) => one.this)?.id ?? '';
    const unused = (days: number) =>
      server.database.db
        .update(sessions)
        .set({ seenAt: new Date(Date.now() - days * 24 * 60 * 60 * 1000) })
        .where(eq(sessions.id, mine));
    await unused(13.9);
    expect((await other.call(getMe)).account).not.toBeNull();
    await unused(14.1);
    expect((await other.call(getMe)).account).toBeNull();
    expect((await maker.call(getAccount)).sessions.map(({ id }) => id)).not.toContain(mine);
    expect((await maker.call(getMe)).account).not.toBeNull();
  });
});

describe('everything of mine', () => {
  test('is a ZIP of untouched files and data that its schema describes, and nothing of others', async () => {
    const { maker } = await newMaker();
    const site = await PublishedSite.open(server, maker);
    const terms = {
      label: 'Tutors',
      opens: 'site' as const,
      timeZone: 'Europe/Berlin',
      password: 'open up now',
    };
    await maker.call(makePasses, { params: { site: site.site }, body: { passes: [terms] } });
    const { maker: stranger } = await newMaker();
    await stranger.site('Secret site of a stranger');
    const reply = await maker.raw('GET', everythingPath);
    expect(reply.statusCode).toBe(200);
    expect(reply.headers['content-type']).toBe('application/zip');
    expect(reply.headers['cache-control']).toBe('no-store');
    const files = unzipSync(reply.rawPayload);
    const read = (name: string) => JSON.parse(Buffer.from(files[name] ?? []).toString()) as never;
    const all = read('everything.json') as {
      sites: { pages: unknown[]; releases: { file: string }[] }[];
      materials: { file: string; material: { original: string } }[];
    };
    const ajv = addFormats.default(new Ajv2020({ strict: false }));
    const check = ajv.compile(read('everything.schema.json'));
    expect([check(all), check.errors]).toEqual([true, null]);
    // The check can fail: a page without a height is none.
    const broken = structuredClone(all);
    delete (broken.sites[0]?.pages[0] as { height?: string }).height;
    expect(check(broken)).toBe(false);
    const checkRelease = ajv.compile(read('release.schema.json'));
    const [release] = all.sites[0]?.releases ?? [];
    expect([checkRelease(read(release?.file ?? '')), checkRelease.errors]).toEqual([true, null]);
    expect(all.materials.length).toBeGreaterThan(0);
    for (const { file, material } of all.materials)
      expect(
        createHash('sha256')
          .update(files[file] ?? Buffer.alloc(0))
          .digest('hex'),
      ).toBe(material.original);
    const text = Object.values(files)
      .map((file) => Buffer.from(file).toString('latin1'))
      .join();
    expect(text).not.toContain('Secret site of a stranger');
    expect(text).not.toContain('$argon2');
    expect((await nobody().raw('GET', everythingPath)).statusCode).toBe(401);
  });
});

describe('deleting an account', () => {
  test('closes every way in at once, can be taken back for fourteen days, and then takes all of it', async () => {
    const { maker, email } = await newMaker();
    const site = await PublishedSite.open(server, maker);
    const params = { site: site.site };
    const own = Buffer.from('What only this maker has.');
    await maker.upload(site.site, 'own.txt', own);
    const original = createHash('sha256').update(own).digest('hex');
    const terms = { label: 'Tutors', opens: 'site' as const, timeZone: 'Europe/Berlin', password: null };
    const { passes } = await maker.call(makePasses, {
      params,
      body: { passes: [terms, { ...terms, label: 'By word', password: 'open up now' }] },
    });
    const code =
      (await maker.call(makeShortCode, { params: { ...params, link: 'address' } })).short?.code ?? '';
    const state = await maker.state(site.site);
    const ways = [
      `/${site.address}/`,
      state.live.siteLinkPath ?? '',
      ...passes.map(({ link }) => link ?? ''),
      `/k/${code.replaceAll(' ', '')}`,
    ];
    const answers = async () => {
      const codes = [];
      for (const way of ways) codes.push((await server.get(way)).statusCode);
      return codes;
    };
    const listed = async () => {
      const { sites } = await maker.call(listPublicSites, { body: {} });
      return sites.some(({ path }) => path === `/${site.address}/`);
    };
    await maker.call(setListed, { params: { site: site.site }, body: { listed: true } });
    const open = await answers();
    expect(open).toEqual([200, 200, 200, 200, 302]);
    expect(await listed()).toBe(true);
    const elsewhere = await again(email);
    expect(await refusal(maker.call(leaveServer, { body: { password: 'not it' } }))).toMatchObject({
      status: 403,
    });
    await maker.call(leaveServer, { body: { password } });
    expect(await answers()).toEqual([404, 404, 404, 404, 404]);
    expect(await listed()).toBe(false);
    const never = await server.get('/never-was-there/');
    const left = await server.get(ways[0] ?? '');
    const plain = ({ date: _, ...headers }: Record<string, unknown>) => headers;
    expect([left.body, plain(left.headers)]).toEqual([never.body, plain(never.headers)]);
    expect((await elsewhere.call(getMe)).account).toBeNull();
    await mailTo(email, /going to be deleted/);

    at += 13 * day;
    await server.clockwork.look();
    await (await again(email)).call(stayOnServer);
    expect(await answers()).toEqual(open);
    expect(await listed()).toBe(true);

    await maker.call(leaveServer, { body: { password } });
    const account = (await maker.call(getMe)).account?.id ?? '';
    at += 14 * day + 1000;
    await server.clockwork.look();
    expect(await refusal(again(email))).toMatchObject({ status: 401 });
    expect(await answers()).toEqual([404, 404, 404, 404, 404]);
    const rows = await allRows();
    for (const word of [account, site.site, email, site.picture]) expect(rows).not.toContain(word);
    expect((await server.blobs.sizeOf(original)).size).toBe(own.byteLength);
    const { db } = server.database;
    await sweep(
      { db, blobs: server.blobs, assets: server.assets, limits: { maxTotalBytes: 1e9 } },
      { freshFor: -1000 },
    );
    await expect(server.blobs.sizeOf(original)).rejects.toThrow();
  });
});

describe('who may make an account', () => {
  test('everybody, who knows the code, or nobody', async () => {
    for (const [environment, codes, expected] of [
      [{ REGISTRATION: 'closed' }, [undefined, 'kite-2026'], [403, 403]],
      [
        { REGISTRATION: 'code', REGISTRATION_CODE: 'kite-2026' },
        [undefined, 'kite-2027', 'kite-2026'],
        [403, 403, 200],
      ],
    ] as const) {
      const own = await TestServer.start(environment);
      try {
        expect((await new TestMaker(own.app).call(getMe)).registration).toBe(environment.REGISTRATION);
        const got = [];
        for (const code of codes) {
          const body = { name: 'W', email: 'w@maker.example', password, ...(code && { code }) };
          got.push((await new TestMaker(own.app).raw('POST', createAccount.path, body)).statusCode);
        }
        expect(got).toEqual(expected);
      } finally {
        await own.stop();
      }
    }
  });

  test('a code that is asked for and not set is said at the start', async () => {
    await expect(TestServer.start({ REGISTRATION: 'code' })).rejects.toThrow('REGISTRATION_CODE');
  });

  test('without mail an address is changed at once, and a forgotten password is not promised help', async () => {
    const own = await TestServer.start();
    try {
      const maker = new TestMaker(own.app);
      await maker.call(createAccount, { body: { name: 'W', email: 'w@maker.example', password } });
      expect(await maker.call(changeAddress, { body: { email: 'v@maker.example', password } })).toMatchObject(
        {
          ...{ email: 'v@maker.example', coming: null, confirmed: false },
        },
      );
      expect(await refusal(maker.call(forgotPassword, { body: { email: 'v@maker.example' } }))).toMatchObject(
        {
          status: 409,
        },
      );
    } finally {
      await own.stop();
    }
  });
});
