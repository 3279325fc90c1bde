import type { Scheme } from '../look/theme-colours.ts';

/** The way in which somebody gets a page that is looked at before it is published. */
export interface Manner {
  /** By day or by night; null as the look says. */
  scheme: Scheme | null;
  /** Nothing to see or to play arrives, as on a line that is too slow for it. */
  withoutPictures: boolean;
  /** Nothing is run. */
  withoutScript: boolean;
  /** As it is printed. */
  onPaper: boolean;
  /** Shown inside of something that says itself that this is a preview. */
  framed: boolean;
}

export const plainManner: Manner = {
  ...{ scheme: null, withoutPictures: false, withoutScript: false },
  ...{ onPaper: false, framed: false },
};

const words: readonly (readonly [string, Partial<Manner>])[] = [
  ['light', { scheme: 'light' }],
  ['dark', { scheme: 'dark' }],
  ['without-pictures', { withoutPictures: true }],
  ['without-script', { withoutScript: true }],
  ['on-paper', { onPaper: true }],
  ['framed', { framed: true }],
];

const holds = (manner: Manner, part: Partial<Manner>): boolean =>
  Object.entries(part).every(([name, value]) => manner[name as keyof Manner] === value);

/**
 * A reader and a manner as one step of an address, so that every link of a page stays in it: `stranger~dark~framed`.
 *
 * @param reader without a tilde
 */
export const inManner = (reader: string, manner: Partial<Manner>): string =>
  [
    reader,
    ...words.filter(([, part]) => holds({ ...plainManner, ...manner }, part)).map(([word]) => word),
  ].join('~');

/** The reader and the manner of a step of an address; null where it says something that is none. */
export function readInManner(step: string): { reader: string; manner: Manner } | null {
  const [reader = '', ...said] = step.split('~');
  let manner = plainManner;
  for (const word of said) {
    const part = words.find(([name]) => name === word)?.[1];
    if (!part) return null;
    manner = { ...manner, ...part };
  }
  return { reader, manner };
}
