/** What other sites ask to show a page by its address (oEmbed 1.0, oembed.com). */
export const oembedPath = '/api/oembed';

/** Where it is told how a page is shown elsewhere. @param page its whole address */
export const oembedAddress = (page: string): string =>
  `${new URL(page).origin}${oembedPath}?${new URLSearchParams({ url: page }).toString()}`;
