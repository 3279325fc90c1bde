import type { LookAnswer } from '#core/second-look/second-look.ts';

/** Who looks at the demo's draft, and what they say to the lines of the list for partners, in their order; null: nothing yet. */
export const demoSecondLook: {
  who: string;
  days: number;
  said: readonly ((LookAnswer & { says: 'yes' }) | { says: 'unsure'; words: string; on: string } | null)[];
} = {
  who: 'Juno Pell',
  days: 7,
  said: [
    { says: 'yes' },
    { says: 'yes' },
    { says: 'yes' },
    { says: 'yes' },
    { says: 'unsure', words: 'Is that your own number on the crate in the third picture?', on: 'Float lamp' },
    null,
    null,
  ],
};
