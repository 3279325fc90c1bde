import type { CommentState, TakenUp } from '#core/comments/comment.ts';
import type { Mark } from '#core/comments/mark.ts';
import type { Half } from '#core/about/halves.ts';
import type { Profile } from '#core/parts/profiles.ts';
import type { Spoken } from '#core/parts/languages.ts';
import type { Exactness } from '#core/parts/place.ts';
import type { CaseFacts } from '#core/pages/case-facts.ts';
import type { Height } from '#core/access/height.ts';
import type { galleryCaptions, galleryLayouts } from '#core/parts/gallery.ts';
import type { groundColours, passingSides } from '#core/parts/ground.ts';
import type { Provenance } from '#core/credits/provenance.ts';

/**
 * A second-year product-making student in an invented harbour town, in the middle of the work: four projects that
 * are live, edits waiting on one of them, a rough draft, and loose pictures. Everything here is made up.
 */
export interface DemoProject {
  folder: string;
  /** The group it stands in. */
  group: string;
  title: string;
  summary: string;
  facts: Partial<CaseFacts>;
  opening: { layout: 'full' | 'strip'; pictures: string[] };
  parts: DemoPart[];
}

/** What a part lies on, with pictures by the names of their files. */
export type DemoGround =
  | { colour: (typeof groundColours)[number]; wide: boolean }
  | { passesOver: string[]; side: (typeof passingSides)[number] };

/** `beside`: it stands beside the part before it, which gets this share of the width. */
export type DemoPart = { beside?: number; ground?: DemoGround } & (
  | { kind: 'words'; text: string }
  | { kind: 'picture'; file: string; width: 'text' | 'wide' | 'full' | 'window' }
  | {
      kind: 'gallery';
      title: string;
      files: string[];
      layout?: (typeof galleryLayouts)[number];
      captions?: (typeof galleryCaptions)[number];
    }
  | { kind: 'document' | 'sound'; file: string }
  | { kind: 'clip'; file: string; still: string }
  /** Path of a stand-in page. */
  | { kind: 'link'; page: string }
  | { kind: 'quote'; text: string; by: string }
  | { kind: 'compare'; before: string; after: string; names: [string, string] }
  | { kind: 'evidence'; file: string; what: string; why: string; shows: string }
  | { kind: 'reflection'; answers: [question: string, text: string][] }
  | { kind: 'credits' }
  | {
      kind: 'table';
      title: string;
      columns: { name: string; height?: Height; sum?: boolean }[];
      rows: string[][];
    }
  | { kind: 'contact'; words: string }
);

export const maker = { name: 'Wren', site: 'Wren', address: 'wren-makes' };

export const front = {
  title: 'Wren makes useful things for a harbour town, and keeps the mistakes on show.',
  summary:
    'Second-year product making. Wood, sailcloth, small mechanisms, mostly from what others threw out.',
};

/** Links that stand on many pages; a path is one of a stand-in page, which answers. */
export const quickLinks = [
  { name: 'Book the workshop', to: '/open', atEnd: 'every' as const, inMenu: false },
  { name: 'Harbour office', to: 'https://harbour.example/office', atEnd: 'none' as const, inMenu: true },
];

/** What a tutor wants looked at, some of it ticked. */
export const tutorsList = {
  name: 'For the portfolio review',
  by: 'Idris, workshop',
  evidence: 3,
  lines: [
    { text: 'Alt text on every picture', essential: true, rule: 'alt', done: false },
    { text: 'Three pieces of evidence a project', essential: true, rule: 'evidence', done: false },
    {
      text: 'Your own part is clear where you worked with others',
      essential: true,
      rule: 'facts',
      done: false,
    },
    { text: 'One thing that went wrong, and what you did about it', essential: true, rule: null, done: true },
    { text: 'Read on a phone, outdoors', essential: false, rule: null, done: false },
  ],
};

