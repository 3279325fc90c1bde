import type { ThemeColours } from '../theme-colours.ts';

/** Ink and one spot colour. */
export const broadsheet: ThemeColours = {
  seeds: { first: '#015c38', second: '#a8552b' },
  takesSecond: false,
  scheme: 'device',
  colours: {
    paper: { light: '#f8f7f2', dark: '#15160f', from: 'own' },
    'paper-2': { light: '#e9e8df', dark: '#24251d', from: 'own' },
    card: { light: '#f8f7f2', dark: '#15160f', from: 'own' },
    ink: { light: '#15160f', dark: '#ecebe0', from: 'own' },
    'ink-2': { light: '#51534a', dark: '#b4b4a6', from: 'own' },
    accent: { light: '#015c38', dark: '#86cfa3', from: 'is first' },
    'on-accent': { light: '#ffffff', dark: '#10150f', from: 'own' },
    line: { light: '#c9c8bd', dark: '#3a3b32', from: 'own' },
    'line-2': { light: '#85857b', dark: '#7b7c6f', from: 'own' },
    focus: { light: '#015c38', dark: '#86cfa3', from: 'is first' },
    bad: { light: '#a72900', dark: '#f5a86a', from: 'own' },
    select: { light: '#c8e4cf', dark: '#1f5138', from: 'first' },
    'on-select': { light: '#15160f', dark: '#ecebe0', from: 'own' },
    back: { light: '#e3ede1', dark: '#1d2a20', from: 'first' },
    'back-ink': { light: '#15160f', dark: '#ecebe0', from: 'own' },
    'back-2': { light: '#015c38', dark: '#86cfa3', from: 'is first' },
    field: { light: '#015c38', dark: '#86cfa3', from: 'is first' },
    'on-field': { light: '#ffffff', dark: '#10150f', from: 'own' },
    two: { light: '#8a4420', dark: '#e6a987', from: 'is second' },
  },
  pairs: [],
};
