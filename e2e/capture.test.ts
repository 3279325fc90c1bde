import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { createAccount } from '#contract/account.ts';
import { changePage, createPage, deletePage } from '#contract/pages.ts';
import { changeSite, createSite, getSite } from '#contract/sites.ts';
import { momentsOf } from '#core/moments/moments-of.ts';
import type { Moment } from '#core/parts/moment.ts';
import { newPart } from '#core/parts/new-part.ts';
import { partsChange } from '#core/parts/parts-change.ts';
import type { Part } from '#core/parts/parts.ts';
import { shownOn } from '#core/pages/page.ts';
import { emptyProfile, launchBrowser } from './support/browser.ts';
import { BuiltServer } from './support/demo-server.ts';
import { RemoteMaker } from './support/maker.ts';
import { demoPictures, Driver } from './support/studio-driver.ts';

/** Keeping what happens on a phone: without a network, with the server gone, with the browser closed in between. */
const account = { name: 'Ide', email: 'ide@maker.example', password: 'a quiet workshop wall' };
const photo = join(demoPictures, 'tide-clock/06-bench-shot-rotated.jpg');

let server: BuiltServer;
let profile: string;
let browser: Browser;
let phone: Driver;
let maker: RemoteMaker;
let site = '';
let clock = '';

async function openScreen(): Promise<Driver> {
  const page = await browser.newPage();
  await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
  await page.goto(`${server.origin}/studio/capture/`);
  return new Driver(page);
}
const moments = async (on = clock): Promise<Moment[]> => {
  const { pages } = await maker.call(getSite, { params: { site } });
  const page = pages.find(({ id }) => id === on);
  return page ? momentsOf(shownOn(page).parts) : [];
};
async function take(driver: Driver, file: string): Promise<void> {
  const input = await driver.page.waitForSelector('input[capture]');
  await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(file);
}
/** How often something was kept on this screen. */
const kept = (page: Page) => page.$eval('main', ({ dataset }) => Number(dataset['kept']));
async function write(driver: Driver, words: string): Promise<void> {
  const before = await kept(driver.page);
  await driver.page.bringToFront();
  await driver.fill('Words', words);
  await driver.press('button', 'Keep these words');
  await driver.page.waitForFunction(
    (count) => Number(document.querySelector('main')?.dataset['kept']) > count,
    {},
    before,
  );
}
const signIn = (page: Page, as: typeof account) =>
  page.evaluate(async (body) => {
    const reply = await fetch('/api/session', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!reply.ok) throw new Error(`${reply.status} ${await reply.text()}`);
  }, as);
/** How many things wait in this browser, by what lies in its database. */
const waiting = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('kite-wall-capture');
        opening.onerror = () => reject(new Error('It does not open.'));
        opening.onsuccess = () => {
          const counting = opening.result.transaction('things').objectStore('things').count();
          counting.onsuccess = () => {
            opening.result.close();
            resolve(counting.result);
          };
        };
      }),
  );

beforeAll(async () => {
  server = await BuiltServer.start('server');
  maker = new RemoteMaker(server.origin);
  await maker.call(createAccount, { body: account });
  site = (await maker.call(createSite, { body: { title: 'Ide makes' } })).id;
  const made = (title: string) =>
    maker.call(createPage, { params: { site }, body: { title, materials: [] } }).then(({ page }) => page);
  await made('Float lamp');
  clock = await made('Tide clock');
  profile = await emptyProfile();
  browser = await launchBrowser(profile);
  phone = await openScreen();
  await phone.reads('You are signed out here.');
  await signIn(phone.page, account);
  await phone.page.reload();
  await phone.reads('Everything has arrived.');
});
afterAll(async () => {
  await browser.close();
  await server.stop();
});

