import { coloursOf, schemeOf } from './look-rules.ts';
import type { Look } from './look.ts';
import { themeDefaults } from './theme-defaults.ts';
import type { Scheme } from './theme-colours.ts';

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (sign) => `&#${sign.codePointAt(0) ?? 32};`);

/** The first letter of a name as its readers see it: an accent or a joined sign stays with its letter. */
function initialOf(name: string): string {
  const [first] = new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(name.trim());
  return (first?.segment ?? '').toLocaleUpperCase();
}

/**
 * The sign of a site in the tabs of a browser, as an SVG file: the first letter of its name on the field of its look. It holds no font,
 * since a browser fetches none for it.
 */
export function iconOf(look: Look, name: string): string {
  const light = schemeOf(look);
  const first: Scheme = light === 'device' ? 'light' : light;
  const colours = (scheme: Scheme) => {
    const { field = '#000000', 'on-field': letter = '#ffffff' } = coloursOf(look, scheme).colours;
    return { field, letter };
  };
  const base = colours(first);
  const night = light === 'device' ? colours('dark') : base;
  const corners = Math.min(16, look.corners ?? themeDefaults[look.theme].corners);
  const dark =
    night.field === base.field
      ? ''
      : `@media(prefers-color-scheme:dark){rect{fill:${night.field}}text{fill:${night.letter}}}`;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><style>rect{fill:${base.field}}text{fill:${base.letter}}${dark}</style><rect width="32" height="32" rx="${corners}"/><text x="16" y="23.5" text-anchor="middle" font-family="Arial,Helvetica,sans-serif" font-weight="700" font-size="21">${escaped(initialOf(name))}</text></svg>`;
}
