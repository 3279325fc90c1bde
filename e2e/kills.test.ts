import { expect, test } from '@jest/globals';
import { killMany } from './support/kills.ts';

/** A few of the kills that `npm run kills` does a hundred and more of. */
test('whatever the server is killed in, nothing that was closed is open afterwards and nothing saved is gone', async () => {
  const { faults, kills } = await killMany(5, 7, () => {});
  expect(faults).toEqual([]);
  expect(kills).toBe(5);
});
