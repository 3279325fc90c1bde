import { describe, expect, test } from '@jest/globals';
import { commentsLetter, type WaitingComment } from './comments-letter.ts';

const facts = { name: 'Wren', origin: 'https://wall.example' };
const one: WaitingComment = {
  name: 'Tess',
  words: 'The hinge.\nIs it brass?',
  page: 'Tide clock',
  site: 'site1111',
};

describe('the mail about comments that wait', () => {
  test('says who, where, what, where to answer, and how to have no more', () => {
    const { subject, text, replyTo } = commentsLetter([one], facts);
    expect(subject).toBe('1 comment waits for you');
    expect(text).toContain('Tess, on Tide clock:\nThe hinge.\nIs it brass?');
    expect(text).toContain('Nobody else sees it before you say so.');
    expect(text).toContain('https://wall.example/studio/site1111/feedback');
    expect(text).toContain('or none: choose it at the foot of that page.');
    // Whoever wrote left no address.
    expect(replyTo).toBeUndefined();
  });

  test('of many tells the newest, cut at a word, and how many more there are', () => {
    const many = Array.from({ length: 13 }, (_, at) => ({
      ...one,
      name: `Reader ${at}`,
      words: 'word '.repeat(200),
      page: '',
    }));
    const { subject, text } = commentsLetter(many, facts);
    expect(subject).toBe('13 comments wait for you');
    expect(text).toContain('Reader 9:\n');
    expect(text).not.toContain('Reader 10');
    expect(text).toContain('And 3 more.');
    expect(text).toContain('word…');
    expect(text.length).toBeLessThan(5000);
  });
});