/** What readers wrote, on the page of a project or from any page. */
export const readersWrote = [
  {
    on: 'Tide clock',
    name: 'Marit Soll',
    from: 'marit@ferry-office.example',
    words:
      'The clock on the wall of our waiting room is wrong by an hour since March, and yours cannot be.\n\nWould you build one more? We could pay for the motor and the wood, and give you a wall that four hundred people look at every day.',
    read: true,
  },
  {
    on: null,
    name: 'Jory from plot nine',
    from: 'jory@quay-lane.example',
    words: 'Eleven tubes are sealed now. I can send you pictures, if you tell me where to.',
    read: false,
  },
];

/** What holders of a pass said of pages, and what the maker made of it. */
export const readersSaid: readonly {
  pass: string;
  on: string;
  name: string;
  words: string;
  /** Words of the page that it is about; empty for none. */
  quote: string;
  /** Where it points in the first picture of the page. */
  at?: Mark;
  state: CommentState;
  answer: string | null;
  takenUp: TakenUp;
  thanked: boolean;
}[] = [
  {
    ...{
      pass: 'Tutors',
      on: 'Tide clock',
      name: 'P. Lunn',
      quote: 'The people who read it asked for none of them.',
    },
    words:
      'The second dial convinces me, and I can see why from your first one. Say in a sentence what the ferry crew said when they tried it.',
    ...{ state: 'waiting', answer: null, takenUp: 'no', thanked: false },
  },
  {
    ...{ pass: 'Tutors', on: 'Fold-flat bee hotel', name: 'Mette', quote: '' },
    words:
      'Could the sheet be cut from offcuts as well? The yard throws away strips of that width every week.',
    ...{
      state: 'pass',
      answer: 'It can, from 180 mm up. I will add the size to the cutting plan.',
      takenUp: 'next',
      thanked: true,
    },
  },
  {
    ...{ pass: 'Tutors', on: 'Float lamp', name: 'P. Lunn', quote: '', at: { x: 480, y: 750 } },
    words: 'How is it sealed where the cable goes in? A picture from below would answer my question.',
    ...{ state: 'kept', answer: 'Added.', takenUp: 'yes', thanked: true },
  },
];

/** A second, small site from the same material, for readers of another language. */
export const second = {
  site: 'Wren auf Deutsch',
  address: 'wren-auf-deutsch',
  language: 'de',
  theme: 'chalkline' as const,
  front: {
    title: 'Brauchbare Dinge für eine Hafenstadt',
    summary: 'Das zweite Jahr Produktgestaltung: Holz, Segeltuch und langsame Mechanik.',
  },
  project: {
    title: 'Gezeitenuhr',
    summary: 'Eine Wanduhr mit einem einzigen Zeiger, der einmal in jeder Tide umläuft.',
    facts: {
      from: '2025-09',
      to: '2025-12',
      role: 'Entwurf, Bau, Erprobung',
      materials: 'Birkensperrholz, Messing, ein langsamer Motor',
      tags: ['Uhr', 'Hafen'],
    },
    opening: 'tide-clock/08-hero-on-wall.jpg',
    text: `# Warum die Stunde die falsche Frage war

Die Slipanlage in unserem Hafen steht fünf von zwölf Stunden unter Wasser. Die Gezeitentafel an der Bürowand stimmt, aber sie ist klein, und jeder Gast stellt am Schalter dieselbe Frage.

Eine gewöhnliche Uhr hilft da nicht, denn eine Tide dauert zwölf Stunden und fünfundzwanzig Minuten. Also habe ich eine gebaut, die es tut.`,
    gallery: [
      'tide-clock/02-cardboard-prototype.jpg',
      'tide-clock/04-gears-and-motor.jpg',
      'tide-clock/07-hand-close-up.jpg',
    ],
  },
};

/** What the work was for, with a sentence below each name. */
export const groups = [
  {
    title: 'For the harbour',
    summary: 'Things for the harbour: one works by the tide, one folds flat, one floats.',
  },
  {
    title: 'Made together',
    summary: 'Five people, one workshop, and the first thing that stayed on the wall.',
  },
];

