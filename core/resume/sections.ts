/** What a résumé is made of, in the order in which its sections stand where a version does not say otherwise. */
export const resumeSections = [
  'goals',
  'work',
  'volunteering',
  'projects',
  'education',
  'skills',
  'certificates',
  'awards',
  'publications',
  'languages',
  'interests',
  'references',
] as const;
export type ResumeSection = (typeof resumeSections)[number];

/** Sections whose entries were at a time: gaps between them are looked for. */
export const timedSections: readonly ResumeSection[] = ['work', 'volunteering', 'education'];
