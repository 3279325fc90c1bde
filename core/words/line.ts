import { z } from 'zod';

/** One line of text of at most so many characters. */
export const line = (most: number) => z.string().max(most, `This can be at most ${most} characters long.`);
