import type { Page as BrowserPage } from 'puppeteer-core';
import type { SiteState } from '#contract/site-state.ts';
import type { Page } from '../../core/pages/page.ts';
import type { Site } from '../../core/sites/site.ts';

/** Everything of a site's draft, asked from a page of the studio on which its maker is signed in. */
export function draftOf(page: BrowserPage, site: string): Promise<SiteState> {
  return page.evaluate(async (id) => (await (await fetch(`/api/sites/${id}`)).json()) as SiteState, site);
}

/**
 * Changes a site, or one of its pages, over the studio's own API, as if its maker had done so in another tab.
 *
 * @param path of what is changed, from the site on: `''` for the site itself
 * @throws Error with the server's own words where it refuses
 */
async function change(page: BrowserPage, site: string, path: string, fields: object): Promise<void> {
  await page.evaluate(
    async (id, below, changed) => {
      const { revision } = (await (await fetch(`/api/sites/${id}`)).json()) as { revision: number };
      const reply = await fetch(`/api/sites/${id}${below}`, {
        method: 'PATCH',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ seen: revision, label: 'Changed by a test', change: changed }),
      });
      if (!reply.ok) throw new Error(await reply.text());
    },
    site,
    path,
    fields,
  );
}

/** Changes fields of a site itself. */
export const changeSite = (page: BrowserPage, site: string, fields: Partial<Site>): Promise<void> =>
  change(page, site, '', fields);

/** The fields of a page of any kind, as a test may give them: what does not hold, the server says. */
type PageFields = { [Field in keyof Page]?: unknown } & Record<string, unknown>;

/** Changes fields of one page. */
export const changePage = (page: BrowserPage, site: string, id: string, fields: PageFields): Promise<void> =>
  change(page, site, `/pages/${id}`, fields);
