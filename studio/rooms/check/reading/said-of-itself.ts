/** What a page says of itself to those who list it or pass it on. */
export interface SaidOfItself {
  title: string;
  description: string;
  /** Its name without whose it is. */
  name: string;
  siteName: string;
}

/**
 * Reads the head of a page.
 *
 * @param html of a preview
 * @returns null where it is no page of a site
 */
export function saidOfItself(html: string): SaidOfItself | null {
  const page = new DOMParser().parseFromString(html, 'text/html');
  if (!page.documentElement.hasAttribute('data-theme')) return null;
  const meta = (of: string) => page.querySelector(`meta[${of}]`)?.getAttribute('content') ?? '';
  return {
    title: page.title,
    description: meta('name="description"'),
    name: meta('property="og:title"'),
    siteName: meta('property="og:site_name"'),
  };
}
