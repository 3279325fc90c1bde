import { describe, expect, test } from '@jest/globals';
import { countWords, fromParagraphs, plainText, richTextSchema } from './rich-text.ts';

describe('rich text', () => {
  test('paragraphs in, the same words out', () => {
    const text = fromParagraphs('One two\n three.\n\n\nFour   five.');
    expect(plainText(text)).toBe('One two three.\nFour five.');
    expect(countWords(text)).toBe(5);
    expect(richTextSchema.parse(text)).toEqual(text);
  });

  test.each([
    [
      'a script link',
      { type: 'text', text: 'x', marks: [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }] },
    ],
    [
      'a data link',
      { type: 'text', text: 'x', marks: [{ type: 'link', attrs: { href: 'data:text/html,x' } }] },
    ],
    ['raw HTML', { type: 'html', text: '<b>x</b>' }],
    ['a style', { type: 'text', text: 'x', marks: [{ type: 'textStyle', attrs: { color: 'red' } }] }],
  ])('refuses %s', (_, node) => {
    expect(
      richTextSchema.safeParse({ type: 'doc', content: [{ type: 'paragraph', content: [node] }] }).success,
    ).toBe(false);
  });

  test('drops attributes the schema does not name', () => {
    const parsed = richTextSchema.parse({
      type: 'doc',
      content: [{ type: 'paragraph', attrs: { style: 'color:red' }, content: [{ type: 'text', text: 'a' }] }],
    });
    expect(JSON.stringify(parsed)).not.toContain('style');
  });
});
