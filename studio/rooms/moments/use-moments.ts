import { movePart } from '#contract/pages.ts';
import type { Id } from '#core/id.ts';
import { isMoment } from '#core/moments/moments-of.ts';
import { type KnownOfMoment, newMoment } from '#core/moments/new-moment.ts';
import type { ProposedMoment } from '#core/moments/proposed-moments.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import { type Moment, mostInMoment } from '#core/parts/moment.ts';
import type { Part } from '#core/parts/parts.ts';
import { withProofMoved } from '#core/resume/with-proof-moved.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { newId } from '../../parts/new-id.ts';
import { useTellTakenOff } from '../../parts/use-tell-taken-off.ts';
import { usePageParts } from '../../parts/use-page-parts.ts';
import { useStable } from '../../ui/use-stable.ts';

/** With what was found of it; nothing is in a moment twice, and a moment holds no more than it can. */
const joined = (moment: Moment, materials: readonly Id[]): Moment => ({
  ...moment,
  materials: [...new Set([...moment.materials, ...materials])].slice(0, mostInMoment),
});

/** What can be done to the moments of a page; each step can be undone. */
export function useMoments({ id: pageId }: ShownPage) {
  const { partsNow, set } = usePageParts(pageId);
  const { changePage, changeSite, now, run, seen } = useSite();
  const tellTakenOff = useTellTakenOff();
  const once = () => `${Date.now()}`;
  const changed = (change: (moment: Moment) => Moment): Part[] =>
    partsNow().map((part) => (isMoment(part) ? change(part) : part));
  return useStable({
    change: (moment: Moment) => {
      const was = partsNow().find(({ id }) => id === moment.id);
      // Taken off meanwhile, in another tab or by undo: there is nothing to change any more.
      if (!was) return;
      set(
        changed((one) => (one.id === moment.id ? moment : one)),
        moment.title || 'Moment',
        was.height === moment.height ? `moment ${moment.id}` : `height ${once()}`,
      );
    },
    /** @returns its id */
    add: (more: KnownOfMoment): Id => {
      const moment = newMoment(newId(), more);
      set([...partsNow(), moment], 'A moment', `add ${once()}`);
      return moment.id;
    },
    remove: ({ id, title }: Moment) => {
      set(
        partsNow()
          .filter((part) => part.id !== id)
          .map((part) => (isMoment(part) && part.ledTo === id ? { ...part, ledTo: null } : part)),
        `${title || 'Moment'} taken off`,
        `remove ${once()}`,
      );
      tellTakenOff(id, title || 'Moment');
    },
    /** Keeps a moment on another page; skills and lines that it proves point at it there. @returns whether it is there */
    moveTo: async ({ id }: Moment, to: Id): Promise<boolean> => {
      const moved = await run(() =>
        call(movePart, {
          params: { site: now().site.id, page: pageId, part: id },
          body: { to, seen: seen(pageId), seenThere: seen(to) },
        }),
      );
      if (!moved) return false;
      for (const page of now().pages.filter(isShown)) {
        const parts = page.parts.map((part) => withProofMoved(part, { page: pageId, part: id }, to));
        if (parts.some((part, at) => part !== page.parts[at]))
          changePage(page.id, { parts }, 'What the moment proves', `${page.id} proofs ${once()}`);
      }
      return true;
    },
    /** Moments in another phase each. */
    setPhases: (phases: ReadonlyMap<Id, Id | null>, label: string) =>
      set(
        changed((one) => (phases.has(one.id) ? { ...one, phase: phases.get(one.id) ?? null } : one)),
        label,
        `phases ${once()}`,
      ),
    /** Takes what was found, as one step: new moments, and what joins those that are there. */
    take: (found: readonly ProposedMoment[]) => {
      const joins = new Map<Id, Id[]>();
      for (const { joins: to, materials } of found)
        if (to !== null) joins.set(to, [...(joins.get(to) ?? []), ...materials]);
      const fresh = found
        .filter(({ joins: to }) => to === null)
        .map(({ date, materials }) =>
          newMoment(newId(), { date, materials: materials.slice(0, mostInMoment) }),
        );
      set(
        [...changed((one) => (joins.has(one.id) ? joined(one, joins.get(one.id) ?? []) : one)), ...fresh],
        found.length === 1 ? 'A found moment' : `${found.length} found moments`,
        `take ${once()}`,
      );
      return fresh[0]?.id ?? null;
    },
    /** Says of materials that they are no moment. */
    refuse: (materials: readonly Id[]) =>
      changeSite(
        { notMoments: [...new Set([...now().site.notMoments, ...materials])].slice(-20_000) },
        'Found photos put aside',
      ),
  });
}
export type MomentSteps = ReturnType<typeof useMoments>;
