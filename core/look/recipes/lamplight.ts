import type { ThemeColours } from '../theme-colours.ts';

/** A dark room, and one warm light; by day the same room with the shutters open. */
export const lamplight: ThemeColours = {
  seeds: { first: '#f0bd6c', second: '#8fb7c9' },
  takesSecond: false,
  scheme: 'dark',
  colours: {
    paper: { light: '#f5f1e8', dark: '#0c0d0f', from: 'own' },
    'paper-2': { light: '#e8e1d3', dark: '#17191c', from: 'own' },
    card: { light: '#f5f1e8', dark: '#0c0d0f', from: 'own' },
    ink: { light: '#211c14', dark: '#efe9de', from: 'own' },
    'ink-2': { light: '#5d5445', dark: '#b0a898', from: 'own' },
    accent: { light: '#805410', dark: '#f0bd6c', from: 'is first' },
    'on-accent': { light: '#fffaf0', dark: '#17130b', from: 'own' },
    line: { light: '#d3cab8', dark: '#2b2d31', from: 'own' },
    'line-2': { light: '#857c6c', dark: '#6d6f73', from: 'own' },
    focus: { light: '#805410', dark: '#f0bd6c', from: 'is first' },
    bad: { light: '#a81f35', dark: '#ff8a8a', from: 'own' },
    select: { light: '#efd9b0', dark: '#5c4116', from: 'first' },
    'on-select': { light: '#211c14', dark: '#f4ecdd', from: 'own' },
    back: { light: '#ecdfc6', dark: '#1c140b', from: 'first' },
    'back-ink': { light: '#211c14', dark: '#f4ecdd', from: 'own' },
    'back-2': { light: '#6d4609', dark: '#f0bd6c', from: 'is first' },
    field: { light: '#805410', dark: '#f0bd6c', from: 'is first' },
    'on-field': { light: '#fffaf0', dark: '#17130b', from: 'own' },
    two: { light: '#28586d', dark: '#8fb7c9', from: 'is second' },
    glow: { light: '#f6dfb4', dark: '#6b4612', from: 'first' },
  },
  pairs: [],
};
