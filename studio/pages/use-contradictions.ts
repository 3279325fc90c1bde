import { useMemo } from 'react';
import { contradictions } from '#core/resume/contradictions/contradictions.ts';
import { useSite } from '../api/site-context.tsx';

/** What About, the résumé and pages of projects say differently; compared anew when a page or the site's language changes. */
export function useContradictions() {
  const { site, pages } = useSite().state;
  return useMemo(() => contradictions({ site, pages }), [site, pages]);
}
