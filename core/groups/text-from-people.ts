import Papa from 'papaparse';
import type { GroupTerms } from './group.ts';

/** People as lines that `peopleFromText` reads again: a name, and after a comma what stands beside it (RFC 4180). */
export const textFromPeople = (people: GroupTerms['people']): string =>
  people
    .map(({ name, more }) => {
      const [called, beside] = [name, more].map((cell) => Papa.unparse([[cell]]));
      // A space before a quotation mark would be part of what stands in it.
      return more === '' ? called : `${called}${beside?.startsWith('"') ? ',' : ', '}${beside}`;
    })
    .join('\n');
