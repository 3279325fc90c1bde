import type { Height } from '#core/access/height.ts';
import type { ResumeSection } from '#core/resume/sections.ts';

interface DemoEntry {
  /** Told apart by it here; said nowhere. */
  name: string;
  section: ResumeSection;
  title?: string;
  place?: string;
  level?: string;
  from?: string;
  to?: string;
  /** A project by its title. */
  project?: string;
  /** What each says, and what proves it. */
  lines?: [text: string, proof?: string][];
  /** A project by its title; behind a colon a kind of part, of which the first on its page is meant. */
  proofs?: string[];
  height?: Height;
}
interface DemoVersion {
  name: string;
  height: Height;
  wants?: string;
  entries: string[];
  without?: string[];
  words?: Record<string, string>;
}

const entries: DemoEntry[] = [
  {
    ...{ name: 'goal', section: 'goals' },
    title:
      'A placement of six to ten weeks in the summer of 2027, in a workshop that mends as well as makes.',
  },
  {
    ...{ name: 'yard', section: 'work', title: 'Saturday help', place: 'the boatyard' },
    ...{ from: '2025-03', to: 'now' },
    lines: [
      ['Sanding, varnishing, and the stock list.'],
      ['Built the trolley that masts are moved on.'],
      ['Opened the yard alone on winter Saturdays.'],
    ],
  },
  {
    ...{ name: 'stall', section: 'work', title: 'Market stall', place: 'own work' },
    ...{ from: '2026-05', to: '2026-09' },
    lines: [['Made twelve bee hotels to order and sold them in two Saturdays.', 'Fold-flat bee hotel']],
  },
  {
    ...{ name: 'cafe', section: 'volunteering', title: 'Repair café', place: 'the allotment hall' },
    ...{ from: '2024-10', to: 'now' },
    lines: [['Stitching and small repairs in wood, about six a month.']],
  },
  {
    ...{ name: 'clock', section: 'projects', project: 'Tide clock' },
    lines: [['One hand, one turn a tide: 745 minutes, from a motor that does 720.', 'Tide clock']],
  },
  {
    ...{ name: 'hotel', section: 'projects', project: 'Fold-flat bee hotel' },
    lines: [['Six panels and a strap; opens for cleaning.']],
  },
  {
    ...{ name: 'lamp', section: 'projects', project: 'Float lamp' },
    lines: [['Fourteen rings cut from net floats, and the light of one candle.']],
  },
  {
    ...{ name: 'board', section: 'projects', project: 'Shared tool board' },
    lines: [['Five people, eighteen tools, nothing lost in a term.', 'Shared tool board']],
  },
  {
    ...{ name: 'course', section: 'education', title: 'Product making', place: 'Harbour Workshop' },
    ...{ from: '2025-09', to: 'now' },
    lines: [['Second year: mechanisms, thin tube, small batches.']],
  },
  {
    ...{ name: 'school', section: 'education', title: 'School certificate', place: 'Upper School' },
    ...{ from: '2020', to: '2025' },
    lines: [['Design and technology, mathematics, art, physics.']],
  },
  {
    ...{ name: 'gears', section: 'skills', title: 'Gear trains, worked out first' },
    proofs: ['Tide clock', 'Tide clock: gallery', 'Tide clock: evidence'],
  },
  {
    ...{ name: 'flat', section: 'skills', title: 'Flat-pack in thin wood' },
    proofs: ['Fold-flat bee hotel', 'Fold-flat bee hotel: gallery', 'Fold-flat bee hotel: document'],
  },
  {
    ...{ name: 'plastic', section: 'skills', title: 'Melting plastic to a recipe' },
    proofs: ['Float lamp', 'Float lamp: table'],
  },
  { name: 'team', section: 'skills', title: 'Laying out a shared bench', proofs: ['Shared tool board'] },
  { name: 'stitch', section: 'skills', title: 'Stitching sailcloth' },
  { name: 'varnish', section: 'skills', title: 'Varnishing' },
  { name: 'drill', section: 'skills', title: 'Drilling clean holes' },
  { name: 'english', section: 'languages', title: 'English', level: 'first language' },
  { name: 'german', section: 'languages', title: 'German', level: 'B1' },
  { name: 'aid', section: 'certificates', title: 'First aid at work', from: '2026-03', height: 'unlisted' },
];

/** The résumé of the demo's maker. */
export const resume: { entries: DemoEntry[]; versions: DemoVersion[] } = {
  entries,
  versions: [
    {
      ...{ name: 'For the boatyard', height: 'unlisted', wants: 'mending, wood, varnish, tools' },
      entries: [
        'goal',
        'yard',
        'cafe',
        'stall',
        'clock',
        'board',
        'varnish',
        'gears',
        'course',
        'aid',
        'german',
      ],
      without: ['Made twelve bee hotels to order and sold them in two Saturdays.'],
      words: {
        'Built the trolley that masts are moved on.':
          'Designed and welded the trolley that masts are moved on.',
      },
    },
    {
      ...{ name: 'For anyone', height: 'public' },
      entries: entries.map(({ name }) => name),
    },
  ],
};
