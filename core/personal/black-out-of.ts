import type { BlackOut } from '../materials/fixes.ts';
import type { InsideFound } from './inside.ts';

/** What has to be black so that nothing of what was found is seen. */
export const blackOutOf = ({ page, regions }: InsideFound): BlackOut[] =>
  regions.map((region) => ({ ...region, page: page ?? 0 }));
