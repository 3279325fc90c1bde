import { describe, expect, test } from '@jest/globals';
import { Ajv } from 'ajv';
import formats from 'ajv-formats';
import fc from 'fast-check';
import { createRequire } from 'node:module';
import { partSchema } from '../../parts/parts.ts';
import { resumeSections } from '../sections.ts';
import { checkedEntries } from './checked-entries.ts';
import { fromJsonResume } from './from-json-resume.ts';
import { linesOfText, longestLine } from './lines-of-text.ts';
import { itemMappings } from './mapping.ts';
import { nothingTaken, type TakenEntry } from './taken-entry.ts';
import { toJsonResume } from './to-json-resume.ts';

const require = createRequire(import.meta.url);
const file = (name: string) => require(`@jsonresume/schema/${name}.json`) as Record<string, unknown>;
const schema = file('schema');
/** JSON Resume 1.0: its own schema and its own sample files, from the package @jsonresume/schema. */
const ajv = new Ajv({ strict: false });
// The package's types name its default export only.
(formats as unknown as (to: Ajv) => void)(ajv);
const isValid = ajv.compile(schema);
const owner = {
  name: 'Wren',
  label: 'Maker',
  url: 'https://kite.example/wren/',
  region: 'The north coast',
  profiles: [],
};
const samples: [string, Record<string, unknown>][] = [
  ['the sample', file('sample.resume')],
  ['a career changer', file('examples/career-changer.resume')],
  ['a new graduate', file('examples/new-grad.resume')],
  ['a senior engineer', file('examples/senior-engineer.resume')],
];

describe('a résumé in JSON Resume', () => {
  test.each(samples)('of %s is read, fits into entries, and goes out as it came', (_, file) => {
    expect(isValid(file)).toBe(true);
    const entries = fromJsonResume(file);
    expect(entries.length).toBeGreaterThan(5);
    for (const [at, entry] of entries.entries()) {
      const part = {
        ...{ id: `entry-${at}`, height: 'public', kind: 'entry', ...entry },
        lines: entry.lines.map((line, n) => ({ id: `line-${at}-${n}`, ...line })),
      };
      expect(partSchema.safeParse(part).error?.issues ?? []).toEqual([]);
    }
    const out = toJsonResume(entries, owner);
    expect(isValid(out)).toBe(true);
    for (const { key } of Object.values(itemMappings)) {
      const list = (file[key] ?? []) as unknown[];
      expect([key, out[key] ?? []]).toEqual([key, list]);
    }
    const { summary } = file['basics'] as { summary?: string };
    expect((out['basics'] as { summary?: string }).summary).toBe(summary);
    // Whom it is of is said by the page about them, with no address.
    expect(JSON.stringify(out)).not.toContain((file['basics'] as { email: string }).email);
  });

  const month = fc.constantFrom('2019', '2023-04', '2025-11');
  const proof = fc.option(
    fc.record(
      { page: fc.constantFrom('page-1', 'page-2'), part: fc.constantFrom(null, 'part-1') },
      { noNullPrototype: true },
    ),
    { nil: null },
  );
  const words = fc.string({ minLength: 1, maxLength: 30 }).map((text) => `a${text.trim()}`);
  const entryArbitrary: fc.Arbitrary<TakenEntry> = fc.record(
    {
      section: fc.constantFrom(...resumeSections),
      title: words,
      place: fc.oneof(fc.constant(''), words),
      from: fc.option(month, { nil: null }),
      to: fc.option(fc.constantFrom('now', '2026-01'), { nil: null }),
      level: fc.oneof(fc.constant(''), words),
      lines: fc.array(fc.record({ text: words, proof }, { noNullPrototype: true }), { maxLength: 4 }),
      proofs: fc.array(
        fc.record({ page: fc.constant('page-3'), part: fc.constant(null) }, { noNullPrototype: true }),
        { maxLength: 2 },
      ),
      page: fc.constantFrom(null, 'page-9'),
    },
    { noNullPrototype: true },
  );

  test('holds all that an entry says, and gives it back', () => {
    const bySection = (entries: readonly TakenEntry[]) =>
      resumeSections.flatMap((section) => entries.filter((entry) => entry.section === section));
    fc.assert(
      fc.property(fc.array(entryArbitrary, { maxLength: 8 }), (entries) => {
        const out = toJsonResume(entries, owner);
        expect(isValid(JSON.parse(JSON.stringify(out)))).toBe(true);
        const back = fromJsonResume(JSON.parse(JSON.stringify(out))).map(({ kept: _, ...entry }) => entry);
        expect(bySection(back)).toEqual(bySection(entries));
      }),
      { numRuns: 300 },
    );
  });

  test('that is none is refused in a sentence', () => {
    expect(() => fromJsonResume([])).toThrow('This is no résumé in JSON Resume');
    expect(() => fromJsonResume({ work: [3] })).toThrow('work.0 is not as it should be');
    expect(fromJsonResume({ skills: null, other: true })).toEqual([]);
    expect(fromJsonResume({ skills: [{ name: 'Welding' }] })).toEqual([
      { ...nothingTaken, section: 'skills', title: 'Welding' },
    ]);
  });
});

describe('what comes from a file', () => {
  test('is kept where an entry can hold it, and named with the reason where not', () => {
    const file = {
      work: [
        { position: 'Saturday help', highlights: ['Sanding.'] },
        { position: 'x'.repeat(200) },
        { position: 'Many', highlights: Array.from({ length: 21 }, (_, at) => `Line ${at}`) },
        { position: 'Odd', kiteWall: { more: { section: 'nonsense', lines: 'none' } } },
      ],
    };
    const { fit, refused } = checkedEntries(fromJsonResume(file));
    expect(fit.map(({ title }) => title)).toEqual(['Saturday help']);
    expect(refused.map(({ title }) => title)).toEqual(['x'.repeat(60), 'Many', 'Odd']);
    expect(refused[0]?.why).toBe('This can be at most 160 characters long.');
    expect(refused[1]?.why).toBe('At most twenty lines fit here.');
  });

  test('of all sample files is kept whole', () => {
    for (const [, sample] of samples) expect(checkedEntries(fromJsonResume(sample)).refused).toEqual([]);
  });
});

describe('a long text in lines', () => {
  test('is broken behind sentences, and is the text again when they are joined', () => {
    const long = 'Built a clock. '.repeat(60).trim();
    const lines = linesOfText(long);
    expect(lines.length).toBe(2);
    for (const line of lines) expect(line).toMatch(/^Built.*\.$/);
    fc.assert(
      fc.property(fc.array(fc.string({ minLength: 1, maxLength: 80 }), { maxLength: 60 }), (pieces) => {
        const text = pieces.join(' ').replace(/\s+/g, ' ');
        const set = linesOfText(text);
        for (const line of set) expect(line.length).toBeLessThanOrEqual(longestLine);
        expect(set.join(' ')).toBe(text);
      }),
    );
  });
});
