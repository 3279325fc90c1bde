import type { LucideIcon } from 'lucide-react';
import type { InTurns } from '../../check/use-in-turns.ts';
import { Button } from '../../ui/button.tsx';
import { ProgressBar } from '../../ui/progress-bar.tsx';

interface TurnsProps extends InTurns {
  /** What it is about, for whom lists regions. */
  name: string;
  Icon: LucideIcon;
  left: number;
  /** What is told while nothing goes on. */
  waits: string;
  /** What goes on, before how far it is. */
  goes: string;
  begin: string;
}

/** Something that takes long and is begun by hand: what is left of it, how far it is, and a way to stop. */
export function Turns({ name, Icon, left, waits, goes, begin, of, problem, start, stop }: TurnsProps) {
  const done = of === null ? 0 : Math.max(0, of - left);
  return (
    <section aria-label={name} className="grid gap-2 border-t border-t-line pt-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Icon size={18} aria-hidden="true" className="flex-none text-ink-3" />
        <p role="status" className="min-w-0 flex-[1_1_18rem]">
          {of === null ? waits : `${goes}: ${done} of ${of}.`}
        </p>
        {of !== null ? (
          <Button small onClick={stop}>
            Stop
          </Button>
        ) : (
          left > 0 && (
            <Button small onClick={start}>
              {begin}
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
