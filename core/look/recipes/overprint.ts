import type { ThemeColours } from '../theme-colours.ts';

/** A pamphlet in two inks, and what they make where they meet. */
export const overprint: ThemeColours = {
  seeds: { first: '#ff7350', second: '#2a3fb0' },
  takesSecond: true,
  scheme: 'light',
  colours: {
    paper: { light: '#f6f1e7', dark: '#14132a', from: 'own' },
    'paper-2': { light: '#eae2d2', dark: '#22213c', from: 'own' },
    card: { light: '#f6f1e7', dark: '#14132a', from: 'own' },
    ink: { light: '#171a3a', dark: '#f0ece4', from: 'own' },
    'ink-2': { light: '#4a4a63', dark: '#b9b6c6', from: 'own' },
    accent: { light: '#22349c', dark: '#b3beff', from: 'is second' },
    'on-accent': { light: '#f6f1e7', dark: '#14132a', from: 'own' },
    line: { light: '#d3c9b6', dark: '#37355a', from: 'own' },
    'line-2': { light: '#857d6d', dark: '#7f7c9c', from: 'own' },
    focus: { light: '#22349c', dark: '#b3beff', from: 'is second' },
    bad: { light: '#8c1150', dark: '#ff9fc4', from: 'own' },
    select: { light: '#ffc3b1', dark: '#6a2c1c', from: 'first' },
    'on-select': { light: '#171a3a', dark: '#f0ece4', from: 'own' },
    back: { light: '#22349c', dark: '#1d2868', from: 'is second' },
    'back-ink': { light: '#f6f1e7', dark: '#f0ece4', from: 'own' },
    'back-2': { light: '#ffb29c', dark: '#ffb29c', from: 'first' },
    field: { light: '#ff7350', dark: '#7c2f1c', from: 'is first' },
    'on-field': { light: '#2a1c37', dark: '#f6f1e7', from: 'own' },
    two: { light: '#2a3fb0', dark: '#b3beff', from: 'is second' },
  },
  pairs: [
    // Titles lie across prints in the first ink: no print is darker than its ink, none is lighter than the paper.
    { text: 'two', ground: 'field', kind: 'text', printed: true },
    { text: 'two', ground: 'paper', kind: 'text', printed: true },
    { text: 'on-field', ground: 'field', kind: 'text' },
  ],
};
