import type { HandIn, OfClass } from '#contract/hand-ins.ts';
import { mostLists, toldLines } from '#core/check/lists/checklist.ts';
import { type LeftOf, lineState } from '#core/check/lists/progress.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import { levelWords } from '#core/groups/given-back.ts';
import { asChecklist, progressSaid } from '#core/groups/list-of-group.ts';
import type { Draft } from '#core/sites/site.ts';
import { ownTimeZone } from '../../api/own-time-zone.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { notice } from '../../ui/notice.ts';

const inWords = (instant: string): string => instantInWords(new Date(instant), ownTimeZone());

/**
 * Which lines of a class's list are ticked on a site now, by its maker and by rules; null where the site has not taken the list.
 */
export function tickedNow({ list }: OfClass, site: Draft['site'], leftOf: LeftOf): string[] | null {
  const taken = site.lists.find(({ id }) => id === list?.id);
  if (!list || !taken) return null;
  return toldLines(taken).flatMap((line) => (lineState(line, leftOf).done ? [line.id] : []));
}

interface ClassOfHandInProps {
  handIn: HandIn;
  of: OfClass;
  leftOf: LeftOf;
  busy: boolean;
  onTell: (told: { ticked?: string[]; done?: boolean }) => void;
}

/** The class that something is handed in to: its list, what it asks, and what it gave back. */
export function ClassOfHandIn({ handIn, of, leftOf, busy, onTell }: ClassOfHandInProps) {
  const { state, now, changeSite } = useSite();
  const { list, ticked, asked, givenBack, endedAt } = of;
  const { lists } = state.site;
  const current = tickedNow(of, state.site, leftOf);
  const handed = handIn.handedAt !== null;
  const differs = current !== null && [...current].sort().join() !== [...(ticked ?? [])].sort().join();
  const words = (ids: readonly string[]) => {
    if (!list) return '';
    const { essentials } = progressSaid(list, ids);
    return `${essentials.done} of ${essentials.of} essentials`;
  };
  if (endedAt !== null)
    return (
      <div className="grid gap-2 text-s text-ink-2">
        <p>
          {of.by} ended what you shared with this class, {inWords(endedAt)}, which switched its pass off.
        </p>
        {givenBack && <Letter by={of.by} givenBack={givenBack} />}
      </div>
    );
  return (
    <div className="grid gap-2 border-l-3 border-string pl-3 text-s">
      <p className="text-ink-2">
        A class of {of.by}, where you go by {of.as}.{' '}
        {handed ? `${of.by} has the link.` : `${of.by} gets the link once you hand it in.`}
      </p>
      {of.words && <p className="whitespace-pre-line [overflow-wrap:anywhere]">{of.words}</p>}
      {list && current === null && (
        <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
          <span>Its list “{list.name || 'A list'}” is not in your Check yet.</span>
          {lists.length < mostLists ? (
            <Button
              small
              onClick={() => {
                changeSite({ lists: [...now().site.lists, asChecklist(list)] }, 'A class’s list taken in');
                notice('The list stands in Check now. What you tick there is told when you hand in.');
              }}
            >
              Take it into Check
            </Button>
          ) : (
            <span className="note">Check has as many lists as a site can have. Delete one there first.</span>
          )}
        </p>
      )}
      {list && current !== null && (
        <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
          <span>
            {words(current)} of its list are ticked in Check.{' '}
            {!handed
              ? `${of.by} is told which when you hand in.`
              : ticked === null
                ? `${of.by} was told none.`
                : differs
                  ? `${of.by} was told ${words(ticked)}.`
                  : `${of.by} was told so.`}
          </span>
          {handed && differs && (
            <Button small disabled={busy} onClick={() => onTell({ ticked: current })}>
              Tell it again
            </Button>
          )}
        </p>
      )}
      {asked && (
        <div className="grid gap-1 rounded-s bg-straw-wash px-2 py-1 text-straw-ink">
          <p>
            <b>{of.by} asks: </b>
            <span className="whitespace-pre-line [overflow-wrap:anywhere]">{asked.words}</span>
          </p>
          {asked.done ? (
            <p>You said that it is done.</p>
          ) : (
            <p>
              <Button small disabled={busy} onClick={() => onTell({ done: true })}>
                It is done
              </Button>
            </p>
          )}
        </div>
      )}
      {givenBack && <Letter by={of.by} givenBack={givenBack} />}
    </div>
  );
}

/** What was given back, as one letter. */
const Letter = ({ by, givenBack }: { by: string; givenBack: NonNullable<OfClass['givenBack']> }) => (
  <details>
    <summary className="link">
      What {by} gave back, {inWords(givenBack.at)}
    </summary>
    <div className="mt-2 grid gap-3 bg-raised p-4 text-base leading-6 shadow-1">
      {givenBack.lines.length > 0 && (
        <ol className="grid gap-2">
          {givenBack.lines.map(({ id, text, level, words }) => (
            <li key={id} className="grid gap-0.5 [overflow-wrap:anywhere]">
              <span>
                <b>{text}</b>
                {level !== null && <span className="text-ink-2">: {levelWords[level].toLowerCase()}</span>}
              </span>
              {words && <span className="whitespace-pre-line">{words}</span>}
            </li>
          ))}
        </ol>
      )}
      {givenBack.words && <p className="whitespace-pre-line [overflow-wrap:anywhere]">{givenBack.words}</p>}
    </div>
  </details>
);
