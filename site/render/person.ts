import type { Person, WithContext } from 'schema-dts';
import type { SeenPart } from '#core/parts/parts.ts';
import type { PageInput } from './page-input.ts';

/**
 * Who the maker is, in the words of schema.org (`Person`), for machines: what this page says of them and nothing else, and no address
 * to write to.
 *
 * @returns null of a page that does not tell of its maker
 */
export function personOf({ page, by, base, resume }: PageInput): WithContext<Person> | null {
  if (page.kind !== 'about' && !resume) return null;
  const first = <K extends SeenPart['kind']>(kind: K) =>
    page.parts.find((part): part is Extract<SeenPart, { kind: K }> => part.kind === kind);
  const name = resume?.content.name ?? first('full-name')?.text ?? by;
  const title = resume?.content.headline || (first('headline')?.text ?? '');
  const place = first('place')?.text;
  const links = (first('profiles')?.list ?? []).map(({ to }) => to);
  const spoken = (first('languages')?.list ?? []).map(({ language }) => language);
  const skills = page.parts.flatMap((part) =>
    part.kind === 'entry' && part.section === 'skills' ? [part.title] : [],
  );
  return {
    '@context': 'https://schema.org',
    '@type': 'Person',
    name,
    ...(name !== by && { alternateName: by }),
    ...(title && { jobTitle: title }),
    ...(base !== null && { url: base }),
    ...(place && { homeLocation: { '@type': 'Place' as const, name: place } }),
    ...(links.length > 0 && { sameAs: links }),
    ...(spoken.length > 0 && { knowsLanguage: spoken }),
    ...(skills.length > 0 && { knowsAbout: skills }),
  };
}
