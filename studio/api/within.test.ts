import { expect, test } from '@jest/globals';
import { within } from './within.ts';

const never = new Promise<string>(() => {});

test('what is there in time is given, what is not is nothing, and what fails fails', async () => {
  expect(await within(10_000, Promise.resolve('kept'))).toBe('kept');
  expect(await within(1, never)).toBeNull();
  await expect(within(10_000, Promise.reject(new Error('no room')))).rejects.toThrow('no room');
});
