import { addressesIn } from './addresses-in.ts';
import { agesIn } from './ages-in.ts';
import { birthDatesIn } from './birth-dates-in.ts';
import { coordinatesIn } from './coordinates-in.ts';
import { emailsIn } from './emails-in.ts';
import type { PersonalFound, PersonalKind } from './found.ts';
import { phonesIn } from './phones-in.ts';
import { schoolsIn } from './schools-in.ts';
import { studentNumbersIn } from './student-numbers-in.ts';

/**
 * What in some words may be about a person who can be found by it. It is a question, never a proof: whoever wrote the words
 * says whether it may stand.
 *
 * @param language of the words, as BCP 47 writes it
 * @param today as ISO 8601 writes it
 * @param underAge whoever writes is under 18: what names a school or an age is asked about too
 */
export function personalIn(
  text: string,
  language: string,
  today: string,
  underAge: boolean,
): PersonalFound[] {
  const as = (kind: PersonalKind, found: readonly string[]): PersonalFound[] =>
    [...new Set(found)].map((one) => ({ kind, text: one }));
  const places = coordinatesIn(text);
  const numbers = studentNumbersIn(text);
  const dates = birthDatesIn(text, Number(today.slice(0, 4)));
  // What is something else already is no telephone's number too.
  const isOther = (phone: string) =>
    [...places, ...numbers, ...dates].some((one) => one.includes(phone) || phone.includes(one));
  return [
    ...as('email', emailsIn(text)),
    ...as(
      'phone',
      phonesIn(text, language.slice(0, 2)).filter((one) => !isOther(one)),
    ),
    ...as('address', addressesIn(text)),
    ...as('birth-date', dates),
    ...as('student-number', numbers),
    ...as('coordinates', places),
    ...as('age', underAge ? agesIn(text) : []),
    ...as('school', underAge ? schoolsIn(text) : []),
  ];
}
