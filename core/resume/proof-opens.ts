import { effectiveHeight } from '../access/effective-height.ts';
import { reaches } from '../access/height.ts';
import type { Id } from '../id.ts';
import type { Draft } from '../sites/site.ts';
import type { Proof } from './proof.ts';

/**
 * Whether readers of a version can open what proves something. Of a Private version its maker is the only reader.
 *
 * @param page the résumé's
 */
export function proofOpens(
  draft: Pick<Draft, 'site' | 'pages'>,
  { page, version }: { page: Id; version: Id },
): (proof: Proof) => boolean {
  const own = effectiveHeight(draft, { page, part: version }).height;
  return ({ page: of, part }) =>
    own === 'private' ||
    reaches(effectiveHeight(draft, part === null ? { page: of } : { page: of, part }).height, own);
}
