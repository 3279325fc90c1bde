import { createContext } from 'react';
import type { Id } from '#core/id.ts';

/** Another page of the same site, as this one leads to it. */
export interface Way {
  title: string;
  /** Below the entrance. */
  path: string;
  /** Set where it is written in another language than the page it is named on. */
  language: string | null;
}

/** Pages that parts of this page name, by their ids; only those its reader can open. */
export const WaysContext = createContext<Readonly<Record<Id, Way>>>({});
