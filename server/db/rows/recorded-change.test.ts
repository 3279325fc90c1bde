import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '#core/access/arbitrary-draft.ts';
import type { Page, PageOf } from '#core/pages/page.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import type { Part } from '#core/parts/parts.ts';
import { applied, changesNothing, inverse, joined, readRecorded, recorded } from './recorded-change.ts';
import type { RowChange } from './rows.ts';

type Project = PageOf<'project'>;
const pages = draftArbitrary.map((draft) => draft.pages).filter((list) => list.length > 0);
/** A page as it was and as it is: fields and parts taken from two others, in any mixture and order. */
const around = fc
  .tuple(pages, fc.infiniteStream(fc.nat()))
  .map(([list, numbers]): [Project, Project, Project] => {
    const pick = () => list[numbers.next().value % list.length] as Project;
    const one = pick();
    const parts = list.flatMap((page) => page.parts);
    const mixed = (): Project => ({
      ...one,
      title: pick().title,
      height: pick().height,
      facts: pick().facts,
      parts: [
        ...new Map(
          parts.map((part): [string, Part] => [part.id, { ...part, height: pick().height }]),
        ).values(),
      ]
        .filter(() => numbers.next().value % 3 > 0)
        .map((part) => ({ part, key: numbers.next().value }))
        .sort((a, b) => a.key - b.key)
        .map(({ part }) => part),
    });
    return [mixed(), mixed(), mixed()];
  });
const change = (before: Page | null, after: Page | null): RowChange => ({
  table: 'page',
  id: before?.id ?? after?.id ?? '',
  before,
  after,
});
/** As the database gives it back. */
const kept = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

describe('recorded changes', () => {
  test('lead from what was to what is and back, whatever changed', () => {
    fc.assert(
      fc.property(around, ([before, after]) => {
        const one = kept(recorded(change(before, after)));
        expect(applied(one, before)?.after).toEqual(after);
        expect(applied(inverse(one), after)?.after).toEqual(before);
      }),
    );
  });

  test('two are one where the second follows on the first', () => {
    fc.assert(
      fc.property(around, ([first, second, third]) => {
        const both = joined(kept(recorded(change(first, second))), change(second, third));
        expect(both && applied(inverse(both), third)?.after).toEqual(first);
        expect(both && applied(both, first)?.after).toEqual(third);
        const back = joined(kept(recorded(change(first, second))), change(second, first));
        expect(back && changesNothing(back)).toBe(true);
      }),
    );
  });

  const [page] = fc.sample(pages, { seed: 7, numRuns: 1 })[0] as [Project];
  const words = (n: number, text: string): Part => ({
    id: `words-${n}`,
    kind: 'words',
    height: 'public',
    text: fromParagraphs(text),
  });
  const forty: Project = {
    ...page,
    title: 'Was',
    parts: Array.from({ length: 40 }, (_, n) => words(n, 'word '.repeat(300))),
  };

  test('a word in one of forty parts costs that part, before and after', () => {
    const after = { ...forty, parts: forty.parts.map((part, at) => (at === 20 ? words(20, 'other') : part)) };
    const size = JSON.stringify(recorded(change(forty, after))).length;
    expect(size).toBeLessThan(JSON.stringify(forty.parts[20]).length + 600);
    expect(size).toBeGreaterThan(JSON.stringify(forty.parts[20]).length);
  });

  test('what was done to the rest of the row since stays; what was done to the same stands in the way', () => {
    const titled = recorded(change(forty, { ...forty, title: 'Is' }));
    const since: Project = { ...forty, title: 'Is', summary: 'Written elsewhere', parts: [] };
    expect(applied(inverse(titled), since)?.after).toEqual({ ...since, title: 'Was' });
    expect(applied(inverse(titled), { ...since, title: 'Later' })).toBeNull();
    expect(applied(inverse(titled), null)).toBeNull();
    const part = recorded(change(forty, { ...forty, parts: [words(0, 'Mine'), ...forty.parts.slice(1)] }));
    expect(applied(inverse(part), { ...forty, parts: [words(0, 'Theirs')] })).toBeNull();
  });

  test('a row that came or went is whole; where it came again, or changed, nothing is done', () => {
    const made = recorded(change(null, forty));
    expect(applied(made, null)?.after).toEqual(forty);
    expect(applied(made, forty)).toBeNull();
    expect(applied(inverse(made), forty)?.after).toBeNull();
    expect(applied(inverse(made), { ...forty, title: 'Changed' })).toBeNull();
    const both = joined(made, change(forty, null));
    expect(both && changesNothing(both)).toBe(true);
  });

  test('both rows of an earlier version are read by what differs, whatever columns came or went since', () => {
    const { summary: _, ...earlier } = forty;
    const old = {
      table: 'page',
      id: page.id,
      before: { ...earlier, tint: 1 },
      after: { ...earlier, tint: 1, title: 'Is' },
    };
    const read = readRecorded(kept(old));
    const now: Project = { ...forty, title: 'Is', summary: 'A column that came later' };
    expect(read && applied(inverse(read), now)?.after).toEqual({ ...now, title: 'Was' });
    const gone = readRecorded(kept({ ...old, before: null }));
    expect(gone).not.toBeNull();
    expect(gone && applied(inverse(gone), now)?.after).toBeNull();
  });

  test('what a newer version kept is not guessed at', () => {
    expect(readRecorded({ v: 3, table: 'page', id: page.id, before: {}, after: {} })).toBeNull();
    expect(readRecorded({ v: 2, table: 'moment', id: 'moment-1', before: null, after: {} })).toBeNull();
  });
});
