import { createContext, type CSSProperties } from 'react';
import { firstLook, type Look } from '#core/look/look.ts';
import type { ThemeName } from '#core/look/theme-names.ts';

/**
 * Where several looks are drawn in one document, the properties of the one that a page wears, for its own element; a released page has
 * them in its sheet.
 */
export const WornContext = createContext<{ theme: ThemeName; style: CSSProperties } | null>(null);

/** The look of the page that is drawn. */
export const LookContext = createContext<Look>(firstLook);
