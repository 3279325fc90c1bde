import type { Starter } from '#core/parts/starters.ts';
import { partSettings } from '../../parts/parts.ts';
import { Bow } from '../../ui/bow.tsx';

/** The parts of an outline, as the tail it makes. */
export function StarterTail({ starter }: { starter: Starter }) {
  return (
    <ol
      className="starter-tail"
      aria-label={`Parts of the outline for ${starter.name.toLowerCase()}`}
      // It scrolls: the keyboard must reach its end.
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
    >
      {starter.parts.map(({ kind, prompt, beside, questions }, at) => (
        <li key={at} data-beside={beside || undefined}>
          <Bow className={at % 2 ? 'tilt' : ''} />
          <span>
            <b>
              {partSettings[kind].name}
              {beside && ', beside it'}
            </b>
            <small>{questions ? questions.join(' ') : prompt}</small>
          </span>
        </li>
      ))}
    </ol>
  );
}
