import type { Received } from '#contract/messages.ts';
import { Button } from '../../ui/button.tsx';
import { dayAndTime } from '../../ui/studio-dates.ts';

const mailed: Record<Received['mailed'], string> = {
  no: '',
  yes: 'A copy went to you by mail.',
  'not-yet': 'A copy by mail is on its way.',
  failed: 'The copy by mail could not be sent: the mail server did not take it.',
};

interface MessageRowProps {
  message: Received;
  open: boolean;
  onToggle: () => void;
  onRead: (read: boolean) => void;
  onRemove: () => void;
  onPutBack: () => void;
}

/** What somebody wrote: a line that opens in place. */
export function MessageRow({ message, open, onToggle, onRead, onRemove, onPutBack }: MessageRowProps) {
  const { id, name, from, words, site, page, at, read, deleted } = message;
  const where = page ? `${page}, ${site.title}` : site.title;
  return (
    <li className="border-b border-line">
      <button
        type="button"
        className="grid w-full grid-cols-[14px_minmax(0,1fr)_auto] items-baseline gap-x-3 px-2 py-3 text-left hover:bg-sunk"
        aria-expanded={open}
        aria-controls={`message-${id}`}
        onClick={onToggle}
      >
        <svg
          width="12"
          height="14"
          viewBox="0 0 12 14"
          aria-hidden="true"
          className={read ? 'opacity-0' : ''}
        >
          <path d="M6 0l5 5-5 9-5-9z" fill="var(--vermilion)" />
        </svg>
        <span className="min-w-0">
          <span className={`block truncate ${read ? '' : 'font-[650]'}`}>
            {!read && <span className="sr-only">Not read: </span>}
            {name}
          </span>
          {!open && <span className="block truncate text-ink-2">{words}</span>}
        </span>
        <time dateTime={at} className="note whitespace-nowrap">
          {dayAndTime(at)}
        </time>
      </button>
      {open && (
        <div id={`message-${id}`} className="grid gap-4 py-2 pr-2 pb-6 pl-[34px]">
          <p className="note">
            From{' '}
            <a className="link" href={`mailto:${from}`}>
              {from}
            </a>
            , written on {where}. {mailed[message.mailed]}
          </p>
          <p className="max-w-prose whitespace-pre-line [overflow-wrap:anywhere] text-base leading-6">
            {words}
          </p>
          <div className="flex flex-wrap gap-2">
            {deleted ? (
              <Button look="ink" onClick={onPutBack}>
                Put back
              </Button>
            ) : (
              <>
                <Button asChild look="ink">
                  <a
                    href={`mailto:${encodeURIComponent(from)}?subject=${encodeURIComponent(`What you wrote on ${site.title}`)}`}
                  >
                    Answer by mail
                  </a>
                </Button>
                <Button onClick={() => onRead(!read)}>{read ? 'Mark as not read' : 'Mark as read'}</Button>
                <Button look="danger" onClick={onRemove}>
                  Delete<span className="sr-only"> what {name} wrote</span>
                </Button>
              </>
            )}
          </div>
        </div>
      )}
    </li>
  );
}
