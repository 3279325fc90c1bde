import { expect, test } from '@jest/globals';
import { fileSize } from './file-size.ts';

test.each([
  [0, '0 B'],
  [900, '900 B'],
  [1023, '1023 B'],
  [1024, '1 kB'],
  [1_500_000, '1.4 MB'],
  [17 * 1024 ** 2, '17 MB'],
  [100 * 1024 ** 2, '100 MB'],
  // Never “1024 MB”.
  [1024 ** 3 - 1, '1 GB'],
  [2.55 * 1024 ** 3, '2.6 GB'],
  [9.97 * 1024 ** 2, '10 MB'],
])('%d bytes are %s', (bytes, words) => expect(fileSize(bytes)).toBe(words));
