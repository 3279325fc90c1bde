import { z } from 'zod';
import { checklistSchema, mostLists } from '../check/lists/checklist.ts';
import { mostWaivers, waiverSchema } from '../check/waiver.ts';
import { idSchema } from '../id.ts';
import { licences } from '../credits/licence.ts';
import { languageSchema } from '../language/language.ts';
import { firstPhases, phasesSchema } from '../moments/phases.ts';
import { webAddress } from '../parts/web-address.ts';
import { quickLinkSchema } from './quick-link.ts';
import { wallArrangementSchema } from './wall-arrangement.ts';
import { wallLabelsSchema } from './wall-labels.ts';
import { menuMannerSchema } from '../menu/menu-manner.ts';

/** What a maker decides of a site's shape and name, besides where its pages stand. */
export const arrangementSchema = z.object({
  /** Whose work it is, as credit lines say it; empty: the name of the site. */
  by: z.string().trim().max(80, 'A name can be at most 80 characters long.'),
  menu: menuMannerSchema,
  wall: wallArrangementSchema,
  /** Work in the order in which it hangs on the front page. What is not among it hangs behind, in the order of the pages. */
  wallOrder: z.array(idSchema).max(5000),
  /** Work that does not hang on the front page. */
  offWall: z.array(idSchema).max(5000),
  /** Where names stand on the wall, and whether dates and tags stand with them. */
  wallLabels: wallLabelsSchema,
  wallDates: z.boolean(),
  wallTags: z.boolean(),
  /** Whether the front page begins with its title and pictures; without them the wall begins right below the menu. */
  welcome: z.boolean(),
  /** What the site is written in, where a page does not say otherwise. */
  language: languageSchema,
  /** Links that stand on many pages, in order. */
  quickLinks: z.array(quickLinkSchema).max(40, 'A site has at most 40 quick links.'),
  /** How its maker can be reached, at the end of every page: by a form, or at a web address; empty: not said there. */
  contact: z.union([z.literal('form'), webAddress]),
  /** Whether Unlisted links are passed on with a picture, which then stands at an address without their key. */
  linkPictures: z.boolean(),
  /** Its maker is under 18: nothing of the site is for strangers, and nothing by which they could be known or found. */
  underAge: z.boolean(),
  /** Under which terms its maker's own work stands, where a page does not say otherwise; null: nothing is said. */
  rights: z.enum(licences).nullable(),
  /** What work goes through, in the maker's order. */
  phases: phasesSchema,
  /** Materials that were said to be no moment, so that they are not proposed again: their maker's alone. */
  notMoments: z.array(idSchema).max(20_000),
  /** What Check noticed and its maker lets stand, and why: their maker's alone. */
  waived: z.array(waiverSchema).max(mostWaivers),
  /** Lists of what to look at before it is shown, with what is ticked: their maker's alone. */
  lists: z.array(checklistSchema).max(mostLists, `A site has at most ${mostLists} lists.`),
});
export type Arrangement = z.infer<typeof arrangementSchema>;

/** As a new site begins. */
export const firstArrangement: Arrangement = {
  by: '',
  menu: 'line',
  wall: 'rows',
  wallOrder: [],
  offWall: [],
  wallLabels: 'below',
  wallDates: false,
  wallTags: false,
  welcome: true,
  language: 'en',
  quickLinks: [],
  contact: '',
  linkPictures: false,
  underAge: false,
  rights: null,
  phases: firstPhases,
  notMoments: [],
  waived: [],
  lists: [],
};
