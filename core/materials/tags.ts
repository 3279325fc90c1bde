import { cut } from '../words/cut.ts';
import { z } from 'zod';

export const mostTags = 20;

/** Words a maker sorts materials by. No two that differ only in case. */
export const tagsSchema = z
  .array(z.string().trim().min(1).max(40, 'A tag can be at most 40 characters long.'))
  .max(mostTags, `There can be at most ${mostTags} tags.`);

const key = (tag: string): string => tag.toLocaleLowerCase('en');

/** Tags typed in one line, parted by commas: "sketch,  Wood" becomes ["sketch", "Wood"]. */
export function readTags(text: string): string[] {
  return withTags(
    [],
    text.split(',').map((tag) => cut(tag.trim().replace(/\s+/g, ' '), 40)),
  );
}

/** Tags with others added; those that are there already, in whatever case, stay as they are written. */
export function withTags(tags: readonly string[], added: readonly string[]): string[] {
  const known = new Set(tags.map(key));
  const fresh = added.filter((tag) => tag !== '' && !known.has(key(tag)) && known.add(key(tag)));
  return [...tags, ...fresh].slice(0, mostTags);
}

export function withoutTag(tags: readonly string[], gone: string): string[] {
  return tags.filter((tag) => key(tag) !== key(gone));
}
