import slugify from '@sindresorhus/slugify';
import { addressSchema } from './address.ts';

/** What addresses are made of, as far as it is known. */
export interface AddressWords {
  /** The maker's name. */
  name?: string;
  /** What they do, in few words: `Furniture maker`. */
  field?: string;
  year?: number;
}

const slug = (words: string, most: number): string =>
  slugify(words.slice(0, 200)).slice(0, most).replace(/-$/, '');

/** One after the other, with no word twice. */
function joined(...pieces: string[]): string {
  const words = pieces.flatMap((piece) => piece.split('-')).filter(Boolean);
  return words.filter((word, at) => words.indexOf(word) === at).join('-');
}

/**
 * Addresses worth offering for a site of this title, best first: the title, the maker's name, both with what they do, with
 * the year, and with a plain word. Each passes `addressSchema`, none stands twice.
 */
export function suggestAddresses(
  title: string,
  { name = '', field = '', year }: AddressWords = {},
): string[] {
  const [own, person, work] = [slug(title, 30), slug(name, 30), slug(field, 24)];
  const bases = [...new Set([own, person])].filter(Boolean);
  const endings = [work, 'makes', 'work', year === undefined ? '' : String(year), 'projects'].filter(Boolean);
  const candidates =
    bases.length > 0
      ? [...bases, ...endings.flatMap((ending) => bases.map((base) => joined(base, ending)))]
      : [work, 'my-work', 'my-projects', 'things-i-made'];
  return [...new Set(candidates)].filter((candidate) => addressSchema.safeParse(candidate).success);
}
