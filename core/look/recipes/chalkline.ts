import type { ThemeColours } from '../theme-colours.ts';

/** A drawing sheet in one ink; by night a blue one with chalk. */
export const chalkline: ThemeColours = {
  seeds: { first: '#0a62a3', second: '#a3530a' },
  takesSecond: false,
  scheme: 'device',
  colours: {
    paper: { light: '#f5f7f8', dark: '#10222c', from: 'first' },
    'paper-2': { light: '#e6ebee', dark: '#1b303c', from: 'first' },
    card: { light: '#f5f7f8', dark: '#10222c', from: 'first' },
    ink: { light: '#16222b', dark: '#e6eef0', from: 'first' },
    'ink-2': { light: '#4a5964', dark: '#a9bdc5', from: 'first' },
    accent: { light: '#0a62a3', dark: '#8fd0f2', from: 'is first' },
    'on-accent': { light: '#ffffff', dark: '#0c1a22', from: 'own' },
    line: { light: '#cfd7dc', dark: '#2a424f', from: 'first' },
    'line-2': { light: '#7b868e', dark: '#71909d', from: 'first' },
    focus: { light: '#0a62a3', dark: '#8fd0f2', from: 'is first' },
    bad: { light: '#b3261e', dark: '#ff9d8f', from: 'own' },
    select: { light: '#c5dff2', dark: '#25546e', from: 'first' },
    'on-select': { light: '#16222b', dark: '#e6eef0', from: 'first' },
    back: { light: '#f5f7f8', dark: '#10222c', from: 'first' },
    'back-ink': { light: '#16222b', dark: '#e6eef0', from: 'first' },
    'back-2': { light: '#0a62a3', dark: '#8fd0f2', from: 'is first' },
    field: { light: '#0a62a3', dark: '#8fd0f2', from: 'is first' },
    'on-field': { light: '#ffffff', dark: '#0c1a22', from: 'own' },
    two: { light: '#8f480a', dark: '#f2b98f', from: 'is second' },
  },
  pairs: [],
};
