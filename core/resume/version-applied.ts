import type { Part, PartOf } from '../parts/parts.ts';

/** An entry as a version has it: without the lines that it leaves out, and in its words. */
export function entryOf(version: PartOf<'version'>, entry: PartOf<'entry'>): PartOf<'entry'> {
  const without = new Set(version.without);
  const words = new Map(version.words.map(({ line, text }) => [line, text]));
  return {
    ...entry,
    lines: entry.lines
      .filter(({ id }) => !without.has(id))
      .map((line) => ({ ...line, text: words.get(line.id) ?? line.text })),
  };
}

/**
 * The parts of a page with the entries of its version, in its order and its words, where the version stands; of a page without one
 * no entry is left.
 *
 * @param parts that a reader may see, of versions at most one
 */
export function versionApplied(parts: readonly Part[]): Part[] {
  const version = parts.find((part): part is PartOf<'version'> => part.kind === 'version');
  const entries = new Map(parts.flatMap((part) => (part.kind === 'entry' ? [[part.id, part] as const] : [])));
  if (entries.size === 0) return [...parts];
  const chosen = (version?.entries ?? []).flatMap((id) => {
    const entry = entries.get(id);
    entries.delete(id);
    return version && entry ? [entryOf(version, entry)] : [];
  });
  return parts.flatMap((part): Part[] =>
    part.kind === 'entry' ? [] : part === version ? [part, ...chosen] : [part],
  );
}
