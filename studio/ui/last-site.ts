const key = 'kite-wall last site';

/** The site that was open last in this browser; null before the first one. */
export const lastSite = (): string | null => window.localStorage.getItem(key);

/** Remembers the site that is open. */
export const setLastSite = (site: string): void => window.localStorage.setItem(key, site);
