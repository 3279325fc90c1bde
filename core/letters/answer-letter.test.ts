import { expect, test } from '@jest/globals';
import { answerLetter } from './answer-letter.ts';

const facts = {
  ...{ name: 'Tess', words: 'The hinge is hidden.', answer: 'It is on the fourth picture now.' },
  ...{ url: 'https://wall.example/p/key/', stops: 'https://wall.example/n/comment/key' },
  origin: 'https://wall.example',
};

test('tells what was said, what is answered, where it stands, and how no more come', () => {
  const { text, stops } = answerLetter(facts);
  expect(text).toBe(
    'Hello Tess,\n\nyou said this on a site that somebody showed you:\n\nThe hinge is hidden.\n\nWhoever made it answers:\n\nIt is on the fourth picture now.\n\nIt stands where you said it:\nhttps://wall.example/p/key/\n\n-- \nKite Wall at https://wall.example. No more mails about what you said on that site: https://wall.example/n/comment/key\n',
  );
  expect(stops).toBe(facts.stops);
});

test('leads nowhere where what they read is closed now, and tells not too much again', () => {
  const { text } = answerLetter({ ...facts, url: null, words: 'word '.repeat(400) });
  expect(text).not.toMatch(/It stands/);
  expect(text.length).toBeLessThan(800);
});
