import type { SiteState } from '#contract/site-state.ts';

/** Under which the hand-ins of a site are known. What their readers find depends on what is live. */
export const handInsKey = ({ site, live, revision }: Pick<SiteState, 'site' | 'live' | 'revision'>) =>
  ['hand-ins', site.id, live.release?.number, revision] as const;
