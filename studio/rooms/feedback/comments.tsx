import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { ReceivedComment } from '#contract/comments.ts';
import { plural } from '#core/words/plural.ts';
import { useCommentChanges, useComments } from '../../api/use-comments.ts';
import { notice } from '../../ui/notice.ts';
import { Segments } from '../../ui/segments.tsx';
import { Loading, Trouble } from '../../ui/states.tsx';
import { CommentRow } from './comment-row.tsx';

type Which = 'waiting' | 'open' | 'done' | 'deleted';
const which: Record<Which, { name: string; holds: (comment: ReceivedComment) => boolean }> = {
  waiting: { name: 'Waiting', holds: ({ state, deleted }) => state === 'waiting' && !deleted },
  open: {
    name: 'Open',
    holds: ({ state, takenUp, deleted }) => state !== 'waiting' && takenUp !== 'yes' && !deleted,
  },
  done: {
    name: 'Taken up',
    holds: ({ state, takenUp, deleted }) => state !== 'waiting' && takenUp === 'yes' && !deleted,
  },
  deleted: { name: 'Deleted', holds: ({ deleted }) => deleted },
};

/** What holders of passes said of pages. */
export function Comments({ site }: { site: string }) {
  const { data, isPending, error, refetch } = useComments();
  const { change: send, busy } = useCommentChanges();
  const heading = useRef<HTMLHeadingElement>(null);
  const [chosen, setChosen] = useState<Which | null>(null);
  if (isPending) return <Loading what="Fetching comments" />;
  if (error) return <Trouble error={error} again={() => void refetch()} />;
  const { comments } = data;
  const of = (one: Which) => comments.filter(which[one].holds);
  const now = chosen ?? (of('waiting').length > 0 ? 'waiting' : 'open');
  const shown = of(now);
  const change: typeof send = (said, done) =>
    send(said, () => {
      done?.();
      // A row may have gone to another list, and with it what was pressed.
      requestAnimationFrame(() => document.activeElement === document.body && heading.current?.focus());
    });
  const remove = ({ id, name }: ReceivedComment) => {
    const undo = { label: 'Undo', onClick: () => change({ id, deleted: false }) };
    // Not before no reader gets it any more.
    change({ id, deleted: true }, () => notice(`What ${name} said is deleted.`, { action: undo }));
  };
  return (
    <section aria-labelledby="comments-title" className="grid content-start gap-4">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
        <div className="grid gap-1">
          <h2 ref={heading} id="comments-title" tabIndex={-1} className="text-l">
            Comments on pages
          </h2>
          <p className="note" role="status">
            {comments.length === 0
              ? 'Nobody has said anything yet'
              : of('waiting').length === 0
                ? 'None waits for you'
                : `${plural(of('waiting').length, 'comment waits', 'comments wait')} for you. Nobody else sees ${of('waiting').length === 1 ? 'it' : 'them'}.`}
          </p>
        </div>
        {comments.length > 0 && (
          <Segments
            label="Which comments"
            value={now}
            options={(Object.keys(which) as Which[]).map((value) => ({
              value,
              name: `${which[value].name} ${of(value).length}`,
            }))}
            onChange={setChosen}
          />
        )}
      </div>
      {comments.length === 0 && (
        <p className="max-w-prose text-base leading-6 text-ink-2">
          Whoever holds a pass can say something of what they read, without an account, if you let them: tick
          it on a pass, under{' '}
          <Link className="link" to={`/${site}/share/passes`}>
            Share, passes
          </Link>
          .
        </p>
      )}
      {shown.length > 0 && (
        <ul className="grid border-t border-line">
          {shown.map((comment) =>
            now === 'deleted' ? (
              <li
                key={comment.id}
                className="flex flex-wrap items-baseline justify-between gap-3 border-b border-line py-3"
              >
                <span className="min-w-0 [overflow-wrap:anywhere]">
                  <b>{comment.name}</b>: {comment.words}
                </span>
                <button
                  type="button"
                  className="link"
                  onClick={() => change({ id: comment.id, deleted: false })}
                >
                  Put back
                </button>
              </li>
            ) : (
              <CommentRow
                key={comment.id}
                comment={comment}
                busy={busy}
                onChange={(said, done) => change({ id: comment.id, ...said }, done)}
                onRemove={() => remove(comment)}
              />
            ),
          )}
        </ul>
      )}
    </section>
  );
}
