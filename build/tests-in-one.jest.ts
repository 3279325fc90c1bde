import { test } from '@jest/globals';
import fc from 'fast-check';

/**
 * The tests of many files as one, so that what they all import is read once: for scripts that run the same tests some hundred
 * times. `TEST_FILES` names them, from the root; with `SEEDS` they are run once with each of those seeds for properties.
 */
const { TEST_FILES = '', SEEDS = '' } = process.env;
for (const seed of SEEDS.split(',')) {
  if (seed !== '') {
    const useSeed = () => fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: Number(seed) });
    // Now for what is drawn while tests are being named, and again when their turn comes.
    useSeed();
    test(`from here on with seed ${seed}`, useSeed);
  }
  // What stands after the question mark makes it another module; what it imports stays the same.
  for (const file of TEST_FILES.split(',')) await import(`../${file}?${seed}`);
}
