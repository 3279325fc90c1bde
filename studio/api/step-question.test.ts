import { describe, expect, test } from '@jest/globals';
import { stepQuestion } from './step-question.ts';

const refused = (code: string, details?: object) => ({
  message: 'Why.',
  problem: { code, message: 'Why.', details },
});

describe('stepQuestion', () => {
  test('who would raise something sends the same step, and that they know', () => {
    const question = stepQuestion('undo', 7, refused('would-raise'));
    expect(question).toMatchObject({ sentence: 'Why.', answer: 'Undo it', wanted: { step: 7, sure: true } });
    expect(stepQuestion('redo', 7, refused('would-raise'))?.answer).toBe('Do it again');
  });

  test('a step from elsewhere is taken by its own number, and nothing else is agreed to', () => {
    expect(stepQuestion('undo', 7, refused('other-step', { step: 9 }))?.wanted).toEqual({ step: 9 });
  });

  test('a stuck step can be taken out, and what that does is said', () => {
    const question = stepQuestion('undo', 7, refused('stuck', { step: 7 }));
    expect(question).toMatchObject({ answer: 'Take it out', wanted: { step: 7, takeOut: true } });
    expect(question?.sentence).toBe(
      'Why. Taken out of the history, what it did stays, and the step before it comes next.',
    );
    expect(stepQuestion('redo', 7, refused('stuck', { step: 7 }))?.sentence).toContain('the step after it');
  });

  test('every other refusal is no question', () => {
    expect(stepQuestion('undo', 7, refused('nothing-to-undo'))).toBeNull();
  });
});
