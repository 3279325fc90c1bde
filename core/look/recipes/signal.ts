import type { ThemeColours } from '../theme-colours.ts';

/** Two flat colours tile the page from edge to edge. */
export const signal: ThemeColours = {
  seeds: { first: '#ffd21f', second: '#1238a0' },
  takesSecond: true,
  scheme: 'light',
  colours: {
    paper: { light: '#ffffff', dark: '#0b0f18', from: 'own' },
    'paper-2': { light: '#e9ebf0', dark: '#1b2230', from: 'own' },
    card: { light: '#ffffff', dark: '#0b0f18', from: 'own' },
    ink: { light: '#0b0f18', dark: '#f4f6fb', from: 'own' },
    'ink-2': { light: '#454b57', dark: '#b6bdcb', from: 'own' },
    accent: { light: '#1640b0', dark: '#9db6ff', from: 'is second' },
    'on-accent': { light: '#ffffff', dark: '#0b0f18', from: 'own' },
    line: { light: '#c6cad2', dark: '#343d4f', from: 'own' },
    'line-2': { light: '#7f838b', dark: '#7d8798', from: 'own' },
    focus: { light: '#1640b0', dark: '#9db6ff', from: 'is second' },
    bad: { light: '#b3261e', dark: '#ff9d8f', from: 'own' },
    select: { light: '#ffe680', dark: '#2d4fb8', from: 'own' },
    'on-select': { light: '#0b0f18', dark: '#ffffff', from: 'own' },
    back: { light: '#1238a0', dark: '#16379b', from: 'is second' },
    'back-ink': { light: '#ffffff', dark: '#ffffff', from: 'own' },
    'back-2': { light: '#ffd21f', dark: '#ffd21f', from: 'is first' },
    field: { light: '#ffd21f', dark: '#ffd21f', from: 'is first' },
    'on-field': { light: '#0b0f18', dark: '#0b0f18', from: 'own' },
    two: { light: '#1238a0', dark: '#9db6ff', from: 'is second' },
  },
  pairs: [{ text: 'on-field', ground: 'field', kind: 'interface' }],
};
