import { useQuery } from '@tanstack/react-query';
import { listPasses } from '#contract/passes.ts';
import { givenLinkName } from '#core/access/given-link.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { call } from './call.ts';
import { passesKey } from './passes-key.ts';
import { useSite } from './site-context.tsx';

/** Links that can be given to somebody now, by the word that names each. */
export function useGivenLinks(): { value: string; name: string }[] {
  const { state } = useSite();
  const { site, live, pages } = state;
  const { data } = useQuery({
    queryKey: passesKey(site.id),
    queryFn: () => call(listPasses, { params: { site: site.id } }),
  });
  const nameOf = (id: string) => {
    const page = pages.find((one) => one.id === id);
    return page ? pageName(page) : 'a version of the résumé';
  };
  return [
    ...(site.address ? [{ value: 'address', name: 'The public address' }] : []),
    { value: 'site-link', name: 'The link to the whole site' },
    ...Object.keys(live.pageLinkPaths).map((id) => ({
      value: givenLinkName({ kind: 'page-link', thing: id }),
      name: `The link to ${nameOf(id)}`,
    })),
    ...(data?.passes ?? []).map(({ id, label }) => ({
      value: givenLinkName({ kind: 'pass', pass: id }),
      name: `The pass “${label}”`,
    })),
  ];
}
