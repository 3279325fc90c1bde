import { expect, test } from '@jest/globals';
import { addressesIn } from './addresses-in.ts';

test.each([
  [
    'ada@reader.example, Bo <bo@reader.example>; ADA@reader.example',
    ['ada@reader.example', 'bo@reader.example'],
  ],
  // A name with an address in angle brackets: RFC 5322, section 3.4.
  ['"Quill, Ada" <ada.quill+clock@reader.example>', ['ada.quill+clock@reader.example']],
  ['Write to ada@reader.example.', ['ada@reader.example']],
  ['Tutors of the second year', []],
  ['a@b, @reader.example, ada@', []],
])('in %s', (text, expected) => expect(addressesIn(text)).toEqual(expected));
