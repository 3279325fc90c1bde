import { useNeeded } from './use-findings.ts';
import { useInsideOnRail } from './use-inside.ts';
import { useLinkAnswers } from './use-link-answers.ts';

/** On the rail: how much is needed on the pages that readers get. */
export function NeededMark() {
  useInsideOnRail();
  useLinkAnswers();
  const needed = useNeeded().length;
  if (needed === 0) return null;
  return (
    <span className="absolute top-0 -right-2 rounded-full bg-straw px-1 text-[11px] leading-4 font-strong text-ink">
      {needed > 99 ? '99+' : needed}
      <span className="sr-only"> needed</span>
    </span>
  );
}
