import { addDays, format } from 'date-fns';
import type { Level } from '#core/groups/given-back.ts';
import type { ClassTerms } from '#core/groups/group.ts';
import { demoTimeZone } from './passes-scenario.ts';

const at = (now: Date, days: number, time: string) => `${format(addDays(now, days), 'yyyy-MM-dd')}T${time}`;

/** The class that the demo's maker hands in to, of a tutor with an account of their own. */
export const tutorsClass = {
  tutor: { name: 'Idris', email: 'idris@demo.example' },
  name: 'Portfolio review, second year',
  as: 'Wren',
  terms: (now: Date): ClassTerms => ({
    by: 'Idris, workshop',
    words: 'Your wall as an employer would open it, with at least one thing that went wrong.',
    due: at(now, 9, '12:00'),
    timeZone: demoTimeZone,
  }),
  asks: 'Please let me see where the trailer hitch broke, before the review.',
};

interface DemoMember {
  name: string;
  email: string;
  site: string;
  project: { title: string; summary: string; text: string };
  /** They handed in; else they have only joined. */
  handedIn: boolean;
  /** How many lines of the list they tick. */
  ticks: number;
  /** What the demo's maker writes to them, by lines of the list; given back, or still being written. */
  letter: { lines: readonly ([Level | null, string] | null)[]; words: string; given: boolean } | null;
}

/** A circle that the demo's maker runs, with a class page of its own. */
export const repairCircle = {
  name: 'Repair circle, Tuesdays',
  people: [
    { name: 'Juno Pell', more: 'second year' },
    { name: 'Odd Marten', more: 'second year' },
    { name: 'Sefa Lind', more: 'plot nine' },
    { name: 'Jory', more: 'plot nine' },
  ],
  list: {
    name: 'Before a thing goes back',
    by: 'Wren',
    lines: [
      { text: 'What was broken, in a picture', essential: true },
      { text: 'What you tried first, and why it did not hold', essential: true },
      { text: 'Who owns it has said that it may be shown', essential: true },
      { text: 'What it cost, in hours and in parts', essential: false },
    ],
  },
  terms: (now: Date): ClassTerms => ({
    by: 'Wren',
    words: 'One repair each, so that whoever comes next finds out what held.',
    due: at(now, 4, '18:00'),
    timeZone: demoTimeZone,
  }),
  members: [
    {
      ...{ name: 'Juno Pell', email: 'juno@demo.example', site: 'Juno mends' },
      project: {
        title: 'A kettle with a new spout',
        summary: 'The old one had a hole the size of a lentil.',
        text: 'Solder did not hold: the kettle boils, and solder that boils is no solder. A copper sleeve, pressed on cold, has held for five weeks.',
      },
      ...{ handedIn: true, ticks: 3 },
      letter: {
        lines: [['there', ''], ['nearly', 'Say how hot it was when the solder went.'], ['there', ''], null],
        words: 'The sleeve is the good idea here. Put it first.',
        given: true,
      },
    },
    {
      ...{ name: 'Odd Marten', email: 'odd@demo.example', site: 'Odd Marten' },
      project: {
        title: 'The deck chair of plot four',
        summary: 'Sailcloth instead of the stripes.',
        text: 'Two seams are not enough at the lower bar. The third one runs across.',
      },
      ...{ handedIn: true, ticks: 2, letter: null },
    },
    {
      ...{ name: 'Sefa', email: 'sefa@demo.example', site: 'Sefa, plot nine' },
      project: { title: 'A gate hinge', summary: 'From a bicycle.', text: 'It squeaks less than it did.' },
      ...{ handedIn: false, ticks: 0, letter: null },
    },
  ] satisfies DemoMember[] as readonly DemoMember[],
};
