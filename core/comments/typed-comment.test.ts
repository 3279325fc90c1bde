import { describe, expect, test } from '@jest/globals';
import { commentLimits } from './comment.ts';
import { typedComment } from './typed-comment.ts';

describe('what a form sent as a comment', () => {
  test('has an address to be told of an answer, or none', () => {
    const given = { name: 'Tess', words: 'Good.' };
    const of = (to: unknown) => typedComment({ ...given, to }, () => true);
    expect(of(' tess@reader.example ')).toMatchObject({ typed: { to: 'tess@reader.example' }, faults: {} });
    for (const none of ['', '  ', undefined, 7])
      expect(of(none)).toMatchObject({ typed: { to: '' }, faults: {} });
    for (const wrong of [
      'tess',
      'a@b',
      `${'a'.repeat(250)}@reader.example`,
      'a@reader.example, b@reader.example',
    ])
      expect(of(wrong).faults).toEqual({ to: 'no-address' });
  });

  test('is tidied: one line for a name, line ends of one kind', () => {
    expect(
      typedComment(
        { name: ' Tess \n Odum ', words: ' One.\r\nTwo. ', quote: 'One\n hand', part: 'part1111' },
        () => true,
      ),
    ).toEqual({
      typed: {
        ...{ name: 'Tess Odum', words: 'One.\nTwo.', quote: 'One hand', part: 'part1111' },
        ...{ picture: '', point: null, extent: 'all', to: '' },
      },
      faults: {},
    });
  });

  test.each([
    [{}, { name: 'missing', words: 'missing' }],
    [null, { name: 'missing', words: 'missing' }],
    [
      { name: ['Tess'], words: { a: 1 } },
      { name: 'missing', words: 'missing' },
    ],
    [{ name: 'T'.repeat(commentLimits.name + 1), words: 'Good.' }, { name: 'long' }],
    [{ name: 'Tess', words: 'a'.repeat(commentLimits.words + 1) }, { words: 'long' }],
    [{ name: 'Tess', words: 'See https://a.example and www.b.example.' }, {}],
    [{ name: 'Tess', words: 'Good.', quote: 'no such words' }, { quote: 'elsewhere' }],
    [{ name: 'Tess', words: 'Good.', quote: 'a'.repeat(commentLimits.quote + 1) }, { quote: 'long' }],
    [{ name: 'Tess', words: 'Good.', quote: ' ' }, {}],
    [{ name: 'Tess', words: 'https://a.example http://b.example WWW.c.example' }, { words: 'links' }],
  ])('%j is told what is wrong with it', (fields, faults) => {
    expect(typedComment(fields, () => false).faults).toEqual(faults);
  });

  test('a picture, where in it, and how much of it', () => {
    const given = { name: 'Tess', words: 'Good.', picture: 'files/a.jpg', point: '10 20', extent: 'around' };
    expect(typedComment(given, () => true).typed).toMatchObject({
      ...{ picture: 'files/a.jpg', point: { x: 10, y: 20 }, extent: 'around' },
    });
    expect(typedComment({ ...given, point: '9999 1', extent: 'huge' }, () => true).typed).toMatchObject({
      ...{ point: null, extent: 'all' },
    });
  });

  test('a part that is none is the page', () => {
    const part = (given: string) =>
      typedComment({ name: 'Tess', words: 'Good.', part: given }, () => true).typed.part;
    expect(part('../../etc')).toBeNull();
    expect(part('')).toBeNull();
  });
});
