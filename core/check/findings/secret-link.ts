import { linksIn } from '../../words/links-in.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Where what is not Public is opened by its key: links of a site and of its pages, passes, and drafts for a second look. */
const byKey = /^\/[lpd]\/[\w-]{22}(?:\/|$)/;

const isSecret = (href: string): boolean => URL.canParse(href) && byKey.test(new URL(href).pathname);

const why =
  'Whoever reads this page has that link then, and can pass it on. Link to a page that is Public, or take the link off.';

/** Links that open something by a key, put where more people read them than were to have it. */
export const secretLink = ({ page, materials }: CheckedPage): Noticed[] => [
  ...page.parts.flatMap((part) => {
    if (part.kind !== 'words') return [];
    const found = linksIn(part.text).filter(({ href }) => isSecret(href));
    const [first] = found;
    if (!first) return [];
    return {
      ...{ weight: 'needed' as const, part: part.id, material: null, why },
      of: found.map(({ href }) => href).join(' '),
      says:
        found.length === 1
          ? `“${first.text.trim()}” is a secret link.`
          : `${found.length} of its links are secret ones.`,
    };
  }),
  ...standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if (one?.kind !== 'link' || !isSecret(one.facts.url)) return [];
    return {
      ...{ weight: 'needed' as const, part, material, why },
      ...{ of: one.facts.url, says: `${called(one)} is a secret link.` },
    };
  }),
];
