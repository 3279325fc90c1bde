import { expect, test } from '@jest/globals';
import { sampleSound } from './sample-sound.ts';
import { withoutLongWords } from './long-words.ts';

const said = (id: string, transcript: string) => sampleSound(id, { transcript });

test('long words are cut to their beginning and named, short ones are left', () => {
  const long = 'A word and one more. '.repeat(40);
  const { materials, begun } = withoutLongWords([said('short1', 'Two words.'), said('long1', long)]);
  expect(begun).toEqual(['long1']);
  expect(materials[0]?.transcript).toBe('Two words.');
  const start = materials[1]?.transcript ?? '';
  expect(start.length).toBeGreaterThan(300);
  expect(start.length).toBeLessThanOrEqual(400);
  expect(long.startsWith(start)).toBe(true);
});

test('no letter is cut in two', () => {
  const start = withoutLongWords([said('kites1', 'x' + '🪁'.repeat(600))]).materials[0]?.transcript ?? '';
  expect(start).toMatch(/^x(🪁)+$/u);
});

test('what is cut and what is whole are the same rows in the same order', () => {
  const all = [said('a1', ''), said('b1', 'y'.repeat(601)), said('c1', 'z'.repeat(600))];
  const { materials, begun } = withoutLongWords(all);
  expect(materials.map(({ id }) => id)).toEqual(['a1', 'b1', 'c1']);
  expect(begun).toEqual(['b1']);
  expect(materials[2]).toBe(all[2]);
});
