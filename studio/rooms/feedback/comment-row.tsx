import { useId, useRef } from 'react';
import { flushSync } from 'react-dom';
import { Link } from 'react-router';
import { z } from 'zod';
import type { CommentChange, ReceivedComment } from '#contract/comments.ts';
import {
  commentLimits,
  type CommentState,
  commentStates,
  type TakenUp,
  takenUpStates,
} from '#core/comments/comment.ts';
import { sinceSaid } from '#core/comments/since-said.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUnsent } from '../../api/use-unsent.ts';
import { Button } from '../../ui/button.tsx';
import { SelectField } from '../../ui/select.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Attachments } from './attachments.tsx';
import { PointedAt } from './pointed-at.tsx';
import { dayAndTime } from '../../ui/studio-dates.ts';

/** Who sees a comment, as its maker chooses it. */
const seenBy: Record<CommentState, (pass: string) => string> = {
  waiting: () => 'Nobody yet',
  kept: () => 'Only its writer and you',
  pass: (pass) => (pass ? `Whoever holds the pass “${pass}”` : 'Nobody: its pass is gone'),
  page: () => 'Everybody who can open the page',
  refused: () => 'Nobody, and its writer is told so',
};

/** How far its maker is with it, as they choose it. */
const taken: Record<TakenUp, string> = {
  no: 'Not yet',
  next: 'With the next publish',
  yes: 'Taken up',
};

/** What became of what it speaks of, since it was written. */
const sinceWords = {
  gone: 'What it speaks of is not in your draft any more.',
  changed: 'The words it quotes are not in your draft any more.',
};

interface CommentRowProps {
  comment: ReceivedComment;
  busy: boolean;
  /** Told when it is done; not where it could not be. */
  onChange: (change: CommentChange, done?: () => void) => void;
  onRemove: () => void;
}

/** What is said to a comment: its words stay where they are until they have arrived, whatever happens to the row or the page. */
function Answer({ comment, busy, onChange }: Omit<CommentRowProps, 'onRemove'>) {
  const { id, answer, thanked, mails } = comment;
  const [words, setWords] = useUnsent(`answer ${id}`, z.string());
  const here = useRef<HTMLDivElement>(null);
  // Drawn at once, so that not even the first letter typed after the press goes elsewhere.
  const put = (next: string | null) => {
    flushSync(() => setWords(next));
    here.current?.querySelector<HTMLElement>(next === null ? 'button' : 'textarea')?.focus();
  };
  const leave = () => put(null);
  return (
    <div ref={here} className="grid gap-3">
      {words === null ? (
        <>
          {answer !== null && (
            <div className="border-l-3 border-line pl-4">
              <p className="note">Your answer. Whoever sees the comment sees it.</p>
              <p className="max-w-prose whitespace-pre-line [overflow-wrap:anywhere]">{answer}</p>
            </div>
          )}
          <p className="flex flex-wrap gap-2">
            <Button small onClick={() => put(answer ?? '')}>
              {answer === null ? 'Answer' : 'Change the answer'}
            </Button>
            <Button small look="bare" disabled={busy} onClick={() => onChange({ thanked: !thanked })}>
              {thanked ? 'Take the thanks back' : 'Say thank you'}
            </Button>
          </p>
        </>
      ) : (
        <form
          className="grid max-w-prose gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            onChange({ answer: words.trim() || null }, leave);
          }}
        >
          <TextField
            label="Answer"
            hint={
              mails
                ? 'whoever sees the comment sees it, and its writer gets a mail'
                : 'whoever sees the comment sees it'
            }
            value={words}
            most={commentLimits.answer}
            onChange={setWords}
          />
          <p className="flex flex-wrap gap-2">
            <Button type="submit" look="ink" small disabled={busy}>
              {words.trim() === '' && answer !== null ? 'Take the answer away' : 'Put it there'}
            </Button>
            <Button small look="bare" onClick={leave}>
              Leave it
            </Button>
          </p>
        </form>
      )}
    </div>
  );
}

/** What somebody said of a page, who sees it, and what was made of it. */
export function CommentRow({ comment, busy, onChange, onRemove }: CommentRowProps) {
  const id = useId();
  const { state: draft } = useSite();
  const { name, words, quote, picture, site, page, about, pass, at, state, takenUp, thanked, blocked } =
    comment;
  // Of another site no draft is open here.
  const since = site.id === draft.site.id && page.title ? sinceSaid(draft.pages, comment) : null;
  return (
    <li className="grid gap-3 border-b border-line py-4" aria-labelledby={id}>
      <div className="grid gap-0.5">
        <p className="flex flex-wrap items-baseline gap-x-3">
          <b id={id} className="min-w-0 [overflow-wrap:anywhere]">
            {name}
          </b>
          <time dateTime={at} className="note">
            {dayAndTime(at)}
          </time>
          {state === 'waiting' && <span className="text-s font-firm text-straw-ink">Waits for you</span>}
          {takenUp !== 'no' && (
            <span className="note">{takenUp === 'next' ? 'Taken up with the next publish' : 'Taken up'}</span>
          )}
          {thanked && <span className="note">Thanked</span>}
        </p>
        <p className="note [overflow-wrap:anywhere]">
          {page.title ? (
            <>
              On{' '}
              <Link className="link" to={`/${site.id}/projects/${page.id}`}>
                {page.title}
              </Link>
              {about && <>, “{about}”</>}
            </>
          ) : (
            'On a page that is gone'
          )}
          , {site.title}
          {pass && <>, with the pass “{pass}”</>}
          {blocked && '. Nothing more is taken from this device'}
        </p>
      </div>
      {since !== null && <p className="note">{sinceWords[since]}</p>}
      {quote !== '' && (
        <blockquote className="max-w-prose border-l-3 border-line pl-4 text-base leading-6 [overflow-wrap:anywhere] text-ink-2">
          {quote}
        </blockquote>
      )}
      {picture && <PointedAt picture={picture} />}
      <p className="max-w-prose whitespace-pre-line [overflow-wrap:anywhere] text-base leading-6">{words}</p>
      <Attachments comment={comment} />
      <Answer comment={comment} busy={busy} onChange={onChange} />
      <div className="flex flex-wrap items-end gap-2">
        <SelectField
          name="Who sees it"
          value={state}
          options={commentStates.map((value) => ({
            ...{ value, name: seenBy[value](pass) },
            disabled: value === 'pass' && !pass,
          }))}
          onChange={(next) => onChange({ state: next })}
        />
        <SelectField
          name="Taken up"
          value={takenUp}
          options={takenUpStates.map((value) => ({ value, name: taken[value] }))}
          onChange={(next) => onChange({ takenUp: next })}
        />
        <Button look="bare" onClick={() => onChange({ blocked: !blocked })}>
          {blocked ? 'Take comments from this device again' : 'Take no more from this device'}
        </Button>
        <Button look="danger" onClick={onRemove}>
          Delete<span className="sr-only"> what {name} said</span>
        </Button>
      </div>
    </li>
  );
}
