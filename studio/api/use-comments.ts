import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { changeComment, type CommentChange, type CommentList, listComments } from '#contract/comments.ts';
import { problemNotice } from '../ui/notice.ts';
import { call, Refusal } from './call.ts';
import { unreadKey } from './use-box.ts';

/** How often is looked for what came; in ms. */
const everyMs = 60_000;
const key = ['comments'];

/** What readers said of pages, kept fresh while somebody looks. */
export const useComments = () =>
  useQuery({ queryKey: key, queryFn: () => call(listComments), refetchInterval: everyMs });

/** Changes who sees a comment, or what is said to it. */
export function useCommentChanges() {
  const client = useQueryClient();
  const { mutate, isPending } = useMutation({
    mutationFn: ({ id, ...change }: CommentChange & { id: string }) =>
      call(changeComment, { params: { comment: id }, body: change }),
    onSuccess: (list: CommentList) => {
      client.setQueryData(key, list);
      void client.invalidateQueries({ queryKey: unreadKey });
    },
    onError: (error: Error) =>
      problemNotice(error instanceof Refusal ? error.message : 'This did not work. Try again.'),
  });
  return { change: mutate, busy: isPending };
}
