/** Links that the demo's maker made for somebody. Pages go by their titles; null opens the whole site. */
interface DemoPass {
  label: string;
  forWhom: string;
  opens: readonly string[] | null;
  password: string | null;
  /** By clocks where the demo is set. */
  from: string | null;
  until: string | null;
  mayDownload: boolean;
  mayComment: boolean;
  asks: string;
  on: boolean;
}

export const demoTimeZone = 'Europe/London';

export const demoPasses: readonly DemoPass[] = [
  {
    ...{ label: 'Tutors', forWhom: 'P. Lunn, M. Ebbing', opens: null, password: null },
    ...{
      from: null,
      until: null,
      mayDownload: true,
      mayComment: true,
      asks: 'Please look at the reflections: do you believe what I say I learned, and where would you want to see it?',
      on: true,
    },
  },
  {
    ...{ label: 'Boatyard', forWhom: 'the yard manager', password: 'heron-rope-window-kiln' },
    opens: ['Tide clock', 'Fold-flat bee hotel', 'Sailcloth satchel'],
    ...{ from: null, until: null, mayDownload: false, mayComment: false, asks: '', on: true },
  },
  {
    ...{ label: 'Open evening', forWhom: 'families and first-years', password: null },
    opens: ['Tide clock', 'Float lamp'],
    ...{
      from: '2035-12-03T16:00',
      until: '2035-12-04T20:00',
      mayDownload: false,
      mayComment: false,
      asks: '',
      on: true,
    },
  },
  {
    ...{ label: 'Quay Lane', forWhom: 'plot holders', opens: ['Fold-flat bee hotel'], password: null },
    ...{
      from: '2026-03-01T09:00',
      until: '2026-10-31T18:00',
      mayDownload: true,
      mayComment: false,
      asks: '',
      on: false,
    },
  },
];
