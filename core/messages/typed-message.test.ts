import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { messageLimits, messageSchema } from './message.ts';
import { typedMessage } from './typed-message.ts';

const right = { name: 'Ada', from: 'ada@reader.example', words: 'I liked the clock.' };

describe('what a form sent, as a message', () => {
  test('is what was typed, without blanks around it, and nothing is wrong with it', () => {
    const { typed, faults } = typedMessage({
      ...{ name: '  Ada   Quill ', from: ' ada@reader.example\n' },
      words: '\r\nI liked the clock.\r\n\r\nWhere can it be seen?  ',
      other: 'is left out',
    });
    expect(typed).toEqual({
      ...{ name: 'Ada Quill', from: 'ada@reader.example' },
      words: 'I liked the clock.\n\nWhere can it be seen?',
    });
    expect(faults).toEqual({});
  });

  test('says of each field what is wrong, and keeps what was typed', () => {
    expect(
      typedMessage({ name: ' ', from: 'ada at reader', words: 'x'.repeat(messageLimits.words + 1) }),
    ).toEqual({
      typed: { name: '', from: 'ada at reader', words: 'x'.repeat(messageLimits.words + 1) },
      faults: { name: 'missing', from: 'wrong', words: 'long' },
    });
    for (const nothing of [undefined, null, 3, 'text', {}, { name: ['a'], from: {}, words: 1 }])
      expect(typedMessage(nothing).faults).toEqual({ name: 'missing', from: 'missing', words: 'missing' });
  });

  test('holds no line end that could begin another header of a mail', () => {
    const { typed } = typedMessage({
      ...right,
      name: 'Ada\r\nBcc: all@reader.example',
      from: 'ada@reader.example\r\nBcc: x@y.example',
    });
    expect(typed.name).toBe('Ada Bcc: all@reader.example');
    expect(typedMessage({ ...right, from: 'ada@reader.example\r\nBcc: x@y.example' }).faults).toEqual({
      from: 'wrong',
    });
  });

  test('is a message exactly where nothing is wrong, and the same when it comes a second time', () => {
    const text = fc.oneof(
      fc.string(),
      fc.constant(''),
      fc.constant(right.from),
      fc.string({ unit: 'binary', maxLength: 90 }),
    );
    fc.assert(
      fc.property(fc.record({ name: text, from: text, words: text }), (fields) => {
        const { typed, faults } = typedMessage(fields);
        expect(messageSchema.safeParse(typed).success).toBe(Object.keys(faults).length === 0);
        expect(typedMessage(typed)).toEqual({ typed, faults });
      }),
    );
  });
});
