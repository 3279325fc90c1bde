import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { plainText, richTextSchema } from './rich-text.ts';
import { wordsOfNote } from './words-of-note.ts';

test('blank lines part paragraphs, single line ends stay line ends', () => {
  const { content } = wordsOfNote('Ask Idris\r\nabout the gears.\n\n \n  Buy brass.\n');
  expect(content).toEqual([
    {
      type: 'paragraph',
      content: [
        { type: 'text', text: 'Ask Idris' },
        { type: 'hardBreak' },
        { type: 'text', text: 'about the gears.' },
      ],
    },
    { type: 'paragraph', content: [{ type: 'text', text: 'Buy brass.' }] },
  ]);
});

test('whatever is noted becomes words a page takes, and no word is lost', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 300 }), (note) => {
      const words = richTextSchema.parse(wordsOfNote(note));
      expect(plainText(words).split(/\s+/).filter(Boolean)).toEqual(note.split(/\s+/).filter(Boolean));
    }),
  );
});
