import { z } from 'zod';

/** Ids are random, URL-safe and carry no meaning. */
export const idSchema = z.string().regex(/^[A-Za-z0-9_-]{6,40}$/, 'This is not an id.');
export type Id = string;