/** What stands beside the work: pages, and a heading with a link below it. */
export const beside: {
  kind: 'plain' | 'heading' | 'link';
  title: string;
  summary?: string;
  text?: string;
  leadsTo?: string;
  below?: string;
}[] = [
  {
    kind: 'plain',
    title: 'Workshop notes',
    summary: 'What did not work, so that nobody has to find it out again.',
    text: `The finished things are on the other pages. Here is what they cost: wood that split, glue that let go in the wet, and a motor that turned the wrong way for two weeks.

I write it down on the day it happens. A week later every mistake sounds like a plan.`,
  },
  {
    kind: 'plain',
    title: 'Failures, by date',
    below: 'Workshop notes',
  },
  { kind: 'heading', title: 'Elsewhere' },
  {
    kind: 'link',
    title: 'Tide tables, Skerrin',
    below: 'Elsewhere',
    leadsTo: 'https://tides.example/skerrin',
  },
];

/** Who Wren is. Answers by the ids of their questions, each with the project that proves it, if any. */
export const aboutMaker = {
  title: 'I like things that still work when they are wet.',
  /** The first that a reader may see is shown: cut from paper before the one at the bench. */
  portraits: [
    { file: 'site/04-portrait-paper-cut.jpg', face: false, height: 'public' },
    { file: 'site/05-portrait-apron.jpg', face: true, height: 'invited' },
  ],
  fullName: 'Wren Tolliver',
  headline: 'Useful things for a harbour town',
  pronouns: 'they/them',
  places: [
    { exactness: 'town', text: 'Skerrin', height: 'invited' },
    { exactness: 'region', text: 'A harbour town on the north coast', height: 'public' },
  ],
  free: { text: 'A placement', from: '2027-06-15', to: '2027-08-29' },
  languages: [
    { language: 'en', level: 'first' },
    { language: 'de', level: 'B1' },
  ],
  elsewhere: [{ name: 'Kites I mended', to: 'https://kites.example/wren', is: 'work' }],
  halves: {
    biography: {
      began: ['I grew up two streets from the boatyard and spent more time in its skip than was allowed.'],
      'works-in': [
        'Now I am in my second year of product making. I work in wood, sailcloth and small mechanisms, mostly from what others threw out.',
      ],
      week: ['Away from the bench I crew on Thursdays and repair kites for anyone who asks.'],
    },
    work: {
      noticed: [
        'I test a thing where it will live. The clock hung in cardboard by the door for a week before any wood was cut.',
        'Tide clock',
      ],
      check: [
        'I write down the number before I cut, and I keep the sheet I wasted where I can see it.',
        'Fold-flat bee hotel',
      ],
      'says-so': [
        'Idris, who checked my gear sums, and the people who hang their tools on our board.',
        'Shared tool board',
      ],
    },
  },
} as const satisfies {
  title: string;
  portraits: readonly { file: string; face: boolean; height: Height }[];
  fullName: string;
  headline: string;
  places: readonly { exactness: Exactness; text: string; height: Height }[];
  free: { text: string; from: string; to: string };
  languages: readonly Spoken[];
  elsewhere: readonly Profile[];
  pronouns: string;
  halves: Record<Half, Record<string, readonly [text: string, proof?: string]>>;
};

