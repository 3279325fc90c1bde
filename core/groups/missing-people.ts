import type { GroupTerms } from './group.ts';

/** A name as it is compared: letters alone, whatever their case, their accents and the spaces between them. */
const plain = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '')
    .join(' ');

/**
 * Who of a group has not joined its class page: whose name none of those who did goes by. Of two people of one name, each counts once.
 *
 * @param joined names that those who joined go by
 */
export function missingPeople(people: GroupTerms['people'], joined: readonly string[]): GroupTerms['people'] {
  const there = new Map<string, number>();
  for (const name of joined.map(plain)) there.set(name, (there.get(name) ?? 0) + 1);
  return people.filter(({ name }) => {
    const left = there.get(plain(name)) ?? 0;
    if (left > 0) there.set(plain(name), left - 1);
    return left === 0;
  });
}
