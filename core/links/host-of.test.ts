import { expect, test } from '@jest/globals';
import { hostOf } from './host-of.ts';

test.each([
  ['https://www.Museum.example/tides?x=1#y', 'museum.example'],
  ['http://user@harbour.example:8080', 'harbour.example'],
  ['http://[::1]:4182/open', '[::1]'],
  ['Town archive', null],
  ['https://two words.example', null],
  ['ftp://files.example', null],
])('host of %s is %s', (text, host) => {
  expect(hostOf(text)).toBe(host);
});
