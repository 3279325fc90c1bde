import { createContext } from 'react';
import { firstLook, type Look } from '#core/look/look.ts';

/** Where several looks are drawn in one document, the name by which a page finds the rules of its own; a released page needs none. */
export const LookScopeContext = createContext<string | null>(null);

/** The look of the page that is drawn. */
export const LookContext = createContext<Look>(firstLook);
