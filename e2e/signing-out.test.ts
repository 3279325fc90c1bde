import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { launchBrowser } from './support/browser.ts';
import { BuiltServer } from './support/demo-server.ts';
import { Driver } from './support/studio-driver.ts';

let server: BuiltServer;
let browser: Browser;
let studio: Driver;
beforeAll(async () => {
  server = await BuiltServer.start('server');
  browser = await launchBrowser();
  studio = new Driver(await browser.newPage());
  await studio.page.setViewport({ width: 1280, height: 800 });
  await studio.page.goto(`${server.origin}/`);
  await studio.fill(/^Name your work/, 'Ide');
  await studio.fill('E-mail', 'ide@maker.example');
  await studio.fill(/^Password/, 'a quiet workshop wall');
  await studio.press('button', 'Create account');
  await studio.fill('Name of the site', 'Ide makes');
  await studio.page.keyboard.press('Enter');
  await studio.reads('Drop the pictures of one project here');
});
afterAll(async () => {
  await browser.close();
  await server.stop();
});

const signIn = async () => {
  await studio.fill('E-mail', 'ide@maker.example');
  await studio.fill(/^Password/, 'a quiet workshop wall');
  await studio.press('button', 'Sign in');
};

describe('signing out', () => {
  test('ends at the door, three times of three, and the way back leads in', async () => {
    for (let time = 0; time < 3; time++) {
      await studio.press('button', /your account/);
      await studio.press('menuitem', 'Sign out');
      await studio.reads('Create an account');
      expect(await studio.page.evaluate(async () => (await fetch('/api/sites')).status)).toBe(401);
      await studio.press('button', 'Sign in');
      await studio.reads('No account yet?');
      await signIn();
      await studio.reads('Drop the pictures of one project here');
    }
  });

  test('exists on a phone, and so does Redo', async () => {
    await studio.press('button', 'Start with an empty page instead');
    await studio.saved();
    await studio.page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
    await studio.page.goto(studio.page.url().replace(/\/projects.*/, '/projects'));
    await studio.press('button', /^Undo: New project/);
    await studio.reads('Drop the pictures of one project here');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'All rooms');
    await studio.press('menuitem', /^Redo: New project/);
    await studio.reads('Untitled project');
    await studio.press('button', 'All rooms');
    await studio.press('menuitem', 'Sign out');
    await studio.reads('Create an account');
    await studio.press('button', 'Sign in');
    await signIn();
    await studio.reads('Untitled project');
    await studio.page.setViewport({ width: 1280, height: 800 });
  });

  test('a session that ends in mid-work: sign in on the spot, and what was kept is sent', async () => {
    await studio.page.goto(studio.page.url().replace(/\/projects.*/, '/projects'));
    await studio.page.reload();
    await studio.reads('Untitled project');
    await studio.page.click('.hang h2 a');
    const title = await studio.page.waitForSelector('[contenteditable][aria-label^="Title"]');
    // Another device signed out everywhere: the cookie means nothing any more.
    await studio.page.deleteCookie(...(await studio.page.cookies()));
    await title?.click();
    await studio.page.keyboard.type('Typed while signed out');
    await studio.reads('You are signed out');
    expect(await studio.axe()).toEqual([]);
    await studio.fill(/^Password/, 'a quiet workshop wall');
    await studio.press('button', 'Sign in');
    await studio.saved();
    await studio.page.reload();
    await studio.reads('Typed while signed out');
  });
});
