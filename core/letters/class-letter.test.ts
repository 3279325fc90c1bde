import { expect, test } from '@jest/globals';
import { askedLetter, givenBackLetter } from './class-letter.ts';

const facts = {
  ...{ name: 'Wren', origin: 'https://wall.example', className: 'Waste as a material' },
  ...{ by: 'Idris', site: 'site-one' },
};

test('what a class asks comes with where to answer it, and how to have no such mail', () => {
  const { subject, text } = askedLetter('Please show the hinge.', facts);
  expect(subject).toBe('Idris asks for something: Waste as a material');
  expect(text).toContain('“Waste as a material”:\n\nPlease show the hinge.');
  expect(text).toContain('https://wall.example/studio/site-one/share/hand-ins');
  expect(text).toMatch(/not at all: choose it at the foot of Feedback/);
});

test('what is given back is one letter: each line with its level and words, then the whole', () => {
  const { text } = givenBackLetter(
    {
      lines: [
        { id: 'line-one', text: 'It opens', level: 'there', words: '' },
        { id: 'line-two', text: 'It says why', level: 'not-yet', words: 'Say what failed.' },
        { id: 'line-three', text: 'It is mine', level: null, words: 'Who drew it?' },
      ],
      words: 'A good start.',
    },
    facts,
  );
  expect(text).toContain(
    'It opens: there\n\nIt says why: not yet\nSay what failed.\n\nIt is mine\nWho drew it?\n\nA good start.',
  );
});
