import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { listHandIns } from '#contract/hand-ins.ts';
import { listPasses } from '#contract/passes.ts';
import { call } from '../api/call.ts';
import { passesKey } from '../api/passes-key.ts';
import { useGroups } from '../api/use-groups.ts';
import { useSite } from '../api/site-context.tsx';
import { useLooks } from '../materials/use-looks.ts';
import { storeOf } from './use-findings.ts';
import { useInside } from './use-inside.ts';

/** Has the rules look at what is no part of the draft too: what its pictures look like and what is inside them, what was given out of it, and whom its maker knows. */
export function useBesides(): void {
  const { state } = useSite();
  const { id } = state.site;
  const params = { site: id };
  const { groups, warnings, isKnown } = useLooks(id, state.materials);
  const passes = useQuery({ queryKey: passesKey(id), queryFn: () => call(listPasses, { params }) });
  // Asked anew where the room is opened and where something was published, not after every edit.
  const handIns = useQuery({
    queryKey: ['hand-ins', id, state.live.release?.number],
    queryFn: () => call(listHandIns, { params }),
    staleTime: 0,
    placeholderData: keepPreviousData,
  });
  const lookedAt = useMemo(() => (isKnown ? { groups, warnings } : null), [isKnown, groups, warnings]);
  const givenOut = useMemo(
    () =>
      passes.data && handIns.data
        ? {
            passes: passes.data.passes.map(({ id: pass, label, on, closesAt, timeZone }) => ({
              ...{ id: pass, label, on, closesAt, timeZone },
            })),
            handIns: handIns.data.handIns.map(({ id: one, what, warnings: told }) => ({
              ...{ id: one, what, warnings: told },
            })),
          }
        : null,
    [passes.data, handIns.data],
  );
  const known = useGroups().data?.groups;
  const { inside, named } = useInside().data ?? {};
  const { by } = state.site;
  const people = useMemo(() => {
    // Whoever made the site is named on it anyway.
    const inGroups = known
      ?.flatMap((group) => group.people.map(({ name }) => ({ name, isKnown: true })))
      .filter(({ name }) => name !== by);
    return inGroups && [...inGroups, ...(named ?? []).map((name) => ({ name, isKnown: false }))];
  }, [known, named, by]);
  useEffect(
    () =>
      storeOf(id).tellBesides({
        ...(lookedAt && { lookedAt }),
        ...(inside && { inside }),
        ...(givenOut && { givenOut }),
        ...(people && { people }),
      }),
    [id, lookedAt, inside, givenOut, people],
  );
}
