import type { Starter } from '#core/parts/starters.ts';
import { partSettings } from '../../parts/parts.ts';
import { Bow } from '../../ui/bow.tsx';

/** The parts of an outline, as the tail it makes. */
export function StarterTail({ starter }: { starter: Starter }) {
  return (
    <ol
      className="grid max-h-[52vh] gap-2.5 overflow-auto bg-sunk px-3.5 py-2.5"
      aria-label={`Parts of the outline for ${starter.name.toLowerCase()}`}
      // It scrolls: the keyboard must reach its end.
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
    >
      {starter.parts.map(({ kind, prompt, beside, questions }, at) => (
        <li key={at} className={`grid grid-cols-[26px_1fr] items-start gap-2.5 ${beside ? 'pl-4.5' : ''}`}>
          <Bow className={at % 2 ? 'rotate-7' : '-rotate-7'} />
          <span>
            <b className="block">
              {partSettings[kind].name}
              {beside && ', beside it'}
            </b>
            <small className="block text-s leading-[1.35] text-ink-2">
              {questions ? questions.join(' ') : prompt}
            </small>
          </span>
        </li>
      ))}
    </ol>
  );
}
