import type { Id } from '../id.ts';

/** What was given out of a site and is not part of its draft, as far as something can be wrong with it. */
export interface GivenOut {
  passes: readonly {
    id: Id;
    label: string;
    on: boolean;
    /** When it ends, as an instant; null: never. */
    closesAt: string | null;
    timeZone: string;
  }[];
  /** `warnings`: as `handInWarnings` gives them. */
  handIns: readonly { id: Id; what: string; warnings: readonly string[] }[];
}

export const nothingGivenOut: GivenOut = { passes: [], handIns: [] };
