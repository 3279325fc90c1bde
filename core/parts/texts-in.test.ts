import { expect, test } from '@jest/globals';
import { fromParagraphs } from '../words/rich-text.ts';
import { textsIn } from './texts-in.ts';

test('every text is in, whatever it is called and however deep it lies; ids and web addresses are not', () => {
  const part = {
    ...{ id: 'quote-1a2b3c', kind: 'quote', height: null, wide: true, rows: [['a', '0151 555']] },
    text: fromParagraphs('One line. Another.'),
    by: { name: 'Ana', phone: '03023125014', link: 'https://ana.example/4410872' },
  };
  expect(textsIn(part)).toEqual(['quote', 'a', '0151 555', 'One line. Another.', 'Ana', '03023125014']);
});
