import { ExternalLink, MessageSquare, MoreHorizontal, PenLine, Scissors } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import type { ClassEntry } from '#contract/groups.ts';
import type { Progress } from '#core/check/lists/progress.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import type { ClassStanding } from '#core/groups/class-standing.ts';
import type { Returned } from '#core/groups/given-back.ts';
import type { GroupList } from '#core/groups/group.ts';
import { plural } from '#core/words/plural.ts';
import { ownTimeZone } from '../api/own-time-zone.ts';
import { AskDialog } from '../ui/ask-dialog.tsx';
import { Button } from '../ui/button.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { Menu, MenuItem, MenuRule } from '../ui/menu.tsx';
import { AskForm } from './ask-form.tsx';
import { LetterForm } from './letter-form.tsx';

interface ClassRowProps {
  entry: ClassEntry;
  progress: Progress | null;
  standing: ClassStanding;
  dueAt: Date | null;
  list: GroupList | null;
  open: boolean;
  busy: boolean;
  onToggle: () => void;
  onAsk: (words: string, done: () => void) => void;
  askProblem: string | null;
  onEnd: () => void;
  onWrite: (returned: Returned, give: boolean, done: () => void) => void;
}

const inWords = (instant: string): string => instantInWords(new Date(instant), ownTimeZone());

/** A knot on the string: tied when all is there, open while something is to do. */
function Knot({ standing: { state, complete } }: { standing: ClassStanding }) {
  const fill = complete
    ? 'var(--meadow)'
    : state === 'handed-in'
      ? 'var(--straw)'
      : state === 'late'
        ? 'var(--clay-wash)'
        : 'var(--paper-raised)';
  return (
    <svg viewBox="0 0 20 20" className="relative size-5" aria-hidden="true">
      <path
        d="M10 1 L17 10 L10 19 L3 10 Z"
        fill={fill}
        stroke={state === 'late' ? 'var(--clay)' : 'var(--ink)'}
        strokeWidth="1.5"
      />
    </svg>
  );
}

const stateWords = ({ entry, standing, dueAt }: Pick<ClassRowProps, 'entry' | 'standing' | 'dueAt'>) => {
  if (entry.endedAt !== null) return `Sharing ended ${inWords(entry.endedAt)}`;
  if (entry.handedAt === null)
    return standing.state === 'late' ? 'Not handed in, and late' : 'Not handed in yet';
  const late = dueAt && new Date(entry.handedAt) > dueAt;
  return `Handed in ${inWords(entry.handedAt)}${late ? ', late' : ''}`;
};

const listWords = (progress: Progress | null): string => {
  if (progress === null) return '';
  const { essentials, extras } = progress;
  return `${essentials.done} of ${essentials.of} essentials ticked${extras.of > 0 ? `, ${extras.done} of ${extras.of} extras` : ''}`;
};

/** One who joined: how they stand, their link, and what is asked of them and given back. */
export function ClassRow({
  entry,
  progress,
  standing,
  dueAt,
  list,
  open,
  busy,
  onToggle,
  onAsk,
  askProblem,
  onEnd,
  onWrite,
}: ClassRowProps) {
  const id = useId();
  const [asking, setAsking] = useState(false);
  const [ending, setEnding] = useState(false);
  const askForm = useRef<HTMLFormElement>(null);
  const more = useRef<HTMLButtonElement>(null);
  const leaveAsking = () => {
    setAsking(false);
    more.current?.focus();
  };
  const { name, link, pages, asked, givenBack } = entry;
  const isOver = entry.endedAt !== null;
  return (
    <li className="relative grid grid-cols-[20px_minmax(0,1fr)] gap-x-3 py-3 before:absolute before:top-0 before:bottom-0 before:left-[9px] before:w-[2px] before:bg-string">
      <Knot standing={standing} />
      <div className="grid min-w-0 gap-2">
        <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
          <p className="min-w-0 flex-1 basis-60">
            <b id={id} className="[overflow-wrap:anywhere]">
              {name}
            </b>
            <span className={`block text-s ${standing.state === 'late' ? 'text-clay' : 'text-ink-2'}`}>
              {stateWords({ entry, standing, dueAt })}
            </span>
          </p>
          <p className="min-w-0 flex-1 basis-48 text-s">
            {standing.complete && <b className="block">Complete</b>}
            <span className="text-ink-2">{listWords(progress)}</span>
            {link !== null && (
              <span className={`block ${pages === 0 ? 'text-clay' : 'text-ink-2'}`}>
                {pages === 0 ? 'Its link opens nothing now' : `Opens ${plural(pages, 'page')}`}
              </span>
            )}
          </p>
          <div className="flex flex-none items-center gap-1">
            {link !== null && (
              <Button small asChild>
                <a href={link} target="_blank" rel="noreferrer">
                  <ExternalLink size={15} aria-hidden="true" />
                  Open<span className="sr-only"> the site of {name}</span>
                </a>
              </Button>
            )}
            {!isOver && (
              <Button small aria-expanded={open} onClick={onToggle}>
                <PenLine size={15} aria-hidden="true" />
                {open ? 'Close' : 'Write'}
                <span className="sr-only"> the letter to {name}</span>
              </Button>
            )}
            {!isOver && (
              <Menu
                align="end"
                focusAfter={() => askForm.current?.querySelector('textarea')}
                opener={
                  <IconButton ref={more} label={`More about ${name}`}>
                    <MoreHorizontal size={18} aria-hidden="true" />
                  </IconButton>
                }
              >
                <MenuItem icon={MessageSquare} name="Ask for something" onSelect={() => setAsking(true)} />
                <MenuRule />
                <MenuItem
                  icon={Scissors}
                  name="End its sharing with the class"
                  onSelect={() => setEnding(true)}
                />
              </Menu>
            )}
          </div>
        </div>
        {asked && (
          <p className="border-l-3 border-straw pl-3 text-s">
            <b>{asked.done ? 'You asked, and they say it is done: ' : 'You asked: '}</b>
            <span className="whitespace-pre-line [overflow-wrap:anywhere]">{asked.words}</span>
          </p>
        )}
        {givenBack && !open && <p className="note">Your letter was given back {inWords(givenBack.at)}.</p>}
        {asking && (
          <AskForm
            ref={askForm}
            name={name}
            busy={busy}
            problem={askProblem}
            onLeave={leaveAsking}
            onAsk={(words) => onAsk(words, leaveAsking)}
          />
        )}
        {open && !isOver && <LetterForm {...{ entry, list, onWrite }} />}
      </div>
      <AskDialog
        open={ending}
        title={`End what ${name} shares with the class?`}
        answers={[{ name: 'End it', run: onEnd }]}
        onClose={() => setEnding(false)}
      >
        <p>
          The pass that was made for this class is switched off, and you get their site no more. You cannot
          switch it on again; they can. No other link of theirs is touched.
        </p>
      </AskDialog>
    </li>
  );
}
