import { expect, test } from '@jest/globals';
import { oneAtATime } from './one-at-a-time.ts';

test('a second call while the first runs does nothing; afterwards it works again, also after a failure', async () => {
  let calls = 0;
  let fail = false;
  const action = oneAtATime(async () => {
    calls++;
    await Promise.resolve();
    if (fail) throw new Error('refused');
  });
  await Promise.all([action(), action(), action()]);
  expect(calls).toBe(1);
  fail = true;
  await expect(action()).rejects.toThrow('refused');
  fail = false;
  await action();
  expect(calls).toBe(3);
});
