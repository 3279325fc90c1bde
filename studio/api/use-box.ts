import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type Box, changeMessage, countUnread, openBox, sendCopies } from '#contract/messages.ts';
import type { CommentMails } from '#core/comments/comment.ts';
import { problemNotice } from '../ui/notice.ts';
import { call, Refusal } from './call.ts';

/** How often is looked for what came; in ms. */
const everyMs = 60_000;
const key = ['messages', 'all'];
export const unreadKey = ['messages', 'unread'];

/** What readers wrote to the maker, kept fresh while somebody looks. */
export const useBox = () =>
  useQuery({ queryKey: key, queryFn: () => call(openBox), refetchInterval: everyMs });

/** How many of it nobody has read yet, without fetching it. */
export const useUnread = () =>
  useQuery({ queryKey: unreadKey, queryFn: () => call(countUnread), refetchInterval: everyMs });

/** How many of it nobody has read yet. */
export const unreadIn = ({ messages }: Box): number =>
  messages.filter(({ read, deleted }) => !read && !deleted).length;

/** Marks a message as read or not, deletes it or gives it back; and whether copies go by mail. */
export function useBoxChanges() {
  const client = useQueryClient();
  const said = {
    onSuccess: (box: Box) => {
      client.setQueryData(key, box);
      // Comments that wait count as well; both are known to the server alone.
      void client.invalidateQueries({ queryKey: unreadKey });
    },
    onError: (error: Error) =>
      problemNotice(error instanceof Refusal ? error.message : 'This did not work. Try again.'),
  };
  const message = useMutation({
    mutationFn: ({ id, ...change }: { id: string; read?: boolean; deleted?: boolean }) =>
      call(changeMessage, { params: { message: id }, body: change }),
    ...said,
  });
  const copies = useMutation({
    mutationFn: (body: { on?: boolean; comments?: CommentMails }) => call(sendCopies, { body }),
    ...said,
  });
  return { change: message.mutate, sendCopies: copies.mutate };
}
