import { z } from 'zod';
import { proofSchema } from '../proof.ts';
import type { ResumeSection } from '../sections.ts';
import { linesOfText } from './lines-of-text.ts';
import { type ItemMapping, itemMappings } from './mapping.ts';
import { nothingTaken, ownKey, type TakenEntry } from './taken-entry.ts';

const item = z.record(z.string(), z.unknown());
const fileSchema = z.object({
  basics: item.optional(),
  ...Object.fromEntries(Object.values(itemMappings).map(({ key }) => [key, z.array(item).nullish()])),
});
const ownSchema = z
  .object({
    proofs: z.array(proofSchema).default([]),
    lineProofs: z.array(proofSchema.nullable()).default([]),
    page: z.string().nullable().default(null),
    more: item.default({}),
  })
  .partial();

const ownGoals = z.object({
  goals: z.array(
    z.object({
      section: z.literal('goals'),
      ...{ title: z.string(), place: z.string(), from: z.string().nullable(), to: z.string().nullable() },
      ...{ level: z.string(), page: z.string().nullable(), proofs: z.array(proofSchema) },
      lines: z.array(z.object({ text: z.string(), proof: proofSchema.nullable() })),
    }),
  ),
});

const text = (value: unknown): string => (typeof value === 'string' ? value : '');
/** A month or a year, as far as a date says one. */
function month(value: unknown): string | null {
  const [, said] = /^(\d{4}(?:-(?:0[1-9]|1[0-2]))?)(?:-\d\d)?$/.exec(text(value)) ?? [];
  return said ?? null;
}

/** One item as an entry; what an entry has no place for is kept beside it, so that it goes out again. */
function entryFrom(section: ResumeSection, mapping: ItemMapping, given: Record<string, unknown>): TakenEntry {
  const { title, place, from, to, date, level, text: words, list } = mapping;
  const rest = new Map(Object.entries(given));
  const take = (field: string | undefined): string => {
    const value = field === undefined ? undefined : rest.get(field);
    if (field === undefined || typeof value !== 'string') return '';
    rest.delete(field);
    return value;
  };
  const entry: TakenEntry = { ...nothingTaken, section, lines: [] };
  const own = ownSchema.safeParse(rest.get(ownKey) ?? {}).data ?? {};
  rest.delete(ownKey);
  const kept: Record<string, unknown> = {};
  entry.title = take(title);
  entry.place = take(place);
  // Where only the place is said, the place is what it is called.
  if (entry.title === '' && entry.place !== '') {
    entry.title = entry.place;
    entry.place = '';
    kept['titled'] = 'place';
  }
  entry.level = take(level);
  const begins = month(rest.get(from ?? date ?? ''));
  entry.from = begins;
  if (from !== undefined && to !== undefined) {
    const ends = month(rest.get(to));
    const isSame = ends !== null && ends === begins;
    entry.to = begins === null ? ends : ends === null ? 'now' : isSame ? null : ends;
  }
  // A day is more than an entry says: it is kept beside it.
  for (const field of [from, to, date])
    if (field !== undefined && month(rest.get(field)) !== null) {
      if (text(rest.get(field)).length > 7) kept[field] = rest.get(field);
      rest.delete(field);
    }
  const whole = take(words);
  const first = whole === '' ? [] : linesOfText(whole);
  if (whole !== '') kept['first'] = first.length;
  const listed: unknown = list === undefined ? null : rest.get(list);
  const others = Array.isArray(listed) ? (listed as unknown[]) : null;
  if (others?.every((one) => typeof one === 'string') && list !== undefined) {
    const cut = others.map((one) => linesOfText(text(one)));
    if (cut.some((one) => one.length !== 1)) kept['cut'] = cut.map(({ length }) => length);
    if (others.length === 0) kept['empty'] = true;
    entry.lines = cut.flat().map((line) => ({ text: line, proof: null }));
    rest.delete(list);
  }
  entry.lines = [...first.map((line) => ({ text: line, proof: null })), ...entry.lines];
  own.lineProofs?.forEach((proof, at) => {
    const line = entry.lines[at];
    if (line) line.proof = proof;
  });
  Object.assign(entry, own.more);
  entry.proofs = own.proofs ?? [];
  entry.page = own.page ?? null;
  if (rest.size > 0) kept['rest'] = Object.fromEntries(rest);
  if (Object.keys(kept).length > 0) entry.kept = kept;
  return entry;
}

/**
 * The entries of a résumé in JSON Resume 1.0, in its order of sections. Who it is of is not taken: the page about the maker says that.
 *
 * @throws Error a sentence, where it is no such file
 */
export function fromJsonResume(file: unknown): TakenEntry[] {
  const read = fileSchema.safeParse(file);
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new Error(
      `This is no résumé in JSON Resume: ${issue?.path.join('.') || 'the file'} is not as it should be.`,
    );
  }
  const given = read.data as Record<string, unknown>;
  const goal = text(read.data.basics?.['summary']);
  const ours = ownGoals.safeParse(read.data.basics?.[ownKey]);
  const goals: TakenEntry[] = ours.success
    ? ours.data.goals
    : goal === ''
      ? []
      : [
          {
            ...nothingTaken,
            section: 'goals',
            lines: linesOfText(goal).map((line) => ({ text: line, proof: null })),
          },
        ];
  const sections = Object.entries(itemMappings).flatMap(([section, mapping]) =>
    ((given[mapping.key] ?? []) as Record<string, unknown>[]).map((one) =>
      entryFrom(section as ResumeSection, mapping, one),
    ),
  );
  return [...goals, ...sections];
}
