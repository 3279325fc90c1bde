import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type Part, partsSchema } from './parts.ts';
import { partsChange, partsChangeSchema, withPartsChange } from './parts-change.ts';

const quote = (letter: string, text = ''): Part => ({
  id: `part-${letter}`,
  height: 'public',
  kind: 'quote',
  text,
  by: '',
});
const told = (parts: readonly Part[]) =>
  parts.map((part) => `${part.id.slice(5)}${part.kind === 'quote' ? part.text : ''}`).join(' ');
/** "a b! c": parts by their ids, with what is typed in each. */
const list = (text: string): Part[] =>
  text
    .split(' ')
    .filter(Boolean)
    .map((one) => quote(one.slice(0, 1), one.slice(1)));

/** What comes of two people changing the same parts. */
const joined = (was: string, mine: string, theirs: string) => {
  const { parts, conflicts } = withPartsChange(list(theirs), partsChange(list(was), list(mine)));
  return [told(parts), conflicts.map((id) => id.slice(5)).join(' ')];
};

describe('parts two people changed', () => {
  test.each([
    ['each typed in another one', 'a b c', 'a! b c', 'a b c?', 'a! b c?'],
    ['one typed, the other moved', 'a b c', 'a b! c', 'c a b', 'c a b!'],
    ['one moved, the other typed', 'a b c', 'c a b', 'a b! c', 'c a b!'],
    ['both added', 'a b', 'a x b', 'a b y', 'a x b y'],
    ['both added at one place', 'a b', 'a x b', 'a y b', 'a x y b'],
    ['one added, the other moved', 'a b c', 'a x b c', 'c b a', 'c b a x'],
    ['one moved, the other added', 'a b c', 'c b a', 'a y b c', 'c b a y'],
    ['both took off', 'a b c', 'a c', 'a b', 'a'],
    ['one took off, the other added after it', 'a b c', 'a c', 'a b y c', 'a y c'],
    ['one took off what the other typed in', 'a b c', 'a c', 'a b! c', 'a b! c'],
    ['one typed in what the other took off', 'a b c', 'a b! c', 'a c', 'a c b!'],
    ['both typed the same', 'a b', 'a! b', 'a! b', 'a! b'],
    ['both moved: who comes second decides', 'a b c', 'b a c', 'c a b', 'b a c'],
  ])('%s', (_, was, mine, theirs, result) => expect(joined(was, mine, theirs)).toEqual([result, '']));

  test('both typed in the same one: that is a conflict, and the rest is joined', () =>
    expect(joined('a b', 'a! b', 'a? b?')).toEqual(['a! b?', 'a']));

  const parts = fc.uniqueArray(
    fc.record({ id: fc.constantFrom(...'abcdefgh'), text: fc.constantFrom('', '!', '?') }),
    { selector: ({ id }) => id, maxLength: 8 },
  );
  const anyList = parts.map((all) => all.map(({ id, text }) => quote(id, text)));

  test('laid over what it was made from, a change gives what was wanted', () => {
    fc.assert(
      fc.property(anyList, anyList, (was, mine) => {
        const change = partsChange(was, mine);
        expect(partsChangeSchema.parse(change)).toEqual(change);
        expect(withPartsChange(was, change)).toEqual({ parts: mine, conflicts: [] });
      }),
    );
  });

  test('only what changed is sent', () => {
    const many = Array.from({ length: 60 }, (_, at) => quote(`p${at}`, 'words '.repeat(40)));
    const change = partsChange(
      many,
      many.map((part, at) => (at === 30 ? quote('p30', 'other') : part)),
    );
    expect(change.set.length).toBe(1);
    expect(change.order).toBeNull();
    expect(JSON.stringify(change).length).toBeLessThan(JSON.stringify(many).length / 20);
  });

  test('whatever both do: nothing typed is lost without being named, no part stands twice, an empty change changes nothing', () => {
    fc.assert(
      fc.property(anyList, anyList, anyList, (was, mine, theirs) => {
        const { parts: result, conflicts } = withPartsChange(theirs, partsChange(was, mine));
        partsSchema.parse(result);
        const find = (all: readonly Part[], id: string) => all.find((one) => one.id === id);
        for (const part of mine)
          if (JSON.stringify(find(was, part.id)) !== JSON.stringify(part))
            expect(find(result, part.id)).toEqual(part);
        for (const part of theirs)
          if (JSON.stringify(find(was, part.id)) !== JSON.stringify(part) && !conflicts.includes(part.id)) {
            const own = find(mine, part.id);
            const same = JSON.stringify(own) === JSON.stringify(part);
            if (same || !own || JSON.stringify(own) === JSON.stringify(find(was, part.id)))
              expect(find(result, part.id)).toEqual(part);
          }
        expect(withPartsChange(theirs, partsChange(was, was)).parts).toEqual(theirs);
      }),
      { numRuns: 600 },
    );
  });
});
