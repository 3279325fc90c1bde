import { addDays, format } from 'date-fns';
import type { HandInTerms } from '#core/hand-ins/hand-in.ts';
import { demoTimeZone } from './passes-scenario.ts';

/** What the demo's maker hands in, by the pass of a name. */
type DemoHandIn = Omit<HandInTerms, 'by'> & {
  pass: string;
  /** It is handed in when the demo begins. */
  handedIn: boolean;
};

/** @param now when the demo begins: what is due is due around then */
export function demoHandIns(now: Date): DemoHandIn[] {
  const at5pm = (days: number) => `${format(addDays(now, days), 'yyyy-MM-dd')}T17:00`;
  const said = { pass: 'Tutors', keeps: false, timeZone: demoTimeZone };
  return [
    {
      ...{ ...said, what: 'Mid-year review', forWhom: 'Second year', due: at5pm(2), handedIn: true },
      text: 'Four projects, with the ways they went wrong first.',
    },
    {
      ...{ ...said, what: 'Waste as a Material, final', forWhom: 'P. Lunn', due: at5pm(16), handedIn: false },
      text: 'The bee hotel is the one to look at; the process page tells how it came to fold.',
    },
  ];
}
