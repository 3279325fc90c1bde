import { type KeyboardEvent, useRef, useState } from 'react';
import { type Height, heightLevel } from '#core/access/height.ts';
import { fromTheTop, heightNames } from './height-names.ts';
import { whoChanges } from './who-changes.ts';
import { Button } from './button.tsx';
import './height-gauge.css';

const gaugeWords: Record<Height, string> = {
  public: 'Open sky. At your address, for everybody, and findable if you wish.',
  unlisted: 'Long string. Anyone with the link.',
  invited: 'Short string. People holding a pass.',
  private: 'On the ground. Only you.',
};

/** What happens with each height once it is chosen. */
const raising: Record<Height, string> = {
  private: '',
  invited: 'With your next publish, people holding a pass can open it.',
  unlisted: 'With your next publish, anyone with the link can open it.',
  public: 'With your next publish, everybody can open it.',
};

/**
 * The largest size, for the whole site: a gauge from the ground to the open sky. Arrow keys choose and stop at either end,
 * and what is chosen is always what has the focus; nothing is applied by them. Lowering is applied by a click, Space or
 * Enter; raising by the button that names it, and by nothing else.
 *
 * The pattern is that of the ARIA Authoring Practices for radio groups, without wrapping.
 */
export function HeightGauge({ height, onChange }: { height: Height; onChange: (height: Height) => void }) {
  const [picked, setPicked] = useState<Height | null>(null);
  const options = useRef(new Map<Height, HTMLButtonElement>());
  const chosen = picked ?? height;
  const isLower = (one: Height) => heightLevel(one) < heightLevel(height);

  const apply = (one: Height) => {
    setPicked(null);
    if (one !== height) onChange(one);
    options.current.get(one)?.focus();
  };
  const onKeyDown = (event: KeyboardEvent<HTMLButtonElement>, from: number) => {
    const step = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const next = fromTheTop[from + step];
    if (next === undefined) return;
    options.current.get(next)?.focus();
    setPicked(next);
  };

  return (
    <>
      <div className="gauge relative overflow-hidden pb-8.5">
        <svg
          className="absolute inset-x-0 bottom-0 h-14.5 w-full"
          viewBox="0 0 272 58"
          preserveAspectRatio="none"
          aria-hidden="true"
        >
          <path d="M0 22c60-16 130 6 190-4s60-10 82-8v48H0z" fill="#A9C79B" />
          <path d="M0 38c70-14 140 4 200-6 40-6 60-4 72-2v28H0z" fill="#7DA386" />
        </svg>
        <div role="radiogroup" aria-label="Height of the site">
          {fromTheTop.map((one, at) => (
            <button
              key={one}
              ref={(element) => {
                if (element) options.current.set(one, element);
              }}
              type="button"
              role="radio"
              aria-checked={one === chosen}
              tabIndex={one === chosen ? 0 : -1}
              value={one}
              className="relative flex min-h-23 w-full items-start gap-3.5 py-3 pr-3.5 pl-19 text-start focus-visible:shadow-[inset_0_0_0_3px_var(--sky)]"
              onKeyDown={(event) => onKeyDown(event, at)}
              onClick={() => (isLower(one) ? apply(one) : setPicked(one))}
            >
              <svg
                className="absolute top-1.5 left-4"
                width="46"
                height="92"
                viewBox="0 0 46 92"
                aria-hidden="true"
              >
                {one === height ? (
                  <>
                    <path d="M23 4l18 17-18 25L5 21z" fill="var(--vermilion)" />
                    <path d="M23 4v42M5 21h36" stroke="#fff" strokeOpacity=".35" />
                  </>
                ) : (
                  <circle cx="23" cy="22" r="6" fill="#fff" stroke="#7A5A28" strokeWidth="2" />
                )}
              </svg>
              <span
                className={`px-3 py-1.5 text-s leading-s text-ink-2 ${one === chosen ? 'border-l-4 border-l-vermilion bg-raised shadow-2' : ''}`}
              >
                <b className="block font-head text-[1.0625rem] leading-[1.375rem] font-strong">
                  {heightNames[one]}
                  {one === height && chosen !== height && <span className="sr-only"> (as it is now)</span>}
                </b>
                {gaugeWords[one]}
                {isLower(one) && <span className="block">{`Lowered: ${whoChanges(height, one)}.`}</span>}
              </span>
            </button>
          ))}
        </div>
      </div>
      {chosen !== height && (
        <div className="grid gap-2 px-5 pt-4" role="status">
          <p className="note">
            {isLower(chosen)
              ? `The site is ${heightNames[height]} now. Lowering it works at once.`
              : `The site is ${heightNames[height]} now. ${raising[chosen]}`}
          </p>
          <div className="flex flex-wrap gap-2">
            <Button look="ink" onClick={() => apply(chosen)}>
              {isLower(chosen)
                ? `Lower it to ${heightNames[chosen]} now`
                : `Raise it to ${heightNames[chosen]}`}
            </Button>
            <Button onClick={() => apply(height)}>Keep {heightNames[height]}</Button>
          </div>
        </div>
      )}
    </>
  );
}
