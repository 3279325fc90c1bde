import type { Height } from '#core/access/height.ts';
import type { PhaseWord } from '#core/moments/phases.ts';
import type { Moment } from '#core/parts/moment.ts';
import type { Process } from '#core/parts/process.ts';

export interface DemoMoment extends Partial<
  Pick<Moment, 'happened' | 'decided' | 'why' | 'turnedDown' | 'next' | 'minutes' | 'with'>
> {
  title: string;
  /** Missing: the day on which its first picture was taken. */
  date?: string;
  phase?: PhaseWord;
  /** Below its page's folder; the first one stands in front. */
  files?: string[];
  height?: Height;
  /** The title of a later moment of the same page. */
  ledTo?: string;
}

/** How things came about, by the page they are kept on. */
export const moments: Record<string, DemoMoment[]> = {
  'Tide clock': [
    {
      title: 'One hand',
      phase: 'sketch',
      files: ['01-sketch.jpg'],
      happened:
        'I drew the dial with only one hand, because the tide does not need two. The moon went as soon as I asked who would read it.',
      decided: 'One hand, no numbers.',
      why: 'Whoever asks at the counter wants to know one thing.',
      turnedDown: 'A moon, a second hand and a date.',
      ledTo: 'The brass hand',
    },
    {
      title: 'Two hours at the counter',
      date: '2025-W39',
      phase: 'sketch',
      happened:
        'Eleven people asked about the slip. Nine read the answer from the door, so the hand has to be read from four metres.',
      next: 'How long is a hand that is read from four metres?',
      minutes: 120,
    },
    {
      title: 'Cardboard on the real wall',
      phase: 'prototype',
      files: ['02-cardboard-prototype.jpg'],
      happened: 'The paper hand was too short to read from the door. I cut it again on the spot, twice.',
      minutes: 90,
    },
    {
      title: 'Everything off the laser cutter',
      phase: 'build',
      files: ['03-laser-cut-parts.jpg'],
      happened: 'Laid out before sanding. One gear is missing: it is in the bin, cut the wrong way round.',
      minutes: 240,
    },
    {
      title: 'The sums, done wrong',
      date: '2025-10-30',
      phase: 'build',
      height: 'private',
      happened: 'I was in a hurry and did the ratio upside down. A sheet of plywood went with it.',
    },
    {
      title: 'The second set of gears',
      phase: 'build',
      files: ['04-gears-and-motor.jpg'],
      happened:
        'Thirty teeth on the hand, twenty-nine on the motor, after Idris had checked the sums. It turns once in 745 minutes.',
      decided: '745 minutes for one turn, from a motor that does 720.',
      why: 'The first set looked better and lost half an hour a day.',
      turnedDown: 'A belt and pulley: quieter, but it slips in the damp.',
      next: 'Does the hand drift over a week on the office wall?',
      ledTo: 'By the back door',
      with: 'Idris',
      minutes: 210,
    },
    {
      title: 'Oil',
      phase: 'build',
      files: ['05-dial-on-bench.jpg'],
      happened: 'Two coats, then a night on the bench to dry.',
      minutes: 60,
    },
    {
      title: 'The brass hand',
      phase: 'finished',
      files: ['07-hand-close-up.jpg'],
      happened: 'Cut from an old kick plate and filed by eye.',
      minutes: 150,
    },
    {
      title: 'By the back door',
      phase: 'finished',
      files: ['08-hero-on-wall.jpg', 'narration.mp3'],
      happened: 'Ten minutes out after fourteen days. It has been there since.',
    },
  ],
  'Float lamp': [
    {
      title: 'Rings instead of a mould',
      date: '2026-03-03',
      phase: 'sketch',
      happened: 'The light comes out between them, so nothing has to be moulded.',
      decided: 'A stack of flat rings.',
      why: 'A broken ring is one ring and not a lamp.',
      turnedDown: 'A moulded shade, which needs a mould for every size.',
    },
    {
      title: 'Cardboard until the curve was right',
      phase: 'prototype',
      files: ['02-cardboard-mock-up.jpg'],
      happened: 'A ring of plastic takes two evenings. A ring of cardboard takes four minutes.',
      minutes: 180,
    },
    {
      title: 'The ninth sheet',
      phase: 'build',
      files: ['03-recycled-sheet.jpg'],
      happened: 'The first one without a bubble that you can see light through.',
      decided: 'Twelve minutes at 160 degrees, with 340 grams.',
      why: 'I wrote it down and could do it again.',
      minutes: 480,
    },
    {
      title: 'All the rings',
      phase: 'build',
      files: ['04-ring-stack-exploded.jpg'],
      happened: 'Numbered underneath, because every one has its own size.',
      minutes: 570,
    },
    {
      title: 'A pair',
      phase: 'finished',
      files: ['05-pair-in-two-colours.jpg'],
      happened: 'The second one is made from the buoys.',
    },
    {
      title: 'By night',
      phase: 'finished',
      files: ['07-hero-dark-room.jpg'],
      happened: 'By day you see the specks; by night it throws a warm ring on the table.',
    },
  ],
  'Failures, by date': [
    {
      title: 'Half a clock',
      date: '2025-10-09',
      happened: 'The first dial was cut from a drawing at half size. It is a good coaster now.',
    },
    {
      title: 'Oak does not bend',
      date: '2025-11-03',
      happened:
        'Steam bends ash. It does not bend oak that has stood in a loft for twenty years, it breaks it.',
      decided: 'Ash for everything that bends.',
    },
    {
      title: 'A wet winter',
      date: '2025-24',
      happened: 'Glue let go in the wet, and I do not know any more on which day I saw it first.',
    },
    {
      title: 'Two rivets instead of a hinge',
      date: '2026-03-17',
      happened: 'It folds once.',
    },
  ],
};

