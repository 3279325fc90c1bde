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

/** The outlines that a plain page can begin with. */
export const pageStarterNames = {
  services: 'Services',
  learning: 'What I am learning',
  thanks: 'Thanks',
  letter: 'A letter of reflection',
};

export type PageStarterKey = keyof typeof pageStarterNames;
export const pageStarterKeys = Object.keys(pageStarterNames) as [PageStarterKey, ...PageStarterKey[]];
