import type { PageKind } from '../pages/page-kinds.ts';
import type { PageStarterKey, StarterKey } from '../parts/starter-names.ts';
import type { Arrangement } from './arrangement.ts';

/** A page of a starter: where it stands, what it begins with, and how it might look one day. */
export interface StarterPage {
  key: string;
  kind: Exclude<PageKind, 'home'>;
  /** Its name until its maker gives it another. */
  title: string;
  /** The key of the page it stands below. */
  below?: string;
  /** The outline it begins with. */
  outline?: StarterKey | PageStarterKey;
  /** As the example shows it, invented; it is never taken over. */
  example: { title?: string; summary: string; words?: string };
}

/** A site to begin with, taken over whole or page by page. Everything in it is empty and Private until its maker fills and raises it. */
export interface SiteStarter {
  name: string;
  /** Whom it suits, in one sentence. */
  suits: string;
  /** What the example's front page says, invented. */
  front: { title: string; summary: string };
  arrangement: Pick<Arrangement, 'menu' | 'wall' | 'wallDates' | 'wallLabels'>;
  pages: readonly StarterPage[];
}

const project = (
  key: string,
  title: string,
  outline: StarterKey,
  example: StarterPage['example'],
  below?: string,
): StarterPage => ({ key, kind: 'project', title, outline, example, ...(below ? { below } : {}) });

const about: StarterPage = {
  ...{ key: 'about', kind: 'about', title: 'About' },
  example: {
    summary: 'Who is behind the work, and why it is worth a talk.',
    words:
      'I make things that a tired person can use in the dark. I learnt it from a boat builder, and from two summers in a repair shop.',
  },
};

