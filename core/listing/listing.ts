import { type SiteView } from '../access/seen-by.ts';
import { tagsOf } from '../menu/tags-of.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';

/** What a server's list says of a site: nothing but what strangers can see on it. */
export interface Listing {
  title: string;
  /** Whose work it is; empty where that is the title. */
  by: string;
  /** What the work is of, as it is said on it. */
  fields: string[];
  tags: string[];
  /** Titles of the work. */
  work: string[];
}

/** Each once, whatever capitals it is written in; as it stands first. */
function once(words: readonly string[]): string[] {
  const known = new Map<string, string>();
  for (const word of words.map((one) => one.trim()).filter(Boolean))
    if (!known.has(plainly(word))) known.set(plainly(word), word);
  return [...known.values()];
}

/** Without capitals and accents, as words are looked for. */
export const plainly = (text: string): string =>
  text.normalize('NFKD').replace(/\p{M}/gu, '').toLocaleLowerCase('en').trim();

/** @param view as strangers see the site */
export function listingOf(view: SiteView): Listing {
  const work = view.pages.filter((page) => rulesOfPage(page).isWork && page.title.trim() !== '');
  const { title, by } = view.site;
  return {
    title,
    by: plainly(by) === plainly(title) ? '' : by,
    fields: once(work.map(({ facts }) => facts.field)),
    tags: once(tagsOf(view).map(({ name }) => name)),
    work: work.map((page) => page.title),
  };
}
