import type { z } from 'zod';
import { Problem } from './problem.ts';

/** What came over the line, parsed; throws Problem 400 with the first thing that is wrong. */
export function parsed<T extends z.ZodType>(schema: T, value: unknown): z.output<T> {
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  const [issue] = result.error.issues;
  const field = issue?.path.join('.');
  throw new Problem(400, 'invalid', issue?.message ?? 'This request makes no sense here.', {
    ...(field ? { field } : {}),
  });
}
