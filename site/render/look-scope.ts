import { createContext } from 'react';

/** Where several looks are drawn in one document, the name by which a page finds the rules of its own; a released page needs none. */
export const LookScopeContext = createContext<string | null>(null);
