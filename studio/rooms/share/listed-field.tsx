import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { getListed, setListed } from '#contract/public-sites.ts';
import { call } from '../../api/call.ts';
import { CheckField } from '../../ui/check-field.tsx';

/** Whether a Public site is in this server's own list. */
export function ListedField({ site }: { site: string }) {
  const client = useQueryClient();
  const key = ['listed', site];
  const params = { site };
  const { data } = useQuery({ queryKey: key, queryFn: () => call(getListed, { params }) });
  const set = useMutation({
    mutationFn: (listed: boolean) => call(setListed, { params, body: { listed } }),
    onSuccess: (told) => client.setQueryData(key, told),
  });
  if (!data) return null;
  return (
    <div>
      <CheckField
        name="Show it in this server’s list"
        checked={set.isPending ? set.variables : data.listed}
        onChange={(listed) => set.mutate(listed)}
      />
      <p className="note mt-1 ml-8">
        On its first page, found by title, name, field and tag. At once, without publishing.
      </p>
      {set.error && (
        <p className="field-problem" role="alert">
          {set.error.message}
        </p>
      )}
    </div>
  );
}
