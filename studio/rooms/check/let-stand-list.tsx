import type { Ref } from 'react';
import type { Finding } from '#core/check/finding.ts';
import { Button } from '../../ui/button.tsx';

export interface Stands {
  finding: Finding;
  /** What its page is called. */
  on: string;
  reason: string;
}

/** What its maker lets stand, and why; each can be told again. */
export function LetStandList({
  stands,
  heading,
  onTell,
}: {
  stands: readonly Stands[];
  /** Where the focus goes when something is let stand: its own place is gone. */
  heading: Ref<HTMLElement>;
  onTell: (finding: Finding) => void;
}) {
  if (stands.length === 0) return null;
  return (
    <details className="border-t border-line pt-3">
      <summary ref={heading} className="cursor-pointer font-strong">
        Let stand {stands.length}
      </summary>
      <ul className="pt-2">
        {stands.map(({ finding, on, reason }) => (
          <li
            key={finding.key}
            className="flex flex-wrap items-start gap-x-4 gap-y-2 border-t border-line py-2.5"
          >
            <p className="min-w-0 flex-[1_1_18rem]">
              <b className="block">
                {on}: {finding.says}
              </b>
              <span className="text-ink-2">{reason || 'No reason given.'}</span>
            </p>
            <Button small onClick={() => onTell(finding)}>
              Tell me again<span className="sr-only">: {finding.says}</span>
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
