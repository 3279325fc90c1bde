import { describe, expect, test } from '@jest/globals';
import { mostTags, readTags, tagsSchema, withoutTag, withTags } from './tags.ts';

describe('tags', () => {
  test('are read from one line, without empty ones and without the same twice', () =>
    expect(readTags(' sketch,  Dial  face,,SKETCH, dial face ')).toEqual(['sketch', 'Dial face']));
  test('added ones keep the spelling that was there', () =>
    expect(withTags(['Sketch'], ['sketch', 'wood'])).toEqual(['Sketch', 'wood']));
  test('go in whatever case they are named', () =>
    expect(withoutTag(['Sketch', 'wood'], 'SKETCH')).toEqual(['wood']));
  test('are never more than may be stored', () => {
    const many = withTags(
      [],
      Array.from({ length: 50 }, (_, at) => `tag ${at}`),
    );
    expect(many.length).toBe(mostTags);
    expect(tagsSchema.safeParse(many).success).toBe(true);
  });
  test('a very long one is cut to what may be stored', () =>
    expect(tagsSchema.safeParse(readTags('x'.repeat(200))).success).toBe(true));
});
