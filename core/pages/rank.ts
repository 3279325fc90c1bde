import { generateKeyBetween } from 'fractional-indexing';
import { z } from 'zod';

/** A place in an order, as the package that makes them takes it: another text would leave nothing between it and the next. */
export const rankSchema = z
  .string()
  .min(1)
  .max(200)
  .refine((rank) => {
    try {
      generateKeyBetween(rank, null);
      return true;
    } catch {
      return false;
    }
  }, 'This is no place in an order.');
