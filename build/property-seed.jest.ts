import fc from 'fast-check';

/**
 * `npm run seeds` gives each of its runs another seed; without one, fast-check takes its own and prints it when it fails.
 * `npm run mutants` tries fewer samples, so that every change can be tried.
 */
const { PROPERTY_SEED: seed, PROPERTY_RUNS: runs } = process.env;
fc.configureGlobal({ ...(seed ? { seed: Number(seed) } : {}), ...(runs ? { numRuns: Number(runs) } : {}) });
