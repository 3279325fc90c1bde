import { expect, test } from '@jest/globals';
import { oneProofAPage } from './one-proof-a-page.ts';

const proof = (page: string, part: string | null = null) => ({ page, part });

test('each page is named once, and leads to the first part that proves something', () => {
  expect(
    oneProofAPage([
      proof('clock'),
      proof('hotel', 'notes'),
      proof('clock', 'gears'),
      proof('clock', 'film'),
      proof('hotel'),
      proof('lamp'),
    ]),
  ).toEqual([proof('clock', 'gears'), proof('hotel', 'notes'), proof('lamp')]);
  expect(oneProofAPage([])).toEqual([]);
});
