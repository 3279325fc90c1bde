import { Check, ChevronDown } from 'lucide-react';
import { DropdownMenu, RadioGroup } from 'radix-ui';
import type { EffectiveHeight } from '#core/access/effective-height.ts';
import { type Height, heightLevel } from '#core/content/height.ts';
import { HeightGlyph } from './height-glyph.tsx';
import { fromTheTop, heightMeanings, heightNames } from './height-names.ts';

const holderName = ({ heldBy }: EffectiveHeight): string =>
  heldBy ? (heldBy.kind === 'site' ? 'the site' : heldBy.title || 'its page') : '';

/** The height in words, with what holds it there. */
export function heightSentence(effective: EffectiveHeight): string {
  return effective.heldBy
    ? `held at ${heightNames[effective.height]} by ${holderName(effective)}. You chose ${heightNames[effective.chosen]}`
    : heightMeanings[effective.height];
}

/** The smallest size: one line, to be read. */
export function HeightChip({ effective }: { effective: EffectiveHeight }) {
  return (
    <span className="height-chip">
      <HeightGlyph height={effective.height} asked={effective.chosen} />
      <span>
        <span className="sr-only">Height: </span>
        {heightNames[effective.height]}
        {effective.heldBy && <em> held by {holderName(effective)}</em>}
      </span>
    </span>
  );
}

interface HeightRowProps {
  effective: EffectiveHeight;
  onChange: (height: Height) => void;
  /** What it is the height of, for people who hear the page. */
  of: string;
  compact?: boolean;
}

/** The middle size: a row in a form that opens to choose from. */
export function HeightRow({ effective, onChange, of, compact = false }: HeightRowProps) {
  const cap = effective.heldBy ? effective.height : null;
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className={compact ? 'height-chip' : 'height-row'}>
        <span className="sr-only">Height of {of}: </span>
        <HeightGlyph height={effective.height} asked={effective.chosen} size={compact ? 24 : 34} />
        {compact ? (
          <span>{heightNames[effective.height]}</span>
        ) : (
          <span className="min-w-0 flex-1">
            <b>{heightNames[effective.height]}</b>
            <small>{heightSentence(effective)}</small>
          </span>
        )}
        <ChevronDown size={compact ? 13 : 16} aria-hidden="true" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="menu" align="start" sideOffset={4}>
          <DropdownMenu.RadioGroup
            value={effective.chosen}
            onValueChange={(value) => onChange(value as Height)}
            aria-label={`Height of ${of}`}
          >
            {fromTheTop.map((height) => {
              const waits = cap !== null && heightLevel(height) > heightLevel(cap);
              return (
                <DropdownMenu.RadioItem key={height} value={height} className="menu-item">
                  <HeightGlyph height={height} size={30} />
                  <span className="flex-1">
                    <b>{heightNames[height]}</b>
                    <small>
                      {waits
                        ? `waits until ${holderName(effective)} is ${heightNames[height]}`
                        : heightMeanings[height]}
                    </small>
                  </span>
                  <DropdownMenu.ItemIndicator>
                    <Check size={18} aria-hidden="true" />
                  </DropdownMenu.ItemIndicator>
                </DropdownMenu.RadioItem>
              );
            })}
          </DropdownMenu.RadioGroup>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

const gaugeWords: Record<Height, string> = {
  public: 'Open sky. At your address, listed here, and findable if you wish.',
  unlisted: 'Long string. Anyone with the link.',
  invited: 'Short string. People holding a pass.',
  private: 'On the ground. Only you.',
};

/** The largest size, for the whole site: a gauge from the ground to the open sky. */
export function HeightGauge({ height, onChange }: { height: Height; onChange: (height: Height) => void }) {
  return (
    <div className="gauge">
      <svg className="land" viewBox="0 0 272 58" preserveAspectRatio="none" aria-hidden="true">
        <path d="M0 22c60-16 130 6 190-4s60-10 82-8v48H0z" fill="#A9C79B" />
        <path d="M0 38c70-14 140 4 200-6 40-6 60-4 72-2v28H0z" fill="#7DA386" />
      </svg>
      <RadioGroup.Root
        value={height}
        onValueChange={(value) => onChange(value as Height)}
        aria-label="Height of the site"
      >
        {fromTheTop.map((one) => (
          <RadioGroup.Item key={one} value={one} className="gauge-option">
            <svg width="46" height="92" viewBox="0 0 46 92" aria-hidden="true">
              {one === height ? (
                <>
                  <path d="M23 4l18 17-18 25L5 21z" fill="var(--vermilion)" />
                  <path d="M23 4v42M5 21h36" stroke="#fff" strokeOpacity=".35" />
                </>
              ) : (
                <circle cx="23" cy="22" r="6" fill="#fff" stroke="#7A5A28" strokeWidth="2" />
              )}
            </svg>
            <span className="words">
              <b>{heightNames[one]}</b>
              {gaugeWords[one]}
            </span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
