import slugify from '@sindresorhus/slugify';
import type { SeenPage, SiteView } from '../access/seen-by.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';

/** A tag with the work it is said of, as one kind of reader may see it. */
export interface Tag {
  /** As it is written where it stands first. */
  name: string;
  /** Of its page, below the entrance. */
  path: string;
  /** In reading order; never empty. */
  work: SeenPage[];
}

/** What stands for a tag in an address; signs that an address does not take stand by their code points. */
function slugOfTag(tag: string): string {
  const slug = slugify(tag);
  return slug || `t-${[...tag].map((sign) => (sign.codePointAt(0) ?? 0).toString(16)).join('-')}`;
}

/** The path of a tag's page; tags that differ only in case or in signs have one page together. */
export const tagPath = (tag: string): string => `tagged/${slugOfTag(tag.toLocaleLowerCase('en'))}/`;

/**
 * The tags of a view, by the alphabet: made from nothing but what its reader may see. Who came by the link of one page gets none,
 * as they get no menu.
 */
export function tagsOf({ pages, entry }: SiteView): Tag[] {
  if (entry !== null) return [];
  const tags = new Map<string, Tag>();
  for (const page of pages) {
    if (!rulesOfPage(page).isWork || page.title.trim() === '') continue;
    for (const name of page.facts.tags) {
      const path = tagPath(name);
      const tag = tags.get(path) ?? { name, path, work: [] };
      if (!tag.work.includes(page)) tag.work.push(page);
      tags.set(path, tag);
    }
  }
  return [...tags.values()].sort((a, b) => a.name.localeCompare(b.name, 'en', { sensitivity: 'base' }));
}
