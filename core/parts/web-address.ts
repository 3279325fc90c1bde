import { z } from 'zod';

/** A web address, or none. */
export const webAddress = z.union([
  z.literal(''),
  z.url({ protocol: /^https?$/, error: 'This is no web address.' }).max(2000),
]);
