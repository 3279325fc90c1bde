import type { Live } from '#contract/site-state.ts';
import type { Height } from '#core/access/height.ts';

/** What readers see now, in words: the middle of the top strip. It never says more than is true. */
export function liveWords(live: Live): { open: boolean; sentence: string } {
  if (!live.release) return { open: false, sentence: 'Nobody sees anything yet' };
  const release = `release ${live.release.number}`;
  switch (live.readersReach) {
    case 'private':
      return { open: false, sentence: `Closed: ${release} opens for nobody` };
    case 'invited':
      return { open: false, sentence: `Only people with a pass could open ${release}` };
    case 'unlisted':
      return { open: live.siteLinkPath !== null, sentence: `People with the link see ${release}` };
    case 'public':
      return live.addressPath
        ? { open: true, sentence: `Visitors see ${release}` }
        : {
            open: live.siteLinkPath !== null,
            sentence: `People with the link see ${release}; no address yet`,
          };
  }
}

/** What is true where nothing waits: readers have it all, have nothing, or there is nothing yet. */
export function nothingWaits(live: Live, siteHeight: Height): string {
  if (!live.release)
    return siteHeight === 'private'
      ? 'Nothing yet, because the site is Private. Raise it, and what others would get is listed here.'
      : 'Nothing yet: there is no page that others may open.';
  return live.readersReach === 'private'
    ? 'Nothing. The site is closed: nobody can open it.'
    : 'Nothing: readers see everything as it is here.';
}

/** "3 edits waiting", or nothing. */
export function waitingWords(live: Live): string | null {
  const count = live.waiting.length;
  return count === 0 ? null : `${count} edit${count === 1 ? '' : 's'} waiting`;
}
