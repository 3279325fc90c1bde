import { describe, expect, test } from '@jest/globals';
import { noFacts } from '../../pages/case-facts.ts';
import { findingsOfPage } from '../findings-of-page.ts';
import { picture, part, project, englishSite, checked, of, says, gallery } from '../sample-checked-page.ts';

describe('what somebody can be found by', () => {
  test('in the title, the facts, a part of any kind, and what is said of what stands there', () => {
    const page = project({
      title: 'Stool for +44 7700 900123',
      facts: { ...noFacts, withWhom: [{ name: 'Ana', did: 'ana@school.example' }] },
      parts: [part('quote', { text: 'Student no. 4410872 said so.' }), gallery] as never,
    });
    const about = [picture('b-picture', { caption: 'In front of 14 Quay Street.' })];
    expect(
      of('personal', checked(page, about)).map(({ says: one, part: at, material }) => [one, at, material]),
    ).toEqual([
      ['“ana@school.example” is an e-mail address.', null, null],
      ['“+44 7700 900123” looks like a telephone number.', null, null],
      ['“4410872” looks like a student number.', 'quote-1', null],
      [
        '“14 Quay Street” in what is said of “Dial” looks like where somebody lives.',
        'gallery-1',
        'b-picture',
      ],
    ]);
  });

  test('but not in what is there for readers to write to its maker, nor under the name of a picture’s file', () => {
    const page = project({ parts: [part('contact', { words: 'ana@school.example' }), gallery] as never });
    expect(
      says('personal', checked(page, [picture('b-picture', { fileName: '030 23125 014.jpg' })])),
    ).toEqual([]);
  });

  test('all of it where its maker is under 18, and it says whom to ask', () => {
    const page = project({
      parts: [part('contact', { words: 'ana@school.example' })] as never,
      summary: 'I am 16.',
    });
    const site = { ...englishSite, underAge: true };
    const found = findingsOfPage({ ...checked(page), site }).filter(({ rule }) => rule === 'personal');
    expect(found.map((one) => one.says)).toEqual([
      '“I am 16” says how old you are.',
      '“ana@school.example” is an e-mail address.',
    ]);
    expect(found.every(({ why }) => why.includes('somebody who looks after you agrees'))).toBe(true);
    expect(says('personal', checked(page))).toEqual([]);
  });

  test('let stand, it is remembered by a digest, which says nothing of it', () => {
    const page = project({ parts: [gallery], summary: 'ana@school.example' });
    const [found] = findingsOfPage(checked(page)).filter(({ rule }) => rule === 'personal');
    expect(found).toMatchObject({ weight: 'needed', of: expect.stringMatching(/^[0-9a-f]{16}$/) });
    expect(found?.key).not.toContain('ana');
  });
});
