import { contradictions } from '../../resume/contradictions/contradictions.ts';
import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';

/** Where About, the résumé and the page of a project do not say the same. */
export function saidOtherwise({ language, pages }: CheckedSite): NoticedOnSite[] {
  const about = pages.find(({ kind }) => kind === 'about');
  return contradictions({ site: { language }, pages }).flatMap(({ entry, sentence }) => {
    const page = entry === null ? about : pages.find(({ parts }) => parts.some((part) => part.id === entry));
    if (!page) return [];
    return {
      ...{ weight: 'nice' as const, page: page.id, part: entry, material: null, of: sentence },
      says: sentence,
      why: 'Who reads both wonders which is right. Either may be: mend the other one.',
    };
  });
}
