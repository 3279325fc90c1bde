import { type Listing, plainly } from './listing.ts';

/** What somebody looks for; what is empty asks for nothing. */
export interface ListingSearch {
  words: string;
  field: string;
  tag: string;
}

const has = (among: readonly string[], wanted: string): boolean =>
  wanted.trim() === '' || among.some((one) => plainly(one) === plainly(wanted));

/** Those that have the field and the tag, and each of the words at the beginning of one of theirs. The order stays. */
export function findListings<L extends Listing>(
  all: readonly L[],
  { words, field, tag }: ListingSearch,
): L[] {
  const wanted = plainly(words).split(/\s+/).filter(Boolean);
  if (wanted.length === 0 && field.trim() === '' && tag.trim() === '') return [...all];
  return all.filter((one) => {
    if (!has(one.fields, field) || !has(one.tags, tag)) return false;
    if (wanted.length === 0) return true;
    const theirs = plainly([one.title, one.by, ...one.fields, ...one.tags, ...one.work].join(' ')).split(
      /[^\p{L}\p{N}]+/u,
    );
    return wanted.every((word) => theirs.some((own) => own.startsWith(word)));
  });
}

/** What some of them have, with how many: most first, then by the alphabet. @param most so many are told */
export function countedIn(
  all: readonly Listing[],
  what: 'fields' | 'tags',
  most: number,
): { name: string; sites: number }[] {
  const counts = new Map<string, { name: string; sites: number }>();
  for (const one of all)
    for (const name of one[what]) {
      const count = counts.get(plainly(name)) ?? { name, sites: 0 };
      count.sites += 1;
      counts.set(plainly(name), count);
    }
  return [...counts.values()]
    .sort((a, b) => b.sites - a.sites || a.name.localeCompare(b.name, 'en'))
    .slice(0, most);
}
