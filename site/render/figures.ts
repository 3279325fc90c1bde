import { createContext } from 'react';
import type { Id } from '#core/id.ts';

/** Numbers of the pictures on a page, in themes that number them. */
export const FiguresContext = createContext<ReadonlyMap<Id, number>>(new Map());
