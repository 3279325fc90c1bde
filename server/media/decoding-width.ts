import { availableParallelism } from 'node:os';

/**
 * How many pictures are read at once: one for each core, and two more so that no core is idle while a file is opened,
 * written or asked for its date.
 */
export const decodingWidth = (): number => availableParallelism() + 2;
