import { ChevronDown } from 'lucide-react';
import { Menu, MenuChoice, MenuChoices } from './menu.tsx';
import type { EffectiveHeight } from '#core/access/effective-height.ts';
import { type Height, heightLevel } from '#core/access/height.ts';
import { HeightGlyph } from './height-glyph.tsx';
import { whoChanges } from './who-changes.ts';
import { fromTheTop, heightMeanings, heightNames } from './height-names.ts';

/** What holds a thing below the height that was chosen for it; nothing where nothing does. */
export function holderName({ heldBy }: EffectiveHeight): string {
  switch (heldBy?.kind) {
    case undefined:
      return '';
    case 'site':
      return 'the site';
    case 'page':
      return heldBy.title || 'its page';
    case 'put-away':
      return 'being put away';
    case 'under-age':
      return 'being under 18';
  }
}

/** When a thing reaches its own height; it may never have been chosen by anybody, so nobody is told that they did. */
function onceItIs({ chosen, heldBy }: EffectiveHeight, holder: string): string {
  const then = `will be ${heightNames[chosen]} once`;
  switch (heldBy?.kind) {
    case 'put-away':
      return `${then} it is hung up`;
    case 'under-age':
      return `${then} you are 18`;
    default:
      return `${then} ${holder} is`;
  }
}

/** The height in words, with what holds it there. */
function heightSentence(effective: EffectiveHeight): string {
  const holder = holderName(effective);
  return effective.heldBy
    ? `held there by ${holder}; ${onceItIs(effective, holder)}`
    : heightMeanings[effective.height];
}

const chipLook =
  'inline-flex min-h-6.5 items-center gap-[5px] rounded-s text-s leading-s font-firm whitespace-nowrap';
const rowLook =
  'flex min-h-11.5 w-full items-center gap-2.5 rounded-m border border-edge bg-raised py-[5px] pr-2 pl-2.5';

/** The smallest size: one line, to be read. */
export function HeightChip({ effective }: { effective: EffectiveHeight }) {
  return (
    <span className={chipLook}>
      <HeightGlyph height={effective.height} asked={effective.chosen} />
      <span>
        <span className="sr-only">Height: </span>
        {heightNames[effective.height]}
        {effective.heldBy && (
          <em className="font-plain text-ink-3 not-italic"> held by {holderName(effective)}</em>
        )}
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
    <Menu
      opener={
        <button type="button" className={compact ? `${chipLook} pr-1.5 pl-1 hover:bg-sunk` : rowLook}>
          <span className="sr-only">Height of {of}: </span>
          <HeightGlyph height={effective.height} asked={effective.chosen} size={compact ? 24 : 34} />
          {compact ? (
            <span>{heightNames[effective.height]}</span>
          ) : (
            <span className="min-w-0 flex-1">
              <b className="block leading-4.5">{heightNames[effective.height]}</b>
              <small className="block text-xs leading-4 text-ink-3">{heightSentence(effective)}</small>
            </span>
          )}
          <ChevronDown size={compact ? 13 : 16} aria-hidden="true" />
        </button>
      }
    >
      <MenuChoices
        label={`Height of ${of}`}
        value={effective.chosen}
        onChange={(value) => onChange(value as Height)}
      >
        {fromTheTop.map((height) => {
          const waits = cap !== null && heightLevel(height) > heightLevel(cap);
          const until =
            effective.heldBy?.kind === 'under-age'
              ? 'waits while you are under 18'
              : `waits until ${holderName(effective)} is ${heightNames[height]}`;
          return (
            <MenuChoice
              key={height}
              value={height}
              sign={<HeightGlyph height={height} size={30} />}
              name={heightNames[height]}
              note={
                waits
                  ? until
                  : [heightMeanings[height], whoChanges(effective.height, height)].filter(Boolean).join('; ')
              }
            />
          );
        })}
      </MenuChoices>
    </Menu>
  );
}
