import { type Height, reaches } from './height.ts';
import { reachOf, type Viewer } from './viewer.ts';

/** Those who come from outside, told apart by how they come in, from the highest to the lowest. */
export type Audience = 'strangers' | 'link' | 'passes';

const viewers: Readonly<Record<Audience, Viewer>> = {
  strangers: { kind: 'stranger' },
  link: { kind: 'site-link' },
  passes: { kind: 'pass', covers: 'site', downloads: true },
};

/** Who can see a thing at one height and cannot at another: gains when it goes there from here, loses on the way back. */
export function whoBetween(from: Height, to: Height): { gains: Audience[]; loses: Audience[] } {
  const sees = (one: Audience, height: Height) => reaches(height, reachOf(viewers[one]));
  const all = Object.keys(viewers) as Audience[];
  return {
    gains: all.filter((one) => sees(one, to) && !sees(one, from)),
    loses: all.filter((one) => sees(one, from) && !sees(one, to)),
  };
}
