import type { CaseFacts } from '#core/content/case-facts.ts';
import type { galleryCaptions, galleryLayouts } from '#core/content/part.ts';
import type { Provenance } from '#core/content/provenance.ts';

/**
 * A second-year product-making student in an invented harbour town, in the middle of the work: two projects that
 * are live, edits waiting on one of them, a rough draft, and loose pictures. Everything here is made up.
 */
export interface DemoProject {
  folder: string;
  title: string;
  summary: string;
  facts: Partial<CaseFacts>;
  opening: { layout: 'full' | 'strip'; pictures: string[] };
  parts: DemoPart[];
}

/** `beside`: it stands beside the part before it, which gets this share of the width. */
export type DemoPart = { beside?: number } & (
  | { kind: 'words'; text: string }
  | { kind: 'picture'; file: string; width: 'text' | 'wide' | 'full' }
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
  | { kind: 'contact'; words: string; email: string }
);

export const maker = { name: 'Wren', site: 'Wren', address: 'wren-makes' };

export const front = {
  title: 'Wren makes useful things for a harbour town, and keeps the mistakes on show.',
  summary:
    'Second-year product making. Wood, sailcloth, small mechanisms, mostly from what others threw out.',
};

export const live: DemoProject[] = [
  {
    folder: 'tide-clock',
    title: 'Tide clock',
    summary:
      'A wall clock with one hand that goes round once per tide, so the whole house knows when the slip is dry.',
    facts: {
      from: '2025-09',
      to: '2025-12',
      role: 'Design, making, testing',
      withWhom: [{ name: 'Idris', did: 'checked the gear sums' }],
      course: 'Making Things Last, year two',
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
        email: 'wren@demo.example',
      },
    ],
  },
  {
    folder: 'bee-hotel',
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
];

/** What the maker wrote after the last publish: readers do not see it yet. */
export const waitingSummary =
  'A house for solitary bees that folds flat, goes up with one strap, and opens for cleaning.';

export const draft: DemoProject = {
  folder: 'sailcloth-satchel',
  title: 'Sailcloth satchel',
  summary: '',
  facts: {
    from: '2025-10',
    to: '2025-11',
    materials: 'A torn mainsail, mooring rope',
  },
  opening: { layout: 'full', pictures: ['06-hero.jpg'] },
  parts: [
    {
      kind: 'words',
      text: 'One sail, four bags, nothing thrown away. Write here how the seams were tested.',
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
