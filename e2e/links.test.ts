import { afterAll, describe, expect, test } from '@jest/globals';
import { openDemoStudio } from './support/demo-studio.ts';

/** Links and notes, with the stand-ins that ship with the demo: a clip host, and four kinds of pages. */
const { server, browser, studio, rooms, publish, asStranger, close } = await openDemoStudio();
afterAll(close);

const addLink = async (address: string) => {
  await studio.press('button', 'Link');
  await studio.fill(/^Web address/, address);
  await studio.page.keyboard.press('Enter');
};
/** A stranger's browser, and every address it asks for outside of this server. */
const stranger = async (path: string) => {
  const outside: string[] = [];
  const reader = await asStranger(path, (url) => {
    // The player's own controls are drawn from data within the browser.
    if (/^https?:/.test(url) && !url.startsWith(server.origin)) outside.push(url);
  });
  return { reader, outside };
};

describe('links', () => {
  test('a page that is slow or gone, a private address and no address are told apart in sentences', async () => {
    await studio.page.goto(`${rooms}/gather`);
    await addLink('not an address');
    await studio.reads('This is no web address.');
    await studio.fill(/^Web address/, 'http://192.168.0.1/');
    await studio.page.keyboard.press('Enter');
    await studio.reads('inside a private network');
    expect(await studio.axe()).toEqual([]);
    await studio.fill(/^Web address/, `${server.standIns}/gone`);
    await studio.page.keyboard.press('Enter');
    await studio.reads('not there any more');
    await studio.reads('link, page is gone');
    await addLink(`${server.standIns}/slow`);
    await studio.reads('Reading the page.');
    await studio.reads('did not answer within 8 seconds');
    expect(await studio.axe()).toEqual([]);
  });

  test('an address pasted into Gather is read; one that refuses to be framed says that it becomes a card', async () => {
    await studio.page.goto(`${rooms}/gather`);
    await studio.reads('Tide tables since 1880');
    await studio.drawn();
    await studio.page.evaluate((text) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', text);
      window.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }));
    }, `${server.standIns}/refusing`);
    await studio.reads('You have this link already.');
    await studio.reads('refuses to be shown inside others, so it is shown as a card');
    await studio.press('button', 'Read it again');
    await studio.reads('refuses to be shown inside others');
    await studio.press('button', 'Close the facts');
    // The same by dropping a link from another window.
    await studio.page.evaluate((link) => {
      const dataTransfer = new DataTransfer();
      dataTransfer.setData('text/uri-list', link);
      document
        .querySelector('.gather')
        ?.dispatchEvent(new DragEvent('drop', { dataTransfer, bubbles: true, cancelable: true }));
    }, `${server.standIns}/clips/one-tide`);
    await studio.reads('A clip at its host: readers see a still');
  });

  test('a clip at its host and a page are placed on a page; readers fetch nothing from elsewhere until they ask', async () => {
    await studio.page.goto(`${rooms}/gather`);
    await studio.press('checkbox', /^Choose One tide in twelve seconds/);
    await studio.press('checkbox', /^Choose Tide tables since 1880/);
    await studio.press('button', 'Start a project');
    await studio.reads('Case facts');
    await studio.fill('Title', 'Tides elsewhere');
    await studio.reads('Play from 127.0.0.1');
    expect(await studio.axe()).toEqual([]);
    await publish();

    const { reader, outside } = await stranger('/wren-makes/tides-elsewhere/');
    await reader.reads('Tide tables since 1880');
    // The page that refuses is a card with its picture, kept on this server.
    const card = await reader.page.$eval('.link-card', (link) => ({
      href: (link as HTMLAnchorElement).href,
      picture: link.querySelector('img')?.src ?? '',
    }));
    expect(card.href).toBe(`${server.standIns}/refusing`);
    expect(card.picture.startsWith(server.origin)).toBe(true);
    expect(outside).toEqual([]);
    expect(await reader.axe()).toEqual([]);

    const policy = (await fetch(`${server.origin}/wren-makes/tides-elsewhere/`)).headers.get(
      'content-security-policy',
    );
    expect(policy).toContain(`frame-src ${server.standIns};`);
    const other = await fetch(`${server.origin}/wren-makes/for-the-harbour/tide-clock/`);
    expect(other.headers.get('content-security-policy')).not.toContain('frame-src');

    await reader.page.focus('.frame-opener');
    await reader.page.keyboard.press('Space');
    const frame = await reader.page.waitForFrame((one) => one.url() === `${server.standIns}/player/one-tide`);
    const seconds = await frame.$eval('video', async (found) => {
      const video = found as HTMLVideoElement;
      video.muted = true;
      await video.play();
      video.pause();
      return video.duration;
    });
    expect(seconds).toBeGreaterThan(3);
    expect(await reader.page.evaluate(() => document.activeElement?.tagName)).toBe('IFRAME');
    expect(outside).toContain(`${server.standIns}/player/one-tide`);
    expect(outside.filter((url) => !url.startsWith(server.standIns))).toEqual([]);
  });

  test('without a script the still leads to the page itself', async () => {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setJavaScriptEnabled(false);
    await page.goto(`${server.origin}/wren-makes/for-the-harbour/fold-flat-bee-hotel/`);
    expect(await page.$eval('.frame-opener', (link) => link.getAttribute('href'))).toBe(
      `${server.standIns}/open`,
    );
    await context.close();
  });

  test('a link takes another form on the page, by keyboard, and is tied in from an address', async () => {
    await studio.page.goto(`${rooms}/projects`);
    await studio.press('link', 'Tides elsewhere');
    await studio.reads('Case facts');
    await studio.press('button', /^Edit Link, part 3/);
    for (const name of ['Button', 'Right']) {
      await (await studio.named('button', name)).focus();
      await studio.page.keyboard.press('Enter');
    }
    await studio.page.waitForSelector('.link-button.right');
    await studio.press('button', 'Another address');
    await studio.fill(/^Web address/, `${server.standIns}/open`);
    await studio.page.keyboard.press('Enter');
    await studio.reads('Bees of the allotment');
    expect(await studio.axe()).toEqual([]);
    await studio.saved();
  });
});

test('a note is written, found, and becomes words of a page, where it is no note any more', async () => {
  await studio.page.goto(`${rooms}/gather`);
  await studio.press('button', 'Note');
  await studio.press('button', 'Keep the note');
  await studio.reads('an empty note is not kept');
  await studio.fill(/^Words/, 'Said at the slip');
  await studio.page.keyboard.press('Enter');
  await studio.page.keyboard.type('Nobody reads the numbers.');
  await studio.press('button', 'Keep the note');
  await studio.reads('A note, for you alone.');
  expect(await studio.axe()).toEqual([]);
  await studio.press('button', 'Close the facts');
  await studio.fill(/^Find in/, 'numbers', 'searchbox');
  await studio.reads('1 of');
  await studio.press('checkbox', /^Choose Said at the slip/);
  await studio.press('button', 'Start a project');
  await studio.reads('Case facts');
  await studio.reads('Nobody reads the numbers.');
  const kinds = await studio.page.$$eval('.part[data-kind]', (found) =>
    found.map((one) => one.getAttribute('data-kind')),
  );
  expect(kinds).toEqual(['words', 'words']);
});
