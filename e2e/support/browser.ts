import { mkdtemp } from 'node:fs/promises';
import { existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser } from 'puppeteer-core';

const candidates = [
  process.env['CHROMIUM'],
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];

/** An empty profile for a browser. */
export const emptyProfile = (): Promise<string> => mkdtemp(join(tmpdir(), 'kite-wall-browser-'));

/**
 * Starts a headless Chromium.
 *
 * @param profile of one that was closed before; left out, it has its own: no cookie, no cache, nothing shared with another one
 */
export async function launchBrowser(profile?: string): Promise<Browser> {
  const executablePath = candidates.find((path) => path !== undefined && existsSync(path));
  if (!executablePath)
    throw new Error('No Chromium found. Install Debian’s package chromium, or set CHROMIUM.');
  return puppeteer.launch({
    executablePath,
    headless: true,
    userDataDir: profile ?? (await emptyProfile()),
    defaultViewport: { width: 1280, height: 800 },
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--force-color-profile=srgb',
      '--lang=en-GB',
      // A machine without a mouse would pass for a touch screen: pages get one that points and hovers.
      '--blink-settings=primaryHoverType=2,availableHoverTypes=2,primaryPointerType=4,availablePointerTypes=4',
      // A camera that shows a test picture and a microphone that beeps; permission is each page's to get or not.
      '--use-fake-device-for-media-stream',
    ],
  });
}
