import { blackOutOf } from '../../personal/black-out-of.ts';
import type { InsideFound, InsideKind } from '../../personal/inside.ts';
import { stillSeen } from '../../personal/still-seen.ts';
import type { Material } from '../../materials/material.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';
import { forUnderAge } from './personal-data.ts';

/** People are asked about once on the whole site, and faces by a rule of their own. */
type Told = Exclude<InsideKind, 'name' | 'face'>;

const words: { [K in Told]: [one: string, many: string] } = {
  phone: ['what looks like a telephone number', 'things that look like telephone numbers'],
  email: ['an e-mail address', 'e-mail addresses'],
  address: ['what looks like where somebody lives', 'things that look like addresses of houses'],
  'birth-date': ['what looks like a date of birth', 'things that look like dates of birth'],
  'student-number': ['what looks like a student number', 'things that look like student numbers'],
  coordinates: ['what looks like a place on a map', 'things that look like places on a map'],
  age: ['words that say how old you are', 'places that say how old you are'],
  school: ['the name of a school or class', 'names of schools or classes'],
  plate: ['what looks like a number plate', 'things that look like number plates'],
};

/** So many are quoted; of the others it is said how many there are. */
const mostQuoted = 3;

/** Each text once, with the pages on which it stands. */
function byText(all: readonly InsideFound[]): Map<string, InsideFound[]> {
  const texts = new Map<string, InsideFound[]>();
  for (const one of all) texts.set(one.text, [...(texts.get(one.text) ?? []), one]);
  return texts;
}

function quoted(texts: ReadonlyMap<string, readonly InsideFound[]>, { facts }: Material): string {
  const several = 'pages' in facts && facts.pages.length > 1;
  const shown = [...texts].slice(0, mostQuoted).map(([text, found]) => {
    const pages = found.flatMap(({ page }) => (several && page !== null ? page + 1 : []));
    if (pages.length === 0) return `“${text}”`;
    return `“${text}” (${pages.length === 1 ? 'page' : 'pages'} ${pages.join(', ')})`;
  });
  const more = texts.size - shown.length;
  return `${shown.join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
}

/** What is left to be seen in a material of what was found in it, by kind, without what other rules ask about. */
export function seenInside(material: Material, found: readonly InsideFound[]): Map<Told, InsideFound[]> {
  const byKind = new Map<Told, InsideFound[]>();
  for (const one of found) {
    const seen = stillSeen(one, material.fixes);
    const { kind } = one;
    if (seen && kind !== 'name' && kind !== 'face') byKind.set(kind, [...(byKind.get(kind) ?? []), seen]);
  }
  return byKind;
}

/** What somebody could be found by inside the documents and pictures of a page: a question, like the same in its words. */
export const personalInside = ({ page, site, materials, inside }: CheckedPage): Noticed[] =>
  standingOn(page).flatMap(({ material, part }): Noticed[] => {
    const one = materials.get(material);
    const found = inside[material];
    if (!one || !found) return [];
    return [...seenInside(one, found)].map(([kind, all]): Noticed => {
      const [single, many] = words[kind];
      const texts = byText(all);
      const drawn = all.every(({ regions }) => regions.length > 0);
      return {
        ...{ weight: 'needed', part, material },
        ...(drawn && { blackOut: all.flatMap(blackOutOf) }),
        of: `${one.original} ${all.map(({ text }) => text).join(' ')}`,
        says: `In ${called(one)} there ${texts.size === 1 ? `is ${single}` : `are ${texts.size} ${many}`}: ${quoted(texts, one)}.`,
        why: site.underAge
          ? `Whoever opens the page can read it there. ${forUnderAge}`
          : drawn
            ? 'Whoever opens the page can read it there. Black it out, take it off the page, or let it stand if it is there on purpose.'
            : 'Whoever opens the page can read it there. Take it out of the file and bring that in its place, or let it stand if it is there on purpose.',
      };
    });
  });
