import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import type { Browser } from 'puppeteer-core';
import { launchBrowser } from './support/browser.ts';
import { BuiltServer } from './support/demo-server.ts';
import { Driver } from './support/studio-driver.ts';

/** A maker's own account, from the door to leaving, with mails read in the stand-in inbox. */
let server: BuiltServer;
let browser: Browser;
let studio: Driver;
let site: string;
const email = 'noa@maker.example';
const first = 'a ladder against the shed';
const second = 'rain on the workshop roof';

/** Links in mails to an address that lead to a page of the studio, the newest first. */
async function linksTo(page: string, to: string): Promise<string[]> {
  const text = await (await fetch(`${server.standIns}/inbox`)).text();
  const mails = text.split(/<(?:article|li|section)\b/).filter((mail) => mail.includes(to));
  return mails.flatMap((mail) => new RegExp(`https?://[^\\s<"]*/studio/${page}#[\\w-]{43}`).exec(mail) ?? []);
}
async function linkTo(page: string, to = email, count = 1): Promise<string> {
  for (let tries = 0; tries < 100; tries++) {
    const links = await linksTo(page, to);
    if (links.length >= count) return links[0] ?? '';
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`No mail to ${to} leads to ${page}.`);
}
/** A browser of its own, signed out. */
async function another(): Promise<Driver> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  return new Driver(page);
}
async function signIn(driver: Driver, password: string): Promise<void> {
  await driver.page.goto(`${server.origin}/`);
  await driver.press('button', 'Sign in');
  await driver.fill('E-mail', email);
  await driver.fill('Password', password);
  await driver.press('button', 'Sign in');
}

beforeAll(async () => {
  server = await BuiltServer.start('demo');
  browser = await launchBrowser();
  studio = await another();
  await studio.page.goto(`${server.origin}/`);
  await studio.fill(/^Name your work/, 'Noa');
  await studio.fill('E-mail', email);
  await studio.fill(/^Password/, first);
  await studio.press('button', 'Create account');
  await studio.fill('Name of the site', 'Noa makes');
  await studio.page.keyboard.press('Enter');
  await studio.reads('Drop the pictures of one project here');
  site = studio.page.url().replace(/\/projects.*/, '');
});
afterAll(async () => {
  await browser.close();
  await server.stop();
});

describe('an account', () => {
  test('confirms its address by the mail, in a browser that is signed out', async () => {
    await studio.press('button', /your account/);
    await studio.press('menuitem', 'Your account');
    await studio.reads('not confirmed yet');
    expect(await studio.axe()).toEqual([]);
    const link = await linkTo('confirm');
    const reader = await another();
    await reader.page.goto(link);
    await reader.reads('Is this address yours?');
    expect(await reader.axe()).toEqual([]);
    // What was in the mail is in no address and no history any more.
    expect(new URL(reader.page.url()).hash).toBe('');
    await reader.press('button', 'Confirm the address');
    await reader.reads(`Your account goes by ${email}.`);
    await reader.page.reload();
    await reader.reads('Open the link in the mail again');
    await reader.page.goto('about:blank');
    await reader.page.goto(link);
    await reader.press('button', 'Confirm the address');
    await reader.reads('used before, or is too old');
    await studio.page.reload();
    await studio.reads(', confirmed');
  });

  test('a forgotten password is chosen anew; wherever it was open it is signed out', async () => {
    const reader = await another();
    await reader.page.goto(`${server.origin}/`);
    await reader.press('button', 'Sign in');
    await reader.press('button', 'Forgotten the password');
    await reader.fill('E-mail', 'nobody@maker.example');
    await reader.press('button', 'Send the mail');
    await reader.reads('If there is an account with nobody@maker.example');
    await reader.page.reload();
    await reader.press('button', 'Sign in');
    await reader.press('button', 'Forgotten the password');
    expect(await reader.axe()).toEqual([]);
    await reader.fill('E-mail', email);
    await reader.press('button', 'Send the mail');
    await reader.reads(`If there is an account with ${email}`);
    await reader.page.goto(await linkTo('new-password'));
    await reader.fill(/^New password/, 'password1234');
    await reader.press('button', 'Set the password');
    await reader.reads('among the first that anybody tries');
    expect(await reader.axe()).toEqual([]);
    await reader.fill(/^New password/, second);
    await reader.press('button', 'Set the password');
    await reader.reads('The new password is set');
    await reader.press('link', 'Sign in');
    await signIn(reader, second);
    await reader.reads('Noa makes');
    expect(await studio.page.evaluate(async () => (await fetch('/api/sites')).status)).toBe(401);
    await signIn(studio, first);
    await studio.reads('do not belong together');
    await studio.fill('Password', second);
    await studio.press('button', 'Sign in');
    await studio.reads('Drop the pictures of one project here');
  });

  test('ends where else it is open, on a phone too', async () => {
    await studio.page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
    await studio.page.goto(`${server.origin}/studio/account`);
    await studio.reads('This one, since');
    expect(await studio.axe()).toEqual([]);
    expect(await studio.page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
    await studio.press('button', 'End all but this one');
    await studio.page.waitForFunction(
      () => document.querySelectorAll('[aria-label="Where you are signed in"] li').length === 1,
    );
    await studio.page.setViewport({ width: 1280, height: 800 });
  });

  test('takes everything along', async () => {
    await studio.page.waitForSelector('a[download]');
    const base64 = await studio.page.evaluate(async () => {
      const href = document.querySelector('a[download]')?.getAttribute('href') ?? '';
      const reply = await fetch(href);
      if (!reply.ok) throw new Error(`${reply.status} ${await reply.text()}`);
      const bytes = new Uint8Array(await reply.arrayBuffer());
      return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
    });
    const files = unzipSync(Buffer.from(base64, 'base64'));
    expect(Object.keys(files)).toEqual(
      expect.arrayContaining(['README.txt', 'everything.json', 'everything.schema.json']),
    );
    expect(Buffer.from(files['everything.json'] ?? []).toString()).toContain('Noa makes');
  });

  test('is deleted with days to think again, and kept', async () => {
    await studio.press('button', 'Delete my account');
    await studio.fill('Password of your account', 'not the right one');
    await studio.press('button', 'Close my links and delete my account');
    await studio.reads('not the password of your account');
    expect(await studio.axe()).toEqual([]);
    await studio.fill('Password of your account', second);
    await studio.press('button', 'Close my links and delete my account');
    await studio.reads('This account is going to be deleted');
    expect(await studio.axe()).toEqual([]);
    // Every room leads here.
    await studio.page.goto(`${site}/share`);
    await studio.reads('This account is going to be deleted');
    await studio.press('button', 'Keep my account');
    await studio.reads('The whole site flies at');
  });
});

test('the account of the demo, which everybody shares, keeps its password and address', async () => {
  const reader = await another();
  await reader.page.goto(`${server.origin}/`);
  await reader.press('button', /demo maker/);
  await reader.reads('Fold-flat bee hotel');
  await reader.page.goto(`${server.origin}/studio/account`);
  await reader.reads('The demo account stays.');
  expect(await reader.axe()).toEqual([]);
});