/** The sites that can be begun with. */
export const siteStarters = {
  hired: {
    name: 'Work to be hired for',
    suits: 'Three or four strong pieces, what you offer, and the facts about you.',
    front: {
      title: 'Ada makes quiet machines',
      summary: 'Product design and small mechanics, free from August.',
    },
    arrangement: { menu: 'line', wall: 'one', wallDates: false, wallLabels: 'below' },
    pages: [
      project('best', 'My strongest piece', 'object', {
        title: 'Rain gauge for a roof garden',
        summary: 'Reads itself, empties itself, and tells the caretaker once a week.',
      }),
      project('team', 'Work in a team', 'team', {
        title: 'Night bus shelter',
        summary: 'Four people, six weeks, one bench that stays dry.',
      }),
      project('study', 'Something I found out', 'study', {
        title: 'Why doors are pushed',
        summary: 'Two hundred people, one door, and where they put their hands.',
      }),
      {
        ...{ key: 'services', kind: 'plain', title: 'Services', outline: 'services' },
        example: { summary: 'Models, test rigs and first series of up to twenty.' },
      },
      about,
      {
        ...{ key: 'resume', kind: 'resume', title: 'Résumé' },
        example: { summary: 'One page, with the proof beside each line.' },
      },
    ],
  },
  courses: {
    name: 'Course by course',
    suits: 'A group for each course, its projects inside, and what you are learning.',
    front: {
      title: 'What I did in which course',
      summary: 'Two years of interaction design, course by course.',
    },
    arrangement: { menu: 'side', wall: 'groups', wallDates: true, wallLabels: 'below' },
    pages: [
      {
        ...{ key: 'first', kind: 'group', title: 'A course' },
        example: { title: 'Form and material', summary: 'Autumn: one material, eight weeks.' },
      },
      project(
        'first-work',
        'A piece from it',
        'object',
        { title: 'Folded stool', summary: 'One sheet, no glue.' },
        'first',
      ),
      {
        ...{ key: 'second', kind: 'group', title: 'Another course' },
        example: { title: 'Listening', summary: 'Spring: what people do and what they say they do.' },
      },
      project(
        'second-work',
        'A study from it',
        'study',
        { title: 'The queue at the post office', summary: 'Who lets whom go first, and when.' },
        'second',
      ),
      {
        ...{ key: 'learning', kind: 'plain', title: 'What I am learning', outline: 'learning' },
        example: { summary: 'Welding, statistics, and when to stop.' },
      },
    ],
  },
  one: {
    name: 'One big project',
    suits: 'A final project that fills a site: the case, how it was made, what was tested, thanks.',
    front: { title: 'A ferry that waits', summary: 'One year, one small boat, and the people who miss it.' },
    arrangement: { menu: 'line', wall: 'rows', wallDates: false, wallLabels: 'over' },
    pages: [
      project('work', 'The project', 'object', {
        title: 'The ferry',
        summary: 'An electric boat for nine, called by a bell.',
      }),
      {
        ...{ key: 'making', kind: 'plain', title: 'How it was made', below: 'work' },
        example: {
          summary: 'From a paper hull to plywood.',
          words: 'The first hull was paper, the second one sank, the third one carried a cow.',
        },
      },
      {
        ...{ key: 'tests', kind: 'plain', title: 'What was tested', below: 'work' },
        example: {
          summary: 'Wind, weight, and a school class.',
          words: 'Nine children weigh less than four brass players. We tested both.',
        },
      },
      {
        ...{ key: 'thanks', kind: 'plain', title: 'Thanks', outline: 'thanks' },
        example: { summary: 'Everybody who held a rope.' },
      },
    ],
  },
  years: {
    name: 'Year by year',
    suits: 'A group for each year, the latest first, to show how you came to where you are.',
    front: {
      title: 'Three years, in order',
      summary: 'The first pieces are here too, so that you can see the way.',
    },
    arrangement: { menu: 'line', wall: 'groups', wallDates: true, wallLabels: 'below' },
    pages: [
      {
        ...{ key: 'third', kind: 'group', title: 'Third year' },
        example: { summary: 'Fewer things, finished.' },
      },
      project(
        'third-work',
        'A piece from the third year',
        'object',
        { title: 'Lamp for a ward', summary: 'Light that wakes nobody.' },
        'third',
      ),
      {
        ...{ key: 'second', kind: 'group', title: 'Second year' },
        example: { summary: 'Many things, for somebody.' },
      },
      project(
        'second-work',
        'A piece from the second year',
        'team',
        { title: 'Market stall', summary: 'Up in four minutes, by two people who have never met.' },
        'second',
      ),
      {
        ...{ key: 'first', kind: 'group', title: 'First year' },
        example: { summary: 'Everything at once.' },
      },
      about,
    ],
  },
  class: {
    name: 'A class hand-in',
    suits: 'The assignment, your answer to it, and a letter about what you learnt.',
    front: { title: 'Hand-in: a thing for one hand', summary: 'Material basics, first year, second term.' },
    arrangement: { menu: 'line', wall: 'list', wallDates: true, wallLabels: 'below' },
    pages: [
      {
        ...{ key: 'assignment', kind: 'plain', title: 'The assignment' },
        example: {
          summary: 'What was asked for.',
          words: 'Make something that is used with one hand while the other is full. Six weeks, no glue.',
        },
      },
      project('answer', 'My answer', 'object', {
        title: 'A lid that opens sideways',
        summary: 'For a pan, a child on the other arm, and soup.',
      }),
      {
        ...{ key: 'letter', kind: 'plain', title: 'A letter of reflection', outline: 'letter' },
        example: {
          summary: 'To whoever does it next year.',
          words: 'Begin with the hand. I began with the lid, and cut four of them.',
        },
      },
      {
        ...{ key: 'thanks', kind: 'plain', title: 'Thanks', outline: 'thanks' },
        example: { summary: 'To the table next to mine.' },
      },
    ],
  },
} satisfies Record<string, SiteStarter>;

export type SiteStarterKey = keyof typeof siteStarters;
export const siteStarterKeys = Object.keys(siteStarters) as [SiteStarterKey, ...SiteStarterKey[]];
export const siteStarterOf = (key: SiteStarterKey): SiteStarter => siteStarters[key];
