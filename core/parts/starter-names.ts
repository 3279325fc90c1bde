/** The outlines a case page can begin with, by what kind of work they are for. */
export const starterNames = {
  object: 'An object',
  event: 'An event',
  study: 'A study',
  software: 'Software',
  team: 'Work in a team',
};

export type StarterKey = keyof typeof starterNames;
export const starterKeys = Object.keys(starterNames) as [StarterKey, ...StarterKey[]];
