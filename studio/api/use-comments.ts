import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { changeComment, type CommentChange, type CommentList, listComments } from '#contract/comments.ts';
import { problemNotice } from '../ui/notice.ts';
import { call, Refusal } from './call.ts';
import { useSite } from './site-context.tsx';
import { unreadKey } from './use-box.ts';

/** How often is looked for what came; in ms. */
const everyMs = 60_000;
/** What is to be taken up with the next publish is so once another release is live. */
const useKey = () => ['comments', useSite().state.live.release?.number];

/** What readers said of pages, kept fresh while somebody looks. */
export const useComments = () =>
  useQuery({
    queryKey: useKey(),
    queryFn: () => call(listComments),
    refetchInterval: everyMs,
    placeholderData: keepPreviousData,
  });

/** Changes who sees a comment, or what is said to it. */
export function useCommentChanges() {
  const client = useQueryClient();
  const key = useKey();
  const { mutateAsync, isPending } = useMutation({
    mutationFn: ({ id, ...change }: CommentChange & { id: string }) =>
      call(changeComment, { params: { comment: id }, body: change }),
    onSuccess: (list: CommentList) => {
      client.setQueryData(key, list);
      void client.invalidateQueries({ queryKey: unreadKey });
    },
    onError: (error: Error) =>
      problemNotice(error instanceof Refusal ? error.message : 'This did not work. Try again.'),
  });
  /** Told of each that is done: `mutate` would tell of the newest alone. */
  const change = (said: CommentChange & { id: string }, done?: () => void): void =>
    void mutateAsync(said).then(done, () => undefined);
  return { change, busy: isPending };
}
