import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { z } from 'zod';
import {
  changeGroup,
  type Group,
  type Groups,
  listGroups,
  makeGroup,
  openClass,
  removeGroup,
  renewClass,
  restoreGroup,
} from '#contract/groups.ts';
import type { GroupTerms } from '#core/groups/group.ts';
import { notice, problemNotice } from '../ui/notice.ts';
import { call } from './call.ts';

const key = ['groups'];

/** The maker's groups. */
export const useGroups = () => useQuery({ queryKey: key, queryFn: () => call(listGroups) });

/** What can be done with groups; each answers with all of them as they are then. */
export function useGroupChanges() {
  const client = useQueryClient();
  const put = ({ groups }: Groups) => {
    client.setQueryData<Groups>(key, { groups });
    void client.invalidateQueries({ queryKey: ['class'] });
  };
  const onError = (error: Error) => {
    problemNotice(error.message);
    void client.invalidateQueries({ queryKey: key });
  };
  const make = useMutation({
    mutationFn: (body: z.input<typeof makeGroup.body>) => call(makeGroup, { body }),
    onSuccess: put,
  });
  /** Changes of one group go one after the other, each told against what the one before left. */
  const keep = useMutation({
    scope: { id: 'groups' },
    mutationFn: ({ id, terms }: { id: string; terms: Partial<GroupTerms> }) => {
      const known = client.getQueryData<Groups>(key)?.groups.find((one) => one.id === id);
      if (!known) throw new Error('This group is not here any more.');
      const { revision: seen, name, people, list } = known;
      return call(changeGroup, {
        params: { group: id },
        body: { seen, terms: { name, people, list, ...terms } },
      });
    },
    onSuccess: put,
  });
  const restore = useMutation({
    mutationFn: (group: string) => call(restoreGroup, { params: { group } }),
    onSuccess: put,
    onError,
  });
  const remove = useMutation({
    mutationFn: ({ id }: Group) => call(removeGroup, { params: { group: id } }),
    onSuccess: (told, { id, name }) => {
      put(told);
      notice(`“${name}” is taken away.`, { action: { label: 'Undo', onClick: () => restore.mutate(id) } });
    },
    onError,
  });
  const openPage = useMutation({
    mutationFn: ({ id, ...body }: z.input<typeof openClass.body> & { id: string }) =>
      call(openClass, { params: { group: id }, body }),
    onSuccess: put,
  });
  const renew = useMutation({
    mutationFn: (group: string) => call(renewClass, { params: { group } }),
    onSuccess: (told) => {
      put(told);
      notice('The link is made anew. Nobody joins by the one before.');
    },
    onError,
  });
  return { make, keep, remove, openPage, renew };
}
