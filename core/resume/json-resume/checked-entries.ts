import { partSchema } from '../../parts/parts.ts';
import type { TakenEntry } from './taken-entry.ts';

export interface CheckedEntries {
  fit: TakenEntry[];
  /** What an entry cannot hold, by what it is called, and why. */
  refused: { title: string; why: string }[];
}

/** Of entries from a file, those that can be kept, and why others cannot: a file says whatever it likes. */
export function checkedEntries(taken: readonly TakenEntry[]): CheckedEntries {
  const checked: CheckedEntries = { fit: [], refused: [] };
  for (const [at, entry] of taken.entries()) {
    const lines = Array.isArray(entry.lines) ? entry.lines : [];
    const part = partSchema.safeParse({
      ...{ ...entry, id: 'entry-read', height: 'public', kind: 'entry' },
      lines: lines.map((line, n) => ({ ...line, id: `line-${n}` })),
    });
    if (part.success) checked.fit.push(entry);
    else
      checked.refused.push({
        title:
          typeof entry.title === 'string' && entry.title !== ''
            ? entry.title.slice(0, 60)
            : `Entry ${at + 1}`,
        why: part.error.issues[0]?.message ?? 'It is not as an entry should be.',
      });
  }
  return checked;
}
