import type { ResumeSection } from '../sections.ts';

/** Where the members of an entry stand in an item of JSON Resume 1.0 (jsonresume.org/schema). */
export interface ItemMapping {
  /** Of the list of items. */
  key: string;
  title: string;
  place?: string;
  /** First and last month; without an end it goes on. */
  from?: string;
  to?: string;
  /** Where there is one date only. */
  date?: string;
  level?: string;
  /** Words in one piece: the first lines. */
  text?: string;
  /** Further lines. */
  list?: string;
}

const months = { from: 'startDate', to: 'endDate' };

/** Each section but the goal, which is the summary of the whole. */
export const itemMappings: Record<Exclude<ResumeSection, 'goals'>, ItemMapping> = {
  work: { key: 'work', title: 'position', place: 'name', ...months, text: 'summary', list: 'highlights' },
  volunteering: {
    ...{ key: 'volunteer', title: 'position', place: 'organization' },
    ...{ ...months, text: 'summary', list: 'highlights' },
  },
  projects: {
    key: 'projects',
    title: 'name',
    place: 'entity',
    ...months,
    text: 'description',
    list: 'highlights',
  },
  education: { key: 'education', title: 'area', place: 'institution', ...months, list: 'courses' },
  skills: { key: 'skills', title: 'name', level: 'level', list: 'keywords' },
  certificates: { key: 'certificates', title: 'name', place: 'issuer', date: 'date' },
  awards: { key: 'awards', title: 'title', place: 'awarder', date: 'date', text: 'summary' },
  publications: {
    key: 'publications',
    title: 'name',
    place: 'publisher',
    date: 'releaseDate',
    text: 'summary',
  },
  languages: { key: 'languages', title: 'language', level: 'fluency' },
  interests: { key: 'interests', title: 'name', list: 'keywords' },
  references: { key: 'references', title: 'name', text: 'reference' },
};