describe('with a network', () => {
  test('is clean for axe and fits a phone; what was worked on last is chosen', async () => {
    expect(await phone.axe()).toEqual([]);
    expect(await phone.page.$eval('main', (main) => main.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await phone.page.$eval('select', (select) => select.selectedOptions[0]?.textContent)).toBe(
      'Tide clock',
    );
  });

  test('can be installed, and other apps can share to it', async () => {
    // Not that it holds this very page: one that was being loaded anew while the worker took over is held from its next
    // opening on, which the test below makes without a network.
    await phone.page.evaluate(async () => void (await navigator.serviceWorker.ready));
    const session = await phone.page.createCDPSession();
    const { errors, data } = await session.send('Page.getAppManifest');
    expect(errors).toEqual([]);
    const { installabilityErrors } = await session.send('Page.getInstallabilityErrors');
    expect(installabilityErrors).toEqual([]);
    expect(JSON.parse(data ?? '{}')).toMatchObject({ share_target: { method: 'POST' } });
  });
});

describe('without a network and without a server', () => {
  test('opens, keeps, and says how much waits', async () => {
    await server.kill();
    await phone.page.setOfflineMode(true);
    await phone.page.reload();
    await take(phone, photo);
    await phone.reads('Place taken out');
    await write(phone, 'The bearing runs dry.');
    await phone.press('button', 'Decided');
    await write(phone, 'Brass, not nylon.');
    await phone.reads('Kept on this device, 3 things to send.');
    await phone.reads('One moment, 3 things');
    expect(await phone.axe()).toEqual([]);
  });

  test('is all there after the browser was closed, and goes by itself when server and network are back', async () => {
    await phone.fill('Words', 'Half a sentence');
    await browser.close();
    browser = await launchBrowser(profile);
    phone = await openScreen();
    await phone.reads('Kept on this device, 3 things to send.');
    expect(await phone.page.$eval('textarea', ({ value }) => value)).toBe('Half a sentence');
    await server.run();
    await phone.page.evaluate(() => window.dispatchEvent(new Event('online')));
    await phone.reads('Everything has arrived.');
    const [moment, ...more] = await moments();
    expect(more).toEqual([]);
    expect(moment).toMatchObject({
      date: new Date().toLocaleDateString('sv'),
      happened: 'The bearing runs dry.',
      decided: 'Brass, not nylon.',
    });
    expect(moment?.materials).toHaveLength(1);
  });

  test('the file has kept its date and lost its place', async () => {
    const { materials } = await maker.call(getSite, { params: { site } });
    expect(materials).toMatchObject([{ kind: 'picture', facts: { hasGps: false }, project: clock }]);
    expect(materials[0]?.takenOn).toMatch(/^20\d\d-\d\d-\d\dT/);
  });
});

describe('with the network cut', () => {
  test('keeps, and sends when it is back; the moment goes on', async () => {
    const worker = await browser.waitForTarget((target) => target.type() === 'service_worker');
    const sessions = [await phone.page.createCDPSession(), await worker.createCDPSession()];
    const cut = async (offline: boolean) => {
      for (const session of sessions)
        await session.send('Network.emulateNetworkConditions', {
          ...{ offline, latency: 0, downloadThroughput: -1, uploadThroughput: -1 },
        });
    };
    await cut(true);
    await phone.fill('Words', '');
    await write(phone, 'Under the bridge.');
    await phone.reads('Kept on this device, 1 thing to send.');
    await cut(false);
    await phone.page.evaluate(() => window.dispatchEvent(new Event('online')));
    await phone.reads('Everything has arrived.');
    expect(await moments()).toMatchObject([{ happened: 'The bearing runs dry.\n\nUnder the bridge.' }]);
  });
});

describe('sent once only', () => {
  test('though answers are lost on the way', async () => {
    const before = await moments();
    await phone.page.evaluate(() => {
      const real = window.fetch;
      let lost = 0;
      window.fetch = async (...asked) => {
        const reply = await real(...asked);
        if (typeof asked[0] === 'string' && asked[0].includes('/captured') && lost++ < 2)
          throw new TypeError('lost');
        return reply;
      };
    });
    await write(phone, 'Lost twice, there once.');
    for (let time = 0; time < 3; time++) {
      await phone.page.evaluate(() => window.dispatchEvent(new Event('online')));
      await new Promise((resolve) => setTimeout(resolve, 700));
    }
    await phone.reads('Everything has arrived.');
    const all = (await moments()).map(({ happened }) => happened).join('\n');
    expect(all.split('Lost twice, there once.')).toHaveLength(2);
    expect((await moments()).length).toBe(before.length);
  });

  test('though the server is killed while it is sent, and two screens are open', async () => {
    const other = await openScreen();
    const said = Array.from({ length: 8 }, (_, at) => `Said number ${at}.`);
    for (const [at, words] of said.entries()) await write(at % 2 === 0 ? phone : other, words);
    await server.kill();
    await write(other, 'Said at last.');
    await server.run();
    await other.page.bringToFront();
    await other.page.evaluate(() => window.dispatchEvent(new Event('online')));
    await other.reads('Everything has arrived.');
    const all = (await moments()).map(({ happened }) => happened).join('\n');
    const wrong = [...said, 'Said at last.'].filter((words) => all.split(words).length !== 2);
    expect([wrong, await waiting(other.page)]).toEqual([[], 0]);
    await other.page.close();
  });

  test('what another app shares is kept the same way', async () => {
    await phone.page.bringToFront();
    await phone.page.evaluate(() => {
      const form = document.createElement('form');
      Object.assign(form, {
        method: 'POST',
        action: '/studio/capture/share',
        enctype: 'multipart/form-data',
      });
      const text = document.createElement('input');
      Object.assign(text, { name: 'text', value: 'Shared from the camera.' });
      const files = document.createElement('input');
      Object.assign(files, { name: 'files', type: 'file' });
      const carried = new DataTransfer();
      carried.items.add(new File(['A plan.'], 'plan.txt', { type: 'text/plain' }));
      files.files = carried.files;
      form.append(text, files);
      document.body.append(form);
      form.submit();
    });
    await phone.page.waitForNavigation();
    await phone.reads('Everything has arrived.');
    const last = (await moments()).at(-1);
    expect(last?.happened).toContain('Shared from the camera.');
    expect(last?.materials).toHaveLength(2);
  });
});

describe('by voice', () => {
  test('one press begins, another one ends, and it is a sound of the moment', async () => {
    await browser.defaultBrowserContext().overridePermissions(server.origin, ['microphone']);
    await phone.press('button', 'Voice');
    await phone.reads('Stop');
    await new Promise((resolve) => setTimeout(resolve, 1200));
    // What the screen says at the very moment it stops listening, when nothing of it can be kept yet.
    const said = phone.page.evaluate(
      () =>
        new Promise<string>((resolve) => {
          const look = new MutationObserver(() => {
            if (document.body.innerText.includes('Stop')) return;
            look.disconnect();
            resolve(document.querySelector('footer [role=status]')?.textContent ?? '');
          });
          look.observe(document.body, { subtree: true, childList: true, characterData: true });
        }),
    );
    await phone.press('button', /^Stop/);
    expect(await said).toBe('Putting 1 thing by on this device.');
    await phone.named('button', 'Voice');
    await phone.reads('Everything has arrived.');
    const { materials } = await maker.state(site);
    const sound = materials.find(({ kind }) => kind === 'sound');
    expect(sound).toMatchObject({ project: clock });
    expect((await moments()).at(-1)?.materials).toContain(sound?.id);
  });
});

describe('what was captured', () => {
  test('is drawn for readers once it is published, for each what is theirs', async () => {
    const parts = async () => {
      const { pages, revision } = await maker.state(site);
      const page = pages.find(({ id }) => id === clock);
      return { was: page ? shownOn(page).parts : [], revision };
    };
    const { was, revision } = await parts();
    const now: Part[] = [...was, newPart('process', 'process-part')];
    await maker.call(changePage, {
      params: { site, page: clock },
      body: { seen: revision, label: 'Process', change: { height: 'public' }, parts: partsChange(was, now) },
    });
    const open = { height: 'public', address: 'ide-makes' } as const;
    await maker.call(changeSite, {
      params: { site },
      body: { seen: (await parts()).revision, label: 'Open', change: open },
    });
    await maker.publish(site);
    const stranger = () => maker.stranger('/ide-makes/tide-clock/');
    expect(await stranger()).toContain('Brass, not nylon.');
    // The tutor, who has the link of the site, gets what strangers do not.
    const lower = await parts();
    const lowered = lower.was.map((part): Part =>
      part.kind === 'moment' ? { ...part, height: 'unlisted' } : part,
    );
    await maker.call(changePage, {
      params: { site, page: clock },
      body: { seen: lower.revision, label: 'Lower', change: {}, parts: partsChange(lower.was, lowered) },
    });
    expect(await stranger()).not.toContain('Brass, not nylon.');
    await maker.publish(site);
    const { live } = await maker.state(site);
    expect(await stranger()).not.toContain('Brass, not nylon.');
    expect(await maker.stranger(`${live.siteLinkPath ?? ''}tide-clock/`)).toContain('Brass, not nylon.');
  });
});

describe('what the server will not take', () => {
  test('stays here with its sentence, and can be sent to another page or taken off', async () => {
    const gone = (
      await maker.call(createPage, { params: { site }, body: { title: 'Given up', materials: [] } })
    ).page;
    await phone.page.reload();
    await phone.reads('Everything has arrived.');
    await phone.page.select('select', gone);
    await server.kill();
    await write(phone, 'For a page that goes.');
    await server.run();
    await maker.call(deletePage, { params: { site, page: gone }, body: {} });
    await phone.page.evaluate(() => window.dispatchEvent(new Event('online')));
    await phone.reads('Not all of it could be sent.');
    await phone.page.select('select', clock);
    await phone.press('button', 'Send to Tide clock');
    await phone.reads('Everything has arrived.');
    expect((await moments()).map(({ happened }) => happened).join()).toContain('For a page that goes.');
  });

  test('waits for its own account where another one signs in', async () => {
    await server.kill();
    await write(phone, 'Only for mine.');
    await server.run();
    const other = new RemoteMaker(server.origin);
    const sal = { name: 'Sal', email: 'sal@maker.example', password: 'another quiet wall' };
    await other.call(createAccount, { body: sal });
    await other.call(createSite, { body: { title: 'Sal makes' } });
    await signIn(phone.page, sal);
    await phone.page.reload();
    await phone.reads('1 of another account waits until it is signed in here.');
    expect(await waiting(phone.page)).toBe(1);
    await signIn(phone.page, account);
    await phone.page.reload();
    await phone.reads('Everything has arrived.');
    expect((await moments()).map(({ happened }) => happened).join()).toContain('Only for mine.');
  });

  test('nothing of it is seen where its maker has signed out, and it goes once they are back', async () => {
    await phone.page.evaluate(() => {
      const real = window.fetch;
      window.fetch = (...asked) =>
        typeof asked[0] === 'string' && asked[0].includes('/captured')
          ? Promise.reject(new TypeError('no line'))
          : real(...asked);
    });
    await write(phone, 'A secret that waits.');
    await phone.reads('Kept on this device, 1 thing to send.');
    await phone.page.goto(`${server.origin}/studio/${site}/projects`);
    await phone.press('button', 'All rooms');
    await phone.press('menuitem', 'Sign out');
    await phone.reads('Create an account');
    await phone.page.goto(`${server.origin}/studio/capture/`);
    await phone.reads('You are signed out here. 1 of another account waits until it is signed in here.');
    for (const secret of ['Tide clock', 'A secret that waits.'])
      expect(await phone.page.content()).not.toContain(secret);
    await signIn(phone.page, account);
    await phone.page.reload();
    await phone.reads('Everything has arrived.');
    expect((await moments()).map(({ happened }) => happened).join()).toContain('A secret that waits.');
  });
});