export const live: DemoProject[] = [
  {
    folder: 'tide-clock',
    group: 'For the harbour',
    title: 'Tide clock',
    summary:
      'A wall clock with one hand that goes round once per tide, so the whole house knows when the slip is dry.',
    facts: {
      from: '2025-09',
      to: '2025-12',
      role: 'Design, making, testing',
      withWhom: [{ name: 'Idris', did: 'checked the gear sums' }],
      course: 'Making Things Last, year one',
      madeWith: 'Bandsaw, lathe, a borrowed laser cutter',
      materials: 'Birch plywood, brass, one slow motor',
      tags: ['clock', 'harbour', 'reclaimed'],
      licence: 'CC-BY-NC-4.0',
    },
    opening: { layout: 'full', pictures: ['08-hero-on-wall.jpg'] },
    parts: [
      {
        kind: 'words',
        text: `# Why the hour was the wrong question

The slip in our harbour is under water for about five hours of every twelve. The tide table on the office wall is right, but it is small, and every visitor asks the same question at the counter.

An ordinary clock cannot help, because a tide takes twelve hours and twenty-five minutes. So I made a clock that does. It has no numbers. The top half of the dial is dry slip, the bottom half is water, and one brass hand shows which.`,
      },
      {
        kind: 'gallery',
        title: 'From a pencil line to the wall',
        files: [
          '01-sketch.jpg',
          '02-cardboard-prototype.jpg',
          '03-laser-cut-parts.jpg',
          '04-gears-and-motor.jpg',
          '05-dial-on-bench.jpg',
          '07-hand-close-up.jpg',
        ],
      },
      { kind: 'clip', file: 'hand-time-lapse.mp4', still: '08-hero-on-wall.jpg' },
      {
        kind: 'words',
        text: `# What I would do differently

Most of the work was in leaving things out. The first drawing had a moon, a second hand and a date. The people who read it asked for none of them.

I cut the first gears before I had done the sums properly, and lost a sheet of plywood to it. Next time the sums come first, on paper, where they are cheap.`,
      },
      { kind: 'sound', file: 'narration.mp3' },
      {
        kind: 'evidence',
        file: '04-gears-and-motor.jpg',
        what: 'The second set of gears, cut after the sums were right: 745 minutes for one turn, from a motor that does 720.',
        why: 'The first set looked better and was wrong. This one is the reason the clock can be trusted.',
        shows: 'I check the number before I cut the wood, and I keep the sheet I wasted where I can see it.',
      },
      { kind: 'credits' },
      {
        kind: 'contact',
        words: 'The clock can be seen at the harbour office on weekdays. Questions are welcome.',
      },
    ],
  },
  {
    folder: 'bee-hotel',
    group: 'For the harbour',
    title: 'Fold-flat bee hotel',
    summary: 'A house for solitary bees that arrives flat, goes up with one strap, and opens for cleaning.',
    facts: {
      from: '2026-01',
      to: '2026-04',
      role: 'Design and making',
      withWhom: [{ name: 'The allotment on Quay Lane', did: 'lent a fence and watched the bees' }],
      field: 'Flat-pack, wildlife',
      materials: 'Offcut plywood, reeds, one red strap',
      licence: 'all-rights-reserved',
    },
    opening: {
      layout: 'strip',
      pictures: ['07-hero-on-fence.jpg', '06-flat-packed.jpg', '05-roof-open.jpg'],
    },
    parts: [
      {
        kind: 'words',
        text: `Most bee hotels are glued shut, so nobody can change the tubes, and after two summers they do more harm than good. Mine is six panels and a strap. It fits in a bicycle bag, and one half of the roof lifts.`,
      },
      { kind: 'picture', file: '04-drilled-holes.jpg', width: 'wide' },
      {
        kind: 'words',
        beside: 0.55,
        text: `# The ugly first one

The first version was crooked, and bees moved in anyway. That told me the holes matter more than the house: **clean edges, the right depth, and morning sun**.`,
      },
      {
        kind: 'gallery',
        title: 'Six panels, in order',
        layout: 'one-large',
        files: ['01-sketch.jpg', '03-table-with-parts.jpg', '06-flat-packed.jpg', '05-roof-open.jpg'],
      },
      {
        kind: 'compare',
        before: '02-first-prototype.jpg',
        after: '07-hero-on-fence.jpg',
        names: ['The first one', 'On the fence'],
      },
      {
        kind: 'quote',
        ground: { colour: 'quiet', wide: true },
        text: 'Ours used to rot by the second winter. This one I can take apart on the kitchen table.',
        by: 'Somebody with a plot on Quay Lane',
      },
      {
        kind: 'reflection',
        answers: [
          [
            'What would you do differently next time?',
            'I would ask the bees earlier. Two months went into how the panels lock, and one afternoon of looking at occupied reeds told me more about what matters.',
          ],
          ['What comes next?', 'Next is a version that a school can cut from one sheet without a saw bench.'],
        ],
      },
      { kind: 'document', file: 'build-notes.docx' },
      { kind: 'link', page: '/open' },
    ],
  },
  {
    folder: 'float-lamp',
    group: 'For the harbour',
    title: 'Float lamp',
    summary: 'A table lamp of fourteen rings, melted from net and crate plastic off the tideline.',
    facts: {
      from: '2026-03',
      to: '2026-10',
      role: 'Material tests, design, making',
      course: 'Waste as a Material, year two',
      madeWith: 'A sandwich press, a scroll saw, one cold evening a week',
      materials: 'Beach plastic, brass rod, a 4 watt bulb',
      tags: ['lamp', 'plastic', 'reclaimed'],
      licence: 'CC-BY-4.0',
    },
    opening: { layout: 'full', pictures: ['07-hero-dark-room.jpg'] },
    parts: [
      {
        kind: 'words',
        text: `# The colour is whatever the sea brought

Every storm leaves a blue line of net and broken crate along our slip. It is one kind of plastic, it melts at the heat of a sandwich press, and nobody wants it.

Fourteen flat rings stand on three brass rods with a finger's gap between them. The light comes out through the gaps, so nothing has to be moulded, and a broken ring is one ring and not a lamp.`,
      },
      {
        kind: 'evidence',
        file: '03-recycled-sheet.jpg',
        what: 'The ninth sheet: the first one without a bubble you can see light through.',
        why: 'The eight before it are the real work. This is the one where I wrote down heat, weight and minutes and could do it again.',
        shows: 'I can turn a lucky result into a recipe.',
      },
      {
        kind: 'evidence',
        file: '02-cardboard-mock-up.jpg',
        what: 'The curve in cardboard, stacked and cut again until it stood still from every side.',
        why: 'A ring of plastic takes two evenings. A ring of cardboard takes four minutes.',
        shows: 'I make mistakes where they are cheap.',
      },
      {
        kind: 'evidence',
        file: '04-ring-stack-exploded.jpg',
        what: 'All fourteen rings laid out with their numbers, ready to be threaded.',
        why: 'It shows that somebody else could put it together, which was the point of numbering them.',
        shows: 'I design for the person who takes it apart.',
      },
      {
        kind: 'table',
        title: 'What one lamp takes',
        columns: [
          { name: 'What' },
          { name: 'Where from' },
          { name: 'Hours', sum: true },
          // What it cost is the maker's own business; what it is made of is not.
          { name: 'Cost', height: 'private', sum: true },
        ],
        rows: [
          ['14 rings of sheet', 'bottle tops, two schools', '9.5', '€ 0.00'],
          ['3 threaded rods', 'workshop offcuts', '0.5', '€ 4.20'],
          ['Cable and socket', 'new, with a plug that is tested', '1.0', '€ 11.90'],
          ['Foot', 'a beech board from a stair', '2.0', '€ 3.00'],
        ],
      },
      { kind: 'picture', file: '05-pair-in-two-colours.jpg', width: 'window' },
      {
        kind: 'reflection',
        ground: { passesOver: ['07-hero-dark-room.jpg'], side: 'left' },
        answers: [
          [
            'What went well, and why?',
            'The gaps. I meant them to save plastic, and they turned out to be the lamp.',
          ],
          [
            'Which decision was the hardest?',
            'Leaving the specks in. I had learnt to sand a thing until it says nothing, and this one says where it has been.',
          ],
        ],
      },
    ],
  },
  {
    folder: 'tool-board',
    group: 'Made together',
    title: 'Shared tool board',
    summary: 'A wall for the tools five of us share, which shows at a glance what is out and who has it.',
    facts: {
      from: '2026-02',
      to: '2026-07',
      role: 'Layout and outlines; planing the frame',
      withWhom: [
        { name: 'Idris', did: 'the frame' },
        { name: 'Ola', did: 'asked everybody what they use' },
      ],
      course: 'Working Together, year one',
      materials: 'Old shelving, one tin of blue paint',
      tags: ['team', 'workshop'],
    },
    opening: { layout: 'full', pictures: ['05-hero.jpg'] },
    parts: [
      {
        kind: 'words',
        text: `# Who has the chisel?

Five people, one drawer, and every Friday the same question. Ola kept a list for two weeks of what was looked for, and for how long. Half of all the looking was for four tools.

So those four hang at eye height, and every place has a painted outline. A bare outline is a question the wall asks by itself.`,
      },
      {
        kind: 'compare',
        before: '01-before-messy-pile.jpg',
        after: '05-hero.jpg',
        names: ['A Friday in February', 'Since July'],
      },
      { kind: 'picture', file: '02-layout-sketch.jpg', width: 'wide' },
      {
        kind: 'words',
        beside: 0.5,
        text: `# What was mine

I drew the layout from Ola's list, cut the outlines from tape and painted them. Idris made the frame; I planed what he had joined. **The rule that nothing hangs behind anything else** came from an evening of moving paper tools about with all five of us.`,
      },
      {
        kind: 'gallery',
        title: '',
        layout: 'grid',
        captions: 'on-hover',
        files: ['03-outlines-detail.jpg', '04-corner.jpg'],
      },
      {
        kind: 'quote',
        text: 'I put it back because the empty shape looked at me.',
        by: 'One of the five',
      },
    ],
  },
];

