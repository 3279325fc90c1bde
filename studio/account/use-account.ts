import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { getAccount, type Me, type WholeAccount } from '#contract/account.ts';
import { call } from '../api/call.ts';

const key = ['account'];

/** The maker's own account, whole. */
export const useAccount = () => useQuery({ queryKey: key, queryFn: () => call(getAccount) });

/**
 * Something that changes the account and answers with what it is now.
 *
 * @param ask what is asked of the server
 */
export function useAccountChange<Wanted>(ask: (wanted: Wanted) => Promise<WholeAccount>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ask,
    onSuccess: (account) => {
      client.setQueryData(key, account);
      const { name, email, leavesAt } = account;
      client.setQueryData<Me>(
        ['me'],
        (me) => me && { ...me, account: me.account && { ...me.account, name, email, leavesAt } },
      );
    },
  });
}
