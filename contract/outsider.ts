import { z } from 'zod';
import { idSchema } from '#core/id.ts';
import { findingSchema, outsiderWhySchema } from '#core/outsider/outsider-test.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

export const outsiderTestSchema = z.object({
  id: idSchema,
  at: z.iso.datetime(),
  why: outsiderWhySchema,
  /** Number of the release that was live; null before the first one. */
  release: z.number().int().nullable(),
  /** Addresses that were asked for. */
  asked: z.number().int(),
  findings: z.array(findingSchema),
});
export type OutsiderTest = z.infer<typeof outsiderTestSchema>;

const testsSchema = z.object({
  /** The latest first. */
  tests: z.array(outsiderTestSchema),
  /** One is being run now, after a publish say. */
  running: z.boolean(),
});

export const listOutsiderTests = route({
  method: 'GET',
  path: '/api/sites/:site/outsider-tests',
  params: atSite,
  body: nothing,
  reply: testsSchema,
});

/** Runs the test, and answers when it is done. @throws 503 where the server cannot reach itself */
export const runOutsiderTest = route({
  method: 'POST',
  path: '/api/sites/:site/outsider-tests',
  params: atSite,
  body: nothing,
  reply: testsSchema,
});