/** Parts that draw them, by the page they stand on: at its end, or before its credits. */
export const processes: Record<
  string,
  Partial<Pick<Process, 'title' | 'form' | 'spacing' | 'time' | 'company'>> & { of?: string[] }
> = {
  'Tide clock': { title: 'From September to the wall', form: 'line', company: true },
  'Float lamp': { form: 'columns', time: true },
  'Failures, by date': { title: 'As they came', spacing: 'even' },
  'Workshop notes': { title: 'The clock, day by day', of: ['Tide clock'] },
  'For the harbour': { title: 'The year on one string', form: 'line' },
};

/** Tables of what was decided, by the page they stand on at its end: of which pages they tell. */
export const decided: Record<string, string[]> = { 'Workshop notes': ['Tide clock', 'Float lamp'] };

/** The same thing early and late, by the page on which it stands. */
export const earlyAndLate: Record<string, { date: string; name: string; file: string; words: string }[]> = {
  'Workshop notes': [
    {
      date: '2025-10-02',
      name: 'What I said the clock was',
      file: 'tide-clock/02-cardboard-prototype.jpg',
      words: 'A clock that shows the tide. It has one hand, and a motor that turns it once in twelve hours.',
    },
    {
      date: '2025-12-11',
      name: 'And what I said when it hung',
      file: 'tide-clock/08-hero-on-wall.jpg',
      words:
        'A clock that shows whether the harbour is worth going down to. It has one hand, and a gear train that turns it once in twelve hours and twenty-five minutes.',
    },
  ],
};

/** What comes next, by the page whose agenda it is on; tasks are the maker's own. */
export const planned: Record<string, (DemoTask | DemoDate)[]> = {
  'Workshop notes': [
    {
      kind: 'date',
      what: 'Winter fair in the harbour hall',
      day: '2026-12-12',
      until: '2026-12-13',
      place: 'Quay 4',
    },
    {
      kind: 'date',
      what: 'Open evening at the workshop',
      day: '2027-01-22',
      time: '18:00',
      place: 'Rope Walk 2',
    },
    { kind: 'task', what: 'Cut two spare hands for the fair', day: '2026-12-09' },
    { kind: 'task', what: 'Hand in the year folder', day: '2027-06-11', time: '12:00' },
    { kind: 'task', what: 'Ask the harbour office for the new tide tables' },
  ],
};
interface DemoTask {
  kind: 'task';
  what: string;
  day?: string;
  time?: string;
}
interface DemoDate {
  kind: 'date';
  what: string;
  day: string;
  until?: string;
  time?: string;
  place: string;
}
