import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { readLights } from '#contract/pictures.ts';
import { underWords } from '#core/gallery/under-words.ts';
import { isPicture } from '#core/materials/material.ts';
import { burntIn } from '#core/materials/fixes.ts';
import { isShown } from '#core/pages/page.ts';
import { call } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';

const none: ReadonlyMap<string, string> = new Map();

/**
 * How light the pictures of the site are that words may lie over, by their names. Asked for again where another picture lies there
 * or one was cut otherwise; what is not known yet gets the veil that holds over any picture.
 */
export function useLights(): ReadonlyMap<string, string> {
  const { state, flush } = useSite();
  const { pages, materials, site } = state;
  const wanted = useMemo(() => {
    const pictures = new Set(materials.filter(isPicture).map(({ id }) => id));
    const ids = underWords({ labels: site.wallLabels, look: site.look }, pages.filter(isShown), (id) =>
      pictures.has(id),
    );
    return materials
      .filter(({ id }) => ids.has(id))
      .map(({ id, original, fixes }) => [id, original, JSON.stringify(burntIn(fixes))] as const)
      .sort(([a], [b]) => (a < b ? -1 : 1));
  }, [materials, pages, site.wallLabels, site.look]);
  const { data } = useQuery({
    queryKey: ['lights', site.id, wanted],
    queryFn: async () => {
      // The server reads what it has: an edit that is on its way comes first.
      await flush();
      const body = { pictures: wanted.map(([id]) => id) };
      const { lights } = await call(readLights, { params: { site: site.id }, body });
      return new Map(Object.entries(lights));
    },
    enabled: wanted.length > 0,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
  return data ?? none;
}