/** What the maker wrote after the last publish: readers do not see it yet. */
export const waitingSummary =
  'A house for solitary bees that folds flat, goes up with one strap, and opens for cleaning.';

export const draft: DemoProject = {
  folder: 'sailcloth-satchel',
  group: 'For the harbour',
  title: 'Sailcloth satchel',
  summary: '',
  facts: {
    from: '2025-10',
    to: '2026-01',
    materials: 'A torn mainsail, mooring rope',
  },
  opening: { layout: 'full', pictures: ['06-hero.jpg'] },
  parts: [
    {
      kind: 'words',
      text: 'One sail, four bags, nothing thrown away. TODO: how the seams were tested.',
    },
    { kind: 'gallery', title: '', files: ['02-pattern-pieces.jpg', '03-stitching-close-up.jpg'] },
  ],
};

/** Gathered for a project and not on its page yet. */
export const gatheredFor: Record<string, string[]> = {
  'Tide clock': [
    'tide-clock/10-hero-again-b.jpg',
    'tide-clock/11-hero-again-c.jpg',
    'tide-clock/12-gears-blurred.jpg',
    'tide-clock/14-hero-over-exposed.jpg',
  ],
};

/** Gathered and not placed anywhere yet. */
export const loose = [
  'sailcloth-satchel/04-strap-detail.jpg',
  'tide-clock/06-bench-shot-rotated.jpg',
  'tide-clock/09-hero-again-a.jpg',
  'float-lamp/06-hero-lit-room.jpg',
  'float-lamp/01-sketch.jpg',
  'site/03-harbour-dusk.jpg',
  'bike-trailer/workshop-test-sheet.pdf',
];

/** Links to stand-in pages, not placed yet: a clip at its host, and a page that refuses to be shown inside others. */
export const looseLinks = ['/clips/one-tide', '/refusing'];

export const notes = [
  {
    text: 'Ask Idris to check the gear sums\n\nOne tide is 12 h 25 min. If the motor does one turn in 12 h, what is the ratio?\nHe is in the workshop on Thursdays.',
    writtenOn: '2025-10-02',
  },
];

/** Whose work some of it is, when it is not all the maker's own. */
export const provenances: Record<string, Partial<Provenance>> = {
  'tide-clock/04-gears-and-motor.jpg': { whose: 'with-others', maker: 'Idris Vane' },
  'tide-clock/05-dial-on-bench.jpg': {
    whose: 'someone-else',
    title: 'Dial on the bench',
    maker: 'Marl Ebbing',
    source: 'https://pictures.harbour-workshop.example/dial',
    licence: 'CC-BY-4.0',
  },
};
