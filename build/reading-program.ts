import { program } from './program.ts';

/** Bundles only what looks into files, for tests and while developing. */
await program('server/reading/reading-main.ts', 'reading');
