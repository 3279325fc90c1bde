import { ScanText } from 'lucide-react';
import { plural } from '#core/words/plural.ts';
import { useInside, useReadingPictures } from '../../check/use-inside.ts';
import { Button } from '../../ui/button.tsx';
import { ProgressBar } from '../../ui/progress-bar.tsx';

const them = (count: number) => (count === 1 ? 'it' : 'them');

/** What is to be seen in pictures is looked for when their maker asks for it: it takes some seconds each. */
export function ReadPictures() {
  const { unread = 0, unreadable = 0 } = useInside().data ?? {};
  const { of, problem, start, stop } = useReadingPictures(unread);
  if (of === null && unread === 0 && unreadable === 0) return null;
  const done = of === null ? 0 : Math.max(0, of - unread);
  return (
    <section aria-label="What is to be seen in pictures" className="grid gap-2 border-t border-t-line pt-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <ScanText size={18} aria-hidden="true" className="flex-none text-ink-3" />
        <p role="status" className="min-w-0 flex-[1_1_18rem]">
          {of !== null
            ? `Looking through your pictures and pages: ${done} of ${of}.`
            : unread > 0
              ? `${plural(unread, 'picture or page', 'pictures and pages')} ${unread === 1 ? 'was' : 'were'} not looked through yet for faces and for what is written in ${them(unread)}.`
              : `${plural(unreadable, 'picture or page', 'pictures and pages')} could not be looked through. Do that yourself.`}
        </p>
        {of !== null ? (
          <Button small onClick={stop}>
            Stop
          </Button>
        ) : (
          unread > 0 && (
            <Button small onClick={start}>
              Look through {them(unread)}
            </Button>
          )
        )}
      </div>
      {of !== null && <ProgressBar share={of === 0 ? 1 : done / of} />}
      {problem && (
        <p role="alert" className="text-clay">
          {problem.message} What was found by then is kept.
        </p>
      )}
    </section>
  );
}
