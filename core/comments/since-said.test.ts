import { expect, test } from '@jest/globals';
import { samplePage } from '../pages/sample-page.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import { fromParagraphs } from '../words/rich-text.ts';
import { sinceSaid } from './since-said.ts';

const page = (id: string, ...parts: Part[]) => samplePage(id, 'plain', { parts });
const words = (text: string): Part =>
  ({ ...newPart('words', 'the-words'), text: fromParagraphs(text) }) as Part;

test('words that were quoted are looked for where they stood, on whichever page that part is now', () => {
  const about = { part: 'the-words', quote: 'one hand for the tide' };
  expect(sinceSaid([page('a'), page('b', words('One hand\n\nfor the  tide.'))], about)).toBeNull();
  expect(sinceSaid([page('b', words('Two hands for the tide.'))], about)).toBe('changed');
  expect(sinceSaid([page('b')], about)).toBe('gone');
});

test('nothing is said of a page as a whole, of a part of which nothing is quoted, nor where words stand among others', () => {
  expect(sinceSaid([], { part: null, quote: 'anything' })).toBeNull();
  expect(sinceSaid([page('a', words('Other.'))], { part: 'the-words', quote: '' })).toBeNull();
  const table = newPart('table', 'the-table');
  expect(sinceSaid([page('a', table)], { part: 'the-table', quote: 'Hours Cost' })).toBeNull();
});
