import type { Page } from 'puppeteer-core';
import { asTheThemeComes, type Look } from '../../core/look/look.ts';
import { themeDefaults } from '../../core/look/theme-defaults.ts';
import type { ThemeName } from '../../core/look/theme-names.ts';
import type { Site } from '../../core/sites/site.ts';
import { changeSite } from './change-draft.ts';

/** A theme as it comes, but for what is said. */
export const lookOf = (theme: ThemeName, more: Partial<Look> = {}): Look => ({
  theme,
  ...asTheThemeComes,
  ...more,
});

/** Gives a site another look, menu and wall, over the studio's own API, from a page on which its maker is signed in. */
export async function wear(page: Page, site: string, look: Look, more: Partial<Site> = {}): Promise<void> {
  const { menu, wall } = themeDefaults[look.theme];
  await changeSite(page, site, { look, menu, wall, ...more });
}

/** A page of the draft as its maker would publish it, without the notice above it, with all its pictures there. */
export async function openDraft(page: Page, origin: string, site: string, path: string): Promise<void> {
  await page.goto(`${origin}/studio/see/${site}/maker/${path}`);
  await page.evaluate(async () => {
    document.querySelector('.preview-notice')?.remove();
    const pictures = [...document.images];
    for (const one of pictures) one.loading = 'eager';
    await Promise.all(pictures.map((one) => one.decode().catch(() => undefined)));
    await document.fonts.ready;
  });
}
