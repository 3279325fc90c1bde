import { readsAs } from '../../language/reads-as.ts';
import { textsIn } from '../../parts/texts-in.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

const nameOf = (language: string): string =>
  new Intl.DisplayNames('en', { type: 'language' }).of(language) ?? language;

/**
 * Words in another language than their page is said to be in (WCAG 2.2, 3.1.1 and 3.1.2). What somebody else said is quoted in theirs.
 */
export function languageMixed({ page, site }: CheckedPage): Noticed[] {
  const said = page.language ?? site.language;
  const read = page.parts.flatMap((part) => {
    if (part.kind === 'quote') return [];
    const text = textsIn(part).join('\n');
    const as = readsAs(text, said);
    return as === null ? [] : [{ part: part.id, as, text }];
  });
  const [first] = read;
  if (!first) return [];
  const words = page.parts.filter((part) => part.kind === 'words').length;
  const nice = { weight: 'nice' as const, material: null };
  const why = `Whoever listens to the page hears these words with the sounds of ${nameOf(said)}, and search engines show it to the wrong people.`;
  if (read.length > 1 && read.length >= words && read.every(({ as }) => as === first.as))
    return [
      {
        ...{ ...nice, part: null, of: `${said} ${first.as}` },
        says: `This page reads as ${nameOf(first.as)}, and says of itself that it is in ${nameOf(said)}.`,
        why: `${why} Give the page its language, in Arrange.`,
      },
    ];
  return read.map(({ part, as, text }) => ({
    ...{ ...nice, part, of: text },
    says: `These words read as ${nameOf(as)}; the page is in ${nameOf(said)}.`,
    why: `${why} Put them on a page of their own, in ${nameOf(as)}; or let it stand, if both belong together.`,
  }));
}
