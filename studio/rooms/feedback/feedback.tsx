import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Received } from '#contract/messages.ts';
import { unreadIn, useBox, useBoxChanges } from '../../api/use-box.ts';
import { notice } from '../../ui/notice.ts';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { SelectField } from '../../ui/select.tsx';
import { Loading, Trouble } from '../../ui/states.tsx';
import { Comments } from './comments.tsx';
import { FromClasses } from './from-classes.tsx';
import { MessageRow } from './message-row.tsx';

/** What readers wrote to the maker. */
export function Feedback() {
  const { site = '' } = useParams();
  const box = useBox();
  const { change, sendCopies } = useBoxChanges();
  const [open, setOpen] = useState<string | null>(null);
  const [showDeleted, setShowDeleted] = useState(false);
  if (box.isPending) return <Loading what="Opening your box" />;
  if (box.error) return <Trouble error={box.error} again={() => void box.refetch()} />;
  const { messages, copies, sendsMail } = box.data;
  const deleted = messages.filter((one) => one.deleted);
  const shown = showDeleted ? deleted : messages.filter((one) => !one.deleted);
  const unread = unreadIn(box.data);
  const toggle = ({ id, read }: Received) => {
    setOpen(open === id ? null : id);
    if (open !== id && !read) change({ id, read: true });
  };
  const remove = ({ id, name }: Received) => {
    const undo = { label: 'Undo', onClick: () => change({ id, deleted: false }) };
    change(
      { id, deleted: true },
      { onSuccess: () => notice(`What ${name} wrote is deleted.`, { action: undo }) },
    );
  };
  return (
    <div className="mx-auto grid max-w-4xl grid-cols-[minmax(0,1fr)] content-start gap-6 px-6 py-8 pb-28 md:px-10">
      <h1>What readers say</h1>
      <Comments site={site} />
      <FromClasses site={site} />
      <header className="mt-6 flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
        <div className="grid gap-1">
          <h2 className="text-l">{showDeleted ? 'Deleted messages' : 'What readers wrote to you'}</h2>
          <p className="note" role="status">
            {showDeleted
              ? 'They can be put back for 30 days after they were deleted.'
              : messages.length === deleted.length
                ? 'Nothing has come yet'
                : unread === 0
                  ? 'All read'
                  : `${unread} not read yet`}
          </p>
        </div>
        {(deleted.length > 0 || showDeleted) && (
          <Button small onClick={() => setShowDeleted(!showDeleted)}>
            {showDeleted ? 'Back to the box' : `Deleted: ${deleted.length}`}
          </Button>
        )}
      </header>
      {shown.length === 0 && !showDeleted && (
        <p className="max-w-prose text-base leading-6 text-ink-2">
          Readers write by a form, and never learn your address. Put one at the end of every page in Arrange,
          or tie a contact into a page.
        </p>
      )}
      <ul className="grid border-t border-line">
        {shown.map((message) => (
          <MessageRow
            key={message.id}
            message={message}
            open={open === message.id}
            onToggle={() => toggle(message)}
            onRead={(read) => change({ id: message.id, read })}
            onRemove={() => remove(message)}
            onPutBack={() => change({ id: message.id, deleted: false })}
          />
        ))}
      </ul>
      {!showDeleted && (
        <section aria-labelledby="copies-title" className="grid gap-2">
          <h2 id="copies-title" className="text-l">
            By mail as well
          </h2>
          {sendsMail ? (
            <>
              <CheckField
                name={`Send a copy of messages to ${copies.to}`}
                checked={copies.on}
                onChange={(on) => sendCopies({ on })}
              />
              <div className="max-w-xs">
                <SelectField
                  name="When comments wait"
                  value={copies.comments}
                  options={[
                    { value: 'each', name: 'A mail soon after' },
                    { value: 'day', name: 'One mail a day at most' },
                    { value: 'none', name: 'No mail' },
                  ]}
                  onChange={(comments) => sendCopies({ comments })}
                />
              </div>
              {!copies.confirmed && (
                <p className="note">
                  None is sent yet: this address has to be confirmed first, in{' '}
                  <Link className="link" to="/account">
                    your account
                  </Link>
                  .
                </p>
              )}
            </>
          ) : (
            <p className="note">
              This server is not set up to send mail, so everything waits here. Who runs it can set SMTP_URL.
            </p>
          )}
        </section>
      )}
    </div>
  );
}
