import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import independent from 'text-readability';
import { formulas, readingEase } from './reading-ease.ts';
import { readingEaseInWords } from './reading-ease-in-words.ts';

const easeOf = (text: string) => readingEase(text, 1)?.ease ?? NaN;

describe('reading ease', () => {
  // Worked examples as they are given with the formula in general reference works, from memory.
  test.each([
    ['The cat sat on the mat.', 6, 1, 6, 116],
    ['The Australian platypus is seemingly a hybrid of a mammal and reptilian creature.', 13, 1, 24, 37.5],
    ['Each sentence of one word of one syllable: the easiest there is.', 1, 1, 1, 121.22],
  ])('%s', (_, words, sentences, syllables, ease) =>
    expect(Math.abs(formulas.ease(words, sentences, syllables) - ease)).toBeLessThan(0.3),
  );
  test('counts words, sentences and syllables', () => {
    expect(easeOf('The cat sat on the mat.')).toBeCloseTo(formulas.ease(6, 1, 6));
    expect(readingEase('Sanding oars. Varnish.', 1)?.grade).toBeCloseTo(formulas.grade(3, 2, 5));
  });

  // Opening of Herman Melville, Moby-Dick (1851), and of the Universal Declaration of Human Rights (1948); public texts, from memory.
  const texts = [
    'Call me Ishmael. Some years ago, never mind how long precisely, having little or no money in my purse, and nothing particular to interest me on shore, I thought I would sail about a little and see the watery part of the world. It is a way I have of driving off the spleen and regulating the circulation.',
    'All human beings are born free and equal in dignity and rights. They are endowed with reason and conscience and should act towards one another in a spirit of brotherhood.',
    'I cut the first gears before I had done the sums. Most of the work was in leaving things out. The people who read the first drawing asked for none of it, so the next one had one hand.',
  ];
  test.each(texts)('is what an independent package says (text-readability): %s', (text) => {
    const own = readingEase(text, 1);
    // Syllables are counted by rules, and each package has its own.
    expect(Math.abs((own?.ease ?? NaN) - independent.fleschReadingEase(text))).toBeLessThan(4);
    expect(Math.abs((own?.grade ?? NaN) - independent.fleschKincaidGrade(text))).toBeLessThan(1);
  });

  test('says nothing of a few words, and takes lines as sentences', () => {
    expect(readingEase('Too short to say.')).toBeNull();
    expect(readingEase('', 1)).toBeNull();
    expect(readingEase('745 720', 1)).toBeNull();
    expect(readingEase('Sanded oars\nStitched sails', 1)).toMatchObject({ words: 4, sentences: 2 });
  });

  test('sinks where two sentences are made one', () => {
    const sentence = fc
      .array(fc.constantFrom('sail', 'repair', 'calculation', 'oar', 'harbour'), {
        minLength: 2,
        maxLength: 8,
      })
      .map((words) => words.join(' '));
    fc.assert(
      fc.property(sentence, sentence, (a, b) => {
        expect(easeOf(`Now ${a} and ${b}.`)).toBeLessThan(easeOf(`Now ${a}. And ${b}.`));
      }),
    );
  });

  test('in words', () => {
    expect(readingEaseInWords({ words: 50, sentences: 5, ease: 68.4, grade: 6.6 })).toBe(
      'plain words, 68 of 100, about school year 7',
    );
    expect(readingEaseInWords({ words: 50, sentences: 5, ease: -12, grade: 22 })).toContain(
      'very hard to read, 0 of 100',
    );
    expect(readingEaseInWords({ words: 50, sentences: 5, ease: 116, grade: -1 })).toContain(
      'easy to read, 100 of 100, about school year 1',
    );
  });
});
