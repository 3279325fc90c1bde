/** What can be told of a page that is drawn at some width. */
export interface FrameFacts {
  /** Screens from its beginning to its end, one decimal. */
  screens: number;
  /** Things that the Tab key stops at. */
  stops: number;
  /** CSS pixels by which it reaches beyond its width. */
  beyond: number;
}

const stopped =
  'a[href], button, input, select, textarea, summary, audio[controls], video[controls], iframe, [tabindex]';

/** Whether a document is a page of the site, and not what is said where there is none. */
export const isPage = (page: Document | null): page is Document =>
  page?.documentElement.hasAttribute('data-theme') ?? false;

/** Facts of a page as it is drawn now. */
export function frameFacts(page: Document): FrameFacts {
  const { scrollHeight, scrollWidth, clientWidth } = page.documentElement;
  const height = page.defaultView?.innerHeight ?? 1;
  const stops = [...page.querySelectorAll<HTMLElement>(stopped)].filter(
    (one) =>
      one.tabIndex >= 0 &&
      !one.matches(':disabled') &&
      one.closest('[inert]') === null &&
      one.checkVisibility({ visibilityProperty: true }),
  );
  return {
    screens: Math.max(1, Math.round((scrollHeight / height) * 10) / 10),
    stops: stops.length,
    beyond: Math.max(0, scrollWidth - clientWidth),
  };
}
