import { z } from 'zod';
import { atSite } from './at-site.ts';
import { revision } from './change.ts';
import { patchSchema } from './patch.ts';
import { route } from './route.ts';

/** Which step back or forth, and what its maker was asked before. */
const wantedStep = z
  .object({
    /** The step their tab names; when another would be taken by now, they are told first. */
    step: revision.optional(),
    /** They know that what was lowered is raised again by it. */
    sure: z.boolean().default(false),
    /** Where that step is stuck, it is to be taken out of the history. */
    takeOut: z.boolean().default(false),
  })
  .optional();

const steppedSchema = patchSchema.extend({ label: z.string(), takenOut: z.boolean() });

export const undoEdit = route({
  method: 'POST',
  path: '/api/sites/:site/undo',
  params: atSite,
  body: wantedStep,
  reply: steppedSchema,
});

export const redoEdit = route({
  method: 'POST',
  path: '/api/sites/:site/redo',
  params: atSite,
  body: wantedStep,
  reply: steppedSchema,
});
