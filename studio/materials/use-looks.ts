import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { lookAtPictures, type PicturesLookedAt } from '#contract/pictures.ts';
import type { Material } from '#core/materials/material.ts';
import { call } from '../api/call.ts';

const nothing: PicturesLookedAt = { unread: 0, groups: [], warnings: {} };
const againMs = 1200;

/** Look-alikes and quality of the pictures; asked again by itself until all of them have been read. */
export function useLooks(site: string, materials: readonly Material[]) {
  const originals = useMemo(() => materials.map(({ original }) => original).join(), [materials]);
  const { data = nothing } = useQuery({
    queryKey: ['looked-at', site, originals],
    queryFn: () => call(lookAtPictures, { params: { site } }),
    enabled: materials.length > 0,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    refetchInterval: ({ state }) => (state.data && state.data.unread > 0 ? againMs : false),
  });
  const alikeOf = useMemo(
    () =>
      new Map(
        data.groups.flatMap((group) =>
          group.map((id): [string, string[]] => [id, group.filter((other) => other !== id)]),
        ),
      ),
    [data.groups],
  );
  /** Whether anything is known yet: before that, look-alikes are not told apart. */
  const isKnown = materials.length === 0 || data !== nothing;
  return { ...data, alikeOf, isKnown };
}
