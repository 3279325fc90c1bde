import type { Id } from '../id.ts';
import { type PartsChange, partsChange, withPartsChange } from '../parts/parts-change.ts';
import type { Part } from '../parts/parts.ts';
import { plainText, type RichText } from '../words/rich-text.ts';
import { joinedFields } from './joined-fields.ts';

/** One thing that two have changed to something else, as words. */
export interface TwoVersions {
  /** The field's name, with that of its member where it has members: `title`, `facts role`; null of a part. */
  field: string | null;
  part: Id | null;
  mine: string;
  theirs: string;
}

type Fields = Readonly<Record<string, unknown>>;

/** Members of a part that say which things it shows and how, and nothing that could be read. */
const unread = new Set([
  ...['id', 'kind', 'height', 'ground', 'beside', 'layout', 'material', 'materials', 'picture', 'pictures'],
  ...['page', 'pages', 'proofs', 'focus', 'form', 'arrangement', 'prompt'],
]);

const isRecord = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isRichText = (value: unknown): value is RichText => isRecord(value) && value['type'] === 'doc';

/** What somebody would read of a value, a line for each piece; empty where there is nothing to read. */
export function wordsOf(value: unknown): string {
  if (typeof value === 'string') return value.trim();
  if (typeof value === 'number') return String(value);
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (Array.isArray(value)) return value.map(wordsOf).filter(Boolean).join('\n');
  if (isRichText(value)) return plainText(value);
  if (!isRecord(value)) return '';
  const read = Object.entries(value).filter(([name]) => !unread.has(name));
  return read
    .map(([, member]) => wordsOf(member))
    .filter(Boolean)
    .join('\n');
}

const partsIn = (row: Fields): readonly Part[] =>
  Array.isArray(row['parts']) ? (row['parts'] as readonly Part[]) : [];
const memberOf = (row: Fields, name: string): unknown =>
  name.split(' ').reduce<unknown>((value, member) => (isRecord(value) ? value[member] : undefined), row);

/**
 * What a change and the row as it is now disagree about: the very things for which the change was refused, side by side.
 *
 * @param was how the changed fields were before the change
 * @param theirs the row as it is now
 */
export function twoVersions(was: Fields, change: Fields, theirs: Fields): TwoVersions[] {
  const { parts: _, ...fields } = change;
  const named = joinedFields(theirs, was, fields).conflicts.map((field): TwoVersions => ({
    ...{ field, part: null },
    ...{ mine: wordsOf(memberOf(change, field)), theirs: wordsOf(memberOf(theirs, field)) },
  }));
  if (!('parts' in change)) return named;
  const laid: PartsChange = partsChange(partsIn(was), partsIn(change));
  const part = (row: Fields, id: Id) => partsIn(row).find((one) => one.id === id);
  const parts = withPartsChange(partsIn(theirs), laid).conflicts.map((id): TwoVersions => ({
    ...{ field: null, part: id },
    ...{ mine: wordsOf(part(change, id)), theirs: wordsOf(part(theirs, id)) },
  }));
  return [...named, ...parts];
}
