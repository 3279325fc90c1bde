import fc from 'fast-check';

/** `npm run seeds` gives each of its runs another seed; without one, fast-check takes its own and prints it when it fails. */
const seed = process.env['PROPERTY_SEED'];
if (seed) fc.configureGlobal({ seed: Number(seed) });
