import type { ThemeColours } from '../theme-colours.ts';

/** Open sky from morning to dusk, four tints, and one colour of cloth. */
export const fairwind: ThemeColours = {
  seeds: { first: '#c4e4f4', second: '#b51f2b' },
  takesSecond: true,
  scheme: 'device',
  colours: {
    paper: { light: '#f4fafd', dark: '#101b33', from: 'first' },
    'paper-2': { light: '#dcedf5', dark: '#1c2b4a', from: 'first' },
    card: { light: '#ffffff', dark: '#1b2947', from: 'first' },
    ink: { light: '#14233f', dark: '#edf3fb', from: 'first' },
    'ink-2': { light: '#455673', dark: '#b3c2da', from: 'first' },
    accent: { light: '#b51f2b', dark: '#ff9e92', from: 'is second' },
    'on-accent': { light: '#ffffff', dark: '#1a0d10', from: 'own' },
    line: { light: '#c5d8e2', dark: '#2b3c5e', from: 'first' },
    'line-2': { light: '#72869a', dark: '#7388ab', from: 'first' },
    focus: { light: '#b51f2b', dark: '#ff9e92', from: 'is second' },
    bad: { light: '#7d2a8c', dark: '#e7a6f2', from: 'own' },
    select: { light: '#ffe9ab', dark: '#5c4a16', from: 'own' },
    'on-select': { light: '#14233f', dark: '#fbf7ef', from: 'own' },
    back: { light: '#dcedf5', dark: '#1c2b4a', from: 'first' },
    'back-ink': { light: '#14233f', dark: '#edf3fb', from: 'first' },
    'back-2': { light: '#14233f', dark: '#edf3fb', from: 'first' },
    field: { light: '#b51f2b', dark: '#ff9e92', from: 'is second' },
    'on-field': { light: '#ffffff', dark: '#1a0d10', from: 'own' },
    two: { light: '#b51f2b', dark: '#ff9e92', from: 'is second' },
    sky: { light: '#c4e4f4', dark: '#31305e', from: 'first' },
    dusk: { light: '#fde9dd', dark: '#3a2440', from: 'own' },
    'tint-1': { light: '#ffd7cc', dark: '#6b2f38', from: 'first' },
    'tint-2': { light: '#ffe9ab', dark: '#5c4a16', from: 'first' },
    'tint-3': { light: '#c6ecdf', dark: '#1d5247', from: 'first' },
    'tint-4': { light: '#cfe0fb', dark: '#2b4478', from: 'first' },
    'on-tint': { light: '#14233f', dark: '#fbf7ef', from: 'first' },
  },
  pairs: [
    ...(['tint-1', 'tint-2', 'tint-3', 'tint-4'] as const).map(
      (ground) => ({ text: 'on-tint', ground, kind: 'text' }) as const,
    ),
    ...(['sky', 'dusk'] as const).flatMap((ground) => [
      { text: 'ink', ground, kind: 'text' } as const,
      { text: 'ink-2', ground, kind: 'text' } as const,
      { text: 'accent', ground, kind: 'text' } as const,
      { text: 'focus', ground, kind: 'interface' } as const,
    ]),
  ],
};
