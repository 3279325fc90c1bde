import { effectiveHeight } from '../access/effective-height.ts';
import { reaches } from '../access/height.ts';
import type { Id } from '../id.ts';
import { drawnMoments } from '../moments/drawn-moments.ts';
import { isMoment } from '../moments/moments-of.ts';
import { shownOn } from '../pages/page.ts';
import { isEmptyPart } from '../parts/is-empty-part.ts';
import type { Draft } from '../sites/site.ts';
import type { Proof } from './proof.ts';

/**
 * Whether readers of a version can open what proves something. Of a Private version its maker is the only reader. A moment is there for
 * them where a process of its own page draws it.
 *
 * @param page the résumé's
 */
export function proofOpens(
  draft: Pick<Draft, 'site' | 'pages'>,
  { page, version }: { page: Id; version: Id },
): (proof: Proof) => boolean {
  const own = effectiveHeight(draft, { page, part: version }).height;
  const reach = (of: Id, part: Id | null) =>
    own === 'private' ||
    reaches(effectiveHeight(draft, part === null ? { page: of } : { page: of, part }).height, own);
  const isDrawn = (of: Id, part: Id | null): boolean => {
    const there = draft.pages.find(({ id }) => id === of);
    const moment = there && shownOn(there).parts.find(({ id }) => id === part);
    if (!moment || !isMoment(moment)) return true;
    return (
      !isEmptyPart(moment) &&
      shownOn(there).parts.some(
        (one) =>
          one.kind === 'process' &&
          reach(of, one.id) &&
          drawnMoments([there], there, one).some(({ moment: { id } }) => id === part),
      )
    );
  };
  return ({ page: of, part }) => reach(of, part) && isDrawn(of, part);
}
