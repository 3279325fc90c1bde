import { CircleCheck, CircleDashed, CircleQuestionMark } from 'lucide-react';
import { type Ref, useId, useState } from 'react';
import { Link } from 'react-router';
import type { SecondLook } from '#contract/second-looks.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { type LookAnswer, lookProgress } from '#core/second-look/second-look.ts';
import { useSite } from '../../../api/site-context.tsx';
import { AskDialog } from '../../../ui/ask-dialog.tsx';
import { Button } from '../../../ui/button.tsx';
import { CopyLink } from '../../../ui/copy-link.tsx';
import { wayTo } from '../way-to.ts';
import { dayAndMonth, dayAndTime } from '../../../ui/studio-dates.ts';

const signs = {
  yes: { Icon: CircleCheck, look: 'text-meadow', heard: 'Yes' },
  unsure: { Icon: CircleQuestionMark, look: 'text-straw-ink', heard: 'A question' },
  none: { Icon: CircleDashed, look: 'text-ink-3', heard: 'Not said yet' },
} as const;

function Said({ text, answer }: { text: string; answer: LookAnswer | undefined }) {
  const { state } = useSite();
  const { Icon, look, heard } = signs[answer?.says ?? 'none'];
  const at = answer?.says === 'unsure' ? answer.at : null;
  const page = state.pages.find(({ id }) => id === at?.page);
  return (
    <li className="flex items-start gap-3">
      <Icon size={20} className={`mt-0.5 flex-none ${look}`} aria-hidden="true" />
      <div className="min-w-0">
        <p>
          <span className="sr-only">{heard}: </span>
          {text}
        </p>
        {answer?.says === 'unsure' && answer.words !== '' && (
          <p className="whitespace-pre-line text-ink-2 [overflow-wrap:anywhere]">“{answer.words}”</p>
        )}
        {at && (
          <p className="note">
            {page ? (
              <Link className="link" to={wayTo(at, page.kind, `/${state.site.id}`)}>
                Take me to {at.part === null ? pageName(page) : `“${at.about}”, ${pageName(page)}`}
              </Link>
            ) : (
              `It was asked on ${at.about}, which is gone.`
            )}
          </p>
        )}
      </div>
    </li>
  );
}

interface OneLookProps {
  look: SecondLook;
  heading: Ref<HTMLHeadingElement>;
  busy: boolean;
  onEnd: () => void;
  onRemove: () => void;
}

/** What one person sees, until when, and what they said. */
export function OneLook({ look, heading, busy, onEnd, onRemove }: OneLookProps) {
  const id = useId();
  const [deleting, setDeleting] = useState(false);
  const { who, lines, answers, link, endsAt, answeredAt } = look;
  const { answered, yes, of } = lookProgress(lines, answers);
  return (
    <section aria-labelledby={id} className="grid grid-cols-[minmax(0,1fr)] gap-3 bg-raised p-4 shadow-1">
      <div>
        <h3 id={id} ref={heading} tabIndex={-1} className="font-strong">
          {who}
        </h3>
        <p className="note">
          {of === 0
            ? 'Looks without a list.'
            : answered === 0
              ? 'Has ticked nothing yet.'
              : `${yes} of ${of} ticked${answered > yes ? `, ${answered - yes} asked` : ''}`}
          {answeredAt && <>, {dayAndTime(answeredAt)}</>}
        </p>
      </div>
      {link ? (
        <div className="grid gap-1">
          <CopyLink path={link} label={`Link for ${who}`} />
          <p className="note">
            It opens your draft until {dayAndMonth(endsAt)}.{' '}
            <a className="link" href={link} target="_blank" rel="noreferrer">
              See what {who} sees
            </a>
          </p>
        </div>
      ) : (
        <p className="note">The link is over and opens nothing any more.</p>
      )}
      {of > 0 && (
        <ul className="grid gap-2">
          {lines.map((line) => (
            <Said key={line.id} text={line.text} answer={answers[line.id]} />
          ))}
        </ul>
      )}
      <p className="flex flex-wrap gap-2">
        {link && (
          <Button small disabled={busy} onClick={onEnd}>
            End it now<span className="sr-only">: {who}</span>
          </Button>
        )}
        <Button small look="danger" disabled={busy} onClick={() => setDeleting(true)}>
          Delete<span className="sr-only"> the second look of {who}</span>
        </Button>
      </p>
      <AskDialog
        open={deleting}
        title={`Delete the second look of ${who}?`}
        leave="Keep it"
        answers={[{ name: 'Delete it and what they said', run: onRemove }]}
        onClose={() => setDeleting(false)}
      >
        {link ? 'Their link ends, and what' : 'What'} they ticked and asked is gone for good.
      </AskDialog>
    </section>
  );
}
