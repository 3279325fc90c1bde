import type { Hex } from './colour.ts';

/** What a colour is for. Every theme says all of these, whether its sheet draws with them or not. */
export const colourRoles = [
  'paper',
  'paper-2',
  'card',
  'ink',
  'ink-2',
  'accent',
  'on-accent',
  'line',
  'line-2',
  'focus',
  'bad',
  'select',
  'on-select',
  'back',
  'back-ink',
  'back-2',
  'field',
  'on-field',
  'two',
] as const;
export type ColourRole = (typeof colourRoles)[number];

/** Colours some themes have besides. */
export const extraRoles = [
  'both',
  'sky',
  'dusk',
  'tint-1',
  'tint-2',
  'tint-3',
  'tint-4',
  'on-tint',
  'glow',
] as const;
export type ExtraRole = (typeof extraRoles)[number];

export type Role = ColourRole | ExtraRole;
export type Scheme = 'light' | 'dark';

/**
 * Where a colour comes from: it is the seed itself, is drawn towards its hue, or is what it is.
 */
export type Source = 'is first' | 'is second' | 'first' | 'second' | 'own';

/** How a colour is in both schemes with the seeds the theme comes with, and how it follows other seeds. */
export interface ThemeColour {
  light: Hex;
  dark: Hex;
  from: Source;
}

/** Words need more than large words, frames and signs. */
export type PairKind = 'text' | 'large' | 'interface';

/** Something that stands on a ground. */
export interface ColourPair {
  text: Role;
  ground: Role;
  kind: PairKind;
  /** Printed over the ground, and not laid on it. */
  printed?: true;
}

/** The colours of one theme, and what stands on what in it. */
export interface ThemeColours {
  /** The seeds it comes with. */
  seeds: { first: Hex; second: Hex };
  /** Whether it knows what to do with a second seed. */
  takesSecond: boolean;
  /** How it comes: in one scheme, or as the reader's device says. */
  scheme: Scheme | 'device';
  colours: Record<ColourRole, ThemeColour> & Partial<Record<ExtraRole, ThemeColour>>;
  /** Besides those of every theme. */
  pairs: readonly ColourPair[];
}

/** What stands on what in every theme. */
export const commonPairs: readonly ColourPair[] = [
  ...(['paper', 'paper-2', 'card'] as const).flatMap((ground): ColourPair[] => [
    { text: 'ink', ground, kind: 'text' },
    { text: 'ink-2', ground, kind: 'text' },
    { text: 'accent', ground, kind: 'text' },
    { text: 'bad', ground, kind: 'text' },
    { text: 'line-2', ground, kind: 'interface' },
    { text: 'focus', ground, kind: 'interface' },
  ]),
  { text: 'on-accent', ground: 'accent', kind: 'text' },
  { text: 'on-select', ground: 'select', kind: 'text' },
  { text: 'back-ink', ground: 'back', kind: 'text' },
  { text: 'back-2', ground: 'back', kind: 'text' },
  { text: 'on-field', ground: 'field', kind: 'text' },
  { text: 'two', ground: 'paper', kind: 'text' },
];

/** Colours that say something and must be told apart by everybody: what went wrong, and what leads somewhere. */
export const toldApart: readonly (readonly [Role, Role])[] = [['bad', 'accent']];
