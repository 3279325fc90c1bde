import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { peopleFromText } from '../passes/people-from-text.ts';
import { textFromPeople } from './text-from-people.ts';

test('stands a line each, as it was typed', () => {
  const people = [
    { name: 'Juno', more: 'juno@reader.example, Thursday' },
    { name: 'Odd Marten', more: '' },
  ];
  expect(textFromPeople(people)).toBe('Juno,"juno@reader.example, Thursday"\nOdd Marten');
});

test('is read again as it was', () => {
  const word = fc.stringMatching(/^[A-Za-zÀ-ž"'’][A-Za-zÀ-ž "'’,.@-]{0,30}[A-Za-zÀ-ž"]$/);
  const someone = fc.record({ name: word, more: fc.oneof(fc.constant(''), word) });
  const isTitle = (name: string) => /^(name|names|student|students|first name|who)$/i.test(name);
  fc.assert(
    fc.property(
      fc.uniqueArray(someone, {
        selector: ({ name, more }) => `${name}\n${more}`.toLowerCase(),
        maxLength: 8,
      }),
      (people) => {
        fc.pre(!isTitle(people[0]?.name ?? ''));
        expect(peopleFromText(textFromPeople(people))).toEqual(people);
      },
    ),
  );
});
