import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { listOutsiderTests, runOutsiderTest } from '#contract/outsider.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';

/** While a test runs it is asked for so often, in ms. */
const askMs = 1500;

/** What the server found when it opened the site's links as somebody without an account, and the next run. */
export function useOutsider() {
  const { state } = useSite();
  const site = state.site.id;
  const client = useQueryClient();
  const key = ['outsider', site, state.live.release?.number];
  const query = useQuery({
    queryKey: key,
    queryFn: () => call(listOutsiderTests, { params: { site } }),
    refetchInterval: ({ state: { data } }) => (data?.running ? askMs : false),
  });
  const run = useMutation({
    mutationFn: () => call(runOutsiderTest, { params: { site } }),
    onSuccess: (told) => client.setQueryData(key, told),
  });
  return { query, run };
}
