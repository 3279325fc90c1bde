import { en } from '../public-words/en.ts';
import type { PublicWords } from '../public-words/public-words.ts';
import type { Licence } from './licence.ts';

const spoken = (words: PublicWords): Partial<Record<Licence, string>> => ({
  'CC0-1.0': 'CC0 1.0',
  'public-domain': words.publicDomain,
  'permission-given': words.permissionGiven,
  'all-rights-reserved': words.allRightsReserved,
});

/** The name as it is written in a credit: "CC BY-SA 4.0". */
export function licenceName(licence: Licence, words: PublicWords = en): string {
  return spoken(words)[licence] ?? licence.replace(/^CC-/, 'CC ').replace(/-([\d.]+)$/, ' $1');
}
