import { plainText, type RichText } from '../words/rich-text.ts';
import { idSchema } from '../id.ts';

const isWords = (value: object): value is RichText => (value as { type?: unknown }).type === 'doc';
/** A telephone number can look like an id, and has no letters. */
const isId = (text: string): boolean => idSchema.safeParse(text).success && /[A-Za-z]/.test(text);

/**
 * Every text that something made of fields holds, whatever its fields are called: a new kind of part is not forgotten. Ids and
 * web addresses are no texts; names of kinds are, and say nothing.
 */
export function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return isId(value) || /^https?:\/\//.test(value) ? [] : [value];
  if (Array.isArray(value)) return value.flatMap(textsIn);
  if (value === null || typeof value !== 'object') return [];
  return isWords(value) ? [plainText(value)] : Object.values(value).flatMap(textsIn);
}
