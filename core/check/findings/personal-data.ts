import type { PersonalKind } from '../../personal/found.ts';
import { personalIn } from '../../personal/personal-in.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed, Spot } from '../noticed.ts';
import { saidOf, wordsOn } from '../words-on.ts';

const told: { [K in PersonalKind]: string } = {
  phone: 'looks like a telephone number',
  email: 'is an e-mail address',
  address: 'looks like where somebody lives',
  'birth-date': 'looks like a date of birth',
  'student-number': 'looks like a student number',
  coordinates: 'looks like a place on a map',
  age: 'says how old you are',
  school: 'names a school or a class',
};

/** What a maker gives away on purpose: a part that is there for it is not asked about, but where they are under 18. */
const meantFor: readonly string[] = ['contact', 'place'];

/** What is to be done by somebody under 18. */
export const forUnderAge =
  'You are under 18: take it out, or let it stand once somebody who looks after you agrees.';

/**
 * What somebody could be found by, in the words of a page and of what stands on it. It is a question: only the maker knows
 * whether it may stand there.
 */
export function personalData({ page, site, materials, today }: CheckedPage): Noticed[] {
  const language = page.language ?? site.language;
  const look = (spot: Spot, where: string, texts: readonly string[]): Noticed[] =>
    personalIn(texts.join('\n'), language, today, site.underAge).map(({ kind, text }) => ({
      ...{ weight: 'needed' as const, ...spot, of: `${kind} ${text}` },
      says: `“${text}”${where} ${told[kind]}.`,
      why: site.underAge
        ? `Whoever opens the page gets it, and so does what collects from pages. ${forUnderAge}`
        : 'Whoever opens the page gets it, and so does what collects from pages. Take it out, or let it stand if it is there on purpose.',
    }));
  return [
    ...wordsOn(page).flatMap(({ part, kind, texts }) =>
      kind !== null && meantFor.includes(kind) && !site.underAge
        ? []
        : look({ part, material: null }, '', texts),
    ),
    ...standingOn(page).flatMap(({ material, part }) => {
      const one = materials.get(material);
      return one ? look({ part, material }, ` in what is said of ${called(one)}`, saidOf(one)) : [];
    }),
  ];
}
